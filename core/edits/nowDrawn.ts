import { layerOrigin, newUnlessSaid, pieceOrigin, plantingOrigin } from '../commission/origin';
import type { Commission, Now, Option, Whereto } from '../commission/schema';
import { freshId } from './ids';

/* The tank as it is now: begun from what is marked as there, taken over into an option, and where what leaves it goes. */

type Things = Pick<Option, 'bed' | 'pieces' | 'plants'>;
type Thing = Things['bed' | 'pieces' | 'plants'][number];
const LISTS = ['bed', 'pieces', 'plants'] as const;
const isList = (of: string): of is (typeof LISTS)[number] => (LISTS as readonly string[]).includes(of);

/**
 * A document with its tank as it is now: of all that its options have marked as in the tank, where that stood. The marks
 * become links: what an option has of it is that thing, and stays or is set again by where it stands. What nobody has
 * drawn is added on the bench; what is not marked is new from then on, whatever stays of its kind. A document that has one
 * already stays as it is.
 */
export function withNowDrawn(document: Commission): Commission {
  if (document.now) return document;
  const now: Now = { bed: [], pieces: [], joints: [], plants: [] };
  const isHere = {
    bed: (t: Thing) => layerOrigin(document.brief, t as Option['bed'][number]) === 'here',
    pieces: (t: Thing) => pieceOrigin(document, t as Option['pieces'][number]) === 'here',
    plants: (t: Thing) => plantingOrigin(document.brief, t as Option['plants'][number]) === 'here',
  };
  const drawn = (option: Option): Option => {
    const lists = LISTS.map((of) => [
      of,
      option[of].map((t) => (isHere[of](t) ? linked(now, of, t) : newUnlessSaid(t))),
    ]);
    return { ...option, ...Object.fromEntries(lists) } as Option;
  };
  const options = document.options.map(drawn);
  // One that is put aside comes back as the others are.
  const shelved = document.shelved?.map(drawn);
  return { ...document, now: onItsOwn(now, document.options), options, ...(shelved ? { shelved } : {}) };
}

/** What stands there without what is only to come: a stone that is to rest on a new one lies in the bed, a plant in no hand. */
function onItsOwn(now: Now, options: readonly Option[]): Now {
  const standing = new Set(now.pieces.map((p) => p.id));
  return {
    ...now,
    pieces: now.pieces.map((p) => (p.stand.kind === 'on' && !standing.has(p.stand.piece) ? { ...p, stand: { kind: 'bed', buryMm: 0 } } : p)), // prettier-ignore
    plants: now.plants.map(({ on, ...p }) => (on !== undefined && standing.has(on) ? { ...p, on } : p)),
    joints: options[0].joints.filter((j) => j.pieces.every((id) => standing.has(id))),
  };
}

/** The thing of an option as one of the tank as it is now, which has it from then on. */
function linked(now: Now, of: (typeof LISTS)[number], thing: Thing): Thing {
  const { origin: _origin, wasAt, presentL: _present, ...rest } = thing as Thing & { wasAt?: [number, number]; presentL?: number }; // prettier-ignore
  const list = now[of] as Thing[];
  if (!list.some((t) => t.id === rest.id))
    list.push({ ...rest, origin: 'here', ...(wasAt ? { at: wasAt } : {}) } as Thing);
  return { ...rest, now: rest.id } as Thing;
}

/** An option begun from what stands there: a copy of the tank as it is now, each thing of it still that thing. */
export function begunFromNow(option: Option, { bed, pieces, joints, plants, pockets, heaps }: Now): Option {
  const own = <T extends { id: string; origin?: unknown }>(list: readonly T[]): T[] =>
    list.map(({ origin: _origin, ...thing }) => ({ ...thing, now: thing.id }) as unknown as T);
  const { leaving: _leaving, pockets: _pockets, heaps: _heaps, strewn: _strewn, ...rest } = option;
  const lying = heaps ? { heaps: heaps.map((h) => h.id) } : {};
  return { ...rest, bed: own(bed), pieces: own(pieces), joints, plants: own(plants), ...(pockets ? { pockets } : {}), ...lying }; // prettier-ignore
}

type Leaving = NonNullable<Option['leaving']>[number];

/** The option with where a thing that leaves goes, or with that left open again. */
export function withWhereto(option: Option, { of, id }: Pick<Leaving, 'of' | 'id'>, to: Whereto | undefined): Option {
  const others = (option.leaving ?? []).filter((l) => l.of !== of || l.id !== id);
  const leaving = to ? [...others, { of, id, to }] : others;
  const { leaving: _was, ...rest } = option;
  return leaving.length > 0 ? { ...rest, leaving } : rest;
} // prettier-ignore

/** A heap is taken out: nobody drew it, and nobody can take it off the bench. */
export function withoutHeap(option: Option, id: string): Option {
  return { ...option, heaps: (option.heaps ?? []).filter((h) => h !== id) };
}

/** The tank as it is now with a heap of so many kilograms in it, or with none. In every option it stays until it is taken out. */
export function withHeap(document: Commission, material: string, massKg: number, count?: number): Commission {
  const { now } = document;
  if (!now) return document;
  const id = freshId('heap', now.heaps ?? []);
  const heap = { id, material, massKg, ...(count === undefined ? {} : { count }) };
  return {
    ...document,
    now: { ...now, heaps: [...(now.heaps ?? []), heap] },
    options: document.options.map((o) => ({ ...o, heaps: [...(o.heaps ?? []), id] })),
  };
}
export function heapGone(document: Commission, id: string): Commission {
  const { now } = document;
  if (!now) return document;
  const others = (o: Option): Option => {
    const leaving = o.leaving?.filter((l) => l.of !== 'heaps' || l.id !== id);
    return { ...o, heaps: o.heaps?.filter((h) => h !== id), ...(leaving ? { leaving } : {}) };
  };
  return { ...document, now: { ...now, heaps: now.heaps?.filter((h) => h.id !== id) }, options: document.options.map(others) }; // prettier-ignore
}

/** A thing that was taken away in an option, there again as it stands now; plants on a piece that is not drawn have to wait for it. */
export function broughtBackFromNow(option: Option, now: Now, { of, id }: Pick<Leaving, 'of' | 'id'>): Option {
  if (!isList(of)) return withWhereto({ ...option, heaps: [...(option.heaps ?? []).filter((h) => h !== id), id] }, { of, id }, undefined);
  const thing = (now[of] as Thing[]).find((t) => t.id === id);
  if (!thing || (option[of] as Thing[]).some((t) => t.now === id)) return option;
  const { origin: _origin, ...rest } = thing;
  const taken = new Set((option[of] as Thing[]).map((t) => t.id));
  let fresh = id;
  for (let n = 2; taken.has(fresh); n++) fresh = `${id}.${n}`;
  return withWhereto({ ...option, [of]: [...option[of], { ...rest, id: fresh, now: id }] }, { of, id }, undefined);
} // prettier-ignore
