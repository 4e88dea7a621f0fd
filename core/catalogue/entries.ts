import type { Commission, Plant } from '../commission/schema';
import { withKnown } from './knownPlants';

/*
 * The plants of a document as everything asks for them: each resolved once, so that no stage knows less of one than another.
 */

type Catalogued = Pick<Commission, 'catalogue'>;

/** Documents are never changed in place: what was resolved of a list stays true of it. */
const resolved = new WeakMap<readonly Plant[], ReadonlyMap<string, Plant>>();

/**
 * A plant of the document's own catalogue, with what is known of it filled in where its entry says nothing.
 *
 * @throws RangeError where it is not in the catalogue; parsing has made sure that it is
 */
export function plantOf(commission: Catalogued, id: string): Plant {
  const plant = plantIn(commission, id);
  if (!plant) throw new RangeError(`plant "${id}" is not in the document's catalogue`);
  return plant;
}

/** The same for who may hold an older plan than the document: undefined where the plant is no longer in it. */
export function plantIn({ catalogue: { plants } }: Catalogued, id: string): Plant | undefined {
  let known = resolved.get(plants);
  if (!known) resolved.set(plants, (known = new Map(plants.map((p) => [p.id, resolvedPlant(p)]))));
  return known.get(id);
}

/** A catalogue of which every plant is filled in. The same list gives the same, so that what was made with it stays good. */
export function filledCatalogue(catalogue: Commission['catalogue']): Commission['catalogue'] {
  const there = filled.get(catalogue);
  if (there) return there;
  const made = { ...catalogue, plants: catalogue.plants.map((p) => plantOf({ catalogue }, p.id)) };
  resolved.set(made.plants, new Map(made.plants.map((p) => [p.id, p])));
  filled.set(catalogue, made);
  filled.set(made, made);
  return made;
}
const filled = new WeakMap<Commission['catalogue'], Commission['catalogue']>();

/** Of a pack that only says what it holds a third fewer come of coarse splitting, and half as many more of fine (common practice). */
const [COARSE, FINE] = [2 / 3, 3 / 2];

/** What a pack is split into is said by the entry itself, else by what its pack holds, else it is known of the plant. */
export function resolvedPlant(entry: Plant): Plant {
  const plant = withKnown(entry);
  const holds = entry.packs?.find((p) => p.unit === 'plug')?.size;
  if (entry.plugsAPack || holds === undefined) return plant;
  return { ...plant, plugsAPack: [Math.max(1, Math.floor(holds * COARSE)), holds, Math.ceil(holds * FINE)] };
}

/** Plugs that one pack gives split coarsely, as usual and finely; one where nothing is known of it. */
export function splitsOf(entry: Plant): [number, number, number] {
  return resolvedPlant(entry).plugsAPack ?? [1, 1, 1];
}
