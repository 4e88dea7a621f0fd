import type { Option, Piece } from '../commission/schema';
import { sizeMmOf } from '../hardscape/extent';
import { freshId, nextNumber } from './ids';

/** A copy stands clear of what it was copied from by a finger’s width, mm. */
const BESIDE_MM = 25;

/**
 * An option with copies of some pieces beside them, joined to each other and with heaps on them as those are. What a yard
 * has once is bought when it is wanted twice. `named` says which copy is of which piece.
 */
export function copied(
  o: Option,
  ids: readonly string[],
  lengthMm: number,
): { option: Option; named: Map<string, string> } {
  const own = o.pieces.filter((p) => ids.includes(p.id));
  const widest = Math.max(0, ...own.map((p) => sizeMmOf(p.shape)[0]));
  const besideMm = besideWithin(own.map((p) => p.at[0]), widest + BESIDE_MM, lengthMm); // prettier-ignore
  const named = new Map<string, string>();
  const pieces = [...o.pieces];
  for (const p of own) {
    const { owned: _o, massKg: _m, wasAt: _w, fixed: _f, soakingSince: _s, now: _n, ...rest } = p;
    const id = nextNumber(pieces);
    named.set(p.id, id);
    pieces.push({ ...rest, id, origin: 'bought', at: [p.at[0] + besideMm, p.at[1]] });
  }
  const onCopies = (p: Piece): Piece => {
    const on = p.stand.kind === 'on' ? named.get(p.stand.piece) : undefined;
    return on ? { ...p, stand: { kind: 'on', piece: on } } : p;
  };
  const joints = [...o.joints];
  for (const j of o.joints)
    if (j.pieces.every((id) => named.has(id)))
      joints.push({ ...j, id: freshId('J', joints), pieces: j.pieces.map((id) => named.get(id)!) });
  const pockets = [...(o.pockets ?? [])];
  for (const h of o.pockets ?? [])
    if (named.has(h.on)) pockets.push({ ...h, id: freshId('pocket', pockets), on: named.get(h.on)! });
  return {
    option: {
      ...o,
      pieces: [...o.pieces, ...pieces.slice(o.pieces.length).map(onCopies)],
      joints,
      ...(pockets.length > 0 ? { pockets } : {}),
    },
    named,
  };
}

/** How far copies go to the right of what stands along a vessel, to the left where there is no room, else to its end. */
function besideWithin(along: readonly number[], clearMm: number, lengthMm: number): number {
  const [first, last] = [Math.min(...along), Math.max(...along)];
  const far = last - first + clearMm;
  if (last + far <= lengthMm) return far;
  return first - far >= 0 ? -far : lengthMm - last;
}
