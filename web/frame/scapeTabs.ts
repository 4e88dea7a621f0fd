import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { NOW } from '../../core/commission/scapes';
import { useCommission } from '../document/commissionStore';
import { stageOfPage } from './stages';
import { wording } from '../words/wording';

/** Stages on which a scape is drawn: there the tank as it is now can be looked at and drawn, too. */
const DRAWN = ['bench', 'planting'];

/** The scapes that can be looked at here, options first; whoever leaves for a stage that knows no tank as it is now is back at the chosen one. */
export function useScapeTabs() {
  const commission = useCommission();
  const route = useRoute();
  const isDrawn = computed(() => DRAWN.includes(stageOfPage(route.name)));
  const tabs = computed(() => {
    const { options = [], now, chosen } = commission.document ?? {};
    const own = options.map((o) => ({ id: o.id, mark: o.id.toUpperCase(), title: o.title, isChosen: options.length > 1 && o.id === chosen })); // prettier-ignore
    const there = { id: NOW, mark: '', title: wording('scapeTabs.now'), isChosen: false };
    return now && isDrawn.value ? [there, ...own] : own;
  });
  return { tabs, isDrawn };
}
