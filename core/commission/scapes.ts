import type { Commission, Now, Option } from './schema';

/*
 * The scapes of a commission: its options, and the tank as it is now, which is drawn and measured by the same means under
 * the id `now`.
 */

/** The id by which the tank as it is now is asked for, where an option would be. */
export const NOW = 'now';

/** Made once for each: what is kept of a scape that has not changed goes by its parts being the same. */
const made = new WeakMap<Now, Option>();

/** The tank as it is now as a scape like any other: all that is in it is there. Undefined where nobody drew it. */
export function nowOf({ now }: Pick<Commission, 'now'>): Option | undefined {
  if (!now) return undefined;
  const known = made.get(now);
  if (known) return known;
  const here = <T extends { origin?: unknown }>(thing: T) => ({ ...thing, origin: 'here' as const });
  const { bed, pieces, plants } = now;
  const { heaps: _heaps, ...parts } = now;
  const option: Option = { ...parts, id: NOW, title: '', bed: bed.map(here), pieces: pieces.map(here), plants: plants.map(here) }; // prettier-ignore
  made.set(now, option);
  return option;
}

/** A scape of the document by its id; undefined where it has none of that id. */
export function scapeOf(commission: Pick<Commission, 'options' | 'now'>, id: string): Option | undefined {
  return commission.options.find((o) => o.id === id) ?? (id === NOW ? nowOf(commission) : undefined);
}

/** Everything that can be looked at side by side: the tank as it is now, where it is drawn, then the options. */
export function scapesOf(commission: Pick<Commission, 'options' | 'now'>): Option[] {
  const now = nowOf(commission);
  return now ? [now, ...commission.options] : commission.options;
}

/** The document with one of its scapes changed; the same document where the change changes nothing, or there is no such scape. */
export function withScape<C extends Commission>(document: C, id: string, change: (scape: Option) => Option): C {
  const scape = scapeOf(document, id);
  const next = scape && change(scape);
  if (!next || next === scape) return document;
  if (document.options.some((o) => o.id === id))
    return { ...document, options: document.options.map((o) => (o.id === id ? next : o)) };
  const { id: _id, title: _title, heaps: _heaps, leaving: _leaving, ...parts } = next;
  const { heaps } = document.now!;
  const now: Now = { ...parts, ...(heaps ? { heaps } : {}) };
  return { ...document, now, options: document.options.map((o) => linkedTo(o, now)) };
} // prettier-ignore

const IS = { bed: 'material', pieces: 'material', plants: 'plant' } as const;

/** An option with those of its links that lead somewhere: what is not there any more, or is another stone now, it has of its own. */
export function linkedTo(option: Option, now: Now | undefined): Option {
  let same = true;
  const own = <T extends { id: string; now?: string }>(of: keyof typeof IS, list: readonly T[]): T[] => {
    const there = new Map((now?.[of] as readonly T[] | undefined)?.map((t) => [t.id, t]));
    const is = (t: T) => t[IS[of] as keyof T];
    return list.map((t) => {
      if (t.now === undefined) return t;
      const was = there.get(t.now);
      if (was && is(was) === is(t)) return t;
      same = false;
      const { now: _gone, ...rest } = t;
      return { ...rest, origin: 'bought' } as unknown as T;
    });
  };
  const [bed, pieces, plants] = [own('bed', option.bed), own('pieces', option.pieces), own('plants', option.plants)];
  const isThere = ({ of, id }: { of: keyof typeof IS | 'heaps'; id: string }) => now?.[of]?.some((t) => t.id === id) ?? false;
  const leaving = option.leaving?.filter(isThere);
  const heaps = option.heaps?.filter((id) => isThere({ of: 'heaps', id }));
  if (same && leaving?.length === option.leaving?.length && heaps?.length === option.heaps?.length) return option;
  return { ...option, bed, pieces, plants, ...(leaving ? { leaving } : {}), ...(heaps ? { heaps } : {}) };
} // prettier-ignore
