import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { parseCommission } from '../commission/parse';
import { withoutPerson } from '../commission/withoutPerson';
import { plan } from '../pipeline/plan';
import { anyJob, jobDocument } from '../testing/anyJob';
import { carpet } from '../testing/job';
import { parsed, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { RATES } from '../buildDay/rates';
import { frozen, variations } from './accepted';
import { shareOfMinor, toNext } from '../units/shares';

type Rules = NonNullable<Commission['quote']>;
const RULES: Rules = { hourMinor: 3_800, travelMinor: 4_500, margin: 0.3, tax: { name: 'VAT', share: 0.2 } };

function document(quote: Rules = RULES, change: (d: any) => void = () => {}): Commission {
  const d = structuredClone(scape({ option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [carpet] } })) as any; // prettier-ignore
  d.quote = quote;
  change(d);
  return parsed(d);
}
const quoted = (c: Commission) => plan(c).quote;
const of = (q: ReturnType<typeof quoted>, key: string) => q.lines.find((l) => l.key === key)?.minor;

describe('a quote', () => {
  it('adds up by hand: goods with margin, hours, travel, visits, tax', () => {
    const c = document({ ...RULES, designHours: 4, visits: 3, visitMinor: 6_000, extras: [{ key: 'tip', name: 'Old tank away', minor: 2_500 }, { key: 'off', name: 'Regular client', minor: -1_000 }] }); // prettier-ignore
    const p = plan(c);
    const q = quoted(c);
    // Soil: five of 3 L at 14.00 or 9 + 2 × 3 L = 60.00 or two of 9 L = 64.00; 60.00 with 30 % are 78.00.
    expect(of(q, 'substrate')).toBe(7_800);
    // Seventeen cups at 6.50 are 110.50; 30 % of it 33.15.
    const cups = p.takeOff.lines.find((l) => l.id === 'grass')!.packs[0].count;
    expect(cups).toBe(17);
    expect(of(q, 'plants')).toBe(14_365);
    const hours = Math.round(((p.build.doneMin * 2 + p.build.visits.reduce((n, v) => n + v.minutes, 0)) / 60 + 4) * 100) / 100; // prettier-ignore
    expect(q.hours).toBe(hours);
    expect(of(q, 'hours')).toBe(Math.round(hours * 3_800));
    expect(of(q, 'travel')).toBe(q.days * 4_500);
    expect(of(q, 'visits')).toBe(18_000);
    expect([of(q, 'extra-tip'), of(q, 'extra-off')]).toEqual([2_500, -1_000]);
    const net = 7_800 + 14_365 + Math.round(hours * 3_800) + q.days * 4_500 + 18_000 + 1_500;
    expect([q.netMinor, q.taxMinor]).toEqual([net, Math.round(net / 5)]);
    expect(q.totalMinor).toBe(q.netMinor + q.taxMinor);
    // For the studio: 60.00 and 110.50 are paid for, 51.15 are its margin.
    expect([q.costMinor, q.marginMinor]).toEqual([17_050, 5_115]);
    // The sketch has no price for conditioner and other small things.
    expect(q.open).toEqual(['price']);
  });

  it('hours are those of the crew from the first task to the last', () => {
    const one = plan(document(RULES, (d) => (d.brief.crew = 1)));
    const two = plan(document());
    const hours = (p: typeof one, crew: number) => (p.build.doneMin * crew) / 60;
    expect(quoted(document(RULES, (d) => (d.brief.crew = 1))).hours).toBeCloseTo(hours(one, 1), 2);
    expect(quoted(document()).hours).toBeCloseTo(hours(two, 2), 2);
    // A sitting on another day is one more day there, unless it is held at the studio.
    const eve = (place: string) => (d: any) => (d.brief.sittings = [{ id: 'eve', kind: 'hardscape', day: '2027-01-13', place }]); // prettier-ignore
    expect(['site', 'studio'].map((place) => quoted(document(RULES, eve(place))).days)).toEqual([2, 1]);
  });

  it('has the hours and the day of a scape that is taken apart elsewhere', () => {
    const layer = (d: any) => d.options[0].bed[0];
    const lot = (d: any) => {
      d.brief.brokenDown = [{ id: 'old', name: 'Spring window', day: '2027-01-12' }];
      layer(d).from = 'old';
    };
    const [without, withIt] = [(d: any) => (layer(d).origin = 'stock'), lot].map((change) => plan(document(RULES, change))); // prettier-ignore
    const [there] = withIt.build.beforehand.filter((b) => b.kind === 'brokenDown');
    // Ten minutes of tubs and covers, and a minute and a half for each litre through the siphon (`rates.ts`).
    const litres = withIt.survey.layers[0].volumeL;
    expect(there.handMin! - 10).toBeGreaterThanOrEqual(Math.floor(litres * RATES.siphonBedPerL));
    expect(withIt.quote.hours - without.quote.hours).toBeCloseTo((there.handMin! + (withIt.build.doneMin - without.build.doneMin) * 2) / 60, 1); // prettier-ignore
    expect(withIt.quote.days).toBe(without.quote.days + 1);
  });

  it('is rounded up to a step, by a line of its own', () => {
    const q = quoted(document({ ...RULES, roundMinor: 5_000 }));
    expect(q.netMinor % 5_000).toBe(0);
    expect(of(q, 'rounding')).toBe(q.netMinor - quoted(document()).netMinor);
    expect([toNext(10_000, 5_000), toNext(10_001, 5_000), toNext(7, undefined)]).toEqual([0, 4_999, 0]);
  });

  it('has its tax on each line or once on the whole, exact to the penny', () => {
    // Worked by hand: three lines of 10.05 at 17.5 % are 1.76 each, 5.28; on 30.15 together 5.276, 5.28; three of 1.01 at 5 %: 0.05 each, 0.15; on 3.03 0.1515, 0.15.
    expect([shareOfMinor(1_005, 0.175), 3 * shareOfMinor(1_005, 0.175), shareOfMinor(3_015, 0.175)]).toEqual([176, 528, 528]); // prettier-ignore
    // Two lines of 0.10 at 25 %: 0.03 each by line; 0.05 on the whole.
    expect([2 * shareOfMinor(10, 0.25), shareOfMinor(20, 0.25)]).toEqual([6, 5]);
    // What binary fractions make of it: 1.15 × 100 is 114.99999999999999.
    expect([shareOfMinor(100, 1.15), shareOfMinor(-10, 0.25)]).toEqual([115, -2]);
    const by = (how: 'line' | 'total') =>
      quoted(document({ ...RULES, tax: { name: 'VAT', share: 0.175, by: how } }));
    const [line, total] = [by('line'), by('total')];
    expect(line.taxMinor).toBe(line.lines.reduce((n, l) => n + shareOfMinor(l.minor, 0.175), 0));
    expect(total.taxMinor).toBe(shareOfMinor(total.netMinor, 0.175));
  });

  it('says what nobody has said yet, since the sum is too little without it', () => {
    expect(quoted(document({})).open).toEqual(['hour', 'travel', 'price']);
    expect(quoted(document()).open).toEqual(['price']);
  });
});

