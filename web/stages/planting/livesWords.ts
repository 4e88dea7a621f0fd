import { dliOf } from '../../../core/catalogue/knownPlants';
import { trimmingsOf } from '../../../core/planted/grown';
import type { Planted } from '../../../core/planted/planted';
import { isHalved } from '../../../core/planting/packs';
import { shortDay } from '../../units/days';
import { wording } from '../../words/wording';

/** Light counts as gone once this share of it is taken by neighbours. */
const TAKEN = 0.9;

/** What a planting has against what it wants, in one line each. */
export function livesWords(p: Planted, lit: boolean, floatingPercent: number, shadedBy?: string): string[] {
  const [least, good] = dliOf(p.plant);
  const here =
    p.spots.length > 0
      ? `${p.leastDli.toFixed(1)} to ${p.mostDli.toFixed(1)}, mean ${p.meanDli.toFixed(1)}`
      : wording('livesWords.onTheMean', { dli: p.meanDli.toFixed(1) });
  const trims = trimmingsOf(p);
  const half = Math.ceil(p.count / 2);
  return [
    lit ? wording('livesWords.light', { here, least, good }) : wording('livesWords.wants', { least, good }),
    ...(p.grownDli !== undefined && p.grownDli < TAKEN * p.meanDli
      ? [
          shadedBy
            ? wording('livesWords.grownBeside', { dli: p.grownDli.toFixed(1), shadedBy })
            : wording('livesWords.grownUnderFloating', { dli: p.grownDli.toFixed(1) }),
        ]
      : []),
    ...(p.movesShare === undefined
      ? []
      : [wording('livesWords.flow', { percent: Math.round(100 * p.movesShare) })]),
    ...(p.cover
      ? [
          wording('livesWords.closes', {
            day: shortDay(p.cover.on),
            from: Math.ceil(p.cover.from / 7),
            to: Math.ceil(p.cover.to / 7),
          }),
        ]
      : p.spacingMm === undefined
        ? []
        : [wording('livesWords.staysOpen')]),
    ...(p.surfaceDays === undefined
      ? []
      : [wording('livesWords.surface', { week: Math.ceil(p.surfaceDays / 7) })]),
    ...(isHalved(p.planting, p.plant) ? [`${half} tops and ${p.count - half} bottoms`] : []),
    ...(p.plant.roots === 'float' ? [wording('livesWords.floats', { percent: floatingPercent })] : []),
    ...(p.trims.length > 0
      ? [
          trims
            ? wording('livesWords.firstTrimGives', { days: p.trims[0], plugs: trims })
            : wording('livesWords.firstTrim', { days: p.trims[0] }),
        ]
      : []),
  ];
}
