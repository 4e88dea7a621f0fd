import { centred, meshVolume, type Mesh } from '../geometry/mesh';
import type { Solids } from '../geometry/solids';
import { rounded } from '../units/quantity';
import { inKg } from '../words/measure';
import { say, type Text } from '../words/text';

/** Where a piece is parted: a plane across it by its bearing from above, or level; at a share of its size that way. */
export interface Parting {
  way: 'upright' | 'level';
  /** Direction in which the share is measured, for an upright parting: 0 from left to right, 90 from front to back. */
  bearingDeg: number;
  share: number;
}

/** What a parting gives: two solids around their own middles, the larger first, and the mass of each. */
export interface Parted {
  meshes: [Mesh, Mesh];
  massKg: [number, number];
  doubts: Text[];
}

/** Less than this of a piece is dust and chips, share of its litres. */
const DUST = 0.005;
/** What may be lost as chips before it is asked about, share of its mass (common practice). */
const CHIPS = 0.08;
const RAD = Math.PI / 180;

/** The plane of a parting through a solid: its normal, and how far it lies from the origin along that, mm. */
export function planeOf(
  mesh: Mesh,
  { way, bearingDeg, share }: Parting,
): { normal: [number, number, number]; offsetMm: number } {
  const normal: [number, number, number] =
    way === 'level' ? [0, 0, 1] : [Math.cos(bearingDeg * RAD), Math.sin(bearingDeg * RAD), 0];
  let [lo, hi] = [Infinity, -Infinity];
  for (let i = 0; i < mesh.vertices.length; i += 3) {
    const along =
      normal[0] * mesh.vertices[i] + normal[1] * mesh.vertices[i + 1] + normal[2] * mesh.vertices[i + 2];
    lo = Math.min(lo, along);
    hi = Math.max(hi, along);
  }
  return { normal, offsetMm: lo + (hi - lo) * share };
}

/**
 * A stone split in two or a twig broken off, along a plane. Their masses are as weighed, or the mass of the whole by
 * their litres; two weighed parts that together are more than the whole, or much less, are asked about.
 * Valid for solids of one density. Leaves out: how it really breaks.
 * Test: split.test.ts, "two halves have the litres and the mass of the whole".
 *
 * @param weighed masses of the parts where they were weighed, the larger first
 * @returns undefined where one side would be no more than chips
 */
export function parted(
  mesh: Mesh,
  massKg: number,
  parting: Parting,
  solids: Solids,
  weighed: readonly (number | undefined)[] = [],
): Parted | undefined {
  const { normal, offsetMm } = planeOf(mesh, parting);
  const sides = solids.cut(mesh, normal, offsetMm);
  const litres = sides.map((side) => (side.faces.length > 0 ? meshVolume(side) : 0));
  const whole = litres[0] + litres[1];
  if (!(Math.min(...litres) > whole * DUST)) return undefined;
  if (litres[1] > litres[0]) {
    sides.reverse();
    litres.reverse();
  }
  const masses = litres.map((l, i) => weighed[i] ?? otherThan(weighed[1 - i], massKg) ?? (massKg * l) / whole) as [number, number]; // prettier-ignore
  const together = masses[0] + masses[1];
  const doubts: Text[] = [];
  if (together > massKg * 1.01 || together < massKg * (1 - CHIPS))
    doubts.push(
      say('yard.parts', { parts: inKg(rounded(together, 2), 2), whole: inKg(rounded(massKg, 2), 2) }),
    );
  return { meshes: [centred(sides[0]), centred(sides[1])], massKg: masses, doubts };
}

/** What is left of the whole where only the other part was weighed. */
function otherThan(other: number | undefined, massKg: number): number | undefined {
  return other === undefined || other >= massKg ? undefined : massKg - other;
}
