import { createRouter, createWebHistory } from 'vue-router';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'films', component: () => import('../views/films/FilmsView.vue') },
    {
      path: '/film/:film',
      component: () => import('./FilmShell.vue'),
      props: true,
      children: [
        { path: '', name: 'bench', component: () => import('../views/shots/BenchView.vue') },
        { path: 'board', name: 'board', component: () => import('../views/storyboard/BoardView.vue') },
        { path: 'job', name: 'job', component: () => import('../views/brief/JobView.vue') },
        {
          path: 'places/:place?',
          name: 'places',
          component: () => import('../views/locations/PlacesView.vue'),
          props: true,
        },
        {
          path: 'plan/:place?',
          name: 'plan',
          component: () => import('../views/site-map/PlanView.vue'),
          props: true,
        },
        {
          path: 'light/:place?',
          name: 'light',
          component: () => import('../views/light/LightView.vue'),
          props: true,
        },
        {
          path: 'flights/:place?',
          name: 'flights',
          component: () => import('../views/flights/FlightsView.vue'),
          props: true,
        },
        {
          path: 'ready/:place?',
          name: 'ready',
          component: () => import('../views/checks/ReadyView.vue'),
          props: true,
        },
        { path: 'quick', name: 'quick', component: () => import('../views/calculators/QuickView.vue') },
        { path: 'kit', name: 'kit', component: () => import('../views/kit/KitView.vue') },
      ],
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
});
