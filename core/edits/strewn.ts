import { isRubble } from '../commission/rubble';
import type { Material, Option, Strewn } from '../commission/schema';
import { withGiven } from './given';
import { freshId } from './ids';

/** What is strewn first, before anybody says how much: a handful of stone, a cup of grain. */
const HANDFUL_KG = 1;
const CUP_L = 0.25;
/** The sizes of a handful of detail stones, mm (common practice). */
const DETAIL_MM: [number, number] = [10, 40];

/** Something more that is strewn: stone by its weight and size, grain by its litres. */
export function strewnFresh(o: Option, material: Pick<Material, 'id' | 'kind'>): Option {
  const strewn = o.strewn ?? [];
  const amount = isRubble(material) ? { massKg: HANDFUL_KG, sizeMm: DETAIL_MM } : { litres: CUP_L };
  return { ...o, strewn: [...strewn, { id: freshId('strewn', strewn), material: material.id, ...amount }] };
}

/** The option with some answers of what is strewn changed; what is given as undefined is left out. */
export function strewnChanged(o: Option, id: string, change: Partial<Strewn>): Option {
  return withStrewn(o, (o.strewn ?? []).map((s) => (s.id === id ? withGiven(s, change) : s))); // prettier-ignore
}

/** The option without it. */
export function withoutStrewn(o: Option, id: string): Option {
  return withStrewn(o, (o.strewn ?? []).filter((s) => s.id !== id)); // prettier-ignore
}

/** The option with other pieces at whose foot things are strewn: each by what it has become, or nothing. */
export function strewnRound(o: Option, become: (piece: string) => string[]): Option {
  return withStrewn(
    o,
    (o.strewn ?? []).map((s) => {
      const around = s.around?.flatMap(become);
      return withGiven(s, { around: around?.length ? around : undefined });
    }),
  );
}

function withStrewn(o: Option, strewn: Strewn[]): Option {
  const { strewn: _was, ...rest } = o;
  return strewn.length > 0 ? { ...rest, strewn } : rest;
}
