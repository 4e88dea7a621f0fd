import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysFrom } from '../calendar/day';
import type { Commission } from '../commission/schema';
import { otherTerms, withAim, withPin, withTerms } from '../edits/buying';
import { plan } from '../pipeline/plan';
import { survey } from '../survey/survey';
import { takeOff } from '../takeoff/takeOff';
import { anyJob, jobDocument } from '../testing/anyJob';
import { resolved } from '../testing/resolved';
import { carpet } from '../testing/job';
import { parsed, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { bought, offersOf, waysToBuy } from './bought';
import { firstDelivery, lastDelivery } from './delivery';

/*
 * 60 mm of soil on 600 × 360 mm and a carpet; the yard and a second supplier have soil, the grower has the carpet. Built on
 * Thursday 14 January 2027; asked on 4 January.
 */
const TODAY = '2027-01-04';
type Change = (d: any) => void;

function with_(change: Change = () => {}): Commission {
  const d = structuredClone(scape({ option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [carpet] } })) as any; // prettier-ignore
  d.catalogue.suppliers.push({ id: 'other', name: 'Brindle Dry Goods', days: ['mon', 'tue', 'wed', 'thu', 'fri'] }); // prettier-ignore
  d.catalogue.materials[0].packs.push({ id: 'other-9', size: 9, unit: 'L', priceMinor: 3_000, supplier: 'other', leadDays: 2 }); // prettier-ignore
  change(d);
  return parsed(d);
}
const supplier = (d: any, id: string) => d.catalogue.suppliers.find((s: any) => s.id === id);
const orders = (c: Commission) => plan(c, { today: TODAY }).order;
const ways = (c: Commission) => {
  const job = resolved(c);
  return waysToBuy(job, takeOff(job, survey(c)), TODAY);
};
const way = (c: Commission, aim?: string) => ways(c).find((w) => w.aim === aim)!;
const linesOf = (c: Commission, line: string) => orders(c).suppliers.flatMap((s) => s.lines.filter((l) => l.line === line).map((l) => [s.supplier, l.count, l.pack])); // prettier-ignore

describe('from whom the whole order is bought', () => {
  it('is line by line as long as nobody says otherwise: mixed packs, old answers', () => {
    const c = with_();
    const job = resolved(c);
    const taken = takeOff(job, survey(c));
    expect(bought(job, taken, TODAY)).toBe(taken);
    // 12.96 L in place are 12.96 / 0.93 = 13.9 L poured: 9 L at 30.00 and two of 3 L at 14.00 are 58.00; two of 9 L 60.00.
    expect(linesOf(c, 'soil')).toEqual([['yard', 2, 'soil-3'], ['other', 1, 'other-9']]); // prettier-ignore
    const cups = linesOf(c, 'grass')[0][1] as number;
    expect(way(c)).toMatchObject({ goodsMinor: 5_800 + 650 * cups, parcels: 3 });
  });

  it('weighs carriage against a dearer pack: one supplier for all of a line', () => {
    const c = with_((d) => {
      for (const id of ['yard', 'other']) supplier(d, id).carriage = [{ fromMinor: 0, minor: 500 }];
    });
    // By hand: from the yard five of 3 L at 14.00 or two of 9 L at 32.00 or 9 + 2 × 3 at 60.00; from the other 60.00; either with 5.00.
    const least = withAim(c, 'cheapest');
    const [soilFrom] = linesOf(least, 'soil');
    expect(linesOf(least, 'soil').every(([s]) => s === soilFrom[0])).toBe(true);
    expect(way(c).carriageMinor).toBe(1_000);
    expect(way(c, 'cheapest').carriageMinor).toBe(500);
    const total = (w: typeof way extends (...a: any) => infer R ? R : never) => w.goodsMinor + w.carriageMinor; // prettier-ignore
    expect(total(way(c)) - total(way(c, 'cheapest'))).toBe(300);
    expect(orders(least).totalMinor).toBe(total(way(c, 'cheapest')));
  });

  it('is never dearer than line by line, and what is said of a way is what the order then comes to', () => {
    fc.assert(
      fc.property(anyJob, fc.constantFrom(0, 400, 900), fc.constantFrom(0, 2_500), (drawn, carriage, minimum) => {
        const d = jobDocument(drawn) as any;
        for (const s of d.catalogue.suppliers)
          Object.assign(s, { minimumMinor: minimum, carriage: [{ fromMinor: 0, minor: carriage }, { fromMinor: 9_000, minor: 0 }] });
        for (const m of d.catalogue.materials)
          if (m.packs?.[0]) m.packs.push({ ...m.packs[0], id: `${m.packs[0].id}-b`, supplier: m.packs[0].supplier === 'yard' ? 'grower' : 'yard', priceMinor: m.packs[0].priceMinor + 30 });
        const c = parsed(d);
        const all = ways(c);
        for (const w of all.filter((x) => x.aim)) {
          const bought = orders(withAim(c, w.aim));
          expect(bought.totalMinor - bought.suppliers.reduce((n, s) => n + s.carriageMinor, 0)).toBe(w.goodsMinor);
          expect(bought.suppliers.reduce((n, s) => n + s.carriageMinor, 0)).toBe(w.carriageMinor);
          expect(bought.suppliers.length).toBe(w.parcels);
          expect(bought.findings.some((f) => f.id === 'order.minimum')).toBe(w.belowMinimum === true);
        }
        const [, cheapest, , fewest] = all;
        expect(fewest.parcels).toBeLessThanOrEqual(cheapest.parcels);
      }),
      { numRuns: 10 },
    ); // prettier-ignore
  });

  it('leaves a supplier that is too late as long as another is in time', () => {
    const c = withAim(
      with_((d) => (d.catalogue.materials[0].packs[2].leadDays = 20)),
      'cheapest',
    );
    expect(linesOf(c, 'soil').map(([s]) => s)).toEqual(expect.arrayContaining(['yard']));
    expect(linesOf(c, 'soil').some(([s]) => s === 'other')).toBe(false);
  });

  it('is the soonest there that can be had, and no dearer than it must be for that', () => {
    const c = with_((d) => {
      d.catalogue.materials[0].packs[2].priceMinor = 5_000;
      d.catalogue.plants[0].packs[0].leadDays = 1;
    });
    // Asked on Monday the 4th: the other brings soil on Wednesday the 6th, the yard on Friday the 8th, the grower on Thursday the 7th.
    expect([way(c, 'cheapest').lastDay, way(c, 'soonest').lastDay]).toEqual(['2027-01-08', '2027-01-07']);
    expect(way(c, 'soonest').goodsMinor).toBeGreaterThan(way(c, 'cheapest').goodsMinor);
  });

  it('keeps to a pin, whatever is chosen, as long as that supplier has it', () => {
    const c = withPin(with_(), 'soil', 'yard');
    expect(linesOf(c, 'soil').every(([s]) => s === 'yard')).toBe(true);
    expect(linesOf(withAim(c, 'cheapest'), 'soil').every(([s]) => s === 'yard')).toBe(true);
    expect(withPin(c, 'soil', undefined).brief.buying).toBeUndefined();
    const gone = withPin(c, 'soil', 'grower');
    expect(linesOf(gone, 'soil').length).toBeGreaterThan(0);
  });

  it('says an order below the least that is sent, and what it lacks', () => {
    const c = with_((d) => (supplier(d, 'grower').minimumMinor = 100_000));
    const f = orders(c).findings.find((x) => x.id === 'order.minimum')!;
    expect(inEnglish(f.says)).toMatch(
      /^Glasshouse Nine sends for GBP 1000\.00 and more: GBP \d+\.\d\d are missing\.$/,
    );
    expect(way(c, 'cheapest').belowMinimum).toBe(true);
  });
});

