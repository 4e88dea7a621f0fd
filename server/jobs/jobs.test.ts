import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Problem } from '../problem';
import { openJobs, type Jobs, type Pool } from './jobs';

const PATIENCE_MS = 1_500;
let folder: string;
let pool: Pool;
let jobs: Jobs;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'utsuwa-jobs-'));
  pool = openJobs({ patienceMs: PATIENCE_MS });
  jobs = pool.in(folder);
});
afterAll(async () => {
  await pool.close();
  await rm(folder, { recursive: true, force: true });
});
const list = () => new TextEncoder().encode('name,spread mm\nFern,80\n');
const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

describe('a job', () => {
  it('is not blamed for what it waits for: its turn, what it needs, a thread that has to begin', async () => {
    const read = (ms: number) =>
      jobs.run('readPlants', { who: 'plants' }, async () => {
        await later(ms);
        return list();
      });
    // One thread: the second waits for longer than patience lasts.
    const both = await Promise.all([read(PATIENCE_MS + 200), read(0)]);
    expect(both.map((one) => one.ok && one.value.count)).toEqual([1, 1]);
  });

  it('that takes too long itself is, and the next finds a thread again', async () => {
    const block = { kind: 'box', sizeMm: [900, 900, 900] };
    const pieces = Array.from({ length: 300 }, (_, i) => ({ id: `S-${i}`, material: 'm', shape: block, at: [500, 500], turnDeg: i, stand: { kind: 'at', zMm: i } })); // prettier-ignore
    const text = JSON.stringify({
      chosen: 'a',
      currency: 'GBP',
      brief: { buildDay: '2027-01-14', co2: true, crew: 2 },
      vessel: { kind: 'box', innerMm: { length: 1_000, width: 1_000, height: 900 }, glassMm: 9, waterLineMm: 800 }, // prettier-ignore
      options: [{ id: 'a', title: 'A', bed: [], pieces, joints: [], plants: [] }],
      catalogue: { materials: [{ id: 'm', kind: 'stone', name: 'M', densityKgPerL: 2.6 }], plants: [], suppliers: [] }, // prettier-ignore
    });
    const hasty = openJobs({ patienceMs: 500 });
    const plan = hasty.in(folder).run('takeOffFile', { who: 'c' }, () => ({ id: 'c', text }));
    const error = await plan.then(
      () => undefined,
      (e: unknown) => e as Problem,
    );
    expect(error).toBeInstanceOf(Problem);
    expect([error?.status, error?.title]).toEqual([422, expect.stringContaining('takes too much to work out here')]); // prettier-ignore
    // The same thread would have been the one: another has taken its place.
    const again = hasty.in(folder).run('plantsFile', { who: 'c' }, () => '[]');
    expect(await again).toContain('name');
    await hasty.close();
  });

  it('is not begun where too many wait already, and says so', async () => {
    const asked = Array.from({ length: 60 }, () =>
      jobs.run('readPlants', { who: 'plants' }, list).then(
        () => 'taken',
        (e: Problem) => e.status,
      ),
    );
    const answers = await Promise.all(asked);
    expect(new Set(answers)).toEqual(new Set(['taken', 503]));
    expect(answers.filter((a) => a === 'taken').length).toBeGreaterThanOrEqual(32);
  });
});
