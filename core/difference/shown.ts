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
  /** Of the water before the work: what stays in the tank or is poured back, and what is not. */
  waterStaysL: number;
  waterGoesL: number;
  /** Height of its bed behind the front glass, mm, from the left in even steps. */
  frontMm: number[];
}

/** `water` is that of the build day, L: what there was, what remains in the tank, what is kept beside it. */
export function shownOf(
  { difference, survey }: Before,
  water: Record<'beforeL' | 'remainsL' | 'keptL', number>,
): Shown {
  const waterStaysL = water.remainsL + water.keptL;
  const { field, pieces, bedL, freeWaterL, poreWaterL } = survey;
  return {
    lines: difference.lines,
    pieces,
    bedL,
    waterL: freeWaterL + poreWaterL,
    waterStaysL,
    waterGoesL: water.beforeL - waterStaysL,
    frontMm: Array.from(field.surfaceMm.subarray(0, field.columns)),
  };
}
