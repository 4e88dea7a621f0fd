import { mkdir, mkdtemp, readdir, readFile, rename, rm, symlink, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { example } from '../../../core/testing/scape';
import { columnsOf } from '../columns';
import { createCommission, listCommissions } from '../commissions';
import { openStore, type Store } from '../store';
import { hasEngine } from './engine';
import { fromReplica } from './fromReplica';

let home: string;
beforeAll(async () => void (home = await mkdtemp(join(tmpdir(), 'utsuwa-replica-'))));
afterAll(() => rm(home, { recursive: true, force: true }));

/** A folder for a studio and one for its replica. */
async function places(name: string) {
  const [folder, to] = [join(home, name), join(home, `${name}-replica`)];
  await Promise.all([folder, to].map((f) => mkdir(f)));
  return { folder, to };
}
const add = (store: Store, title: string) => createCommission(store, columnsOf({ ...example('held-root'), title })); // prettier-ignore
async function titlesIn(folder: string): Promise<string[]> {
  const store = await openStore(folder);
  const { commissions } = await listCommissions(store, {});
  await store.close();
  return commissions.map((c) => c.title).sort();
}
/** Waits until something has been brought over after a moment. */
async function broughtAfter(store: Store, since: string): Promise<void> {
  while ((store.replica()?.lastAt ?? '') <= since) await soon();
}
/** The disk goes, and it is noticed. What was in hand in that moment may still be put where it was; from then on nothing is. */
async function pulled(store: Store, to: string): Promise<void> {
  await rename(to, `${to}-pulled`);
  while (store.replica()?.fault === undefined) await soon();
  await rm(to, { recursive: true, force: true });
  await mkdir(to);
}
/** It comes back, over whatever is in its place. */
async function putBack(to: string): Promise<void> {
  await rm(to, { recursive: true, force: true });
  await rename(`${to}-pulled`, to);
}
const soon = () => new Promise((resolve) => setTimeout(resolve, 50));
describe.runIf(hasEngine())('a replica', () => {
  it('follows what is written, and gives back how it was last and at a time, scans too', async () => {
    const { folder, to } = await places('followed');
    await mkdir(join(folder, 'meshes'));
    for (const part of ['mesh', 'json']) await writeFile(join(folder, 'meshes', `${'a'.repeat(32)}.${part}`), part); // prettier-ignore
    await writeFile(join(folder, 'meshes', `${'b'.repeat(32)}.mesh.part-1`), 'half');
    const store = await openStore(folder, { replica: to });
    let since = new Date().toISOString();
    await add(store, 'Hall');
    await broughtAfter(store, since);
    const then = new Date();
    since = then.toISOString();
    await add(store, 'Stair');
    await broughtAfter(store, since);
    await store.close();

    // The machine is gone: another one, another folder.
    await rm(folder, { recursive: true });
    const fresh = join(home, 'fresh');
    await mkdir(fresh);
    expect(await fromReplica(fresh, to)).toBeUndefined();
    expect(await titlesIn(fresh)).toEqual(['Hall', 'Stair']);
    expect((await readdir(join(fresh, 'meshes'))).sort()).toEqual([`${'a'.repeat(32)}.json`, `${'a'.repeat(32)}.mesh`]); // prettier-ignore
    // As it was between the two; what was there is kept.
    expect(await fromReplica(fresh, to, then)).toMatch(/replaced/);
    expect(await titlesIn(fresh)).toEqual(['Hall']);
    await expect(fromReplica(fresh, to, new Date('2020-01-01'))).rejects.toThrow(/Nothing was changed/);
    expect(await titlesIn(fresh)).toEqual(['Hall']);
    // It belongs to the folder that is gone: nobody else writes into it.
    await expect(openStore(fresh, { replica: to })).rejects.toThrow(/holds the replica of another folder/);
  });

  it('has nothing left of what was taken out for good', async () => {
    const { folder, to } = await places('erased');
    const store = await openStore(folder, { replica: to });
    await add(store, 'Hall of somebody who is to be forgotten');
    await broughtAfter(store, '');
    await store.write((db) => db.run('DELETE FROM commissions'));
    const since = new Date().toISOString();
    await store.scrub();
    await broughtAfter(store, since);
    await add(store, 'Stair');
    await store.close();
    // What was kept of the log beside the database goes where nobody follows it any more.
    expect(await readdir(folder)).toContain('.utsuwa.db-litestream');
    await titlesIn(folder);
    expect(await readdir(folder)).not.toContain('.utsuwa.db-litestream');
    const fresh = join(home, 'after');
    await mkdir(fresh);
    await fromReplica(fresh, to);
    expect(await titlesIn(fresh)).toEqual(['Stair']);
    expect(await readFile(join(fresh, 'utsuwa.db'), 'latin1')).not.toContain('to be forgotten');
    await expect(fromReplica(fresh, to, new Date(Date.parse(since) - 1_000))).rejects.toThrow(/Nothing was changed/); // prettier-ignore
  });

  it('stops where its disk has gone, says so once, and goes on when it is back', async () => {
    const { folder, to } = await places('pulled');
    const store = await openStore(folder, { replica: to });
    await add(store, 'Hall');
    await broughtAfter(store, '');
    await pulled(store, to);
    await add(store, 'Stair');
    // Nothing is written where the disk was.
    expect(await readdir(to)).toEqual([]);
    const since = new Date().toISOString();
    await putBack(to);
    await broughtAfter(store, since);
    expect(store.replica()?.fault).toBeUndefined();
    await store.close();
    const fresh = join(home, 'pulled-fresh');
    await mkdir(fresh);
    await fromReplica(fresh, to);
    expect(await titlesIn(fresh)).toEqual(['Hall', 'Stair']);
  });

  it('begins anew for what was deleted for good while its disk was away, or while nobody followed', async () => {
    for (const name of ['away', 'off']) {
      const { folder, to } = await places(name);
      let store = await openStore(folder, { replica: to });
      await add(store, 'Hall of somebody who is to be forgotten');
      await broughtAfter(store, '');
      if (name === 'away') await pulled(store, to);
      else {
        await store.close();
        store = await openStore(folder);
      }
      await store.write((db) => db.run('DELETE FROM commissions'));
      await store.scrub();
      if (name === 'away') await putBack(to);
      else {
        await store.close();
        store = await openStore(folder, { replica: to });
      }
      const since = new Date().toISOString();
      await add(store, 'Stair');
      await broughtAfter(store, since);
      await store.close();
      const fresh = join(home, `${name}-fresh`);
      await mkdir(fresh);
      await expect(fromReplica(fresh, to, new Date(Date.parse(since) - 1_000))).rejects.toThrow(/Nothing was changed/); // prettier-ignore
      await fromReplica(fresh, to);
      expect([name, await titlesIn(fresh)]).toEqual([name, ['Stair']]);
    }
  });

  it('wants a folder elsewhere that is there and is its own', async () => {
    const { folder, to } = await places('asked');
    const refused = (place: string, why: RegExp) => expect(openStore(folder, { replica: place })).rejects.toThrow(why); // prettier-ignore
    await refused('backup', /its whole path/);
    await refused(join(home, 'not-mounted'), /is not there. Nothing is replicated/);
    await refused(folder, /lies within the folder of the data/);
    await mkdir(join(folder, 'in'));
    await symlink(join(folder, 'in'), join(home, 'way-in'));
    await refused(join(home, 'way-in'), /lies within the folder of the data/);
    await writeFile(join(to, 'utsuwa.replica'), 'of another\n');
    await refused(to, /holds the replica of another folder/);
    // Refused, it has let go of the folder.
    await (await openStore(folder)).close();
    await expect(fromReplica(folder, home)).rejects.toThrow(/holds no replica/);
  });
});
