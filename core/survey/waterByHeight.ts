import { materialOf } from '../commission/lookup';
import type { Commission, Vessel } from '../commission/schema';
import { displace, lastingOf } from '../hardscape/displace';
import { earlierNeighbours } from '../hardscape/neighbours';
import { Under } from '../hardscape/under';
import { floorShare } from '../substrate/bedField';
import { MM3_PER_L } from '../units/volume';
import { fixedStanding } from './fixed';
import { poreWaterL, shareBelow } from './pores';
import type { Survey } from './survey';

/** Water above the bed when it stands at a height, L. */
export interface WaterHeight {
  mm: number;
  /** In all. */
  litres: number;
  /** Above the bed, and between its grains up to that height. */
  freeL: number;
  poresL: number;
}

/**
 * Water of the display by height, with bed and pieces in it: what a fill has brought when it stands there, and
 * above the bed what a change down to there takes out. Chambers are left out; they fill by themselves.
 */
export function waterByHeight(
  survey: Survey,
  commission: Pick<Commission, 'vessel' | 'catalogue'>,
  heightsMm: readonly number[],
): WaterHeight[] {
  const materials = survey.layers.map((l) => materialOf(commission, l.material));
  const { vessel } = commission;
  const all = [...fixedStanding(vessel), ...survey.standing];
  const { field } = survey;
  const cellMm2 = field.dxMm * field.dyMm;
  const earlier = earlierNeighbours(all);
  const under = all.map((standing) => new Under(field, standing));
  return heightsMm.map((mm) => {
    const at: Vessel = { ...vessel, waterLineMm: mm };
    let open = 0;
    field.surfaceMm.forEach((surface, cell) => (open += floorShare(field, cell) * Math.max(0, mm - surface)));
    const taken = all.reduce((sum, standing, i) => {
      const lasting = lastingOf(standing, field, at, under[i]);
      return sum + displace(standing, field, at, earlier[i], lasting).ownInFreeWater;
    }, 0);
    const poresL = poreWaterL(
      survey.layers,
      materials,
      survey.layers.map((_, i) => shareBelow(field, i, mm)),
    );
    const freeL = (open * cellMm2 - taken) / MM3_PER_L;
    return { mm, litres: freeL + poresL, freeL, poresL };
  });
}

/** Water that has to go, above the bed, for the line to stand at a height, L. */
export function litresOutTo(
  survey: Survey,
  commission: Pick<Commission, 'vessel' | 'catalogue'>,
  heightMm: number,
): number {
  const [low, line] = waterByHeight(survey, commission, [heightMm, commission.vessel.waterLineMm]);
  return Math.max(0, line.freeL - low.freeL);
}