describe('offers of one line', () => {
  it('are the cheapest packs of each supplier that hold it, with the last day to order', () => {
    const c = with_();
    const job = resolved(c);
    const line = takeOff(job, survey(c)).lines.find((l) => l.id === 'soil')!;
    const offers = offersOf(job, line, TODAY);
    expect(offers.map((o) => [o.supplier, o.priceMinor])).toEqual([['yard', 6_000], ['other', 6_000]]); // prettier-ignore
    expect(offers.every((o) => o.orderBy && daysFrom(o.orderBy, c.brief.buildDay) > 0)).toBe(true);
  });

  it('come on the days for what lives, where those are others', () => {
    const grower = { id: 'g', name: 'G', days: ['mon', 'thu'], livingDays: ['tue'] } as const;
    const s = { ...grower, days: [...grower.days], livingDays: [...grower.livingDays] };
    expect([lastDelivery(s, '2027-01-14'), lastDelivery(s, '2027-01-14', true)]).toEqual(['2027-01-11', '2027-01-12']); // prettier-ignore
    expect([firstDelivery(s, '2027-01-04', 2), firstDelivery(s, '2027-01-04', 2, true)]).toEqual(['2027-01-07', '2027-01-12']); // prettier-ignore
    const c = with_((d) => (supplier(d, 'grower').livingDays = ['tue']));
    expect(orders(c).suppliers.find((x) => x.supplier === 'grower')!.lines[0].arriveBy).toBe('2027-01-12');
  });
});

describe('terms of suppliers', () => {
  it('stay as they were taken in until somebody takes them anew', () => {
    const c = with_();
    const now = c.catalogue.suppliers.map((s) => (s.id === 'yard' ? { ...s, minimumMinor: 5_000, cutOff: '14:00' } : s)); // prettier-ignore
    expect(otherTerms(c, now).map((s) => s.id)).toEqual(['yard']);
    const taken = withTerms(c, otherTerms(c, now));
    expect(otherTerms(taken, now)).toEqual([]);
    expect(orders(taken).suppliers.find((s) => s.supplier === 'yard')!.cutOff).toBe('14:00');
  });
});
