import type { Commission, Option, Shape } from '../commission/schema';
import { facesOf, verticesOf } from '../commission/meshArrays';
import { meshBytes } from './meshBlob';
import { takenIn } from './scan';

/** A document whose meshes lie beside it, by name. */
export interface Apart {
  commission: Commission;
  meshes: Map<string, Uint8Array<ArrayBuffer>>;
}

/**
 * Takes the meshes out of a document: each piece with a surface of its own names it instead. Corners are
 * brought to whole thousandths of a millimetre. The document must have been read; it is not changed.
 */
export function apart(commission: Commission): Apart {
  const meshes: Apart['meshes'] = new Map();
  const option = <O extends Pick<Option, 'pieces'>>(o: O): O => ({
    ...o,
    pieces: o.pieces.map((p) => ({ ...p, shape: shapeApart(p.shape, meshes) })),
  });
  const { options, shelved, now } = commission;
  return {
    commission: {
      ...commission,
      options: options.map(option),
      ...(shelved ? { shelved: shelved.map(option) } : {}),
      ...(now ? { now: option(now) } : {}),
    },
    meshes,
  };
}

/** The same for one shape; what has no mesh stays as it is. */
export function shapeApart(shape: Shape, meshes: Apart['meshes']): Shape {
  if (shape.kind !== 'mesh') return shape;
  const { kind: _kind, vertices: _vertices, faces: _faces, ...rest } = shape;
  const bytes = meshBytes({ vertices: verticesOf(shape), faces: facesOf(shape) });
  const scan = takenIn(bytes);
  meshes.set(scan.mesh, bytes);
  return { ...rest, ...scan };
}

/** Every scan that a document has: of options on the shelf, of the tank as it is now, and of pieces that something else is tried for. */
export function scansOf({
  options,
  shelved = [],
  now,
  candidates = [],
}: Pick<Commission, 'options' | 'shelved' | 'now' | 'candidates'>) {
  const drawn = [...options, ...shelved, ...(now ? [now] : [])].flatMap((o) => o.pieces.map((p) => p.shape));
  const put = candidates.flatMap((c) => c.was?.shape ?? []);
  return [...drawn, ...put].flatMap((shape) => (shape.kind === 'scan' ? [shape] : []));
}
