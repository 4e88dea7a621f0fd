import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Material } from '../../core/commission/schema';
import { readStudio, writeStudio } from './studio';
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

describe('the studio', () => {
  it('keeps a catalogue of twenty thousand in order, and another in its place', async () => {
    const studio = (count: number) => ({ name: 'Fenwick Row', currency: 'GBP', catalogue: { materials: materials(count), plants: [], suppliers: [] }, yard: [] }); // prettier-ignore
    await writeStudio(store, studio(20_000));
    const read = await readStudio(store);
    expect(read.name).toBe('Fenwick Row');
    expect(read.catalogue.materials).toEqual(materials(20_000));
    await writeStudio(store, studio(3));
    expect((await readStudio(store)).catalogue.materials.map((m) => m.id)).toEqual(['m-0', 'm-1', 'm-2']);
  });
});
