import type { Mesh } from '../geometry/mesh';

/*
 * Meshes that documents name instead of carrying. A name is made from every figure of the mesh
 * (`core/exchange/meshBlob.ts`), so it stands for the same surface wherever and whenever it is asked for:
 * what is held here decides whether a figure can be worked out, never which.
 */

const held = new Map<string, Mesh>();

/**
 * Bytes of meshes that are held at most, by each thread that measures: all that one option may have, twice over. The ones
 * held longest go first.
 */
const MOST_BYTES = 128 * 1024 * 1024;
let bytes = 0;

const sizeOf = ({ vertices, faces }: Mesh) => vertices.byteLength + faces.byteLength;

/** A document names a mesh that is not at hand. */
export class MeshMissing extends Error {
  constructor(readonly mesh: string) {
    super(`the scan ${mesh} is not at hand`);
  }
}

export function isHeld(name: string): boolean {
  return held.has(name);
}

/** @throws MeshMissing where nobody has held it out */
export function heldMesh(name: string): Mesh {
  const mesh = held.get(name);
  if (!mesh) throw new MeshMissing(name);
  return mesh;
}

/** Holds a mesh, and lets go of the oldest where that is too much. `wanted` stay whatever they weigh. */
export function holdMesh(name: string, mesh: Mesh, wanted: ReadonlySet<string> = new Set()): void {
  if (held.has(name)) return;
  held.set(name, mesh);
  bytes += sizeOf(mesh);
  for (const [old, { vertices, faces }] of held) {
    if (bytes <= MOST_BYTES) break;
    if (old === name || wanted.has(old)) continue;
    held.delete(old);
    bytes -= sizeOf({ vertices, faces });
  }
}
