import { copyFile, mkdir, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { MESH_NAME, meshFolder } from '../meshes';

/** A whole file of a scan: its name is the digest of what is in it, and what is being written has another ending. */
const isWhole = (file: string) => {
  const [name, part, ...more] = file.split('.');
  return MESH_NAME.test(name) && ['mesh', 'drawn', 'json'].includes(part) && more.length === 0;
};

const wholeIn = async (folder: string) => (await readdir(meshFolder(folder)).catch(() => [])).filter(isWhole);

/**
 * Copies the scans that one folder has and the other has not; they never change. The figures of one come last: where those
 * are, it is there. Returns how many files were copied.
 */
export async function scansOver(from: string, to: string): Promise<number> {
  const there = new Set(await wholeIn(to));
  const missing = (await wholeIn(from)).filter((file) => !there.has(file));
  if (missing.length === 0) return 0;
  await mkdir(meshFolder(to), { recursive: true, mode: 0o700 });
  const last = (file: string) => Number(file.endsWith('.json'));
  for (const file of missing.sort((a, b) => last(a) - last(b))) {
    const part = join(meshFolder(to), `${file}.part`);
    await copyFile(join(meshFolder(from), file), part);
    await rename(part, join(meshFolder(to), file));
  }
  return missing.length;
}

/** Takes away what the other folder has not any more. */
export async function scansTaken(from: string, to: string): Promise<void> {
  const kept = new Set(await wholeIn(from));
  for (const file of await wholeIn(to))
    if (!kept.has(file)) await rm(join(meshFolder(to), file), { force: true });
}
