import { forPlacing, type YardPiece } from '../catalogue/studio';
import type { Commission, Material, Option, Piece } from '../commission/schema';
import { turnToSeat } from '../yard/facing';
import { standIn, type Form, type SizeClass } from '../yard/pieceFrom';
import { meshShape } from '../yard/candidate';
import { nextNumber } from './ids';
import { insideGlass, type SurfaceOf } from './inside';
import { strewnRound } from './strewn';

/** So deep a piece is buried when it comes onto the bench, mm (common practice: its edge is under the grain). */
const BURY_MM = 20;
const stand = { kind: 'bed' as const, buryMm: BURY_MM };

/** The middle of the floor: where a piece comes that was not dropped anywhere. */
function middleOf({ vessel }: Pick<Commission, 'vessel'>): [number, number] {
  return [vessel.innerMm.length / 2, vessel.innerMm.width / 2];
}

/** Where a piece is that was set down across a pane: just inside of it. */
function broughtInside(vessel: Commission['vessel'], piece: Piece, surface?: SurfaceOf): [number, number] {
  const middle = middleOf({ vessel });
  const [dx, dy] = insideGlass(vessel, [{ ...piece, at: middle }], [piece.at[0] - middle[0], piece.at[1] - middle[1]], surface); // prettier-ignore
  return [middle[0] + dx, middle[1] + dy];
}

/** A piece of the yard on the bench, its best face to whoever sits in front of it; `S-14.2` where `S-14` stands there already. */
export function fromYard(
  doc: Commission,
  option: Option,
  source: YardPiece,
  at = middleOf(doc),
  surface?: SurfaceOf,
): Piece {
  const taken = new Set(option.pieces.map((p) => p.id));
  let { id } = source;
  for (let n = 2; taken.has(id); n++) id = `${source.id}.${n}`;
  const turnDeg = source.faceDeg === undefined ? 0 : turnToSeat(source.faceDeg, at, doc.brief.seats?.[0]?.at);
  const piece: Piece = { ...forPlacing(source), id, at, turnDeg, stand, owned: true, ...(id === source.id ? {} : { yard: source.id }) }; // prettier-ignore
  return { ...piece, at: broughtInside(doc.vessel, piece, surface) };
}

/** Each number of a stand-in gives another stone of its size. */
const SEEDS_APART = 7_919;

/** A stand-in for a piece that is bought by its size class: plausible, and in the take-off. */
export function standInOnBench(doc: Commission, option: Option, material: Material, size: SizeClass, form: Form): Piece {
  const id = nextNumber(option.pieces);
  const { mesh } = standIn(size, form, Number(id.slice(2)) * SEEDS_APART);
  return { id, material: material.id, shape: meshShape(mesh), at: middleOf(doc), turnDeg: 0, stand, origin: 'bought' }; // prettier-ignore
} // prettier-ignore

/** A pot or a tray by its outer sizes, on the glass until it is moved. */
export function wareOnBench(doc: Commission, option: Option, material: Material, sizeMm: [number, number, number]): Piece {
  return { id: nextNumber(option.pieces), material: material.id, shape: { kind: 'box', sizeMm }, at: middleOf(doc), turnDeg: 0, stand: { kind: 'floor' }, origin: 'bought' }; // prettier-ignore
} // prettier-ignore

/**
 * The real piece in the place of another: where it stands, how it is turned, what it is joined to and what lies and grows on it
 * stay; what was known of the other piece itself goes. `id` is its name there afterwards.
 */
export function swapped(o: Option, of: string, source: YardPiece): { option: Option; id: string } {
  const id = o.pieces.some((p) => p.id === source.id) ? of : source.id;
  const named = (other: string) => (other === of ? id : other);
  const option: Option = {
    ...strewnRound(o, (other) => [named(other)]),
    ...(o.pockets ? { pockets: o.pockets.map((p) => ({ ...p, on: named(p.on) })) } : {}),
    pieces: o.pieces.map((p): Piece => {
      if (p.id !== of) return p.stand.kind === 'on' ? { ...p, stand: { kind: 'on', piece: named(p.stand.piece) } } : p; // prettier-ignore
      const { origin: _o, massKg: _m, client: _c, faceDeg: _f, grainDeg: _g, now: _n, ...place } = p;
      return {
        ...place,
        id,
        material: source.material,
        shape: source.shape,
        ...(source.massKg ? { massKg: source.massKg } : {}),
        ...(source.faceDeg === undefined ? {} : { faceDeg: source.faceDeg }),
        ...(source.grainDeg === undefined ? {} : { grainDeg: source.grainDeg }),
        origin: source.client ? 'client' : 'stock',
      };
    }),
    joints: o.joints.map((j) => ({ ...j, pieces: j.pieces.map(named) })),
    plants: o.plants.map((p) => (p.on ? { ...p, on: named(p.on) } : p)),
  };
  return { option, id };
}
