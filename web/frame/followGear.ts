import { watch, type Ref } from 'vue';
import type { Commission } from '../../core/commission/schema';
import { optionOf } from '../../core/commission/lookup';
import { followed } from '../../core/gear/followed';
import { needOf } from '../../core/gear/propose';
import { useArticles } from '../document/articles';
import { useCommission } from '../document/commissionStore';
import { useFigures } from '../units/figures';
import type { ShownPlan } from '../workers/planWorker';

/** How often gear may change what it was chosen by before somebody changes something again: a lamp warms the room. */
const MOST_IN_A_ROW = 2;

/**
 * Gear that was proposed follows the tank as it is changed here, as a part of the step that changed it. Nothing follows
 * on a page that only looks, of another option than the chosen one, or once something was ordered.
 */
export function useFollowedGear(plan: Ref<ShownPlan | undefined>, isOrdered: () => boolean): void {
  const commission = useCommission();
  const { words } = useFigures();
  const { articles, withDevices } = useArticles();
  let own: Commission | undefined;
  let row = 0;

  watch(plan, (now) => {
    const doc = commission.document;
    if (!now || !doc || isOrdered() || now.survey.optionId !== doc.chosen) return;
    if (commission.past.length === 0) return;
    row = doc === own ? row + 1 : 0;
    if (row >= MOST_IN_A_ROW) return;
    const { optionId, freeWaterL } = now.survey;
    const need = needOf(optionOf(doc, optionId), { freeWaterL, heatersW: now.visit.heat.heatersW });
    const devices = followed(doc, need, words, articles.value);
    if (!devices) return;
    commission.follow((d) => withDevices(d, devices));
    own = commission.document;
  });
}
