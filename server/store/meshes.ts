import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, rmSync, utimesSync, writeSync } from 'node:fs'; // prettier-ignore
import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { threadId } from 'node:worker_threads';
import type { Fault } from '../../core/commission/fault';
import type { Commission } from '../../core/commission/schema';
import { drawnMesh } from '../../core/exchange/drawn';
import { scanFaults } from '../../core/exchange/known';
import { meshBytes, meshOfBytes } from '../../core/exchange/meshBlob';
import type { ScanFigures } from '../../core/exchange/scan';
import { scansOf } from '../../core/exchange/apart';
import { holdMesh, isHeld } from '../../core/hardscape/heldMeshes';

/*
 * Meshes of scanned pieces, files beside the database under the name of what is in them. Two files a mesh: the mesh
 * itself, and its figures, written last: where those are, the mesh is there. A third, smaller one for drawing, is made
 * when it is first asked for. They are never changed, so backups of the database need no copies of them.
 */

export const MESH_NAME = /^[a-f0-9]{32}$/;

export function meshFolder(folder: string): string {
  return join(folder, 'meshes');
}

export type MeshPart = 'mesh' | 'drawn' | 'json';

export function meshFile(folder: string, name: string, part: MeshPart): string {
  return join(meshFolder(folder), `${name}.${part}`);
}

/** The meshes of one data folder, for a thread that waits for nobody. */
export interface Meshes {
  /** What was measured of one, or undefined where it is not kept. */
  figuresOf(name: string): ScanFigures | undefined;
  bytesOf(name: string): Uint8Array;
  /** Makes the smaller mesh for drawing where there is none yet. */
  draw(name: string): Promise<void>;
  /** On the disk when it is done, with what was measured of it. */
  keep(name: string, bytes: Uint8Array, figures: ScanFigures): Promise<void>;
  /** The same for every mesh that came with a document. */
  keepAll(meshes: ReadonlyMap<string, Uint8Array>, figures: ReadonlyMap<string, ScanFigures>): Promise<void>;
  faultsOf(commission: Commission): Fault[];
  /** Brings the meshes of one option's pieces to hand, so that they can be measured. */
  holdFor(commission: Commission, optionId: string): void;
}

/** Figures that were read once: a name never means another mesh. */
const read = new Map<string, ScanFigures>();

export function meshesIn(folder: string): Meshes {
  const figuresOf = (name: string) => {
    const file = meshFile(folder, name, 'json');
    if (!existsSync(file)) return undefined;
    const figures = read.get(name) ?? (JSON.parse(readFileSync(file, 'utf8')) as ScanFigures);
    read.set(name, figures);
    return figures;
  };
  const bytesOf = (name: string) => readFileSync(meshFile(folder, name, 'mesh'));
  return {
    figuresOf,
    bytesOf,
    async draw(name) {
      const file = meshFile(folder, name, 'drawn');
      if (existsSync(file)) return;
      written(file, meshBytes(await drawnMesh(meshOfBytes(bytesOf(name)))));
      // Deleted meanwhile: nothing of it stays behind.
      if (!existsSync(meshFile(folder, name, 'json'))) rmSync(file, { force: true });
    },
    faultsOf: (commission) => scanFaults(commission, figuresOf),
    async keep(name, bytes, { triangles, sizeMm, volumeL }) {
      // Brought in again it is new again: nobody may tidy it away before a document names it.
      if (figuresOf(name)) return utimesSync(meshFile(folder, name, 'json'), new Date(), new Date());
      mkdirSync(meshFolder(folder), { recursive: true, mode: 0o700 });
      written(meshFile(folder, name, 'mesh'), bytes);
      written(meshFile(folder, name, 'json'), Buffer.from(JSON.stringify({ triangles, sizeMm, volumeL })));
      flushed(meshFolder(folder));
    },
    async keepAll(meshes, figures) {
      for (const [name, bytes] of meshes) await this.keep(name, bytes, figures.get(name)!);
    },
    holdFor({ options, now }, optionId) {
      const option = options.find((o) => o.id === optionId);
      if (!option) return;
      // What stands there is measured with every option.
      const wanted = new Set(scansOf({ options: [option], now }).map((s) => s.mesh));
      for (const name of wanted) if (!isHeld(name)) holdMesh(name, meshOfBytes(bytesOf(name)), wanted);
    },
  };
}

/** Written beside, by each thread for itself, brought to the disk, then given its name: a file under its name is whole. */
function written(file: string, bytes: Uint8Array): void {
  const beside = `${file}.part-${threadId}`;
  const handle = openSync(beside, 'w', 0o600);
  try {
    let at = 0;
    while (at < bytes.byteLength) at += writeSync(handle, bytes, at);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  renameSync(beside, file);
}

/** The names in a folder are on the disk too. */
function flushed(folder: string): void {
  const handle = openSync(folder, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** A mesh that has just been brought in is not named by any commission yet, ms. */
const NEW_MS = 86_400_000;

/** Names of meshes that lie there for longer than a day and are not among those that are wanted. */
export async function unwantedMeshes(folder: string, wanted: ReadonlySet<string>, now = Date.now()) {
  const files = await readdir(meshFolder(folder)).catch(() => []);
  const old: string[] = [];
  for (const file of files) {
    const [name, part] = file.split('.');
    if (part !== 'json' || wanted.has(name)) continue;
    const { mtimeMs } = await stat(join(meshFolder(folder), file));
    if (now - mtimeMs > NEW_MS) old.push(name);
  }
  return old;
}

/** The figures go first: without them nobody counts on the rest. */
export async function deleteMesh(folder: string, name: string): Promise<void> {
  for (const part of ['json', 'drawn', 'mesh'] as const)
    await rm(meshFile(folder, name, part), { force: true });
}
