import { existsSync } from 'node:fs';
import { chmod, copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { connect, type Connection } from './connection';
import { DATABASE, ownFile } from './folder';

/*
 * Copies of the database, made by SQLite's own means while it is in use, each opened and read through before
 * it counts. Kept: the last 3, the last of each of the last 7 days, the last of each of the last 4 weeks, and the last 3
 * that were made before a migration.
 */

const LATEST_KEPT = 3;
const DAYS_KEPT = 7;
const WEEKS_KEPT = 4;
const MIGRATIONS_KEPT = 3;

export interface Backup {
  file: string;
  /** `YYYY-MM-DD`, in UTC. */
  day: string;
  /** `HHMM` in UTC; the first of a day has none. */
  time?: string;
  before?: string;
}

const NAME = /^utsuwa-(\d{4}-\d{2}-\d{2})(?:T(\d{4}))?(?:-before-([\w-]+))?\.db$/;

export function backupFolder(folder: string): string {
  return join(folder, 'backups');
}

/** The backups of a folder, the newest first; of one day the one before a migration last. */
export async function backupsIn(folder: string): Promise<Backup[]> {
  const names = await readdir(backupFolder(folder)).catch(() => []);
  return names
    .flatMap((name): Backup[] => {
      const [, day, time, before] = NAME.exec(name) ?? [];
      const file = join(backupFolder(folder), name);
      return day ? [{ file, day, ...(time ? { time } : {}), ...(before ? { before } : {}) }] : [];
    })
    .sort((a, b) => b.day.localeCompare(a.day) || Number(!!a.before) - Number(!!b.before) || (b.time ?? '').localeCompare(a.time ?? '')); // prettier-ignore
}

/** When the newest backup was made, ISO 8601; undefined where there is none. */
export async function lastBackupAt(folder: string): Promise<string | undefined> {
  const made = await Promise.all((await backupsIn(folder)).map(({ file }) => stat(file).then((s) => s.mtime, () => undefined)));
  const [last] = made.filter((m) => m !== undefined).sort((a, b) => b.getTime() - a.getTime());
  return last?.toISOString();
} // prettier-ignore

export interface BackUp {
  /** Names the migration that follows. */
  before?: string;
  /** Nothing makes way for it: the clock may be wrong, by which it would be chosen what goes. */
  keepAll?: boolean;
}

/** Makes a backup and verifies it. Returns its file: the first of a day by the day alone, further ones by their minute too. */
export async function backUp(folder: string, now: Date, { before, keepAll }: BackUp = {}): Promise<string> {
  const day = now.toISOString().slice(0, 10);
  const to = backupFolder(folder);
  await mkdir(to, { recursive: true, mode: 0o700 });
  const isFirst = !(await backupsIn(folder)).some((b) => b.day === day && !b.before);
  const minute = before || isFirst ? '' : `T${now.toISOString().slice(11, 16).replace(':', '')}`;
  const file = join(to, `utsuwa-${day}${minute}${before ? `-before-${before}` : ''}.db`);
  const unverified = `${file}.part`;
  await rm(unverified, { force: true });
  await ownFile(unverified);
  // A thread and a connection of its own: saves go on meanwhile.
  await within(join(folder, DATABASE), (source) => source.copyTo(unverified));
  const faults = await within(unverified, (copy) => copy.check(true));
  if (faults.length > 0) {
    await rm(unverified, { force: true });
    throw new Error(`The backup of ${day} could not be read back: ${faults[0]}`);
  }
  await rename(unverified, file);
  await chmod(file, 0o600);
  if (!keepAll) await thin(folder);
  return file;
}

/** Makes today's backup if there is none yet. */
export async function backUpDaily(folder: string, now: Date, how: BackUp = {}): Promise<string | undefined> {
  const day = now.toISOString().slice(0, 10);
  if ((await backupsIn(folder)).some((b) => b.day === day && !b.before)) return undefined;
  return backUp(folder, now, how);
}

/** Which backups the rule lets go. The list is the newest first. */
export function surplus(list: readonly Backup[]): Backup[] {
  const all = list.filter((b) => !b.before);
  const daily = all.filter((b, i) => all.findIndex((other) => other.day === b.day) === i);
  const kept = new Set<Backup>([...all.slice(0, LATEST_KEPT), ...daily.slice(0, DAYS_KEPT)]);
  const weeks = new Set<number>();
  for (const backup of daily) {
    const week = weekOf(backup.day);
    if (weeks.has(week) || weeks.size >= WEEKS_KEPT) continue;
    weeks.add(week);
    kept.add(backup);
  }
  list
    .filter((b) => b.before)
    .slice(0, MIGRATIONS_KEPT)
    .forEach((b) => kept.add(b));
  return list.filter((b) => !kept.has(b));
}

/** Whole weeks, Monday to Sunday, since 5 January 1970, the first Monday of that count. */
function weekOf(day: string): number {
  return Math.floor((Date.parse(`${day}T00:00:00Z`) / 86_400_000 - 4) / 7);
}

async function thin(folder: string): Promise<void> {
  for (const { file } of surplus(await backupsIn(folder))) await rm(file, { force: true });
}

/** A connection for one piece of work. */
export async function within<T>(file: string, work: (db: Connection) => Promise<T>): Promise<T> {
  const db = connect(file, { readOnly: true });
  try {
    return await work(db);
  } finally {
    await db.close();
  }
}

/**
 * Takes the same out of every backup that was taken out of the database: what is erased must not come back
 * with one. A backup that cannot be opened is of no use and goes.
 */
export async function inEveryBackup(folder: string, work: (db: Connection) => Promise<void>): Promise<void> {
  for (const { file } of await backupsIn(folder)) {
    const db = connect(file);
    try {
      await work(db);
      await db.scrub();
    } catch {
      await rm(file, { force: true });
    } finally {
      await db.close();
    }
    for (const rest of ['-wal', '-shm']) await rm(`${file}${rest}`, { force: true });
  }
}

/**
 * Puts a backup in the place of the database. What was there is kept beside it and its new name returned. Whenever it is
 * cut off, the folder has the one or the other, whole: the old is copied, not moved, and the new takes its name at once.
 * The folder must have been claimed.
 */
export async function restore(folder: string, file: string, now = new Date()): Promise<string | undefined> {
  const faults = await within(file, (db) => db.check(true));
  if (faults.length > 0) throw new Error(`${basename(file)} is damaged itself: ${faults[0]}`);
  const database = join(folder, DATABASE);
  // Copied before anything is changed: a disk that fills up meanwhile leaves everything as it was.
  const fresh = `${database}.new`;
  await ownFile(fresh);
  await copyFile(file, fresh);
  await chmod(fresh, 0o600);
  if (!existsSync(database)) {
    await rename(fresh, database);
    return undefined;
  }
  await emptiedLog(database);
  const aside = join(folder, 'replaced', now.toISOString().replace(/[:.]/g, '-'));
  await mkdir(aside, { recursive: true, mode: 0o700 });
  for (const ending of ['', '-wal', '-shm'])
    if (existsSync(`${database}${ending}`))
      await copyFile(`${database}${ending}`, join(aside, `${DATABASE}${ending}`));
  // A log of the old one must not be taken for one of the new; what it had is in the file by now.
  for (const ending of ['-wal', '-shm']) await rm(`${database}${ending}`, { force: true });
  await rename(fresh, database);
  return aside;
}

/** What its log has goes into the file itself; a file that is damaged is left as it is. */
async function emptiedLog(database: string): Promise<void> {
  const db = connect(database);
  await db.checkpoint().catch(() => {});
  await db.close();
}
