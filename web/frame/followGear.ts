import { watch, type Ref } from 'vue';
import type { Commission } from '../../core/commission/schema';
import { followed } from '../../core/gear/followed';
import { useCommission } from '../document/commissionStore';
import { useMaterials, withMaterials } from '../document/materials';
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
  const atHand = useMaterials();
  let own: Commission | undefined;
  let row = 0;

  watch(plan, (now) => {
    const doc = commission.document;
    if (!now || !doc || isOrdered() || now.survey.optionId !== doc.chosen) return;
    if (commission.past.length === 0 || !doc.site?.devices?.some((d) => d.proposed)) return;
    row = doc === own ? row + 1 : 0;
    if (row >= MOST_IN_A_ROW) return;
    const plants = doc.options.find((o) => o.id === doc.chosen)!.plants.map((p) => p.plant);
    const need = { freeWaterL: now.survey.freeWaterL, heatersW: now.visit.heat.heatersW, plants };
    const articles = atHand.value.filter((m) => m.kind === 'equipment');
    const devices = followed(doc, need, words, articles);
    if (!devices) return;
    const used = articles.filter((a) => devices.some((d) => d.material === a.id));
    commission.follow((d) => ({ ...withMaterials(d, used), site: { ...d.site, devices } }));
    own = commission.document;
  });
}
