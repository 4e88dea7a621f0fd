import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { resolved } from '../testing/resolved';
import { asEntry, leftOver, toWriteOff, writtenOff } from './afterBuild';
import type { ShelfEntry, Take } from './shelf';

const doc = example('held-root');
const planned = plan(doc, { today: '2027-01-05', cellMm: 20, planted: 'later' });
const job = resolved(doc);
const soil = planned.takeOff.lines.find((l) => l.kind === 'substrate' && l.bought > l.held + 0.05)!;

describe('when it is built', () => {
  it('is what was bought less what is needed', () => {
    const over = (taken: typeof doc.taken) => leftOver({ ...job, taken }, planned.takeOff.lines, []).find((o) => o.line === soil.id); // prettier-ignore
    expect(planned.over.find((o) => o.line === soil.id)!.amount).toBeCloseTo(soil.bought - soil.held, 2);
    // What was really taken counts as soon as anything was: 5.2 L more than is needed.
    expect(over([{ id: 't', item: soil.id, amount: soil.held + 5.2, day: '2027-01-08' }])!.amount).toBeCloseTo(5.2, 2); // prettier-ignore
    expect(over([{ id: 't', item: soil.id, amount: soil.held, day: '2027-01-08' }])).toBeUndefined();
    // A rest of a bag beside bought ones: both less what is needed.
    const beside = plan({ ...doc, taken: [{ id: 't', item: soil.id, amount: 1.5, from: 'shelf', day: '2027-01-08' }] }, { today: '2027-01-05', cellMm: 20, planted: 'later' }); // prettier-ignore
    const packs = beside.order.suppliers.flatMap((s) => s.lines).filter((l) => l.line === soil.id);
    const bought = packs.reduce((n, l) => n + l.count * soil.contents[l.pack], 0);
    expect(beside.over.find((o) => o.line === soil.id)?.amount ?? 0).toBeCloseTo(bought + 1.5 - soil.held, 2);
  });

  it('brings back what is put into the ground, held or tied, not what is dosed for weeks', () => {
    const kinds = planned.over.map((o) => doc.catalogue.materials.find((m) => m.id === o.line)?.kind ?? 'plant'); // prettier-ignore
    expect(kinds.length).toBeGreaterThan(0);
    for (const kind of kinds) expect(['conditioner', 'bacteria', 'plant-food', 'test', 'equipment']).not.toContain(kind); // prettier-ignore
  });

  it('is the same entry of the shelf however often it is put there', () => {
    const over = { line: 'soil', name: 'x', amount: 2.3, unit: 'L' as const };
    const entry = asEntry(over, 'Active soil', 'job-1', '2027-01-14');
    expect(entry).toEqual({ id: 'over-job-1-soil', name: 'Active soil', of: 'soil', amount: 2.3, unit: 'L', since: '2027-01-14', from: 'job-1' }); // prettier-ignore
    expect(asEntry(over, 'Active soil', 'job-1', '2027-01-14').id).toBe(entry.id);
  });

  it('writes off as much as was used, once, whatever was kept of it before', () => {
    const bag = fc.record({ amount: fc.integer({ min: 0, max: 90 }).map((n) => n / 10), kg: fc.boolean() });
    fc.assert(
      fc.property(fc.array(bag, { minLength: 1, maxLength: 5 }), fc.integer({ min: 1, max: 300 }), fc.nat(5), (bags, tenths, kept) => {
        const entries = bags.map(({ amount, kg }, i): ShelfEntry => ({ id: `b${i}`, name: 's', of: 'soil', amount, unit: kg ? 'kg' : 'L', since: `2026-0${i + 1}-01` })); // prettier-ignore
        const take: Take = { of: 'soil', name: 's', amount: tenths / 10, unit: 'L', kgPerL: 0.8, on: '2027-01-14' };
        const litres = (list: ShelfEntry[]) => list.reduce((n, e) => n + (e.unit === 'kg' ? e.amount / 0.8 : e.amount), 0);
        // Some of what was to be kept is kept, then all of it is asked for again.
        const put = (list: ShelfEntry[], some: ShelfEntry[]) => list.map((e) => some.find((s) => s.id === e.id) ?? e);
        const half = put(entries, writtenOff(entries, take, 'j').slice(0, kept));
        const all = put(half, writtenOff(half, take, 'j'));
        const used = Math.min(take.amount, litres(entries));
        expect(litres(entries) - litres(all)).toBeCloseTo(used, 1);
        expect(toWriteOff(all, take, 'j')).toBeCloseTo(take.amount - used, 1);
        for (const e of all) expect(e.amount).toBeGreaterThanOrEqual(0);
        // Another commission has its own to write off.
        expect(toWriteOff(all, take, 'k')).toBe(take.amount);
      }),
    ); // prettier-ignore
  });
});
