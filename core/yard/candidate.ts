import type { Day } from '../calendar/day';
import type { Candidate, Material, Piece, Shape } from '../commission/schema';
import type { Mesh } from '../geometry/mesh';
import { sizeMmOf } from '../hardscape/extent';
import { solidMesh } from '../hardscape/solid';
import { rounded } from '../units/quantity';
import { pieceFrom } from './pieceFrom';

type Sizes = readonly [number, number, number];
/** What a piece is known by once it is an actual one. */
export type Actual = Pick<Piece, 'material' | 'shape' | 'massKg'>;

/** What belongs to a piece and not to the place where it stands. */
export type OwnOf = Actual & Pick<Piece, 'yard' | 'faceDeg' | 'grainDeg'>;
export function ownOf({ material, shape, massKg, yard, faceDeg, grainDeg }: OwnOf): OwnOf {
  return { material, shape, massKg, yard, faceDeg, grainDeg };
}
/** Another piece in the place of one: nothing of the one before is left of it. */
export function withOwn(piece: Piece, own: OwnOf): Piece {
  const all = Object.entries({ ...piece, ...ownOf(own) });
  return Object.fromEntries(all.filter(([, value]) => value !== undefined)) as Piece;
}

/** How far it has come: asked for, offered, said yes to, there, or said no to. */
export type Standing = 'asked' | 'offered' | 'approved' | 'arrived' | 'declined';

export function standingOf({ declined, measured, approvedOn, sizeMm }: Candidate): Standing {
  if (declined) return 'declined';
  if (measured) return 'arrived';
  if (approvedOn) return 'approved';
  return sizeMm ? 'offered' : 'asked';
}

/** Its sizes and its mass as far as they are known: what was measured, and what was not as it was promised. */
export function knownOf({ measured, sizeMm, massKg }: Candidate): { sizeMm?: Sizes; massKg?: number } {
  return { sizeMm: measured?.sizeMm ?? sizeMm, massKg: measured?.massKg ?? massKg };
}

/** Triangles of a drawn surface at most that is stretched and carried in the document. */
const MOST_TRIANGLES = 6_000;

/**
 * The piece as it would be with the actual one in its place. Of wood the drawn surface is stretched to the new sizes, so
 * that branches stay where they are; a stone is a block of its sizes and of the litres that its mass gives. Undefined as
 * long as nobody has said how large it is.
 * Valid for stones and wood that were measured in the hand. Leaves out: what it really looks like.
 * Test: candidate.test.ts, "is as long as it was measured and has the litres of its mass".
 */
export function asActual(piece: Actual, candidate: Candidate, material: Material): Actual | undefined {
  const { sizeMm, massKg } = knownOf(candidate);
  if (!sizeMm) return undefined;
  const grown = material.kind === 'wood' ? stretched(piece.shape, sizeMm) : undefined;
  const mesh = grown ?? pieceFrom({ sizeMm, massKg }, material, seedOf(candidate.id)).mesh;
  return { material: candidate.material, shape: meshShape(mesh), ...(massKg === undefined ? {} : { massKg }) }; // prettier-ignore
}

/** The surface of a shape with other sizes; undefined where it is a plain block, or has too many triangles to be carried along. */
function stretched(shape: Shape, sizeMm: Sizes): Mesh | undefined {
  if (shape.kind !== 'mesh' && shape.kind !== 'scan') return undefined;
  const { vertices, faces } = solidMesh(shape);
  if (faces.length / 3 > MOST_TRIANGLES) return undefined;
  const was = sizeMmOf(shape);
  const by = sizeMm.map((mm, i) => (was[i] > 0 ? mm / was[i] : 1));
  return { vertices: Float64Array.from(vertices, (v, i) => v * by[i % 3]), faces };
}

/** A surface as a document has it, corners to a tenth of a millimetre. */
export function meshShape({ vertices, faces }: Mesh): Extract<Shape, { kind: 'mesh' }> {
  const rows = (flat: ArrayLike<number>, of: (v: number) => number) =>
    Array.from({ length: flat.length / 3 }, (_, i): [number, number, number] => [of(flat[3 * i]), of(flat[3 * i + 1]), of(flat[3 * i + 2])]); // prettier-ignore
  return { kind: 'mesh', vertices: rows(vertices, (v) => Math.round(v * 10) / 10), faces: rows(faces, (v) => v) }; // prettier-ignore
}

/** The same stone for the same number. */
const seedOf = (id: string) => [...id].reduce((n, c) => (n * 31 + c.charCodeAt(0)) >>> 0, 7);

/** One thing in which a piece came other than it was promised: longer (+) or shorter, mm; heavier or lighter, kg. */
export interface Differs {
  what: 'length' | 'width' | 'height' | 'mass';
  by: number;
}

/** Less than a tape tells, mm, and than scales at a counter tell, kg (common practice). */
const [TAPE_MM, SCALES_KG] = [5, 0.05];

/** In what a piece came other than promised, beyond what a tape and scales tell. */
export function differences({ sizeMm, massKg, measured }: Candidate): Differs[] {
  if (!sizeMm || !measured) return [];
  const sides = (['length', 'width', 'height'] as const).map((what, i): Differs => ({ what, by: measured.sizeMm[i] - sizeMm[i] })); // prettier-ignore
  const weighed = massKg !== undefined && measured.massKg !== undefined ? [{ what: 'mass' as const, by: rounded(measured.massKg - massKg, 3) }] : []; // prettier-ignore
  return [...sides.filter((d) => Math.abs(d.by) >= TAPE_MM), ...weighed.filter((d) => Math.abs(d.by) >= SCALES_KG)]; // prettier-ignore
}

/** Those of one piece of an option. */
export function candidatesFor(
  all: readonly Candidate[] | undefined,
  option: string,
  piece: string,
): Candidate[] {
  return (all ?? []).filter((c) => c.option === option && c.piece === piece);
}

/** Held for nobody any longer from today on, and nobody has said yes or no. */
export function isRunningOut(candidate: Candidate, today: Day): boolean {
  const standing = standingOf(candidate);
  const isOpen = standing === 'asked' || standing === 'offered';
  return isOpen && candidate.heldUntil !== undefined && candidate.heldUntil <= today;
}
