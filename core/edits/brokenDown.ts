import type { Commission, Option } from '../commission/schema';
import { withGiven } from './given';
import { freshId } from './ids';

/* Scapes that are broken down elsewhere, of which parts come into this one. */

type Entry = NonNullable<Commission['brief']['brokenDown']>[number];

/** The document with another, broken down on the build day until it is said. */
export function withBrokenDown(document: Commission, name: string): Commission {
  const { brief } = document;
  const list = brief.brokenDown ?? [];
  const entry: Entry = { id: freshId('scape', list), name, day: brief.buildDay };
  return { ...document, brief: { ...brief, brokenDown: [...list, entry] } };
}

/** The document with some of what is said of one changed; what is given as undefined is left out. */
export function withBrokenDownChanged(document: Commission, id: string, change: Partial<Entry>): Commission {
  const brokenDown = (document.brief.brokenDown ?? []).map((b) => (b.id === id ? withGiven(b, change) : b));
  return { ...document, brief: { ...document.brief, brokenDown } };
}

type Thing = { from?: string; origin?: unknown };

/** The document without one: what came out of it is the studio's own from then on; animals come from wherever they may. */
export function withoutBrokenDown(document: Commission, id: string): Commission {
  const { brief, site } = document;
  const { brokenDown, ...rest } = brief;
  const left = (brokenDown ?? []).filter((b) => b.id !== id);
  const own = <T extends Thing>(thing: T): T => {
    if (thing.from !== id) return thing;
    const { from: _from, ...other } = thing;
    return { ...other, origin: 'stock' } as unknown as T;
  };
  const stays = (o: Option): Option => ({ ...o, bed: o.bed.map(own), pieces: o.pieces.map(own), plants: o.plants.map(own) }); // prettier-ignore
  const livestock = brief.livestock?.map(({ from, ...s }) => (from === undefined || from === id ? s : { ...s, from })); // prettier-ignore
  return {
    ...document,
    brief: { ...rest, ...(left.length > 0 ? { brokenDown: left } : {}), ...(livestock ? { livestock } : {}) },
    ...(site?.devices ? { site: { ...site, devices: site.devices.map(own) } } : {}),
    options: document.options.map(stays),
    ...(document.shelved ? { shelved: document.shelved.map(stays) } : {}),
  };
}
