import type { Planted } from '../../../core/planted/planted';
import { wording } from '../../words/wording';

/** Of the plugs of a planting those that nobody buys, behind their count: lifted in this tank, or of one's own. */
export function ownWords({ ownPlugs, lifted }: Pick<Planted, 'ownPlugs' | 'lifted'>): string {
  const own = ownPlugs - lifted;
  const said = [
    ...(lifted > 0 ? [wording('plantCard.lifted', { count: lifted })] : []),
    ...(own > 0 ? [wording('plantCard.own', { count: own })] : []),
  ];
  return said.map((words) => `, ${words}`).join('');
}
