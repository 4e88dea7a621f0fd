import { spawn } from 'node:child_process';
import { copyFile, mkdir, mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import sharp from 'sharp';
import { built, serverOn } from '../e2e/server';
import { backUp } from '../server/store/backups';
import { columnsOf } from '../server/store/columns';
import { createCommission } from '../server/store/commissions';
import { openStore } from '../server/store/store';
import { created, inFolder, pause, titled } from './http';
import { result, type Result } from './result';

/*
 * Kills in the middle of what else must be whole or not there at all: creations with their pictures, backups,
 * migrations, restores. Saves have a measurement of their own (`kills.ts`).
 */

const root = join(import.meta.dirname, '..');
/** Rows of a database, as another program sees them. */
async function rowsIn(file: string, query: string): Promise<unknown[]> {
  const client = createClient({ url: pathToFileURL(file).href });
  try {
    return (await client.execute(query)).rows.map((row) => row[0]);
  } finally {
    client.close();
  }
}

/** Commissions made and pictures sent to them until so many of both were confirmed; each is looked for after every kill. */
export function killsDuringCreations(wanted: number, longestMs = 1_500): Promise<Result> {
  return inFolder(async (folder) => {
    const wrong: string[] = [];
    const confirmed: { id: string; picture?: string }[] = [];
    const count = () => confirmed.reduce((n, c) => n + (c.picture ? 2 : 1), 0);
    let kills = 0;
    while (count() < wanted) {
      const server = await serverOn(folder);
      const make = async (n: number) => {
        for (;;) {
          const one: { id: string; picture?: string } = { id: await created(server.url, titled(`made ${n}`)) };
          confirmed.push(one);
          const answer = await fetch(`${server.url}/api/commissions/${one.id}/pictures`, { method: 'POST', body: new Uint8Array(await pictureOf(n++)) });
          if (answer.status === 201) one.picture = ((await answer.json()) as { id: string }).id;
          else wrong.push(`picture: ${answer.status}`);
        }
      }; // prettier-ignore
      // A connection that breaks is the kill.
      const clients = [1, 2, 3].map((k) => make(k * 1_000 + confirmed.length).catch(() => {}));
      const before = confirmed.length;
      while (confirmed.length === before) await pause(10);
      await pause(longestMs * Math.random());
      await server.stop('SIGKILL');
      kills++;
      await Promise.all(clients);
      const there = new Set(await rowsIn(join(folder, 'utsuwa.db'), 'SELECT id FROM commissions'));
      const pictures = new Set(await rowsIn(join(folder, 'utsuwa.db'), `SELECT commission_id || ' ' || id FROM pictures`)); // prettier-ignore
      for (const { id, picture } of confirmed) {
        if (!there.has(id)) wrong.push(`${id} was confirmed and is not there`);
        if (picture && !pictures.has(`${id} ${picture}`))
          wrong.push(`picture ${picture} of ${id} is not there`);
      }
    }
    return result('kills during creations and uploads', { confirmed: count(), kills, lost: wrong.length }, '0 lost', wrong); // prettier-ignore
  });
}

/** Pictures that differ, so that each is kept. */
const pictureOf = (n: number) =>
  sharp({ create: { width: 64, height: 48, channels: 3, background: { r: n % 256, g: (n >> 3) % 256, b: 90 } } }).png().toBuffer(); // prettier-ignore

/** The server killed at any moment of its start on a database of an earlier version, then started once in peace. */
export async function killsDuringMigrations(kills: number): Promise<Result> {
  const wrong: string[] = [];
  const fixture = join(root, 'server', 'store', 'fixtures', 'of-2026-11.db');
  for (let n = 0; n < kills; n++)
    await inFolder(async (folder) => {
      const file = join(folder, 'utsuwa.db');
      await copyFile(fixture, file);
      await killedAfter(built('server/main'), [], folder, 900 * Math.random());
      const server = await serverOn(folder).catch(
        (error: Error) => void wrong.push(`${n}: ${error.message}`),
      );
      await server?.stop('SIGKILL');
      const titles = await rowsIn(file, 'SELECT title FROM commissions ORDER BY title');
      if (titles.join() !== 'Held root, second look,Level cube,Put away') wrong.push(`${n}: has ${titles.join() || 'nothing'}`); // prettier-ignore
    });
  return result('kills during migrations', { kills, lost: wrong.length }, '0 lost, each starts', wrong);
}

/** The server killed while it makes the first backup of a day, of a database that takes a while. */
export async function killsDuringBackups(kills: number): Promise<Result> {
  const wrong: string[] = [];
  const made = await filled(400, 'kept');
  try {
    for (let n = 0; n < kills; n++)
      await inFolder(async (folder) => {
        await copyFile(join(made, 'utsuwa.db'), join(folder, 'utsuwa.db'));
        const server = await serverOn(folder);
        await pause(500 * Math.random());
        await server.stop('SIGKILL');
        for (const name of await readdir(join(folder, 'backups')).catch(() => []))
          if (name.endsWith('.db')) {
            const [fault] = await rowsIn(join(folder, 'backups', name), 'PRAGMA integrity_check').catch((e: Error) => [e.message]); // prettier-ignore
            if (fault !== 'ok') wrong.push(`${n}: ${name} is ${String(fault)}`);
          }
        const again = await serverOn(folder);
        await again.stop('SIGTERM');
        const left = (await readdir(join(folder, 'backups'))).filter((name) => !name.endsWith('.db'));
        if (left.length > 0) wrong.push(`${n}: left ${left.join()}`);
        const [rows] = await rowsIn(join(folder, 'utsuwa.db'), 'SELECT count(*) FROM commissions');
        if (rows !== 400) wrong.push(`${n}: has ${String(rows)} of 400`);
      });
  } finally {
    await rm(made, { recursive: true, force: true });
  }
  return result('kills during backups', { kills, wrong: wrong.length }, '0 lost, 0 left behind', wrong);
}

/** A restore killed at any moment: the folder has what was there or what was put in its place, whole. */
export async function killsDuringRestores(kills: number): Promise<Result> {
  const wrong: string[] = [];
  const [before, backup] = [await filled(120, 'before'), await filled(80, 'backup')];
  const file = await backUp(backup, new Date('2026-11-20T12:00:00Z'));
  const found: Record<string, number> = { before: 0, backup: 0 };
  try {
    for (let n = 0; n < kills; n++)
      await inFolder(async (folder) => {
        await copyFile(join(before, 'utsuwa.db'), join(folder, 'utsuwa.db'));
        await mkdir(join(folder, 'backups'));
        // What was confirmed last stands in the log alone.
        const server = await serverOn(folder);
        await created(server.url, titled('before'));
        await server.stop('SIGKILL');
        await killedAfter(built('server/restore'), [file], folder, 700 * Math.random());
        const again = await serverOn(folder).catch((error: Error) => void wrong.push(`${n}: ${error.message}`));
        await again?.stop('SIGKILL');
        const titles = await rowsIn(join(folder, 'utsuwa.db'), 'SELECT title FROM commissions');
        const whole = titles.every((t) => t === titles[0]) && titles.length === (titles[0] === 'before' ? 121 : 80);
        if (!whole) wrong.push(`${n}: has ${titles.length} of ${String(titles[0])}`);
        found[String(titles[0])]++;
      }); // prettier-ignore
  } finally {
    for (const folder of [before, backup]) await rm(folder, { recursive: true, force: true });
  }
  return result('kills during restores', { kills, ...found, lost: wrong.length }, '0 lost', wrong);
}

/** A folder with so many commissions of one title. */
async function filled(count: number, title: string): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-filled-'));
  const store = await openStore(folder);
  for (let n = 0; n < count; n++) await createCommission(store, columnsOf(titled(title)));
  await store.scrub();
  await store.close();
  return folder;
}

/** Runs a program of the server on a folder and kills it after so long; one that ended before that is as well. */
async function killedAfter(file: string, words: string[], folder: string, ms: number): Promise<void> {
  await writeFile(join(folder, '.begun'), '');
  const child = spawn(process.execPath, [file, ...words], { env: { ...process.env, UTSUWA_DATA: folder, PORT: '0' }, stdio: 'ignore' }); // prettier-ignore
  const ended = new Promise((resolve) => child.on('close', resolve));
  await Promise.race([ended, pause(ms)]);
  child.kill('SIGKILL');
  await ended;
}
