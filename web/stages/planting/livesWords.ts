import { dliOf } from '../../../core/catalogue/knownPlants';
import { trimmingsOf } from '../../../core/planted/grown';
import type { Planted } from '../../../core/planted/planted';
import { isHalved } from '../../../core/planting/packs';
import { shortDay } from '../../units/days';

/** Light counts as gone once this share of it is taken by neighbours. */
const TAKEN = 0.9;

/** What a planting has against what it wants, in one line each. */
export function livesWords(p: Planted, lit: boolean, floatingPercent: number, shadedBy?: string): string[] {
  const [least, good] = dliOf(p.plant);
  const here =
    p.spots.length > 0
      ? `${p.leastDli.toFixed(1)} to ${p.mostDli.toFixed(1)}, mean ${p.meanDli.toFixed(1)}`
      : `${p.meanDli.toFixed(1)} on the mean of the bed`;
  const trims = trimmingsOf(p);
  const half = Math.ceil(p.count / 2);
  return [
    lit
      ? `Light ${here} mol/m²/d; lives from ${least}, well with ${good}`
      : `Wants ${least} to ${good} mol/m²/d of light; no lamp is listed yet, its dates are for the right one`,
    ...(p.grownDli !== undefined && p.grownDli < TAKEN * p.meanDli
      ? [
          `Once all have grown ${p.grownDli.toFixed(1)} mol/m²/d are left${shadedBy ? `, most of it taken by ${shadedBy}` : ' under what floats'}`,
        ]
      : []),
    ...(p.movesShare === undefined
      ? []
      : [`Water moves with ${Math.round(100 * p.movesShare)} % of the mean`]),
    ...(p.cover
      ? [
          `Closes about ${shortDay(p.cover.on)} (week ${Math.ceil(p.cover.from / 7)} to ${Math.ceil(p.cover.to / 7)})`,
        ]
      : p.spacingMm === undefined
        ? []
        : ['Does not close here']),
    ...(p.surfaceDays === undefined
      ? []
      : [`Reaches the surface in week ${Math.ceil(p.surfaceDays / 7)} where it is not trimmed`]),
    ...(isHalved(p.planting, p.plant) ? [`${half} tops and ${p.count - half} bottoms`] : []),
    ...(p.plant.roots === 'float' ? [`Covers about ${floatingPercent} % of the surface once grown`] : []),
    ...(p.trims.length > 0
      ? [
          `First trim after ${p.trims[0]} days${trims ? `, then ${trims} ${trims === 1 ? 'plug' : 'plugs'} of its own each, for gaps or the next commission` : ''}`,
        ]
      : []),
  ];
}
