import { chmod, mkdir, open, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client/sqlite3';

/*
 * The folder of a studio's data belongs to one process at a time. The claim is a lock of the operating
 * system on a file beside the database: it dies with its process, however that ends.
 */

const CLAIM = 'utsuwa.lock';
const HOLDER = 'utsuwa.holder.json';
export const DATABASE = 'utsuwa.db';

/** Who has the folder. */
export interface Holder {
  pid: number;
  since: string;
  url?: string;
}

/** Another process has the folder. */
export class FolderTaken extends Error {}

export interface Claim {
  /** Tells others where this one is to be found. */
  announce(url: string): Promise<void>;
  release(): Promise<void>;
}

/**
 * Claims a folder for this process; makes it, readable by its owner alone, where it is not there yet.
 *
 * @throws FolderTaken with who has it; an Error in words when nothing can be written there
 */
export async function claimFolder(folder: string): Promise<Claim> {
  const file = join(folder, CLAIM);
  await made(folder, file).catch((error: NodeJS.ErrnoException) => {
    throw new Error(cannotBeUsed(folder, error.code), { cause: error });
  });
  const client = createClient({ url: pathToFileURL(file).href, concurrency: 1 });
  const held = await client.transaction('write').catch(() => undefined);
  if (!held) {
    client.close();
    throw new FolderTaken(takenBy(folder, await holderOf(folder)));
  }
  const holder: Holder = { pid: process.pid, since: new Date().toISOString() };
  const tell = (who: Holder) => writeFile(join(folder, HOLDER), JSON.stringify(who), { mode: 0o600 });
  await tell(holder);
  return {
    announce: (url) => tell({ ...holder, url }),
    release: async () => {
      await rm(join(folder, HOLDER), { force: true });
      held.close();
      client.close();
    },
  };
}

async function made(folder: string, claim: string): Promise<void> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  await chmod(folder, 0o700);
  await ownFile(claim);
}

const WHY: Record<string, string> = {
  EROFS: 'the disk is read-only',
  EACCES: 'it belongs to somebody else',
  EPERM: 'it belongs to somebody else',
  ENOSPC: 'the disk is full',
  EEXIST: 'it is a file',
  ENOTDIR: 'a part of its path is a file',
};

function cannotBeUsed(folder: string, code = 'unknown'): string {
  return `UTSUWA_DATA: ${folder} cannot be written: ${WHY[code] ?? code}. Nothing was changed: make it writable, or name another folder.`;
}

async function holderOf(folder: string): Promise<Holder | undefined> {
  try {
    return JSON.parse(await readFile(join(folder, HOLDER), 'utf8')) as Holder;
  } catch {
    return undefined;
  }
}

function takenBy(folder: string, holder: Holder | undefined): string {
  const who = holder
    ? ` by process ${holder.pid} since ${holder.since}${holder.url ? `, which answers at ${holder.url}` : ''}`
    : '';
  return `UTSUWA_DATA: ${folder} is in use${who}. Two at once would overwrite each other: use that one, stop it first, or name another folder.`;
}

/** Makes a file that only its owner can read, or makes the one that is there so. */
export async function ownFile(file: string): Promise<void> {
  const handle = await open(file, 'a', 0o600);
  await handle.close();
  await chmod(file, 0o600);
}

/** Everything that lies beside the database, made readable by its owner alone. */
export async function closeToOthers(folder: string): Promise<void> {
  for (const entry of await readdir(folder, { withFileTypes: true }))
    if (entry.isFile() && entry.name.startsWith('utsuwa.')) await chmod(join(folder, entry.name), 0o600);
}
