import type { Commission } from '../commission/schema';
import type { Kept } from '../livestock/checks';
import { speciesById } from '../livestock/species';

/** The animals of the brief that the catalogue knows. */
export function keptOf({ brief }: Commission): Kept[] {
  return (brief.livestock ?? []).flatMap(({ species, count }) => {
    const known = speciesById(species);
    return known ? [{ species: known, count }] : [];
  });
}
