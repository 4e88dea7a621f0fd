import { describe, expect, it } from 'vitest';
import { hostileDocuments } from './hostile';
import { holds } from './hold';
import { kills } from './kills';
import { lockedElsewhere, twoServers } from './locks';
import { manyCommissions } from './many';
import type { Result } from './result';

/*
 * Short forms of `npm run endure` on the server's side: the same measurements with fewer rounds. Times are
 * measured there; here only what goes wrong counts.
 */

function sound({ wrong, figures }: Result): void {
  expect(wrong.filter((w) => !/held for|\d MB$/.test(w))).toEqual([]);
  expect(Object.values(figures).every(Number.isFinite)).toBe(true);
}

describe('nothing that was confirmed is lost', () => {
  it('when the server is killed in the middle of saves', async () => {
    const result = await kills(20);
    sound(result);
    expect(result.figures['confirmed saves']).toBeGreaterThanOrEqual(20);
  });

  it('when another program held the database, and saves and a kill followed', async () =>
    sound(await lockedElsewhere(3)));

  it('when a second server is started on the same folder', async () => sound(await twoServers(10)));
});

describe('nothing that was accepted fails', () => {
  it('of documents that were spoilt at random: planned, exported, drawn', async () => {
    const result = await hostileDocuments(14, 1);
    sound(result);
    expect(result.figures.accepted).toBeGreaterThan(0);
  });

  it('of small documents that ask for much and of large ones', async () => sound(await holds(0.2)));

  it('of a list of hundreds: the newest is there, and how many', async () =>
    sound(await manyCommissions(120)));
});
