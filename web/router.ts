import { createRouter, createWebHistory } from 'vue-router';
import CommissionList from './stages/commissions/CommissionList.vue';
import { FRAME, PAGES } from './pages';

/** The list first; a commission and its stages are fetched when one is opened. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'commissions', component: CommissionList },
    { path: '/studio/:part?', name: 'studio', component: () => import('./stages/studio/StudioPage.vue') },
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
