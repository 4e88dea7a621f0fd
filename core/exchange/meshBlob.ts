import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { Mesh } from '../geometry/mesh';
import { say, type Text } from '../words/text';

/*
 * A mesh as bytes, little-endian: the letters "UTSM", how many corners, how many triangles (uint32 each), then
 * x, y, z of each corner (float32, mm) and three corner numbers a triangle (uint32). Corners stand in whole
 * thousandths of a millimetre, finer than anything is scanned: a float32 tells those apart up to 10 m, so
 * that reading gives the very figures that were written.
 */

const LETTERS = 0x4d535455;
const HEAD = 12;
const PER_MM = 1_000;
/** Whether this machine keeps the lowest byte of a figure first, as nearly all do. */
const LITTLE = new Uint8Array(new Uint32Array([1]).buffer)[0] === 1;

/** Bytes of a file that is not what it says it is; what is wrong with it follows "the file". */
export class NotAMesh extends Error {
  constructor(readonly says: Text) {
    super(says.say);
  }
}

export function meshBytes({ vertices, faces }: Mesh): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(HEAD + vertices.length * 4 + faces.length * 4);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, LETTERS, true);
  view.setUint32(4, vertices.length / 3, true);
  view.setUint32(8, faces.length / 3, true);
  let at = HEAD;
  // Adding nought makes −0 the same as 0.
  for (const mm of vertices) view.setFloat32(((at += 4) - 4), Math.round(mm * PER_MM) / PER_MM + 0, true); // prettier-ignore
  for (const corner of faces) view.setUint32(((at += 4) - 4), corner, true); // prettier-ignore
  return bytes;
}

/** @throws NotAMesh when the bytes are not exactly one mesh */
export function meshOfBytes(bytes: Uint8Array): Mesh {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.byteLength < HEAD || view.getUint32(0, true) !== LETTERS) throw new NotAMesh(say('blob.other'));
  const [corners, triangles] = [view.getUint32(4, true), view.getUint32(8, true)];
  if (bytes.byteLength !== HEAD + corners * 12 + triangles * 12) throw new NotAMesh(say('blob.cut.off'));
  const vertices = new Float64Array(corners * 3);
  if (LITTLE && bytes.byteOffset % 4 === 0) {
    // As this machine has its figures: read where they lie.
    const written = new Float32Array(bytes.buffer, bytes.byteOffset + HEAD, corners * 3);
    for (let i = 0; i < vertices.length; i++) vertices[i] = Math.round(written[i] * PER_MM) / PER_MM;
    return {
      vertices,
      faces: new Uint32Array(bytes.buffer, bytes.byteOffset + HEAD + corners * 12, triangles * 3),
    };
  }
  const faces = new Uint32Array(triangles * 3);
  let at = HEAD;
  for (let i = 0; i < vertices.length; i++, at += 4)
    vertices[i] = Math.round(view.getFloat32(at, true) * PER_MM) / PER_MM;
  for (let i = 0; i < faces.length; i++, at += 4) faces[i] = view.getUint32(at, true);
  return { vertices, faces };
}

/** Meshes that follow each other in one answer, at most. */
export const MESHES_AT_ONCE = 40;

/**
 * Meshes that follow each other in one answer, in their order; each says itself how long it is.
 *
 * @throws NotAMesh when the bytes are not whole meshes to their end
 */
export function meshesOfBytes(bytes: Uint8Array): Mesh[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const found: Mesh[] = [];
  for (let at = 0; at < bytes.byteLength; ) {
    const length = at + HEAD > bytes.byteLength ? 0 : HEAD + (view.getUint32(at + 4, true) + view.getUint32(at + 8, true)) * 12;
    if (length === 0 || at + length > bytes.byteLength) throw new NotAMesh(say('blob.cut.off'));
    found.push(meshOfBytes(bytes.subarray(at, at + length)));
    at += length;
  }
  return found;
} // prettier-ignore

/** SHA-256 of bytes, in hexadecimal digits. */
type Hash = (bytes: Uint8Array) => string;
let hash: Hash = (bytes) => bytesToHex(sha256(bytes));

/** Has the machine's own SHA-256 used, which gives the same in a tenth of the time; pages have none that answers at once. */
export function hashBy(own: Hash): void {
  hash = own;
}

/** The name of a mesh: the first 32 digits of the SHA-256 of its bytes. */
export function meshName(bytes: Uint8Array): string {
  return hash(bytes).slice(0, 32);
}
