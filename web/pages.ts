/** The commissions of the studio. */
export const LIST = () => import('./stages/commissions/CommissionList.vue');

/** What a commission opens in, fetched when one is. */
export const FRAME = () => import('./frame/CommissionFrame.vue');

/** Its pages by the last part of their address, each fetched when it is gone to. */
export const PAGES = {
  brief: () => import('./stages/brief/BriefStage.vue'),
  'visit-sheet': () => import('./stages/brief/VisitSheet.vue'),
  options: () => import('./stages/options/OptionsSheet.vue'),
  vessel: () => import('./stages/vessel/VesselStage.vue'),
  bench: () => import('./stages/bench/BenchStage.vue'),
  'setting-out': () => import('./stages/bench/SettingOut.vue'),
  planting: () => import('./stages/planting/PlantingStage.vue'),
  'planting-plan': () => import('./stages/planting/PlantingPlan.vue'),
  'take-off': () => import('./stages/takeoff/TakeOffStage.vue'),
  quote: () => import('./stages/takeoff/QuoteStage.vue'),
  shopping: () => import('./stages/order/ShoppingList.vue'),
  order: () => import('./stages/order/OrderStage.vue'),
  build: () => import('./stages/buildDay/BuildStage.vue'),
  'run-sheet': () => import('./stages/buildDay/BuildStage.vue'),
  handover: () => import('./stages/handover/HandoverStage.vue'),
  log: () => import('./stages/log/LogStage.vue'),
  then: () => import('./stages/log/ThenPage.vue'),
};
