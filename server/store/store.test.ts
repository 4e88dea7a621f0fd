import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { seedDemo } from '../../demo/seed';
import { example } from '../../core/testing/scape';
import { columnsOf } from './columns';
import { createCommission, getCommission, listCommissions, saveCommission } from './commissions';
import { openStore } from './store';
import { readStudio } from './studio';

/** What nobody holds any more is gone after it. */
function collectGarbage(): void {
  setFlagsFromString('--expose-gc');
  (runInNewContext('gc') as () => void)();
}

async function inFolder(work: (folder: string) => Promise<void>): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-store-'));
  await work(folder);
  await rm(folder, { recursive: true, force: true });
}

describe('the store', () => {
  it('keeps what it has over a restart', () =>
    inFolder(async (folder) => {
      const store = await openStore(folder);
      const { id } = await createCommission(store, columnsOf(example('held-root')));
      await saveCommission(store, id, 1, columnsOf({ ...example('held-root'), title: 'kept' }));
      await store.close();
      const again = await openStore(folder);
      expect(await getCommission(again, id)).toMatchObject({
        revision: 2,
        title: 'kept',
        buildDay: '2027-01-14',
      });
      await again.close();
    }));

  it('runs a hundred writes beside a hundred reads without one being refused', () =>
    inFolder(async (folder) => {
      const store = await openStore(folder);
      const work = Array.from({ length: 100 }, (_, i) => [
        createCommission(store, columnsOf({ ...example('level-cube'), title: `Cube ${i}` })),
        listCommissions(store, { search: 'cube' }),
      ]).flat();
      await Promise.all<unknown>(work);
      expect((await listCommissions(store, {})).total).toBe(100);
      await store.close();
    }));

  it('keeps no answer in memory once nobody has it any more', () =>
    inFolder(async (folder) => {
      const store = await openStore(folder);
      const answers: WeakRef<object>[] = [];
      const read = async () => void answers.push(new WeakRef(await store.db.values(sql`SELECT 1`)));
      for (let i = 0; i < 20; i++) await read();
      // What was read last may still stand on the stack.
      await listCommissions(store, {});
      collectGarbage();
      expect(answers.filter((a) => a.deref()).length).toBeLessThan(2);
      await store.close();
    }));

  it('is filled with the demo once, and leaves alone what is there', () =>
    inFolder(async (folder) => {
      const store = await openStore(folder);
      await seedDemo(store, '2026-11-25');
      await seedDemo(store, '2026-11-26');
      expect((await listCommissions(store, {})).commissions.map((c) => c.id).sort()).toEqual([
        'demo-arch',
        'demo-cliff',
        'demo-cube',
        'demo-desk',
        'demo-reading',
        'demo-rescape',
        'demo-root',
        'demo-valley',
        'demo-wall',
      ]);
      const studio = await readStudio(store);
      expect(studio.name).toBe('Fenwick Row Planted Interiors');
      expect(studio.catalogue.suppliers.map((s) => s.name)).toEqual([
        'Marl & Timber Yard',
        'Glasshouse Nine',
        'Brindle Dry Goods',
        'Quay Row Supplies',
      ]);
      expect(studio.yard.length).toBeGreaterThan(10);
      await store.close();
    }));
});
