import { MeshoptSimplifier } from 'meshoptimizer';
import { Mesh as Drawn } from 'three';
import { OBJLoader } from 'three/addons/loaders/OBJLoader.js';
import { STLLoader } from 'three/addons/loaders/STLLoader.js';
import { meshesOfGlb } from '../../core/exchange/glb';
import { NotAMesh } from '../../core/exchange/meshBlob';
import { inEnglish } from '../../core/words/english';
import { meshVolume, type Mesh } from '../../core/geometry/mesh';
import { NoScan } from './noScan';
import { guardObj, guardStl, isBinaryStl, MOST_TRIANGLES } from './scanGuard';
import { welded, type Welded } from './weld';

export { NoScan } from './noScan';

/** A scan from a file, in mm around its own middle, and what was done to it. */
export interface ScanFile {
  mesh: Mesh;
  notes: string[];
}

const MM: Record<'mm' | 'cm' | 'm', number> = { mm: 1, cm: 10, m: 1000 };
/** Smaller than a pebble: the file is in metres. Larger than any tank: it is finer than millimetres. */
const [PEBBLE_MM, HOUSE_MM] = [8, 5_000];
/** A document takes so many triangles; a finer scan is brought to them, its corners some of its own. */
const KEPT_TRIANGLES = 400_000;

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
  const triangles = raw.mesh.faces.length / 3;
  if (triangles === 0) throw new NoScan('There is no triangle in it: is it the file of the scan?');
  if (triangles > MOST_TRIANGLES)
    throw new NoScan(`It has ${triangles} triangles, must have at most ${MOST_TRIANGLES}: export it with fewer.`); // prettier-ignore
  // A GLB is in metres, whatever was chosen.
  const mm = name.toLowerCase().endsWith('.glb') ? MM.m : MM[unit];
  const notes: string[] = [];
  const size = longest(raw.mesh) * mm;
  if (!Number.isFinite(size)) throw new NoScan('It has corners that are no figures: export it again.');
  if (size < PEBBLE_MM)
    throw new NoScan(`It would be ${size.toFixed(1)} mm long: is the file in metres or centimetres? Choose its unit.`); // prettier-ignore
  if (size > HOUSE_MM)
    throw new NoScan(`It would be ${Math.round(size / 1000)} m long: choose another unit.`);
  // Before it is thinned: what is no surface takes without end to be made one of fewer triangles.
  const { mesh, fault } = raw.fault ? raw : await thinned(centred(raw.mesh, mm), notes);
  if (fault)
    throw new NoScan(
      `The surface ${inEnglish(fault)}. Close its holes where it was scanned, then export it again.`,
    );
  if (meshVolume(mesh) < 0) {
    for (let f = 0; f < mesh.faces.length; f += 3) mesh.faces.subarray(f + 1, f + 3).reverse();
    notes.push('faced inwards and was turned round');
  }
  return { mesh, notes };
}

async function read(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Welded> {
  const ending = /\.(\w+)$/.exec(name.toLowerCase().slice(-12))?.[1];
  try {
    switch (ending) {
      case 'stl':
        guardStl(bytes);
        return await welded(isBinaryStl(bytes) ? ofBinaryStl(bytes) : ofTextStl(bytes));
      case 'obj':
        guardObj(bytes);
        return await ofObj(bytes);
      case 'glb':
        return await together(await meshesOfGlb(bytes));
      default:
        throw new NoScan('It must be a file that ends in .stl, .obj or .glb.');
    }
  } catch (error) {
    if (error instanceof NoScan) throw error;
    if (error instanceof NotAMesh) throw new NoScan(`The file ${inEnglish(error.says)}.`);
    throw new NoScan(`It could not be read as ${ending?.toUpperCase()}: is it whole?`);
  }
}

/** Corners of a binary STL, three a triangle: nine figures (float32, little-endian) behind the normal of each. */
function ofBinaryStl(bytes: Uint8Array): Float32Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const positions = new Float32Array(((bytes.byteLength - 84) / 50) * 9);
  for (let i = 0, at = 96; i < positions.length; i += 9, at += 50)
    for (let k = 0; k < 9; k++) positions[i + k] = view.getFloat32(at + 4 * k, true);
  return positions;
}

function ofTextStl(bytes: Uint8Array<ArrayBuffer>): Float32Array {
  const geometry = new STLLoader().parse(new TextDecoder().decode(bytes));
  return geometry.getAttribute('position').array as Float32Array;
}

/** Every part of an OBJ; surfaces that meet along edges are one, however many parts the file has them in. */
async function ofObj(bytes: Uint8Array): Promise<Welded> {
  const parts: Float32Array[] = [];
  new OBJLoader().parse(new TextDecoder().decode(bytes)).traverse((o) => {
    if (o instanceof Drawn) parts.push(o.geometry.getAttribute('position').array as Float32Array);
  });
  const positions = new Float32Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const part of parts) {
    positions.set(part, at);
    at += part.length;
  }
  return welded(positions);
}

async function thinned(mesh: Mesh, notes: string[]): Promise<Welded> {
  const triangles = mesh.faces.length / 3;
  if (triangles <= KEPT_TRIANGLES) return { mesh, fault: undefined };
  await MeshoptSimplifier.ready;
  const positions = new Float32Array(mesh.vertices);
  const [fewer] = MeshoptSimplifier.simplify(mesh.faces, positions, 3, KEPT_TRIANGLES * 3, 0.01);
  notes.push(`had ${triangles} triangles and was brought to ${fewer.length / 3}`);
  return welded(positions, fewer);
}

async function together(parts: readonly Mesh[]): Promise<Welded> {
  const positions = new Float32Array(parts.reduce((n, p) => n + p.vertices.length, 0));
  const faces = new Uint32Array(parts.reduce((n, p) => n + p.faces.length, 0));
  let [v, f] = [0, 0];
  for (const part of parts) {
    positions.set(part.vertices, v);
    faces.set(part.faces.map((i) => i + v / 3), f); // prettier-ignore
    v += part.vertices.length;
    f += part.faces.length;
  }
  return welded(positions, faces);
}

function extent({ vertices }: Mesh): [number, number][] {
  return [0, 1, 2].map((k) => {
    let [lo, hi] = [Infinity, -Infinity];
    for (let i = k; i < vertices.length; i += 3) {
      if (vertices[i] < lo) lo = vertices[i];
      if (vertices[i] > hi) hi = vertices[i];
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
