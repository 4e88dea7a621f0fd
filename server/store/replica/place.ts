import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readFile, realpath, rm, stat, writeFile } from 'node:fs/promises';
import { isAbsolute, join, relative, sep } from 'node:path';

/*
 * Where a replica is kept: a folder of another disk or machine (one that is mounted). It belongs to one studio's folder; a second one that
 * wrote there too would make both useless.
 */

const OWNER = 'utsuwa.replica';
/** Of the studio's folder: by it a replica knows whose it is. */
const ID = 'utsuwa.replica-id';
/** In the studio's folder: something was deleted for good since the replica was made, and it has to begin anew. */
const STALE = 'utsuwa.replica-stale';

export const databaseIn = (place: string) => join(place, 'database');

/**
 * Looks whether a folder can hold the replica of another, and makes it so. Says in words what speaks for another one.
 *
 * @throws an Error that says what to do
 */
export async function claimPlace(folder: string, to: string): Promise<string[]> {
  const no = (why: string) => new Error(`UTSUWA_REPLICA: ${to} ${why}`);
  if (!isAbsolute(to)) throw no('is no folder by its whole path, like /media/backup/studio.');
  const [here, there] = [await stat(folder), await stat(to).catch(() => undefined)];
  // A disk that is not mounted would be an empty folder of this one, filled without anybody knowing.
  if (!there?.isDirectory()) throw no('is not there. Nothing is replicated before it is: mount the disk, or make the folder.');
  if (isWithin(await realpath(folder), await realpath(to))) throw no('lies within the folder of the data itself: name one on another disk.');
  const own = await ownId(folder);
  const known = await readFile(join(to, OWNER), 'utf8').catch(() => undefined);
  if (known !== undefined && known.trim() !== own)
    throw no('holds the replica of another folder. It is not written over: name an empty folder, or take that one away.');
  await mkdir(databaseIn(to), { recursive: true, mode: 0o700 }).catch(() => {
    throw no('cannot be written.');
  });
  await writeFile(join(to, OWNER), `${own}\n`, { mode: 0o600 });
  return here.dev === there.dev ? [`UTSUWA_REPLICA: ${to} is on the same disk as the data: it does not help when that one fails.`] : [];
} // prettier-ignore

/** Whether the replica of a folder is still where it was. */
export async function isOurs(folder: string, to: string): Promise<boolean> {
  const known = await readFile(join(to, OWNER), 'utf8').catch(() => undefined);
  return known !== undefined && known.trim() === (await ownId(folder));
}

/**
 * Notes that what a replica has must not be gone back to, be its disk here or away, be it followed now or only later again: a
 * client who was erased would come back with it. A folder that never had one has nothing to note.
 */
export async function outdated(folder: string): Promise<void> {
  if (existsSync(join(folder, ID))) await writeFile(join(folder, STALE), '', { mode: 0o600 });
}
export const isOutdated = (folder: string): boolean => existsSync(join(folder, STALE));
export const begunAnew = (folder: string): Promise<void> => rm(join(folder, STALE), { force: true });

const isWithin = (outer: string, inner: string) => !relative(outer, inner).startsWith(`..${sep}`) && relative(outer, inner) !== '..'; // prettier-ignore

async function ownId(folder: string): Promise<string> {
  const known = await readFile(join(folder, ID), 'utf8').catch(() => '');
  if (known.trim()) return known.trim();
  const made = randomBytes(12).toString('hex');
  await writeFile(join(folder, ID), `${made}\n`, { mode: 0o600 });
  return made;
}
