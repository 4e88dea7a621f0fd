import { strToU8 } from 'fflate';
import { materialOf, optionOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import type { Mesh } from '../geometry/mesh';
import { rotation, turned } from '../geometry/rotation';
import { solidMesh } from '../hardscape/solid';
import { bedMesh } from '../substrate/bedMesh';
import type { Standing } from '../hardscape/settle';
import type { BedField } from '../substrate/bedField';
import { sheetSvg } from './sheetSvg';
import { surfacesGlb, type NamedSurface } from './glb';

/** What a whole scape can go out as. */
export type ScapeEnding = 'glb' | 'stl' | 'svg';

/** What was measured of an option: its pieces as they stand, and the bed. */
interface Measured {
  optionId: string;
  standing: readonly Standing[];
  field: BedField;
}

/** Colours where a material has none. */
const USUAL_COLOUR: Record<string, string> = { stone: '#7d7f7c', wood: '#6b4a35', bed: '#4a3a2c' };

/**
 * Every piece where it stands, and the bed as one solid: named, coloured, mm from the vessel's front left corner. Heaps,
 * plants, gear and what is fixed are not in it.
 */
export function scapeSurfaces(commission: Commission, survey: Measured): NamedSurface[] {
  const { bed } = optionOf(commission, survey.optionId);
  const pieces = survey.standing.map(({ piece, xMm, yMm, zMm }): NamedSurface => {
    const material = materialOf(commission, piece.material);
    const { vertices, faces } = solidMesh(piece.shape);
    const placed = turned(vertices, rotation(piece.turnDeg, piece.tiltDeg));
    for (let i = 0; i < placed.length; i += 3) {
      placed[i] += xMm;
      placed[i + 1] += yMm;
      placed[i + 2] += zMm;
    }
    return { name: `${piece.id}, ${material.name}`, mesh: { vertices: placed, faces }, colour: material.colour ?? USUAL_COLOUR[material.kind] ?? USUAL_COLOUR.stone }; // prettier-ignore
  });
  const ground = bedMesh(survey.field);
  if (!ground) return pieces;
  const [uppermost] = [...bed].reverse();
  const colour = materialOf(commission, uppermost.material).colour ?? USUAL_COLOUR.bed;
  return [...pieces, { name: 'bed', mesh: ground, colour }];
}

/** The whole scape as a file that other programs open: GLB in metres with y up, STL in mm with z up, or its sheet as SVG. */
export function scapeFile(
  commission: Commission,
  survey: Measured,
  ending: ScapeEnding,
): Promise<Uint8Array> | Uint8Array {
  if (ending === 'svg') return sheetSvg(commission, survey).then((svg) => strToU8(svg));
  const surfaces = scapeSurfaces(commission, survey);
  return ending === 'glb' ? surfacesGlb(surfaces, commission.title) : stlOf(surfaces.map((s) => s.mesh));
}

const HEADER_BYTES = 80;
const TRIANGLE_BYTES = 50;

/** Surfaces as one binary STL: for each triangle its normal, its corners, and two bytes of nothing, little-endian. */
export function stlOf(meshes: readonly Mesh[]): Uint8Array<ArrayBuffer> {
  const count = meshes.reduce((sum, m) => sum + m.faces.length / 3, 0);
  const bytes = new Uint8Array(HEADER_BYTES + 4 + count * TRIANGLE_BYTES);
  const view = new DataView(bytes.buffer);
  view.setUint32(HEADER_BYTES, count, true);
  let at = HEADER_BYTES + 4;
  for (const { vertices: v, faces } of meshes)
    for (let f = 0; f < faces.length; f += 3, at += TRIANGLE_BYTES) {
      const [a, b, c] = [faces[f] * 3, faces[f + 1] * 3, faces[f + 2] * 3];
      const [ux, uy, uz] = [v[b] - v[a], v[b + 1] - v[a + 1], v[b + 2] - v[a + 2]];
      const [wx, wy, wz] = [v[c] - v[a], v[c + 1] - v[a + 1], v[c + 2] - v[a + 2]];
      const n = [uy * wz - uz * wy, uz * wx - ux * wz, ux * wy - uy * wx];
      const long = Math.hypot(n[0], n[1], n[2]) || 1;
      n.forEach((value, k) => view.setFloat32(at + k * 4, value / long, true));
      [a, b, c].forEach((corner, i) => {
        for (let k = 0; k < 3; k++) view.setFloat32(at + 12 + i * 12 + k * 4, v[corner + k], true);
      });
    }
  return bytes;
}
