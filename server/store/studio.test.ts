import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Material } from '../../core/commission/schema';
import type { Studio } from '../../core/catalogue/studio';
import { addMissing, AT_ONCE, dropEntry, entryOf, keepEntry, listed } from './lists';
import { keepHouse, readStudio, writeStudio } from './studio';
import { openStore, type Store } from './store';

let folder: string;
let store: Store;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'utsuwa-studio-'));
  store = await openStore(folder);
});
afterEach(async () => {
  await store.close();
  await rm(folder, { recursive: true });
});

const materials = (count: number): Material[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `m-${i}`,
    kind: 'stone',
    name: `Stone “${i}”`,
    densityKgPerL: 2.6,
  }));

const studioOf = (count: number, rest: Partial<Studio> = {}): Studio => ({ name: 'Fenwick Row', currency: 'GBP', catalogue: { materials: materials(count), plants: [], suppliers: [] }, yard: [], ...rest }); // prettier-ignore
const idsOf = (list: readonly unknown[]) => list.map((entry) => (entry as Material).id);

describe('the studio', () => {
  it('keeps a catalogue of twenty thousand in order, gives its first at once, and takes another in its place', async () => {
    const yard = [{ id: 'S-1', material: 'm-19000', shape: { kind: 'ellipsoid' as const, sizeMm: [90, 80, 70] as [number, number, number] } }]; // prettier-ignore
    await writeStudio(store, studioOf(20_000, { yard }));
    const read = await readStudio(store);
    expect([read.name, read.counts.materials]).toEqual(['Fenwick Row', 20_000]);
    // What a piece of the yard is of comes with it.
    expect(idsOf(read.catalogue.materials)).toEqual([...idsOf(materials(AT_ONCE)), 'm-19000']);
    await writeStudio(store, studioOf(3));
    expect(idsOf((await readStudio(store)).catalogue.materials)).toEqual(['m-0', 'm-1', 'm-2']);
  });

  it('is asked by words of a name, row by row', async () => {
    await writeStudio(store, studioOf(20_000));
    const found = await listed(store, 'materials', { q: 'STONE 1999', from: 0, limit: 60 });
    expect([found.total, ...idsOf(found.entries)]).toEqual([12, 'm-1999', 'm-11999', ...Array.from({ length: 10 }, (_, i) => `m-1999${i}`)]); // prettier-ignore
    const page = await listed(store, 'materials', { q: '', from: 40, limit: 2 });
    expect([page.total, ...idsOf(page.entries)]).toEqual([20_000, 'm-40', 'm-41']);
    expect((await listed(store, 'materials', { q: '%', from: 0, limit: 9 })).total).toBe(0);
    expect(await entryOf<Material>(store, 'materials', 'm-777')).toEqual(materials(778)[777]);
  });

  it('is given what it does not have yet, and what it changed stays', async () => {
    await writeStudio(store, studioOf(2));
    const own = { ...materials(1)[0], name: 'Ours' };
    await keepEntry(store, 'materials', own);
    expect(await addMissing(store, 'materials', [...materials(3), ...materials(1)])).toBe(1);
    const { materials: now } = (await readStudio(store)).catalogue;
    expect(now.map((m) => m.name)).toEqual(['Ours', 'Stone “1”', 'Stone “2”']);
    expect([await dropEntry(store, 'materials', 'm-1'), await dropEntry(store, 'materials', 'm-1')]).toEqual([true, false]); // prettier-ignore
  });

  it('has a house of its own, which leaves its lists alone', async () => {
    await writeStudio(store, studioOf(2));
    await keepHouse(store, { name: 'Fenwick Row', currency: 'USD', locale: 'en-US', crew: 2 });
    const read = await readStudio(store);
    expect([read.currency, read.locale, read.crew, read.catalogue.materials.length]).toEqual(['USD', 'en-US', 2, 2]); // prettier-ignore
  });
});
