import { z } from 'zod';
import { must } from './must';
import { positionMm, sizeMm } from './primitives';

/* What a piece is shaped like: a block of three sizes, a surface, or a scan beside the document. */

const meshSchema = z.looseObject({
  kind: z.literal('mesh'),
  vertices: z.array(z.tuple([positionMm, positionMm, positionMm])).max(200_000),
  faces: z.array(z.tuple([z.int().min(0), z.int().min(0), z.int().min(0)])).max(400_000),
});

/**
 * A scanned surface, kept beside the document under the name of what is in it; the figures are as they were
 * measured when it was taken in, so that nobody needs the mesh to know how large and heavy the piece is.
 */
export const scanSchema = z.looseObject({
  kind: z.literal('scan'),
  mesh: z.string().regex(/^[a-f0-9]{32}$/, must('mesh')),
  triangles: z.int().min(4).max(400_000),
  sizeMm: z.tuple([sizeMm, sizeMm, sizeMm]),
  volumeL: z.number().min(1e-6).max(1e6),
});

export const shapeSchema = z.discriminatedUnion('kind', [
  z.looseObject({ kind: z.literal('ellipsoid'), sizeMm: z.tuple([sizeMm, sizeMm, sizeMm]) }),
  z.looseObject({ kind: z.literal('box'), sizeMm: z.tuple([sizeMm, sizeMm, sizeMm]) }),
  meshSchema,
  scanSchema,
]);
