import { describe, expect, it } from 'vitest';
import type { Brief } from '../commission/schema';
import { survey } from '../survey/survey';
import { piece, scape, soil } from '../testing/scape';
import { biofilterOf } from './biofilter';
import { resolved } from '../testing/resolved';

/* The weights are an estimate of our own, for which there is no published table: what is checked is what counts at all. */

const grass = { id: 'P-1', plant: 'grass', region: [[50, 50], [550, 50], [550, 150], [50, 150]] as [number, number][] }; // prettier-ignore
const parts = (rescape: Brief['rescape'], origin?: 'here' | 'bought', state?: 'dry' | 'living') => {
  const commission = scape({
    option: {
      bed: [soil({ kind: 'level', mm: 60 })],
      pieces: [piece({ origin, state })],
      plants: [{ ...grass, origin }],
    },
  });
  const doc = { ...commission, brief: { ...commission.brief, rescape } };
  return biofilterOf(resolved(doc), survey(doc));
};
const of = (list: ReturnType<typeof parts>, part: string) =>
  list.filter((p) => p.part === part).map((p) => p.lost);

describe('the biofilter of a running tank', () => {
  it('is a whole', () => {
    const all = parts({ stays: ['stone', 'plants'], filterKept: true }, 'here');
    expect(all.reduce((sum, p) => sum + p.share, 0)).toBeCloseTo(1, 12);
  });

  it('counts plants that are there, and none that are only bought', () => {
    expect(of(parts({ stays: [], filterKept: true }, 'bought'), 'plants')).toEqual([]);
    expect(of(parts({ stays: ['plants'], filterKept: true }, 'here'), 'plants')).toEqual([false]);
  });

  it('keeps what lives on a stone that is there, not on one that has dried', () => {
    expect(of(parts({ stays: ['stone'], filterKept: true }, 'here'), 'stone')).toEqual([false]);
    expect(of(parts({ stays: ['stone'], filterKept: true }, 'here', 'dry'), 'stone')).toEqual([]);
    expect(of(parts({ stays: [], filterKept: true }, 'bought'), 'stone')).toEqual([true]);
  });

  it('keeps media that are rinsed in tank water, not under the tap or nobody knows how', () => {
    const media = (filterRinsed?: 'tank-water' | 'tap') =>
      of(parts({ stays: [], filterKept: true, filterCleaned: true, ...(filterRinsed ? { filterRinsed } : {}) }), 'media'); // prettier-ignore
    expect([media('tank-water'), media('tap'), media()]).toEqual([[false], [true], [true]]);
  });
});
