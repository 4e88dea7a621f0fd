import { copyFile, mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import request from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { example } from '../core/testing/scape';
import { backUp, backupFolder, backupsIn } from './store/backups';
import { openStore } from './store/store';
import { testServer, type TestServer } from './testing';

let b: TestServer;
beforeEach(async () => void (b = await testServer()));
afterEach(() => b.close());
const api = () => request(b.app);
const erase = async (name: string) =>
  (await api().post('/api/clients/erase').send({ name }).expect(200)).body;

async function commissionOf(name: string, more: object = {}): Promise<string> {
  const doc = { ...structuredClone(example('held-root')), ...more };
  doc.brief.client = { name, contact: `${name} by telephone` };
  return (await api().post('/api/commissions').send(doc).expect(201)).body.id;
}

/** Files below the data folder in which a word stands, asked of the bytes by the test itself. */
async function filesSaying(word: string): Promise<string[]> {
  const all = await readdir(b.folder, { recursive: true, withFileTypes: true });
  const files = all.filter((e) => e.isFile()).map((e) => join(e.parentPath, e.name));
  const found = await Promise.all(files.map(async (f) => ((await readFile(f)).includes(word) ? [f] : [])));
  return found.flat();
}

describe('erasing a client', () => {
  it('goes by the person in every file: backups of any age, what was replaced, names in another case', async () => {
    const id = await commissionOf('Ms Quillfeather', { title: 'For Ms Quillfeather' });
    await commissionOf(' ms  quillfeather', { somewhere: 'Ms Quillfeather' });
    const first = await backUp(b.folder, new Date('2026-11-01T10:00:00Z'));
    await backUp(b.folder, new Date('2026-11-02T10:00:00Z'));
    const aside = join(b.folder, 'replaced', '2026-11-03T10-00-00-000Z');
    await mkdir(aside, { recursive: true });
    await copyFile(first, join(aside, 'utsuwa.db'));
    // Cut off while it was made, and left.
    await copyFile(first, `${first}.part`);
    expect((await filesSaying('Quillfeather')).length).toBeGreaterThan(4);
    await b.store.close();
    const again = await openStore(b.folder);
    await again.close();
    expect(await filesSaying('Quillfeather')).not.toContain(`${first}.part`);
    b = await testServer(b.folder);
    const { erased, left } = await erase('MS QUILLFEATHER');
    expect(erased).toHaveLength(2);
    expect(erased).toContain(id);
    expect(left).toEqual([]);
    expect(await filesSaying('Quillfeather')).toEqual([]);
    expect(await backupsIn(b.folder)).toHaveLength(2);
  });

  it('finds them in a backup where the living data has never had them', async () => {
    await commissionOf('Mr Spindlewood');
    const file = await backUp(b.folder, new Date('2026-11-01T10:00:00Z'));
    const elsewhere = await testServer();
    await mkdir(backupFolder(elsewhere.folder), { recursive: true });
    await copyFile(file, join(backupFolder(elsewhere.folder), basename(file)));
    await b.close();
    b = elsewhere;
    expect(await filesSaying('Spindlewood')).toHaveLength(1);
    expect(await erase('Mr Spindlewood')).toEqual({ erased: [], left: [] });
    expect(await filesSaying('Spindlewood')).toEqual([]);
    expect(await backupsIn(b.folder)).toHaveLength(1);
  });

  it('takes a database of an earlier version as it is', async () => {
    await mkdir(backupFolder(b.folder), { recursive: true });
    const older = join(backupFolder(b.folder), 'utsuwa-2026-10-01.db');
    await copyFile(join(import.meta.dirname, 'store', 'fixtures', 'of-2026-11.db'), older);
    const client = createClient({ url: pathToFileURL(older).href });
    await client.execute(`UPDATE commissions SET client = 'Mr Spindlewood', document = json_set(document, '$.brief.client', json('{"name":"Mr Spindlewood"}')) WHERE title = 'Level cube'`); // prettier-ignore
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    client.close();
    expect(await filesSaying('Spindlewood')).toEqual([older]);
    expect(await erase('mr spindlewood')).toEqual({ erased: [], left: [] });
    expect(await filesSaying('Spindlewood')).toEqual([]);
    const { rows } = await createClient({ url: pathToFileURL(older).href }).execute('SELECT title FROM commissions ORDER BY title'); // prettier-ignore
    expect(rows.map((row) => row[0])).toEqual(['Erased commission', 'Held root, second look', 'Put away']);
  });

  it('says where the name stands still, and what to do', async () => {
    await commissionOf('Ms Quillfeather');
    await commissionOf('Mr Fir', {
      title: 'Fir, office',
      log: [{ id: 'l', date: '2027-01-02', text: 'as at Ms Quillfeather’s' }],
    });
    await writeFile(join(b.folder, 'own list.txt'), 'call ms quillfeather');
    const { left } = await erase('Ms Quillfeather');
    expect(left).toEqual([
      '“Fir, office” still says something of it: open it and change it there.',
      'own list.txt still has a word of it: another commission in it says it. Delete the file if it may go.',
    ]);
  });

  it('does not take a short name for part of a longer word', async () => {
    await commissionOf('Lee');
    await commissionOf('Mr Fir', { title: 'Leeds, asleep' });
    expect((await erase('Lee')).left).toEqual([]);
  });
});
