import './design/element-base';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './app/App.vue';
import { router } from './app/router';
import { loadLanguage } from './language';
import './design/fonts.css';
import './design/tokens.css';
import './design/base.css';
import './design/element.css';

// A view is shown once its texts are there.
router.beforeResolve(loadLanguage);
createApp(App).use(createPinia()).use(router).mount('#app');
