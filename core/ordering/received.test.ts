import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import type { Commission } from '../commission/schema';
import { withAllCame, withoutReceived, withReceived } from '../edits/received';
import { plan } from '../pipeline/plan';
import { dueOf } from '../pipeline/due';
import { example } from '../testing/scape';
import { inEnglish } from '../words/english';
import type { Placed } from './confirmation';

/* Soil for the held root, two of 9 L, and its plants: confirmed by the yard, and opened when it came. Built on 14 January. */

const doc = example('held-root');
const TODAY = '2027-01-12';
const before = plan(doc, { today: '2027-01-01' }).order;
const placed: Placed[] = before.suppliers.map((s, i) => ({
  reference: `ours-${i}`,
  supplier: s.supplier,
  confirmation: {
    supplierReference: `S-${i}`,
    deliveryDay: '2027-01-12',
    totalMinor: s.totalMinor,
    lines: s.lines.map((l) => ({ item: l.line, pack: l.pack, name: inEnglish(l.name), asked: l.count, given: l.count })), // prettier-ignore
  },
}));
const yard = placed.find((p) => p.supplier === 'marl-timber')!;
const soil = { reference: yard.reference, item: 'soil-granules', pack: 'soil-9' };
const planned = (c: Commission) => plan(c, { today: TODAY, placed });
const own = (c: Commission) => planned(c).order.suppliers.find((s) => s.supplier === 'marl-timber')!;
const lost = (c: Commission) => planned(c).findings.filter((f) => f.id === 'order.lost').map((f) => [f.severity, inEnglish(f.says)]); // prettier-ignore
const lines = (p: Placed) => p.confirmation.lines.map((l) => ({ reference: p.reference, item: l.item!, pack: l.pack, given: l.given })); // prettier-ignore

describe('what came of an order', () => {
  it('is taken as it was confirmed by one press, and is no delivery any more', () => {
    const c = withAllCame(doc, lines(yard), TODAY, 'site');
    expect(own(c).coming.every((l) => l.received?.came === l.given)).toBe(true);
    expect(own(c).lines).toEqual([]);
    const deliveries = (d: Commission) => dueOf(planned(d), d).filter((x) => x.sort === 'receive').length;
    expect([deliveries(doc), deliveries(c)]).toEqual([placed.length, placed.length - 1]);
    // Counted by hand before, it stays as it was counted.
    const counted = withReceived(doc, soil, { came: 1 }, TODAY);
    expect(withAllCame(counted, lines(yard), TODAY, undefined).received!.find((r) => r.item === soil.item)!.came).toBe(1); // prettier-ignore
  });

  it('a bag that burst is claimed and ordered again, with its last day', () => {
    const c = withReceived(doc, soil, { came: 2, broken: 1 }, TODAY);
    // By hand: 16.12 L are wanted, 9 can be used; the 7.12 that are missing take one of 9 L, which is cheaper than three of 3 L.
    expect(own(c).lines.map((l) => [l.line, l.count, l.pack])).toEqual([['soil-granules', 1, 'soil-9']]);
    expect(lost(c)).toEqual([['warn', 'Active soil, granules from Marl & Timber Yard, 2 confirmed: none missing, 1 broken, 0 dead.']]); // prettier-ignore
    expect(planned(c).findings.some((f) => f.id === 'order.late' && f.at.line === 'soil-granules')).toBe(
      true,
    );
  });

  it('came on the day on which it was counted first, whatever is said of it later', () => {
    const c = withReceived(withReceived(doc, soil, { came: 2 }, TODAY), soil, { at: 'studio' }, '2027-01-14');
    expect(c.received).toEqual([{ ...soil, came: 2, at: 'studio', day: TODAY }]);
  });

  it('what is lost and not needed is claimed all the same, as a note', () => {
    const plants = placed.find((p) => p.supplier !== 'marl-timber')!;
    const cup = plants.confirmation.lines[0];
    const line = { reference: plants.reference, item: cup.item!, pack: cup.pack };
    const dead = withReceived(doc, line, { came: cup.given, dead: cup.given }, TODAY);
    expect(lost(dead)).toEqual([['warn', expect.stringMatching(new RegExp(`${cup.given} dead`))]]);
    const more = { ...plants, confirmation: { ...plants.confirmation, lines: plants.confirmation.lines.map((l) => ({ ...l, asked: l.asked + 3, given: l.given + 3 })) } }; // prettier-ignore
    const c = withReceived(doc, line, { came: cup.given + 3, dead: 1 }, TODAY);
    const found = plan(c, { today: TODAY, placed: [more] }).findings.filter((f) => f.id === 'order.lost');
    expect(found.map((f) => f.severity)).toEqual(['note']);
  });

  it('that is at the studio comes along on the day; what is on site does not', () => {
    const bring = (at: 'studio' | 'site') => planned(withAllCame(doc, lines(yard), TODAY, at)).build.beforehand.filter((b) => b.kind === 'bring'); // prettier-ignore
    expect(bring('studio').map((b) => [b.day, inEnglish(b.title)])).toEqual([
      ['2027-01-14', expect.stringMatching(/^Bring from the studio: .*2 × 9 L.* Active soil, granules/)],
    ]);
    expect(bring('site')).toEqual([]);
  });

  it('is refused counted twice, or with more dead than came, and is not counted when it is taken back', () => {
    const c = withReceived(doc, soil, { came: 2 }, TODAY);
    const faults = (received: unknown[]) => {
      const read = parseCommission({ ...c, received });
      return read.ok ? [] : read.faults.map((f) => inEnglish(f.says));
    };
    expect(faults([c.received![0], c.received![0]])[0]).toMatch(/counted twice/);
    expect(faults([{ ...c.received![0], dead: 2, broken: 1 }])[0]).toMatch(/must be at least the 3/);
    expect(withoutReceived(c, soil).received).toBeUndefined();
  });
});
