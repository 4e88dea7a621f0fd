import { strFromU8, strToU8, unzipSync, zipSync, type Unzipped, type Zippable } from 'fflate';
import type { Fault } from '../commission/fault';
import { MAX_DOCUMENT_BYTES, parseCommissionText, tooLarge } from '../commission/parse';
import type { Commission } from '../commission/schema';
import { apart, scansOf } from './apart';
import { glbOf, meshOfGlb } from './glb';
import { scanFaults } from './known';
import { meshBytes, meshOfBytes, NotAMesh } from './meshBlob';
import { takenIn, type ScanFigures } from './scan';

/*
 * One file for a commission with everything it needs: a zip with `commission.json`, the document, and
 * `meshes/NAME.glb`, each scan that it names. A commission without scans is its document alone, as JSON.
 */

const DOCUMENT = 'commission.json';
const MESH = /^meshes\/([a-f0-9]{32})\.glb$/;

/** Bytes of what is in such a file at most. */
const MOST_UNPACKED = 200 * 1024 * 1024;

/** A file that was read: the document, and the bytes and what was measured of each mesh under its name. */
export type Opened =
  | {
      ok: true;
      commission: Commission;
      meshes: Map<string, Uint8Array<ArrayBuffer>>;
      figures: Map<string, ScanFigures>;
    }
  | { ok: false; faults: Fault[] };

/** Writes a document and the meshes it names; `bytesOf` gives what is kept under a name. */
export async function bundle(json: string, names: Iterable<string>, bytesOf: (name: string) => Uint8Array) {
  const entries: Zippable = { [DOCUMENT]: strToU8(json) };
  for (const name of new Set(names))
    entries[`meshes/${name}.glb`] = await glbOf(meshOfBytes(bytesOf(name)), name);
  // Lightly: coordinates hardly shrink, and somebody waits.
  return zipSync(entries, { level: 1 });
}

/**
 * Reads a commission from the bytes of a file: one of these, or a document as JSON with its meshes inside.
 * Meshes come out of it either way; those that the document does not name are dropped. `known` tells of
 * scans that are kept already.
 */
export async function opened(
  bytes: Uint8Array<ArrayBuffer>,
  known: (mesh: string) => ScanFigures | undefined = () => undefined,
): Promise<Opened> {
  const zip = isZip(bytes);
  if (!zip && bytes.byteLength > MAX_DOCUMENT_BYTES)
    return { ok: false, faults: [tooLarge(bytes.byteLength)] };
  const parts: Unzipped | Fault[] = zip ? unpacked(bytes) : { [DOCUMENT]: bytes };
  if (Array.isArray(parts)) return { ok: false, faults: parts };
  if (!parts[DOCUMENT])
    return refused('(file)', `has no ${DOCUMENT}, must be a commission as it was exported`);
  const parsed = parseCommissionText(strFromU8(parts[DOCUMENT]));
  if (!parsed.ok) return parsed;
  const beside = await meshesBeside(parts, new Set(scansOf(parsed.commission).map((s) => s.mesh)));
  if (Array.isArray(beside)) return { ok: false, faults: beside };
  const faults = scanFaults(parsed.commission, (mesh) => beside.figures.get(mesh) ?? known(mesh));
  if (faults.length > 0) return { ok: false, faults };
  const { commission, meshes } = apart(parsed.commission);
  const inside = scansOf(commission).filter((scan) => meshes.has(scan.mesh));
  return {
    ok: true,
    commission,
    meshes: new Map([...beside.bytes, ...meshes]),
    // As measured, not as the document has them: its digits may have got lost on the way.
    figures: new Map([...inside.map((scan) => [scan.mesh, scan] as const), ...beside.figures]),
  };
}

const refused = (path: string, says: string): Opened => ({ ok: false, faults: [{ path, says }] });

/** Whether a file begins as a zip does. */
export function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

/** What is in the zip and wanted; or why it is not unpacked. Sizes are looked at before anything is. */
function unpacked(bytes: Uint8Array<ArrayBuffer>): Unzipped | Fault[] {
  let total = 0;
  try {
    const parts = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (name !== DOCUMENT && !MESH.test(name)) return false;
        total += originalSize;
        if (total > MOST_UNPACKED) throw new RangeError('too much');
        return true;
      },
    });
    return parts;
  } catch (error) {
    const much = error instanceof RangeError;
    return [
      {
        path: '(file)',
        says: much
          ? `unpacks to more than ${MOST_UNPACKED / 1024 / 1024} MB, must have fewer or smaller scans`
          : 'cannot be unpacked, must be a commission as it was exported',
      },
    ];
  }
}

async function meshesBeside(parts: Unzipped, wanted: ReadonlySet<string>) {
  const bytes = new Map<string, Uint8Array<ArrayBuffer>>();
  const figures = new Map<string, ScanFigures>();
  for (const [path, glb] of Object.entries(parts)) {
    const name = MESH.exec(path)?.[1];
    if (!name || !wanted.has(name)) continue;
    try {
      const mesh = meshBytes(await meshOfGlb(glb));
      const scan = takenIn(mesh);
      if (scan.mesh !== name)
        throw new NotAMesh('is not the mesh that it is named after, must be as it was exported');
      figures.set(name, scan);
      bytes.set(name, mesh);
    } catch (error) {
      if (!(error instanceof NotAMesh)) throw error;
      return [{ path, says: error.message }];
    }
  }
  return { bytes, figures };
}
