import type { PieceSurvey } from '../survey/pieces';
import type { DifferenceLine } from './difference';
import type { Before } from './projected';

/** The tank as it is now as it is shown beside a scape: what becomes of its things, how they stand, its bed at the front glass. */
export interface Shown {
  lines: DifferenceLine[];
  pieces: PieceSurvey[];
  bedL: number;
  /** Free water and water between the grains. */
  waterL: number;
  /** Height of its bed behind the front glass, mm, from the left in even steps. */
  frontMm: number[];
}

export function shownOf({ difference, survey }: Before): Shown {
  const { field, pieces, bedL, freeWaterL, poreWaterL } = survey;
  return {
    lines: difference.lines,
    pieces,
    bedL,
    waterL: freeWaterL + poreWaterL,
    frontMm: Array.from(field.surfaceMm.subarray(0, field.columns)),
  };
}
