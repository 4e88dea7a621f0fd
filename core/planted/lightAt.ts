import type { Standing } from '../hardscape/settle';
import type { LightMap } from '../light/lightMap';
import { dliOfPpfd } from '../light/ppfd';
import { inRoom, normalsAt, type Touched } from '../planting/picked';
import type { Spots } from '../planting/positions';
import type { Living } from './conditions';

type Lit = Pick<LightMap, 'at'>;
/** Leaves of what stands in the bed are asked for so far above it, mm. */
const OFF_BED_MM = 2;
/** Leaves of what sits on stone or wood stand so far off it, mm. */
const OFF_FACE_MM = 15;

/** PPFD at some spots, µmol/m²/s: of the bed, or of faces that look along their normals. */
export function ppfdAt(spots: Spots, normals: Float64Array | undefined, light: Lit): Float32Array {
  return Float32Array.from({ length: spots.length / 3 }, (_, i) => {
    const [x, y, z] = spots.subarray(i * 3, i * 3 + 3);
    if (!normals) return light.at([x, y, z + OFF_BED_MM]);
    const { at, leaf } = leavesOn([x, y, z], normals.subarray(i * 3, i * 3 + 3));
    return light.at(at, leaf);
  });
}

/** Light of a day at some spots, mol/m². */
export const dliAt = (spots: Spots, normals: Float64Array | undefined, { light, hours, windowDli }: Living) =>
  ppfdAt(spots, normals, light).map((ppfd) => dliOfPpfd(ppfd, hours) + windowDli);

/** PPFD on the piece that a finger met, where it met it, µmol/m²/s; undefined where it does not stand. */
export function ppfdOnPiece(
  standing: readonly Standing[],
  light: Lit,
  { piece, at }: Touched,
): number | undefined {
  const own = standing.find((s) => s.piece.id === piece);
  if (!own) return undefined;
  const spots = inRoom(own, [at]);
  return ppfdAt(spots, normalsAt(own, spots), light)[0];
}

/** Where the leaves of a plant on a face are, and which way they look: half outwards, half up to the light. */
function leavesOn([x, y, z]: Spot3, [a, b, c]: ArrayLike<number> & Iterable<number>) {
  const at: Spot3 = [x + OFF_FACE_MM * a, y + OFF_FACE_MM * b, z + OFF_FACE_MM * c + OFF_BED_MM];
  const long = Math.hypot(a, b, c + 1) || 1;
  return { at, leaf: [a / long, b / long, (c + 1) / long] as const };
}
type Spot3 = readonly [number, number, number];
