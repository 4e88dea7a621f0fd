import { createRouter, createWebHistory } from 'vue-router';
import CommissionList from './stages/commissions/CommissionList.vue';

/** The list first; a commission and its stages are fetched when one is opened. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'commissions', component: CommissionList },
    {
      path: '/c/:id',
      component: () => import('./frame/CommissionFrame.vue'),
      props: true,
      children: [
        { path: '', redirect: (to) => `/c/${String(to.params.id)}/brief` },
        { path: 'brief', name: 'brief', component: () => import('./stages/brief/BriefStage.vue') },
        {
          path: 'visit-sheet',
          name: 'visit-sheet',
          component: () => import('./stages/brief/VisitSheet.vue'),
        },
        { path: 'options', name: 'options', component: () => import('./stages/options/OptionsSheet.vue') },
        { path: 'vessel', name: 'vessel', component: () => import('./stages/vessel/VesselStage.vue') },
        { path: 'bench', name: 'bench', component: () => import('./stages/bench/BenchStage.vue') },
        {
          path: 'setting-out',
          name: 'setting-out',
          component: () => import('./stages/bench/SettingOut.vue'),
        },
        {
          path: 'planting',
          name: 'planting',
          component: () => import('./stages/planting/PlantingStage.vue'),
        },
        {
          path: 'planting-plan',
          name: 'planting-plan',
          component: () => import('./stages/planting/PlantingPlan.vue'),
        },
        { path: 'take-off', name: 'take-off', component: () => import('./stages/takeoff/TakeOffStage.vue') },
        { path: 'order', name: 'order', component: () => import('./stages/order/OrderStage.vue') },
        { path: 'build', name: 'build', component: () => import('./stages/build/BuildStage.vue') },
        {
          path: 'handover',
          name: 'handover',
          component: () => import('./stages/handover/HandoverStage.vue'),
        },
        { path: 'log', name: 'log', component: () => import('./stages/log/LogStage.vue') },
      ],
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
});
