import type { Brief } from '../commission/schema';
import { animalsOf } from '../commission/usual';
import type { Kept } from '../livestock/checks';
import type { Resolved } from './resolved';

type Entry = NonNullable<Brief['livestock']>[number];

/** The animals of the brief that the catalogue knows, without those that leave: all of them, or those that `which` picks. */
export function keptOf(
  commission: Pick<Resolved, 'brief' | 'animals'>,
  which: (entry: Entry) => boolean = () => true,
): Kept[] {
  const { here, coming } = animalsOf(commission.brief);
  return [...here, ...coming].filter(which).flatMap(({ species, count, present }) => {
    const known = commission.animals.get(species);
    return known ? [{ species: known, count, ...(present ? { isHere: true } : {}) }] : [];
  });
}
