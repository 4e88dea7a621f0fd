import { mergeVertices } from 'three/addons/utils/BufferGeometryUtils.js';
import { OBJLoader } from 'three/addons/loaders/OBJLoader.js';
import { STLLoader } from 'three/addons/loaders/STLLoader.js';
import { MeshoptSimplifier } from 'meshoptimizer';
import { BufferAttribute, BufferGeometry, Mesh as Drawn } from 'three';
import { meshesOfGlb } from '../../core/exchange/glb';
import { meshFault, meshVolume, type Mesh } from '../../core/geometry/mesh';

/** A scan from a file, in mm around its own middle, and what was done to it. */
export interface ScanFile {
  mesh: Mesh;
  notes: string[];
}

/** A file that is no scan that can be used, with what to do. */
export class NoScan extends Error {}

const MM: Record<'mm' | 'cm' | 'm', number> = { mm: 1, cm: 10, m: 1000 };
/** Smaller than a pebble: the file is in metres. Larger than any tank: it is finer than millimetres. */
const [PEBBLE_MM, HOUSE_MM] = [8, 5_000];
const MOST_TRIANGLES = 2_000_000;
/** Corners nearer than this are one, in units of the file’s own size. */
const SAME = 1e-5;

/**
 * Reads an STL, OBJ or GLB file as one closed surface: corners that are one are joined, a surface that faces inwards is
 * turned round. What is open, or so small or large that its unit must be another, is refused with what to do.
 *
 * @throws NoScan
 */
export async function scanFile(
  bytes: Uint8Array<ArrayBuffer>,
  name: string,
  unit: 'mm' | 'cm' | 'm',
): Promise<ScanFile> {
  const raw = await read(bytes, name);
  // A GLB is in metres, whatever was chosen.
  const mm = name.toLowerCase().endsWith('.glb') ? MM.m : MM[unit];
  const notes: string[] = [];
  if (raw.faces.length / 3 > MOST_TRIANGLES)
    throw new NoScan(`It has ${raw.faces.length / 3} triangles, must have at most ${MOST_TRIANGLES}: export it with fewer.`); // prettier-ignore
  const mesh = await thinned(centred(raw, mm), notes);
  const size = longest(mesh);
  if (size < PEBBLE_MM)
    throw new NoScan(`It would be ${size.toFixed(1)} mm long: is the file in metres or centimetres? Choose its unit.`); // prettier-ignore
  if (size > HOUSE_MM)
    throw new NoScan(`It would be ${Math.round(size / 1000)} m long: choose another unit.`);
  const open = meshFault(mesh.vertices.length / 3, mesh.faces);
  if (open)
    throw new NoScan(`The surface ${open}. Close its holes where it was scanned, then export it again.`);
  if (meshVolume(mesh) < 0) {
    for (let f = 0; f < mesh.faces.length; f += 3) mesh.faces.subarray(f + 1, f + 3).reverse();
    notes.push('faced inwards and was turned round');
  }
  return { mesh, notes };
}

async function read(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Mesh> {
  const ending = /\.(\w+)$/.exec(name.toLowerCase())?.[1];
  try {
    switch (ending) {
      case 'stl':
        return await welded(
          new STLLoader().parse(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength)),
        );
      case 'obj': {
        const parts: BufferGeometry[] = [];
        new OBJLoader().parse(new TextDecoder().decode(bytes)).traverse((o) => {
          if (o instanceof Drawn) parts.push(o.geometry as BufferGeometry);
        });
        return together(parts.map(joined));
      }
      case 'glb':
        return joinedAll(await meshesOfGlb(bytes));
      default:
        throw new NoScan('It must be a file that ends in .stl, .obj or .glb.');
    }
  } catch (error) {
    if (error instanceof NoScan) throw error;
    throw new NoScan(`It could not be read as ${ending?.toUpperCase()}: is it whole?`);
  }
}

/** Triangles of a file with the corners that they share. */
function joined(geometry: BufferGeometry): Mesh {
  const bare = new BufferGeometry();
  bare.setAttribute('position', geometry.getAttribute('position'));
  if (geometry.index) bare.setIndex(geometry.index);
  bare.computeBoundingSphere();
  const whole = mergeVertices(bare, (bare.boundingSphere?.radius ?? 1) * SAME);
  const faces = Uint32Array.from(whole.index!.array);
  return { vertices: Float64Array.from(whole.getAttribute('position').array), faces: withoutSlivers(faces) };
}

