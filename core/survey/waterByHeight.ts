import type { Vessel } from '../commission/schema';
import { displace } from '../hardscape/displace';
import { earlierNeighbours } from '../hardscape/neighbours';
import { floorShare } from '../substrate/bedField';
import { MM3_PER_L } from '../units/volume';
import { fixedStanding } from './fixed';
import type { Survey } from './survey';

/** Water above the bed when it stands at a height, L. */
export interface WaterHeight {
  mm: number;
  litres: number;
}

/**
 * Free water of the display by height, with bed and pieces in it: what a fill has brought when it stands
 * there, and what a change down to there takes out. Chambers are left out; they fill by themselves.
 */
export function waterByHeight(survey: Survey, vessel: Vessel, heightsMm: readonly number[]): WaterHeight[] {
  const all = [...fixedStanding(vessel), ...survey.standing];
  const { field } = survey;
  const cellMm2 = field.dxMm * field.dyMm;
  const earlier = earlierNeighbours(all);
  return heightsMm.map((mm) => {
    const at: Vessel = { ...vessel, waterLineMm: mm };
    let open = 0;
    field.surfaceMm.forEach((surface, cell) => (open += floorShare(field, cell) * Math.max(0, mm - surface)));
    const taken = all.reduce(
      (sum, standing, i) => sum + displace(standing, field, at, earlier[i]).ownInFreeWater,
      0,
    );
    return { mm, litres: (open * cellMm2 - taken) / MM3_PER_L };
  });
}
