import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { fault, type Fault } from '../commission/fault';
import { say, type Text } from '../words/text';
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

/** Bytes of all that is in such a file at most, and of one mesh; the document has its own limit. */
const MOST_UNPACKED = 200 * 1024 * 1024;
const MOST_MESH = 24 * 1024 * 1024;
/** Names in the file; whoever packed a folder again may have put others in. */
const MOST_ENTRIES = 2_000;

/** A file that was read: the document, its meshes beside it. */
export type Opened = { ok: true; commission: Commission } | { ok: false; faults: Fault[] };

/** Where the bytes and what was measured of each mesh go, one after the other. */
export type Keep = (name: string, bytes: Uint8Array<ArrayBuffer>, figures: ScanFigures) => Promise<void>;

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
 * Meshes come out of it either way and go to `keep`; those that the document does not name are never unpacked.
 * `known` tells of scans that are kept already.
 */
export async function opened(
  bytes: Uint8Array<ArrayBuffer>,
  known: (mesh: string) => ScanFigures | undefined = () => undefined,
  keep: Keep = async () => {},
): Promise<Opened> {
  const zip = isZip(bytes);
  if (!zip && bytes.byteLength > MAX_DOCUMENT_BYTES)
    return { ok: false, faults: [tooLarge(bytes.byteLength)] };
  const names = zip ? listed(bytes) : new Set([DOCUMENT]);
  if (Array.isArray(names)) return { ok: false, faults: names };
  if (!names.has(DOCUMENT))
    return { ok: false, faults: [fault('(file)', 'fault.no.document', { name: DOCUMENT })] };
  const text = zip ? unpacked(bytes, DOCUMENT) : bytes;
  if (!text) return { ok: false, faults: [CANNOT] };
  const parsed = parseCommissionText(strFromU8(text));
  if (!parsed.ok) return parsed;
  const figures = new Map<string, ScanFigures>();
  for (const { mesh } of scansOf(parsed.commission)) {
    const path = `meshes/${mesh}.glb`;
    if (figures.has(mesh) || !names.has(path)) continue;
    const read = await meshBeside(bytes, path, mesh);
    if (!read.ok) return { ok: false, faults: [read.fault] };
    figures.set(mesh, read.scan);
    await keep(mesh, read.bytes, read.scan);
  }
  const faults = scanFaults(parsed.commission, (mesh) => figures.get(mesh) ?? known(mesh));
  if (faults.length > 0) return { ok: false, faults };
  const { commission, meshes } = apart(parsed.commission);
  for (const scan of scansOf(commission)) {
    const inside = meshes.get(scan.mesh);
    if (inside) await keep(scan.mesh, inside, scan);
    meshes.delete(scan.mesh);
  }
  return { ok: true, commission };
}

/** Whether a file begins as a zip does. */
export function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

const CANNOT = fault('(file)', 'fault.no.unpacking');

/** The names in a zip that are of use; or why it is not unpacked. Sizes are looked at before anything is. */
function listed(bytes: Uint8Array<ArrayBuffer>): Set<string> | Fault[] {
  const names = new Set<string>();
  let [total, entries] = [0, 0];
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (++entries > MOST_ENTRIES) throw new TooMuch(say('fault.zip.files', { most: MOST_ENTRIES }));
        if (name !== DOCUMENT && !MESH.test(name)) return false;
        const most = name === DOCUMENT ? MAX_DOCUMENT_BYTES : MOST_MESH;
        if (originalSize > most) throw new TooMuch(say('fault.zip.file', { name, most: inMb(most) }));
        total += originalSize;
        if (total > MOST_UNPACKED) throw new TooMuch(say('fault.zip.size', { most: inMb(MOST_UNPACKED) }));
        names.add(name);
        return false;
      },
    });
    return names;
  } catch (error) {
    return [error instanceof TooMuch ? { path: '(file)', says: error.says } : CANNOT];
  }
}

const inMb = (bytes: number) => bytes / 1024 / 1024;

/** More in a file than is unpacked. */
class TooMuch extends Error {
  constructor(readonly says: Text) {
    super(says.say);
  }
}

/** One file out of the zip, of the size that it is listed with. */
function unpacked(bytes: Uint8Array<ArrayBuffer>, wanted: string): Uint8Array | undefined {
  try {
    return unzipSync(bytes, { filter: ({ name }) => name === wanted })[wanted];
  } catch {
    return undefined;
  }
}

type Beside = { ok: true; bytes: Uint8Array<ArrayBuffer>; scan: ScanFigures } | { ok: false; fault: Fault };

/** A mesh of the zip, measured. */
async function meshBeside(zip: Uint8Array<ArrayBuffer>, path: string, name: string): Promise<Beside> {
  const glb = unpacked(zip, path);
  if (!glb) return { ok: false, fault: CANNOT };
  try {
    const bytes = meshBytes(await meshOfGlb(glb));
    const scan = takenIn(bytes);
    if (scan.mesh !== name) throw new NotAMesh(say('mesh.other'));
    return { ok: true, bytes, scan };
  } catch (error) {
    if (!(error instanceof NotAMesh)) throw error;
    return { ok: false, fault: { path, says: error.says } };
  }
}
