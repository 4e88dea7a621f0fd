import { createGzip } from 'node:zlib';
import { createWriteStream } from 'node:fs';
import { mkdir, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pack } from 'tar-stream';
import { example } from '../../core/testing/scape';
import { columnsOf } from './columns';
import { createCommission, listCommissions } from './commissions';
import { openStore } from './store';
import { journalLines } from '../people/people';
import { studioIn, studioOut } from './wholeStudio';

let home: string;
beforeAll(async () => void (home = await mkdtemp(join(tmpdir(), 'utsuwa-whole-'))));
afterAll(() => rm(home, { recursive: true, force: true }));

/** A folder with commissions of these titles. */
async function studio(name: string, ...titles: string[]): Promise<string> {
  const folder = join(home, name);
  const store = await openStore(folder);
  for (const title of titles) await createCommission(store, columnsOf({ ...example('held-root'), title }));
  await store.close();
  return folder;
}
async function titlesIn(folder: string): Promise<string[]> {
  const store = await openStore(folder);
  const { commissions } = await listCommissions(store, {});
  await store.close();
  return commissions.map((c) => c.title).sort();
}
const SCAN = Buffer.from('triangles '.repeat(50_000));

describe('the whole studio as one file', () => {
  it('goes out while it is in use, and in on another folder, with its scans; what was there is kept', async () => {
    const from = await studio('from', 'Hall', 'Stair');
    await mkdir(join(from, 'meshes'));
    await writeFile(join(from, 'meshes', 'abc.mesh'), SCAN);
    await writeFile(join(from, 'secret'), 'x'.repeat(40));
    const file = join(home, 'out.studio');
    const store = await openStore(from);
    expect(await studioOut(from, file)).toMatchObject({ files: 2, isNoted: true });
    expect((await journalLines(store))[0]).toMatchObject({ what: 'studio-taken' });
    await store.close();
    await expect(studioOut(from, file)).rejects.toThrow('is there already');
    const to = await studio('to', 'Desk');
    const aside = await studioIn(to, file);
    expect(await titlesIn(to)).toEqual(['Hall', 'Stair']);
    expect(await readFile(join(to, 'meshes', 'abc.mesh'))).toEqual(SCAN);
    // What belongs to a machine does not travel.
    expect(await readdir(to)).not.toContain('secret');
    expect(await readdir(aside!)).toContain('utsuwa.db');
    expect((await readdir(to)).filter((n) => n.startsWith('.incoming'))).toEqual([]);
  });

  it('that is cut off, changed by a byte, or something else is refused, with nothing changed', async () => {
    const whole = await readFile(join(home, 'out.studio'));
    const there = await studio('there', 'Desk');
    const bad: Record<string, Buffer> = {
      cut: whole.subarray(0, whole.length >> 1),
      byte: Buffer.from(whole).fill(whole[whole.length >> 1] ^ 1, whole.length >> 1, (whole.length >> 1) + 1),
      text: Buffer.from('no archive at all'),
      empty: Buffer.alloc(0),
    };
    for (const [name, bytes] of Object.entries(bad)) {
      const file = join(home, `${name}.studio`);
      await writeFile(file, bytes);
      await expect(studioIn(there, file), name).rejects.toThrow(/is not the file of a studio: .* Nothing was changed/); // prettier-ignore
    }
    expect(await titlesIn(there)).toEqual(['Desk']);
  });

  it('with anything in it that a studio has not is refused: a way out of the folder, a link, a file without a digest', async () => {
    const there = await studio('still', 'Desk');
    const entries: [string, { name: string; type?: 'symlink' | 'file'; linkname?: string }][] = [
      ['out', { name: '../evil' }],
      ['absolute', { name: '/tmp/evil' }],
      ['deep', { name: 'meshes/../../evil' }],
      ['link', { name: 'meshes/abc', type: 'symlink', linkname: '/etc/passwd' }],
      ['unlisted', { name: 'utsuwa.db' }],
    ];
    for (const [name, header] of entries) {
      const file = join(home, `${name}.studio`);
      const tar = pack();
      if (header.type === 'symlink') tar.entry(header);
      else tar.entry(header, 'evil');
      tar.finalize();
      await pipeline(tar, createGzip(), createWriteStream(file));
      await expect(studioIn(there, file), name).rejects.toThrow('is not the file of a studio');
    }
    expect(await titlesIn(there)).toEqual(['Desk']);
    expect(await readdir(home)).not.toContain('evil');
  });
});