/**
 * Triangles of a file whose corners are written the same wherever they meet, as scanners write them: joined by that alone,
 * which takes a fifth of the time; where holes are left, as `joined` does it.
 */
async function welded(geometry: BufferGeometry): Promise<Mesh> {
  await MeshoptSimplifier.ready;
  const positions = geometry.getAttribute('position').array as Float32Array;
  const first = MeshoptSimplifier.generatePositionRemap(positions, 3);
  const number = new Int32Array(first.length).fill(-1);
  const vertices = new Float64Array(positions.length);
  const faces = new Uint32Array(first.length);
  let count = 0;
  first.forEach((own, i) => {
    if (number[own] < 0) {
      number[own] = count;
      vertices.set(positions.subarray(own * 3, own * 3 + 3), count * 3);
      count++;
    }
    faces[i] = number[own];
  });
  const mesh = { vertices: vertices.slice(0, count * 3), faces: withoutSlivers(faces) };
  return meshFault(count, mesh.faces) ? joined(geometry) : mesh;
}

/** Surfaces that meet along edges are one, however many parts the file has them in. */
function joinedAll(parts: readonly Mesh[]): Mesh {
  const { vertices, faces } = together(parts);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(vertices), 3));
  geometry.setIndex(new BufferAttribute(faces, 1));
  return joined(geometry);
}

/** A document takes so many triangles; a finer scan is brought to them, its corners some of its own. */
const KEPT_TRIANGLES = 400_000;
async function thinned(mesh: Mesh, notes: string[]): Promise<Mesh> {
  const triangles = mesh.faces.length / 3;
  if (triangles <= KEPT_TRIANGLES) return mesh;
  await MeshoptSimplifier.ready;
  const [fewer] = MeshoptSimplifier.simplify(mesh.faces, new Float32Array(mesh.vertices), 3, KEPT_TRIANGLES * 3, 0.01); // prettier-ignore
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(mesh.vertices), 3));
  geometry.setIndex(new BufferAttribute(fewer, 1));
  notes.push(`had ${triangles} triangles and was brought to ${fewer.length / 3}`);
  return joined(geometry.toNonIndexed());
}

/** Triangles of which two corners became one are none. */
function withoutSlivers(faces: Uint32Array): Uint32Array {
  const kept: number[] = [];
  for (let f = 0; f < faces.length; f += 3) {
    const [a, b, c] = [faces[f], faces[f + 1], faces[f + 2]];
    if (a !== b && b !== c && c !== a) kept.push(a, b, c);
  }
  return new Uint32Array(kept);
}

function together(parts: readonly Mesh[]): Mesh {
  const vertices = new Float64Array(parts.reduce((n, p) => n + p.vertices.length, 0));
  const faces = new Uint32Array(parts.reduce((n, p) => n + p.faces.length, 0));
  let [v, f] = [0, 0];
  for (const part of parts) {
    vertices.set(part.vertices, v);
    faces.set(part.faces.map((i) => i + v / 3), f); // prettier-ignore
    v += part.vertices.length;
    f += part.faces.length;
  }
  return { vertices, faces };
}

function extent({ vertices }: Mesh): [number, number][] {
  return [0, 1, 2].map((k) => {
    let [lo, hi] = [Infinity, -Infinity];
    for (let i = k; i < vertices.length; i += 3) {
      lo = Math.min(lo, vertices[i]);
      hi = Math.max(hi, vertices[i]);
    }
    return [lo, hi];
  });
}

const longest = (mesh: Mesh) => Math.max(...extent(mesh).map(([lo, hi]) => hi - lo));

/** Around its own middle, in mm. */
function centred(mesh: Mesh, mm: number): Mesh {
  const middle = extent(mesh).map(([lo, hi]) => (lo + hi) / 2);
  return { faces: mesh.faces, vertices: mesh.vertices.map((x, i) => (x - middle[i % 3]) * mm) };
}
