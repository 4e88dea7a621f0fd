import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import type { Commission } from '../commission/schema';
import { withoutTaken, withTaken, withTakenChanged } from '../edits/taken';
import { plan } from '../pipeline/plan';
import { stone } from '../testing/job';
import { parsed, scape, soil } from '../testing/scape';

/*
 * The yard is a shop: soil and two stones are chosen there in the hand. 60 mm of soil on 600 × 360 mm. Built on Thursday
 * 14 January 2027.
 */
const TODAY = '2027-01-04';

function document(change: (d: any) => void = () => {}): Commission {
  const pieces = [
    stone(),
    stone({ id: 'S-2', at: [120, 100], shape: { kind: 'box', sizeMm: [90, 60, 70] } }),
  ];
  const d = structuredClone(scape({ option: { bed: [soil({ kind: 'level', mm: 60 })], pieces } })) as any;
  Object.assign(d.catalogue.suppliers[0], { shop: true, open: ['09:00', '18:00'], days: ['mon', 'tue', 'wed', 'thu', 'fri', 'sat'] }); // prettier-ignore
  d.catalogue.materials.find((m: any) => m.id === 'granite').packs = [{ id: 'granite-kg', size: 1, unit: 'kg', priceMinor: 340, supplier: 'yard', leadDays: 4 }]; // prettier-ignore
  d.brief.budgetMinor = 30_000;
  change(d);
  return parsed(d);
}
const planned = (c: Commission) => plan(c, { today: TODAY });
const shop = (c: Commission) => planned(c).shopping.shops[0];
const line = (c: Commission, id: string) =>
  shop(c)
    .aisles.flatMap((a) => a.lines)
    .find((l) => l.line === id)!;

describe('a shopping list', () => {
  it('is what is bought in shops, aisle by aisle, with sizes for what is chosen in the hand', () => {
    const c = document();
    expect(shop(c)).toMatchObject({ name: 'Marl & Timber Yard', open: ['09:00', '18:00'] });
    expect(shop(c).aisles.map((a) => a.kind)).toEqual(['substrate', 'hardscape']);
    // The stones of 120 × 80 × 140 and 90 × 60 × 70 mm: longest sides 90 and 140.
    expect(line(c, 'granite').sizesMm).toEqual({ from: 90, to: 140, count: 2 });
    expect(line(c, 'soil').sizesMm).toBeUndefined();
    // 13.9 L poured are two of 3 L and one of 9 L: whole bags hold 15.
    expect(line(c, 'soil').takes).toBe(15);
    const { order, shopping } = planned(c);
    expect(shopping.leftMinor).toBe(30_000 - order.totalMinor);
  });

  it('has no lead time and no carriage: one goes there on the last open day before it is needed', () => {
    const c = document((d) => (d.catalogue.suppliers[0].carriage = [{ fromMinor: 0, minor: 900 }]));
    const group = planned(c).order.suppliers.find((s) => s.supplier === 'yard')!;
    expect(group).toMatchObject({ isShop: true, carriageMinor: 0, orderBy: '2027-01-13' });
    expect(planned(document((d) => delete d.catalogue.suppliers[0].shop)).order.suppliers.find((s) => s.supplier === 'yard')!.orderBy! < '2027-01-13').toBe(true); // prettier-ignore
  });

  it('takes off the list what was taken, at the price that was paid', () => {
    const c = document();
    const before = planned(c);
    const wanted = line(c, 'granite').wanted.value;
    const some = withTaken(c, { item: 'granite', supplier: 'yard', amount: wanted - 1, paidMinor: 2_000, day: TODAY }); // prettier-ignore
    expect(line(some, 'granite').missing.value).toBeCloseTo(1, 6);
    const after = planned(some);
    // By hand: a kilogram at 3.40 is still to be had, and 20.00 were paid.
    const stones = (o: typeof after.order) => o.suppliers.flatMap((s) => s.lines).filter((l) => l.line === 'granite').reduce((n, l) => n + l.priceMinor, 0); // prettier-ignore
    expect(stones(after.order)).toBe(340);
    expect(after.order.totalMinor).toBe(before.order.totalMinor - stones(before.order) + 340 + 2_000);
    expect(after.shopping.paidMinor).toBe(2_000);
    const whole = withTakenChanged(some, some.taken![0].id, { amount: wanted });
    // What was taken whole stays to be looked at, and is nowhere ordered.
    expect(line(whole, 'granite')).toMatchObject({ missing: { value: 0 }, packWords: [] });
    expect(planned(whole).order.suppliers.flatMap((s) => s.lines).some((l) => l.line === 'granite')).toBe(false); // prettier-ignore
    expect(withoutTaken(whole, whole.taken![0].id).taken).toBeUndefined();
  });

  it('keeps what was taken when it is read again, each once', () => {
    const c = withTaken(document(), { item: 'soil', amount: 9, day: TODAY, backUntil: '2027-02-01', note: 'one bag torn' }); // prettier-ignore
    const read = parseCommission(JSON.parse(JSON.stringify(c)));
    expect(read.ok && read.commission.taken).toEqual(c.taken);
    expect(parseCommission({ ...c, taken: [c.taken![0], c.taken![0]] }).ok).toBe(false);
  });
});
