import { spawn } from 'node:child_process';
import { chmod, copyFile, mkdtemp, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { example } from '../core/testing/scape';
import { backUp, backupsIn, restore, surplus, type Backup } from '../server/store/backups';
import { columnsOf } from '../server/store/columns';
import { createCommission, getCommission, saveCommission } from '../server/store/commissions';
import { claimFolder } from '../server/store/folder';
import { openStore, type Store } from '../server/store/store';
import { commissions } from '../server/store/schema';

let folder: string;
let store: Store | undefined;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'utsuwa-keeping-'));
});
afterEach(async () => {
  await store?.close().catch(() => {});
  store = undefined;
  await rm(folder, { recursive: true, force: true });
});
const file = () => join(folder, 'utsuwa.db');
const kept = (title: string) => columnsOf({ ...example('level-cube'), title });
/** What another program sees in the file. */
async function seenElsewhere(query: string): Promise<unknown[]> {
  const client = createClient({ url: pathToFileURL(file()).href });
  const { rows } = await client.execute(query);
  client.close();
  return rows.map((row) => row[0]);
}

describe('a confirmed save', () => {
  it('is there for others, also after saves that another program’s lock made fail', async () => {
    process.env.UTSUWA_BUSY_MS = '400';
    store = await openStore(folder).finally(() => delete process.env.UTSUWA_BUSY_MS);
    const { id } = await createCommission(store, kept('before'));
    const other = createClient({ url: pathToFileURL(file()).href });
    const held = await other.transaction('write');
    await expect(saveCommission(store, id, 1, kept('while it was locked'))).rejects.toThrow(
      expect.objectContaining({ cause: expect.objectContaining({ kind: 'busy' }) }),
    );
    await held.rollback();
    other.close();
    for (let revision = 1; revision <= 12; revision++) {
      expect(await saveCommission(store, id, revision, kept(`save ${revision}`))).toMatchObject({
        saved: true,
      });
      expect(await seenElsewhere('SELECT title FROM commissions')).toEqual([`save ${revision}`]);
    }
  }, 30_000);

  it('waits for a lock that is held only for a moment', async () => {
    store = await openStore(folder);
    const { id } = await createCommission(store, kept('before'));
    const other = createClient({ url: pathToFileURL(file()).href });
    const held = await other.transaction('write');
    setTimeout(() => void held.rollback(), 700);
    expect(await saveCommission(store, id, 1, kept('after'))).toMatchObject({ saved: true, revision: 2 });
    other.close();
  });

  it('is all or nothing, and what failed says so without what was in it', async () => {
    store = await openStore(folder);
    const { id } = await createCommission(store, kept('Mrs Cedar'));
    const twice = {
      ...kept('Mrs Cedar'),
      id,
      revision: 1,
      createdAt: '',
      updatedAt: '',
      removedAt: null,
      erasedAt: null,
    };
    const failing = store.write((db) =>
      db.batch([db.update(commissions).set({ title: 'half' }), db.insert(commissions).values(twice)]),
    );
    const error = await failing.then(
      () => undefined,
      (e: unknown) => e as Error,
    );
    expect(String(error?.cause ?? error)).not.toContain('Cedar');
    expect((await getCommission(store, id))!.title).toBe('Mrs Cedar');
  });
});

describe('a folder', () => {
  it('is one process’s: a second is told who has it, and it is free as soon as that one is killed', async () => {
    const holder = spawn(process.execPath, ['--import', 'tsx', '-e',
      `import('./server/store/folder.ts').then(async (f) => { const c = await f.claimFolder(${JSON.stringify(folder)}); await c.announce('http://127.0.0.1:4680/'); console.log('held'); setInterval(() => {}, 1000); })`]); // prettier-ignore
    await new Promise((resolve) => holder.stdout.once('data', resolve));
    await expect(openStore(folder)).rejects.toThrow(
      new RegExp(
        `is in use by process ${holder.pid} since .*, which answers at http://127\\.0\\.0\\.1:4680/`,
      ),
    );
    const ended = new Promise((resolve) => holder.once('close', resolve));
    holder.kill('SIGKILL');
    await ended;
    store = await openStore(folder);
  });

  it('that cannot be written is refused in words', async () => {
    await writeFile(join(folder, 'taken'), 'a file');
    await expect(claimFolder(join(folder, 'taken'))).rejects.toThrow(
      /taken cannot be written: it is a file. Nothing was changed/,
    );
    await expect(claimFolder(join(folder, 'taken', 'below'))).rejects.toThrow(/a part of its path is a file/);
  });

  it('is one store’s within a process, too', async () => {
    const claim = await claimFolder(folder);
    await expect(claimFolder(folder)).rejects.toThrow('is in use');
    await claim.release();
    await (await claimFolder(folder)).release();
  });

  it('can be read by its owner alone, with all that is in it', async () => {
    await chmod(folder, 0o755);
    await writeFile(file(), '', { mode: 0o644 });
    store = await openStore(folder);
    await createCommission(store, kept('private'));
    await store.backUpDaily();
    const mode = async (path: string) => (await stat(path)).mode & 0o777;
    expect(await mode(folder)).toBe(0o700);
    const below = await readdir(folder, { withFileTypes: true, recursive: true });
    expect(below.filter((e) => e.isFile()).length).toBeGreaterThan(3);
    for (const entry of below)
      expect([entry.name, await mode(join(entry.parentPath, entry.name))]).toEqual([
        entry.name,
        entry.isDirectory() ? 0o700 : 0o600,
      ]);
  });
});