describe('a version that was said yes to', () => {
  const words = (said: Parameters<typeof inEnglish>[0]) => inEnglish(said);

  it('what changed since is additions and omissions that add up to the difference', () => {
    fc.assert(
      fc.property(anyJob, anyJob, fc.constantFrom(0, 0.175, 0.3), (was, is, margin) => {
        const rules = { ...RULES, margin };
        const [then, now] = [was, is].map((j) => quoted(parsed({ ...jobDocument(j), quote: rules })));
        const changes = variations(frozen(then, 'a', '2027-01-02', '', words), now);
        expect(changes.reduce((n, v) => n + v.minor, 0)).toBe(now.netMinor - then.netMinor);
        for (const v of changes) expect(v.kind === 'added' || v.kind === 'more').toBe(v.minor > 0);
        expect(variations(frozen(now, 'a', '2027-01-02', '', words), now)).toEqual([]);
      }),
      { numRuns: 20 },
    );
  });

  it('is the same whatever has been ordered or taken meanwhile', () => {
    const c = document(RULES, (d) => {
      for (const s of d.catalogue.suppliers)
        s.carriage = [
          { fromMinor: 0, minor: 975 },
          { fromMinor: 50_000, minor: 600 },
        ];
      d.brief.buying = { aim: 'cheapest' };
    });
    const before = plan(c);
    expect(of(before.quote, 'carriage')).toBeGreaterThan(0);
    const [first] = before.order.suppliers;
    const lines = first.lines.map((l) => ({
      item: l.line,
      pack: l.pack,
      name: l.line,
      asked: l.count,
      given: l.count,
    }));
    const confirmation = {
      supplierReference: 'X-1',
      deliveryDay: first.lines[0].neededOn,
      totalMinor: first.totalMinor + 1,
      lines,
    };
    const placed = [{ reference: 'ours-1', supplier: first.supplier, confirmation }];
    const after = plan(c, { placed });
    expect(after.order.suppliers.find((s) => s.supplier === first.supplier)!.carriageMinor).toBe(0);
    expect(after.quote).toEqual(before.quote);
    const taken = [{ id: 't-1', item: 'grass', amount: 3, paidMinor: 2_100, day: '2027-01-03' }];
    expect(plan({ ...c, taken }).quote).toEqual(before.quote);
  });

  it('has its suppliers as of the day of the yes: that one is too late for now is no matter of the client’s', () => {
    const c = document(RULES, (d) => {
      const [pack] = d.catalogue.materials.find((m: any) => m.id === 'soil').packs;
      const [, other] = d.catalogue.suppliers;
      // A pound cheaper, and twenty days away.
      d.catalogue.materials.find((m: any) => m.id === 'soil').packs = [pack, { ...pack, id: 'slow', supplier: other.id, priceMinor: pack.priceMinor - 100, leadDays: 20 }];
      d.brief.buying = { aim: 'cheapest' };
    }); // prettier-ignore
    const [early, late] = ['2026-12-01', '2027-01-05'].map((today) => plan(c, { today }).quote);
    expect(late.netMinor).toBeGreaterThan(early.netMinor);
    const agreed = { ...c, quote: { ...c.quote, accepted: frozen(early, 'a', '2026-12-01', '', words) } };
    expect(plan(agreed, { today: '2027-01-05' }).quote).toEqual(early);
  });

  it('stands in the document as it was, and loses who said it with the client', () => {
    const c = document();
    const accepted = frozen(quoted(c), 'a', '2027-01-02', 'by telephone', words);
    const read = parseCommission({ ...c, quote: { ...c.quote, terms: 'Half on the day.', accepted } });
    expect(read.ok && read.commission.quote!.accepted).toEqual(accepted);
    expect(accepted.lines.map((l) => l.name)).toContain('Substrate');
    const bare = withoutPerson(read.ok ? read.commission : c).quote!;
    expect([bare.terms, bare.accepted!.by, bare.accepted!.totalMinor]).toEqual([undefined, undefined, accepted.totalMinor]); // prettier-ignore
  });
});
