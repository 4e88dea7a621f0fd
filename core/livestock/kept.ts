import type { Commission } from '../commission/schema';
import type { Kept } from './checks';
import { speciesById } from './species';

type Entry = NonNullable<Commission['brief']['livestock']>[number];

/** The animals of the brief that the catalogue knows; all of them, or those that `which` picks. */
export function keptOf({ brief }: Commission, which: (entry: Entry) => boolean = () => true): Kept[] {
  return (brief.livestock ?? []).filter(which).flatMap(({ species, count }) => {
    const known = speciesById(species);
    return known ? [{ species: known, count }] : [];
  });
}