describe('a file that cannot be used', () => {
  it('of a newer version is refused in words and left as it is', async () => {
    store = await openStore(folder);
    await createCommission(store, kept('newer'));
    await store.write((db) =>
      db.run(sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)`),
    );
    await store.close();
    await expect(openStore(folder)).rejects.toThrow(/made by a newer Utsuwa. Nothing was changed/);
    expect(await seenElsewhere('SELECT title FROM commissions')).toEqual(['newer']);
  });

  it('with damaged pages is found at start, and the last backup is offered', async () => {
    store = await openStore(folder);
    for (let i = 0; i < 40; i++) await createCommission(store, kept(`number ${i}`));
    const backup = await backUp(folder, new Date('2026-11-20T12:00:00Z'));
    await store.scrub();
    await store.close();
    const bytes = await readFile(file());
    bytes.fill(0x5a, 8_192, bytes.length - 4_096);
    await writeFile(file(), bytes);
    const refused = openStore(folder);
    await expect(refused).rejects.toThrow(
      /is damaged .*Nothing was changed.*The last backup is of 2026-11-20/,
    );
    await expect(refused).rejects.toThrow(`npm run restore -- ${backup}`);
    const aside = await restore(folder, backup);
    expect((await readFile(join(aside!, 'utsuwa.db'))).equals(bytes)).toBe(true);
    store = await openStore(folder);
    expect(await seenElsewhere('SELECT count(*) FROM commissions')).toEqual([40]);
  });
});

describe('backups', () => {
  it('are made while saves go on, one a day, and hold what was confirmed', async () => {
    store = await openStore(folder);
    const { id } = await createCommission(store, kept('first'));
    let revision = 1;
    let going = true;
    const saving = (async () => {
      while (going)
        revision = (
          (await saveCommission(store!, id, revision, kept(`at ${revision}`))) as { revision: number }
        ).revision;
    })();
    const made = await store.backUpDaily();
    going = false;
    await saving;
    expect(await store.backUpDaily()).toBeUndefined();
    const copy = createClient({ url: pathToFileURL(made!).href });
    const { rows } = await copy.execute('SELECT title, revision FROM commissions');
    copy.close();
    expect(rows).toHaveLength(1);
    expect(Number(rows[0][1])).toBeLessThanOrEqual(revision);
    expect((await backupsIn(folder)).map((b) => b.file)).toEqual([made]);
  });

  it('are made before a migration, too', async () => {
    // As an earlier version left it, whatever has been added to the schema since.
    const older = join(import.meta.dirname, '..', 'server', 'store', 'fixtures', 'of-2026-11.db');
    await copyFile(older, file());
    store = await openStore(folder);
    const [backup] = await backupsIn(folder);
    expect(backup.before).toMatch(/^\d{4}_\w+$/);
    expect(await seenElsewhere('SELECT title FROM commissions ORDER BY title')).toEqual(['Held root, second look', 'Level cube', 'Put away']); // prettier-ignore
  });

  it('are kept by the rule: 7 days, 4 weeks, 3 before migrations', () => {
    const day = (n: number) => new Date(Date.UTC(2026, 10, 25 - n)).toISOString().slice(0, 10);
    const list: Backup[] = Array.from({ length: 60 }, (_, n) => ({ file: `d${n}`, day: day(n) }));
    for (let n = 0; n < 5; n++) list.push({ file: `m${n}`, day: day(n), before: `000${n}` });
    const gone = new Set(surplus(list).map((b) => b.file));
    const stay = list.filter((b) => !gone.has(b.file)).map((b) => b.file);
    // 25 November 2026 is a Wednesday: the newest of the three weeks before are Sundays, 3, 10 and 17 days ago.
    expect(stay).toEqual(['d0', 'd1', 'd2', 'd3', 'd4', 'd5', 'd6', 'd10', 'd17', 'm0', 'm1', 'm2']);
  });

  it('that are damaged are not put in place of anything', async () => {
    store = await openStore(folder);
    await createCommission(store, kept('good'));
    await store.close();
    const bad = join(folder, 'bad.db');
    await writeFile(bad, 'no database at all, but long enough to look like one'.repeat(200));
    await expect(restore(folder, bad)).rejects.toThrow();
    expect(await seenElsewhere('SELECT title FROM commissions')).toEqual(['good']);
  });
});
