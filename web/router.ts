import { createRouter, createWebHistory } from 'vue-router';
import { FRAME, LIST, PAGES } from './pages';

/** Each place is fetched when it is gone to. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'commissions', component: LIST },
    { path: '/week', name: 'week', component: () => import('./stages/commissions/WeekPage.vue') },
    { path: '/studio/:part?', name: 'studio', component: () => import('./stages/studio/StudioPage.vue') },
    { path: '/l', name: 'link', component: () => import('./frame/links/LinkPage.vue') },
    { path: '/join', name: 'join', component: () => import('./frame/people/JoinPage.vue') },
    {
      path: '/c/:id',
      component: FRAME,
      props: true,
      children: [
        { path: '', redirect: (to) => `/c/${String(to.params.id)}/brief` },
        ...Object.entries(PAGES).map(([name, component]) => ({ path: name, name, component })),
      ],
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
});
