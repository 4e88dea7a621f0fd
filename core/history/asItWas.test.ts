import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { changesBetween } from '../commission/changes';
import type { Commission } from '../commission/schema';
import { example } from '../testing/scape';
import { asItWas, withoutChange } from './asItWas';

const start = example('held-root');
/** Something that somebody does to a commission. */
const act = fc.oneof(
  fc.record({ do: fc.constant('move' as const), n: fc.nat(20), by: fc.integer({ min: -80, max: 80 }) }),
  fc.record({ do: fc.constant('note' as const), n: fc.nat(1e6), by: fc.constant(0) }),
  fc.record({ do: fc.constant('take out' as const), n: fc.nat(20), by: fc.constant(0) }),
  fc.record({ do: fc.constant('title' as const), n: fc.nat(99), by: fc.constant(0) }),
);
function done(c: Commission, { do: what, n, by }: { do: string; n: number; by: number }): Commission {
  const [option, ...others] = c.options;
  const with_ = (pieces: typeof option.pieces): Commission => ({ ...c, options: [{ ...option, pieces }, ...others] }); // prettier-ignore
  if (what === 'title') return { ...c, title: `Hall ${n}` };
  if (what === 'note') return { ...c, log: [...(c.log ?? []), { id: `n-${n}-${c.log?.length ?? 0}`, date: '2027-01-02', text: 'Looked at.' }] }; // prettier-ignore
  const at = n % Math.max(1, option.pieces.length);
  if (what === 'take out') return with_(option.pieces.toSpliced(at, 1));
  return with_(option.pieces.map((p, i) => (i === at ? { ...p, at: [p.at[0] + by, p.at[1]] } : p)));
}

describe('a commission', () => {
  it('goes back through any number of saves to each document that there was', () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 12 }), (acts) => {
        const all = acts.reduce((list, a) => [...list, done(list.at(-1)!, a)], [start]);
        const saves = all.slice(1).map((doc, i) => changesBetween(all[i], doc)).reverse(); // prettier-ignore
        for (let n = 0; n <= saves.length; n++)
          expect(asItWas(all.at(-1)!, saves.slice(0, n))).toEqual(all[all.length - 1 - n]);
      }),
      { numRuns: 60 },
    );
    expect(asItWas(start, [null])).toBeUndefined();
  });

  it('takes one change back, and says what stands there where somebody changed it since', () => {
    const titled = { ...start, title: 'Hall' };
    const [change] = changesBetween(start, titled);
    expect(withoutChange(titled, change)).toEqual({ document: start, clashes: [] });
    const since = { ...titled, title: 'Stair' };
    expect(withoutChange(since, change)).toMatchObject({ document: since, clashes: [{ theirs: 'Stair' }] });
  });
});
