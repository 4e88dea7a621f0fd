import { BufferAttribute, BufferGeometry, Color, ConeGeometry, Matrix4, Mesh } from 'three';
import type { Piece } from '../../../core/commission/schema';
import { divided } from '../../../core/geometry/divide';
import type { Mesh as Surface } from '../../../core/geometry/mesh';
import { rotation, turned } from '../../../core/geometry/rotation';
import { colourOf, materialFor } from '../colour';
import { meshForDrawing } from '../../document/drawnMeshes';
import { coloured, noise, tinted } from './grain';
import type { Keeper } from './kept';
import type { Place, Seen } from './place';
import { matte } from './relief';

/** Triangles up to which a coarse surface is divided before it is given grain. */
const FINE_TRIANGLES = 8_000;

/**
 * Stones with strata and specks, wood with a grain that runs along it. Their surfaces are made once and then set in their
 * place; what a pane bends has to be placed corner by corner.
 */
export function solids(seen: Seen, quick: boolean, keep: Keeper, bent?: Place): Mesh[] {
  const heights = new Map(seen.survey.pieces.map((s) => [s.id, s.zMm]));
  return seen.option.pieces.map((p) => {
    const material = materialFor(seen.materials, p.material);
    const wood = material?.kind === 'wood';
    const colour = colourOf(material);
    const surface = meshForDrawing(p.shape);
    const own = keep.geometry(surface, `${quick} ${wood} ${colour}`, () => grained(quick ? surface : weathered(fine(surface), wood), wood, colour)); // prettier-ignore
    const zMm = heights.get(p.id) ?? 0;
    const mesh = new Mesh(
      bent ? own.clone() : own,
      matte(quick, { vertexColors: true, flatShading: quick && !wood }, wood ? 'wood' : 'stone'),
    );
    if (bent) bend(mesh, p, zMm, bent);
    else {
      mesh.userData.shared = true;
      mesh.matrixAutoUpdate = false;
      mesh.matrix.copy(standing(p, zMm));
    }
    mesh.userData.piece = p.id;
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    return mesh;
  });
}

/** A turned piece in its place, from its own axes to those of the scene: y there is up, z towards the eye. */
function standing({ turnDeg, tiltDeg, at: [x, y] }: Piece, zMm: number): Matrix4 {
  const m = rotation(turnDeg, tiltDeg);
  return new Matrix4().set(m[0], m[1], m[2], x, m[6], m[7], m[8], zMm, -m[3], -m[4], -m[5], -y, 0, 0, 0, 1);
}

function bend(mesh: Mesh, { turnDeg, tiltDeg, at }: Piece, zMm: number, bent: Place): void {
  const position = mesh.geometry.getAttribute('position');
  const v = turned(Float64Array.from(position.array), rotation(turnDeg, tiltDeg));
  for (let i = 0; i < v.length; i += 3)
    position.setXYZ(i / 3, ...bent(v[i] + at[0], v[i + 1] + at[1], v[i + 2] + zMm));
  mesh.geometry.computeVertexNormals();
}

/** Sides of a heap. */
const ROUND = 24;

/** Soil heaped on top of pieces, sunk a little into what carries it so that no gap shows. */
export function heaps({ survey, materials }: Seen, quick: boolean, place: Place): Mesh[] {
  return survey.pockets.map(({ at: [x, y, z], radiusMm, heightMm, material }) => {
    const cone = new ConeGeometry(radiusMm, heightMm * 1.3, ROUND, 4);
    const p = cone.getAttribute('position');
    for (let i = 0; i < p.count; i++) p.setXYZ(i, ...place(x + p.getX(i), y - p.getZ(i), z + heightMm * 0.35 + p.getY(i))); // prettier-ignore
    cone.computeVertexNormals();
    const mesh = new Mesh(cone, matte(quick, { color: colourOf(materialFor(materials, material)) }));
    mesh.castShadow = mesh.receiveShadow = true;
    return mesh;
  });
}

function fine(surface: Surface): Surface {
  let mesh = surface;
  while (mesh.faces.length > 0 && (mesh.faces.length / 3) * 4 <= FINE_TRIANGLES) mesh = divided(mesh);
  return mesh;
}

/** How far weather has worn a surface in or left it standing, mm at most, and over which length. */
const WORN = { stone: [2.4, 34], wood: [0.9, 14] } as const;

/** A surface that is not as even as it was drawn: for the picture alone, what is measured is the one that was drawn. */
function weathered({ vertices, faces }: Surface, wood: boolean): Surface {
  const bare = new BufferGeometry();
  bare.setAttribute('position', new BufferAttribute(Float32Array.from(vertices), 3));
  bare.setIndex(new BufferAttribute(Uint32Array.from(faces), 1));
  bare.computeVertexNormals();
  const way = bare.getAttribute('normal').array;
  const [deepMm, longMm] = WORN[wood ? 'wood' : 'stone'];
  const along = wood ? longMm * 5 : longMm;
  const worn = Float64Array.from(vertices);
  for (let i = 0; i < worn.length; i += 3) {
    const at = (by: number) => noise.noise3d((vertices[i] / along) * by, (vertices[i + 1] / longMm) * by, (vertices[i + 2] / longMm) * by); // prettier-ignore
    const by = deepMm * (0.6 * at(1) + 0.4 * (0.5 - Math.abs(at(2.6))));
    for (let k = 0; k < 3; k++) worn[i + k] += way[i + k] * by;
  }
  return { vertices: worn, faces };
}

/** A surface around its own origin with its grain: it turns with the piece. */
function grained({ vertices, faces }: Surface, wood: boolean, of: string) {
  const c = new Color(of);
  const colour = new Float32Array(vertices.length);
  for (let i = 0; i < vertices.length; i += 3)
    tinted(colour, i, c, (wood ? woodGrain : strata)(vertices[i], vertices[i + 1], vertices[i + 2]));
  return coloured(Float32Array.from(vertices), colour, Uint32Array.from(faces));
}

function woodGrain(x: number, y: number, z: number): number {
  return (
    1 + 0.16 * noise.noise3d(x * 0.02, y * 0.13, z * 0.13) + 0.08 * noise.noise3d(x * 0.2, y * 0.2, z * 0.2)
  );
}

function strata(x: number, y: number, z: number): number {
  const bands = noise.noise3d(x * 0.008, y * 0.008, z * 0.07);
  return 1 + 0.15 * bands + 0.1 * noise.noise3d(x * 0.11, y * 0.11, z * 0.11);
}
