import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayPlus } from '../calendar/day';
import { carpet, fish, job } from '../testing/job';
import { soil } from '../testing/scape';
import { dated, type LaterWork } from './afterwards';

const DAY = '2027-01-14';
const bed = [soil({ kind: 'level', mm: 60 })];

describe('the order of work after the build', () => {
  const days = (...works: LaterWork[]) => dated(works).map((w) => w.day);

  it('lets fish in when the filter carries them and the second zero was read', () => {
    const filter: LaterWork = { kind: 'matured', things: ['fish'], ownDay: 21 };
    const zeros: LaterWork = { kind: 'zeros', things: ['fish'], ownDay: 24 };
    const come: LaterWork = { kind: 'fish', things: ['fish'], ownDay: 0 };
    expect(days(filter, zeros, come)).toEqual([21, 24, 25]);
    expect(days(filter, { ...zeros, ownDay: 15 }, come)).toEqual([21, 15, 21]);
    // What is about shrimps holds no fish back, and a wish for later stays one.
    expect(days({ ...zeros, things: ['shrimps'] }, come)).toEqual([24, 0]);
    expect(days(filter, { ...come, ownDay: 40 })).toEqual([21, 40]);
  });

  it('says why not earlier only of what something else decides', () => {
    const [, early, late] = dated<LaterWork>([
      { kind: 'set', things: ['p'], ownDay: 7 },
      { kind: 'melts', things: ['p'], ownDay: 0 },
      { kind: 'trimmed', things: ['p'], ownDay: 30 },
    ]);
    expect(early).toMatchObject({ day: 17, because: { say: 'why.later.set' } });
    expect(late).toMatchObject({ day: 30 });
    expect(late.because).toBeUndefined();
  });

  it('is never before what comes first, in whatever order it is listed', () => {
    const kind = fc.constantFrom<LaterWork['kind']>('matured', 'zeros', 'held', 'fish', 'arrives', 'gas', 'set', 'melts', 'gaps'); // prettier-ignore
    const work = fc.record({ kind, things: fc.subarray(['a', 'b'], { minLength: 1 }), ownDay: fc.nat(60) });
    fc.assert(
      fc.property(fc.array(work, { maxLength: 8 }), (works) => {
        const there = dated(works);
        for (const w of there) expect(w.day).toBeGreaterThanOrEqual(w.ownDay);
        const key = (all: readonly { kind: string; day: number }[]) => all.map((w) => `${w.kind} ${w.day}`).sort(); // prettier-ignore
        expect(key(dated([...works].reverse()))).toEqual(key(there));
        for (const set of there.filter((w) => w.kind === 'set'))
          for (const m of there.filter(
            (w) => w.kind === 'melts' && w.things.some((t) => set.things.includes(t)),
          ))
            // prettier-ignore
            expect(m.day).toBeGreaterThanOrEqual(set.day + 10);
      }),
    );
  });

  it('is what the guide has: plants put off melt ten days after they are set, gas begins when it has come', () => {
    const p = job({
      brief: { livestock: [{ ...fish, present: false }] },
      site: { devices: [{ id: 'g', name: 'set', kind: 'co2', watts: 5, arrives: dayPlus(DAY, 12) }] },
      option: { bed, plants: [{ ...carpet, laterDays: 9, form: 'emersed' }] },
      catalogue: (c) => (c.plants[0].emersedLeaves = 'change'),
    });
    const on = (words: RegExp) =>
      p.care.weeks.flatMap((w) => w.days).find((d) => d.events.some((e) => words.test(e)))?.afterDays;
    expect([on(/goes in/), on(/melt/), on(/gas on/)]).toEqual([9, 19, 12]);
    expect(p.care.light.co2From).toBe(dayPlus(DAY, 12));
    expect(p.care.stock!.why).toEqual(['The filter does not carry them sooner.']);
  });
});
