import type { Commission } from '../commission/schema';
import { animalsOf } from '../commission/usual';
import type { Kept } from './checks';
import { speciesIn } from './known';

type Entry = NonNullable<Commission['brief']['livestock']>[number];

/** The animals of the brief that the catalogue knows, without those that leave: all of them, or those that `which` picks. */
export function keptOf(commission: Commission, which: (entry: Entry) => boolean = () => true): Kept[] {
  const { here, coming } = animalsOf(commission.brief);
  return [...here, ...coming].filter(which).flatMap(({ species, count, present }) => {
    const known = speciesIn(commission, species);
    return known ? [{ species: known, count, ...(present ? { isHere: true } : {}) }] : [];
  });
}
