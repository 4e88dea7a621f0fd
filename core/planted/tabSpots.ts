import { plugPositions, type Spots } from '../planting/positions';
import type { Resolved } from '../resolved/resolved';
import { remembered, type Slot } from '../survey/memo';
import type { Survey } from '../survey/survey';
import { tabbed } from '../takeoff/rootTabs';
import { standsAs } from './conditions';

/** Another than that of any plug: a tab does not lie under one by chance. */
const SEED = 7_919;

/**
 * Where the root tabs of each planting are pushed in: as many as it takes, as evenly as plugs, free of what stands there. The
 * same scape gives the same places, so that they are found again when they are renewed.
 * Valid for plantings with a region. Leaves out: how deep, which is as deep as fingers or tweezers reach (common practice: 30 to 50 mm).
 * Test: tabSpots.test.ts, "are as many as are bought, in their planting, none where a stone stands".
 */
export function tabSpots(
  commission: Resolved,
  survey: Survey,
  taken: Float64Array,
  memo: Map<string, Slot<Spots>> = new Map(),
): ReadonlyMap<string, Spots> {
  return new Map(
    tabbed(commission, survey).map(({ planting, count }): [string, Spots] => {
      const { region } = commission.plantings.get(planting)!.planting;
      if (!region) return [planting, new Float64Array(0)];
      const slot = memo.get(planting) ?? {};
      memo.set(planting, slot);
      const key = [survey.field, JSON.stringify(region), count, ...standsAs(survey)];
      return [planting, remembered(slot, key, () => plugPositions(survey.field, region, count, SEED, taken))];
    }),
  );
}
