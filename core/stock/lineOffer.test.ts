import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withTaken } from '../edits/taken';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import type { Shelf } from './shelf';

const doc = example('held-root');
const ASK = { today: '2026-12-05', cellMm: 20, planted: 'later' as const };
const soil = plan(doc, ASK).takeOff.lines.find((l) => l.kind === 'substrate' && l.packs.length > 0)!;
const shelf = (has: number, reserved = 0): Shelf => ({
  entries: [{ id: 's', name: 'Soil', of: soil.id, amount: has, unit: 'L' }],
  reserved: reserved ? [{ of: soil.id, name: 'Soil', amount: reserved, unit: 'L', on: '2026-12-20', title: 'Long wall' }] : [], // prettier-ignore
});
const of = (at: Shelf, document = doc) => plan(document, { ...ASK, shelf: at }).shelfOffers.find((o) => o.line === soil.id); // prettier-ignore

describe('a line off the studio’s shelf', () => {
  it('never takes more than is missing or free', () => {
    fc.assert(
      fc.property(fc.nat(200), fc.nat(200), (has, reserved) => {
        const offer = of(shelf(has, reserved));
        expect(offer === undefined).toBe(has === 0);
        expect(offer?.takes ?? 0).toBeCloseTo(Math.min(soil.held, Math.max(0, has - reserved)), 2);
      }),
      { numRuns: 8 },
    );
  });

  it('counts what the scape takes of it by another layer’s mark', () => {
    const option = doc.options.find((o) => o.id === doc.chosen)!;
    const at = option.bed.findIndex((l) => l.material === soil.id);
    const split = option.bed.map((l, i) =>
      i === at ? { ...l, top: { kind: 'level' as const, mm: 15 } } : l,
    );
    const more = { ...option.bed[at], id: 'more', origin: 'stock' as const };
    const two = {
      ...doc,
      options: doc.options.map((o) => (o === option ? { ...o, bed: [...split, more] } : o)),
    };
    const p = plan(two, { ...ASK, shelf: shelf(9) });
    const poured = p.takes.find((t) => t.of === soil.id)!.amount;
    expect(poured).toBeGreaterThan(1);
    const offer = p.shelfOffers.find((o) => o.line === soil.id)!;
    const bought = p.takeOff.lines.find((l) => l.id === soil.id)!.held;
    expect(offer.takes).toBeCloseTo(Math.min(bought, Math.max(0, 9 - poured)), 2);
  });

  it('is off the order, reserved, paid by nobody, and asked of the client all the same', () => {
    const own = withTaken(doc, { item: soil.id, amount: soil.held, from: 'shelf', day: '2026-12-05' });
    const [before, after] = [plan(doc, ASK), plan(own, { ...ASK, shelf: shelf(500) })];
    const asked = (p: typeof before) => p.order.suppliers.flatMap((s) => s.lines.map((l) => l.line));
    expect(asked(before)).toContain(soil.id);
    expect(asked(after)).not.toContain(soil.id);
    expect(after.takes).toContainEqual(expect.objectContaining({ of: soil.id, unit: 'L' })); // prettier-ignore
    expect(after.shelfOffers.find((o) => o.line === soil.id)).toMatchObject({ took: soil.held, takes: 0 });
    expect(after.order.totalMinor).toBeLessThan(before.order.totalMinor);
    expect(after.books.spentMinor).toBe(before.books.spentMinor);
    expect(after.quote.netMinor).toBe(before.quote.netMinor);
    expect(after.takes.find((t) => t.of === soil.id)!.amount).toBeCloseTo(soil.held, 2);
    // More than there is on the shelf is said.
    expect(plan(own, { ...ASK, shelf: shelf(1) }).findings.map((f) => f.id)).toContain('stock.short');
  });
});
