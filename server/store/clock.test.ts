import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { clockIn, leapBetween } from './clock';

let folder: string;
beforeEach(async () => void (folder = await mkdtemp(join(tmpdir(), 'utsuwa-clock-'))));
afterEach(() => rm(folder, { recursive: true, force: true }));
const on = (day: string) => new Date(`${day}T12:00:00Z`);

describe('the clock of the machine', () => {
  it('is believed over days that a studio is closed, and asked about where it leaps ahead or back', () => {
    const from = on('2026-11-29');
    expect(leapBetween(from, on('2026-12-14'))).toBeUndefined();
    expect(leapBetween(from, on('2026-11-29'))).toBeUndefined();
    expect(leapBetween(from, on('2028-01-03'))).toEqual({
      seen: from.toISOString(),
      now: on('2028-01-03').toISOString(),
    });
    expect(leapBetween(from, on('2026-11-20'))).toBeDefined();
  });

  it('stays in doubt until somebody says that it is right, and is right again when it was set back', async () => {
    const clock = clockIn(folder);
    expect(await clock.look(on('2026-11-29'))).toBeUndefined();
    expect(await clock.look(on('2028-01-03'))).toBeDefined();
    expect(await clock.look(on('2028-01-04'))).toBeDefined();
    // Set right without a word: nothing was noted meanwhile.
    expect(await clock.look(on('2026-11-30'))).toBeUndefined();
    expect(await clock.look(on('2028-01-05'))).toBeDefined();
    await clock.accept(on('2028-01-05'));
    expect(await clock.look(on('2028-01-06'))).toBeUndefined();
  });
});
