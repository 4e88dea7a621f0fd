import type { Material, Scan } from '../../core/commission/schema';
import type { YardPiece } from '../../core/catalogue/studio';
import { meshBytes, meshOfBytes, NotAMesh } from '../../core/exchange/meshBlob';
import { takenIn } from '../../core/exchange/scan';
import { solids } from '../../core/geometry/solids';
import type { Mesh } from '../../core/geometry/mesh';
import { densityOf, massKgOf } from '../../core/hardscape/mass';
import { solidMesh } from '../../core/hardscape/solid';
import { volumeMm3Of } from '../../core/hardscape/columns';
import { MM3_PER_L } from '../../core/units/volume';
import { inEnglish } from '../../core/words/english';
import type { Text } from '../../core/words/text';
import { branchFault, branchSolid } from '../../core/yard/branches';
import { densityDoubts, pieceFrom } from '../../core/yard/pieceFrom';
import { parted } from '../../core/yard/split';
import { outlineFault, solidOfOutlines } from '../../core/yard/twoOutlines';
import { bytesOfBody, type Body } from '../incoming';
import type { PartAsk, YardAsk } from '../routes/yardAsks';
import type { Meshes } from '../store/meshes';
import type { Made } from './work';

/* Pieces of the yard: made from what is known of them, parted, taken in from scans. */

type Added = Made<{ piece: YardPiece; doubts: string[] }>;

/** A piece of the yard from what was measured of it, its mesh kept; doubts are said and do not stop it. */
export async function yardPiece(
  { ask, material }: { ask: YardAsk; material: Material },
  meshes: Meshes,
): Promise<Added> {
  const { id, sizeMm, massKg, litres, scan, outlines, branches } = ask;
  const weighed = massKg ?? (litres === undefined ? undefined : litres * densityOf(material));
  const whole = (shape: Scan, doubts: readonly Text[]): Added => ({
    ok: true,
    value: {
      piece: { id, material: material.id, shape, ...(weighed ? { massKg: toGrams(weighed) } : {}) },
      doubts: doubts.map((d) => inEnglish(d)),
    },
  });
  /** What was weighed against the litres of a solid that was measured by itself. */
  const against = (shape: Scan) => densityDoubts({ massKg, litres: shape.volumeL }, material);
  if (scan) {
    const figures = meshes.figuresOf(scan);
    if (!figures) return { ok: false, says: 'The scan is not kept any more: take the file in again.' };
    const shape: Scan = { kind: 'scan', mesh: scan, ...figures };
    return whole(shape, against(shape));
  }
  if (branches) {
    const fault = branchFault(branches);
    if (fault) return { ok: false, says: inEnglish(fault) };
    const shape = await keptShape(branchSolid(branches, await solids()), meshes);
    return whole(shape, against(shape));
  }
  if (outlines) {
    const fault = outlineFault(outlines);
    if (fault) return { ok: false, says: inEnglish(fault) };
    const wantedL = litres ?? (massKg === undefined ? undefined : massKg / densityOf(material));
    const { mesh, doubts } = solidOfOutlines(outlines, wantedL);
    return whole(await keptShape(mesh, meshes), doubts);
  }
  if (!sizeMm)
    return { ok: false, says: 'Its three sizes are missing, or photographs, branches or a scan of it.' };
  const { mesh, doubts } = pieceFrom({ sizeMm, massKg, litres }, material, seedOf(id));
  return whole(await keptShape(mesh, meshes), doubts);
}

/** A stone split or a twig broken off: both parts as pieces of the yard that know what they come from. */
export async function partPiece(
  {
    piece,
    material,
    ask,
    ids,
  }: { piece: YardPiece; material: Material; ask: PartAsk; ids: [string, string] },
  meshes: Meshes,
): Promise<Made<{ parts: YardPiece[]; doubts: string[] }>> {
  const { shape } = piece;
  const mesh = shape.kind === 'scan' ? meshOfBytes(meshes.bytesOf(shape.mesh)) : solidMesh(shape);
  const volumeMm3 = shape.kind === 'scan' ? shape.volumeL * MM3_PER_L : volumeMm3Of(shape);
  const massKg = massKgOf(piece, volumeMm3, material);
  const two = parted(
    mesh,
    massKg,
    ask,
    await solids(),
    (ask.massKg ?? []).map((kg) => kg ?? undefined),
  );
  if (!two) return { ok: false, says: 'One part would be no more than chips: move the cut further in.' };
  const parts: YardPiece[] = [];
  for (const [i, part] of two.meshes.entries()) {
    const { id: _id, shape: _shape, massKg: _mass, faceDeg: _face, photo: _photo, ...same } = piece;
    parts.push({
      ...same,
      id: ids[i],
      shape: await keptShape(part, meshes),
      massKg: toGrams(two.massKg[i]),
      partOf: piece.id,
    });
  }
  return { ok: true, value: { parts, doubts: two.doubts.map((d) => inEnglish(d)) } };
}

async function keptShape(mesh: Mesh, meshes: Meshes): Promise<Scan> {
  const bytes = meshBytes(mesh);
  const shape = takenIn(bytes);
  await meshes.keep(shape.mesh, bytes, shape);
  return shape;
}

const toGrams = (kg: number) => Math.round(kg * 1000) / 1000;

/** The same number gives the same stone. */
function seedOf(id: string): number {
  return [...id].reduce((n, c) => (n * 31 + c.charCodeAt(0)) % 1_000_003, 7);
}

/** A scan from a file, checked, brought to millimetres and kept. */
export async function takeScan(
  { body, name, unit }: { body: Body; name: string; unit: 'mm' | 'cm' | 'm' },
  meshes: Meshes,
): Promise<Made<{ scan: Scan; notes: string[] }>> {
  // What reads such files is large and seldom wanted: a thread that saves documents does without it.
  const { NoScan, scanFile } = await import('../documents/scanFile');
  try {
    const { mesh, notes } = await scanFile(bytesOfBody(body), name, unit);
    return { ok: true, value: { scan: await keptShape(mesh, meshes), notes } };
  } catch (error) {
    if (error instanceof NoScan) return { ok: false, says: error.message };
    if (error instanceof NotAMesh) return { ok: false, says: inEnglish(error.says) };
    throw error;
  }
}
