import { lastFilm } from './last-film';
import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router';

/** A view of one location of the film; without one in the address it is the one looked at last. */
const byLocation = (name: string, component: RouteRecordRaw['component']): RouteRecordRaw =>
  ({ path: `${name}/:location?`, name, component, props: true }) as RouteRecordRaw;

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'films', component: () => import('../views/films/FilmsView.vue') },
    {
      path: '/film/:film',
      component: () => import('./FilmShell.vue'),
      props: true,
      children: [
        { path: '', redirect: (to) => ({ name: 'shots', params: to.params }) },
        {
          path: 'overview',
          name: 'overview',
          component: () => import('../views/overview/OverviewView.vue'),
        },
        { path: 'brief', name: 'brief', component: () => import('../views/brief/BriefView.vue') },
        byLocation('locations', () => import('../views/locations/LocationsView.vue')),
        byLocation('map', () => import('../views/site-map/SiteMapView.vue')),
        { path: 'shots', name: 'shots', component: () => import('../views/shots/ShotsView.vue') },
        {
          path: 'storyboard',
          name: 'storyboard',
          component: () => import('../views/storyboard/StoryboardView.vue'),
        },
        {
          path: 'rehearse',
          name: 'rehearse',
          component: () => import('../views/rehearse/RehearseView.vue'),
        },
        byLocation('light', () => import('../views/light/LightView.vue')),
        byLocation('flights', () => import('../views/flights/FlightsView.vue')),
        byLocation('checks', () => import('../views/checks/ChecksView.vue')),
        byLocation('field', () => import('../views/field/FieldView.vue')),
        { path: 'ready', name: 'ready', component: () => import('../views/field/ReadyView.vue') },
        { path: 'footage', name: 'footage', component: () => import('../views/footage/FootageView.vue') },
        { path: 'debrief', name: 'debrief', component: () => import('../views/debrief/DebriefView.vue') },
        { path: 'kit', name: 'kit', component: () => import('../views/kit/KitView.vue') },
        {
          path: 'calculators',
          name: 'calculators',
          component: () => import('../views/calculators/CalculatorsView.vue'),
        },
      ],
    },
    {
      // Where the installed application begins: in the film that was open last.
      path: '/last',
      redirect: () => {
        const film = lastFilm();
        return film ? { name: 'overview', params: { film } } : { name: 'films' };
      },
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
});
