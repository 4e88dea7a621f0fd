import type { Animal, Commission } from '../commission/schema';
import { speciesById, type Species } from './species';

/** Ranges so wide that nothing lies outside them: what is not known of an animal judges nothing. */
const OPEN = { tempC: [0, 45], ph: [3, 11], gh: [0, 60], kh: [0, 60] } as const;
const RANGES = ['tempC', 'ph', 'gh', 'kh'] as const;
/** A small fish, where nobody has said how large it grows, mm (common practice). */
const USUAL_ADULT_MM = 40;

/** A species of the document's own or of the list that everybody has; undefined for one that neither has. */
export function speciesIn({ catalogue }: Pick<Commission, 'catalogue'>, id: string): Species | undefined {
  const own = catalogue.animals?.find((a) => a.id === id);
  return own ? asSpecies(own) : speciesById(id);
}

/** An animal of somebody's own as one of the list: what is not known of it is open. */
export function asSpecies({ id, name, kind, ...known }: Animal): Species {
  return {
    id,
    name,
    kind,
    tempC: known.tempC ?? OPEN.tempC,
    ph: known.ph ?? OPEN.ph,
    gh: known.gh ?? OPEN.gh,
    kh: known.kh ?? OPEN.kh,
    adultMm: known.adultMm ?? USUAL_ADULT_MM,
    group: known.group ?? 1,
    zone: known.zone ?? 'middle',
    leastMm: known.leastMm ?? 0,
    digs: known.digs ?? false,
    eatsShrimps: known.eatsShrimps ?? false,
    eatsPlants: known.eatsPlants ?? false,
    jumps: known.jumps ?? false,
  };
}

/** Ranges of an animal of the document's own that nobody has filled in: they are not judged. */
export function unknownOf(
  { catalogue }: Pick<Commission, 'catalogue'>,
  id: string,
): (typeof RANGES)[number][] {
  const own = catalogue.animals?.find((a) => a.id === id);
  return own ? RANGES.filter((range) => own[range] === undefined) : [];
}
