import { isMoved } from '../commission/origin';
import type { Option, Piece, Vessel } from '../commission/schema';
import { turnedAbout, type Axis } from '../geometry/rotation';
import { nextNumber } from './ids';
import { withPockets } from './pockets';
import { strewnRound } from './strewn';

/*
 * What becomes of a scape when its pieces are moved, turned, mirrored or taken away: rules of the trade, from an option to
 * an option. What a document may not be is judged afterwards.
 */

/** One piece changed. */
export function withPiece(o: Option, id: string, change: (piece: Piece) => Piece): Option {
  return { ...o, pieces: o.pieces.map((p) => (p.id === id ? change(p) : p)) };
}

/** The option with one of its joints changed. */
export function withJoint(
  o: Option,
  id: string,
  change: (joint: Option['joints'][number]) => Option['joints'][number],
): Option {
  return { ...o, joints: o.joints.map((j) => (j.id === id ? change(j) : j)) };
}

/** Which pieces are in the tank now: they remember where they stood. */
export type IsHere = (piece: Piece) => boolean;

const tenth = (v: number) => Math.round(v * 10) / 10;

/** A piece at a spot, kept over the floor. What is fixed stays; what is here remembers where it stood, until it is put back. */
export function movedTo(p: Piece, [x, y]: readonly [number, number], { innerMm }: Vessel, isHere: IsHere): Piece {
  if (p.fixed) return p;
  const within = (v: number, most: number) => tenth(Math.min(Math.max(v, 0), most));
  const at: [number, number] = [within(x, innerMm.length), within(y, innerMm.width)];
  if (!isHere(p)) return { ...p, at };
  const moved = { ...p, at, wasAt: p.wasAt ?? p.at };
  return isMoved(moved) ? moved : { ...p, at: moved.wasAt, wasAt: undefined };
} // prettier-ignore

/** Lifted (or lowered): less or more of it is buried. One that stands on something keeps its height. */
export function lifted(p: Piece, dzMm: number): Piece {
  switch (p.stand.kind) {
    case 'bed':
      return { ...p, stand: { ...p.stand, buryMm: tenth(p.stand.buryMm - dzMm) } };
    case 'at':
      return { ...p, stand: { ...p.stand, zMm: tenth(p.stand.zMm + dzMm) } };
    default:
      return p;
  }
}

/** Turned further about its upright, 0 to 360°. */
export function turnedBy(p: Piece, byDeg: number): Piece {
  return { ...p, turnDeg: (((p.turnDeg + byDeg) % 360) + 360) % 360 };
}

/** Pieces turned about an axis of the room: each about itself, and about the upright also around their common middle. */
export function turnedTogether(
  o: Option,
  ids: readonly string[],
  axis: Axis,
  byDeg: number,
  vessel: Vessel,
  isHere: IsHere,
): Option {
  const own = o.pieces.filter((p) => ids.includes(p.id) && !p.fixed);
  const middle = ([0, 1] as const).map((k) => own.reduce((sum, p) => sum + p.at[k], 0) / own.length);
  const turned = new Map(
    own.map((p) => {
      const q = { ...p, ...turnedAbout(p, axis, byDeg) };
      return [
        p.id,
        axis === 'z' && own.length > 1 ? movedTo(q, around(p.at, middle, byDeg), vessel, isHere) : q,
      ];
    }),
  );
  return { ...o, pieces: o.pieces.map((p) => turned.get(p.id) ?? p) };
}

/** A spot turned around a middle, anticlockwise seen from above. */
function around([x, y]: readonly [number, number], [mx, my]: readonly number[], deg: number): [number, number] {
  const [s, c] = [Math.sin((deg * Math.PI) / 180), Math.cos((deg * Math.PI) / 180)];
  return [mx + (x - mx) * c - (y - my) * s, my + (x - mx) * s + (y - my) * c];
} // prettier-ignore

/**
 * Pieces set as in a mirror that stands in the middle of the tank; a stone itself has no mirror image. What is heaped on
 * them lies on their other side then.
 */
export function mirrored(o: Option, ids: readonly string[], vessel: Vessel, isHere: IsHere): Option {
  const own = new Set(o.pieces.filter((p) => ids.includes(p.id) && !p.fixed).map((p) => p.id));
  const pieces = o.pieces.map((p) =>
    own.has(p.id)
      ? movedTo(
          {
            ...p,
            turnDeg: (360 - p.turnDeg) % 360,
            ...(p.tiltDeg ? { tiltDeg: [p.tiltDeg[0], -p.tiltDeg[1] || 0] as [number, number] } : {}),
          },
          [vessel.innerMm.length - p.at[0], p.at[1]],
          vessel,
          isHere,
        )
      : p,
  );
  const pockets = (o.pockets ?? []).map((h) =>
    own.has(h.on) ? { ...h, offsetMm: [-h.offsetMm[0] || 0, h.offsetMm[1]] as [number, number] } : h,
  );
  return { ...withPockets(o, pockets), pieces };
}

/** Without one piece: its joints and the heaps on it go too, and what rested on it stands on the bed. */
export function withoutPiece(whole: Option, id: string): Option {
  const o = withPockets(
    whole,
    (whole.pockets ?? []).filter((p) => p.on !== id),
  );
  const pieces = o.pieces
    .filter((p) => p.id !== id)
    .map((p): Piece =>
      p.stand.kind === 'on' && p.stand.piece === id ? { ...p, stand: { kind: 'bed', buryMm: 0 } } : p,
    );
  return {
    ...strewnRound(o, (other) => (other === id ? [] : [other])),
    pieces,
    joints: o.joints.filter((j) => !j.pieces.includes(id)),
    plants: o.plants.map((p) => (p.on === id ? { ...p, on: undefined } : p)),
  };
}

/** Two pieces joined, with glue and fibre until somebody says otherwise; or their joint taken away where they have one. */
export function joinedOrNot(o: Option, id: string, other: string): Option {
  const between = (j: Option['joints'][number]) => j.pieces.includes(id) && j.pieces.includes(other);
  if (o.joints.some(between)) return { ...o, joints: o.joints.filter((j) => !between(j)) };
  return {
    ...o,
    joints: [...o.joints, { id: nextNumber(o.joints, 'J'), pieces: [id, other], method: 'fibre-glue' }],
  };
}
