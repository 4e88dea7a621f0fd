import { copyFile, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { parseCommissionText } from '../../core/commission/parse';
import { plan } from '../../core/pipeline/plan';
import { getCommission, listCommissions, saveCommission } from './commissions';
import { columnsOf } from './columns';
import { unpacked } from './largeText';
import { openStore } from './store';
import { inEnglish } from '../../core/words/english';

/*
 * Databases as earlier versions left them, one a file: each opens, lists what it had, and its documents are read
 * and worked out as they were. A new one is added whenever the schema changes; none is ever made anew.
 */

/** Titles with the litres of free water and the price of all material, as worked out when the file was made. */
const KEPT: Record<string, [title: string, freeWaterL: number, totalMinor: number][]> = {
  'of-2026-11.db': [
    ['Held root, second look', 63.03238, 20_900],
    ['Level cube', 21.6, 2_800],
  ],
};

it.each(Object.entries(KEPT))('%s opens as it is, and its figures are what they were', async (file, kept) => {
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-old-'));
  await copyFile(join(import.meta.dirname, 'fixtures', file), join(folder, 'utsuwa.db'));
  const store = await openStore(folder);
  try {
    const { commissions } = await listCommissions(store, {});
    const found = await Promise.all(
      commissions.map(async ({ id }) => {
        const row = (await getCommission(store, id))!;
        const parsed = parseCommissionText(unpacked(row.document));
        if (!parsed.ok)
          throw new Error(`${row.title}: ${parsed.faults[0].path} ${inEnglish(parsed.faults[0].says)}`);
        const { survey, takeOff } = plan(parsed.commission, { today: '2026-11-26' });
        // What is opened can be saved again.
        const saved = await saveCommission(store, id, row.revision, columnsOf(parsed.commission));
        expect(saved.saved).toBe(true);
        return [row.title, Math.round(survey.freeWaterL * 1e5) / 1e5, takeOff.totalMinor];
      }),
    );
    expect(found.sort()).toEqual(kept);
    expect((await listCommissions(store, { show: 'removed' })).commissions.map((c) => c.title)).toEqual([
      'Put away',
    ]);
  } finally {
    await store.close();
    await rm(folder, { recursive: true, force: true });
  }
});
