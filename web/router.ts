import { createRouter, createWebHistory } from 'vue-router';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'films', component: () => import('./views/films/FilmsView.vue') },
    {
      path: '/film/:film',
      component: () => import('./views/FilmShell.vue'),
      props: true,
      children: [
        { path: '', name: 'bench', component: () => import('./views/bench/BenchView.vue') },
        { path: 'board', name: 'board', component: () => import('./views/board/BoardView.vue') },
        { path: 'job', name: 'job', component: () => import('./views/job/JobView.vue') },
        {
          path: 'places/:place?',
          name: 'places',
          component: () => import('./views/places/PlacesView.vue'),
          props: true,
        },
        {
          path: 'plan/:place?',
          name: 'plan',
          component: () => import('./views/plan/PlanView.vue'),
          props: true,
        },
        {
          path: 'light/:place?',
          name: 'light',
          component: () => import('./views/light/LightView.vue'),
          props: true,
        },
        {
          path: 'flights/:place?',
          name: 'flights',
          component: () => import('./views/flights/FlightsView.vue'),
          props: true,
        },
        {
          path: 'ready/:place?',
          name: 'ready',
          component: () => import('./views/ready/ReadyView.vue'),
          props: true,
        },
        { path: 'quick', name: 'quick', component: () => import('./views/quick/QuickView.vue') },
        { path: 'kit', name: 'kit', component: () => import('./views/kit/KitView.vue') },
      ],
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
});
