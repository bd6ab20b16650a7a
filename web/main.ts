import './design/element-base';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './app/App.vue';
import { router } from './app/router';
import './design/fonts.css';
import './design/tokens.css';
import './design/base.css';
import './design/element.css';

createApp(App).use(createPinia()).use(router).mount('#app');
