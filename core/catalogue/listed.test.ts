import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { withPrices } from '../edits/buying';
import type { Material } from '../commission/schema';
import { dearerBy, otherPrices, packOfListed, priceKey, type PriceToday } from './listed';

const soil: Material = {
  id: 'soil',
  name: 'Soil',
  kind: 'soil',
  packs: [
    { id: 'A-9', size: 9, unit: 'L', priceMinor: 4_000, supplier: 'marl', leadDays: 3 },
    { id: 'A-3', size: 3, unit: 'L', priceMinor: 1_500, supplier: 'marl', leadDays: 3 },
    { id: 'C', size: 1, unit: 'L', priceMinor: 700, supplier: 'marl', leadDays: 3 },
    { id: 'S', size: 1, unit: 'L', priceMinor: 700, supplier: 'marl', leadDays: 3, steps: [{ from: 5, priceMinor: 600 }] }, // prettier-ignore
  ],
};
const today = (article: string, priceMinor: number, more: Partial<PriceToday> = {}): PriceToday => ({
  supplier: 'marl', article, priceMinor, size: null, unit: null, listedOn: '2027-03-01', goneOn: null, ...more,
}); // prettier-ignore
const counts = new Map(['A-9', 'A-3', 'C', 'S'].map((id, i) => [priceKey('marl', id), i + 1]));
const others = (...now: PriceToday[]) => otherPrices({ materials: [soil], plants: [] }, counts, now);

describe('what is bought against today’s prices', () => {
  it('says what is dearer today, by how many are bought', () => {
    const found = others(today('A-9', 4_400, { size: 9, unit: 'L' }), today('A-3', 1_400), today('C', 700));
    expect(found.map((o) => [o.pack.id, o.count, o.wasMinor, o.isMinor])).toEqual([['A-9', 1, 4_000, 4_400], ['A-3', 2, 1_500, 1_400]]); // prettier-ignore
    // 1 × £4 more, 2 × £1 less.
    expect(dearerBy(found)).toBe(200);
  });

  it('takes those as they are, and leaves what is gone, of another size or agreed by number to a person', () => {
    const found = others(today('A-9', 4_400, { goneOn: '2027-02-01' }), today('A-3', 1_400, { size: 2.5, unit: 'L' }), today('C', 650), today('S', 1)); // prettier-ignore
    expect(found.map((o) => [o.pack.id, o.goneOn, o.holds])).toEqual([['A-9', '2027-02-01', undefined], ['A-3', undefined, { size: 2.5, unit: 'L' }], ['C', undefined, undefined]]); // prettier-ignore
    // Three of it, 50p less each.
    expect(dearerBy(found)).toBe(-150);
    const doc = { ...example('held-root'), catalogue: { materials: [soil], plants: [], suppliers: [] } };
    const [{ packs }] = withPrices(doc, found).catalogue.materials;
    expect(packs!.map((p) => p.priceMinor)).toEqual([4_000, 1_500, 650, 700]);
  });

  it('is silent about what is not bought, and what nobody knows a price of', () => {
    expect(otherPrices({ materials: [soil], plants: [] }, new Map(), [today('A-9', 1)])).toEqual([]);
    expect(others()).toEqual([]);
  });

  it('is a pack by its article, with the size of the list or of who chose it', () => {
    const listed = { supplier: 'marl', article: 'B-1', name: 'Soil, coarse', size: null, unit: null, priceMinor: 900, leadDays: null, listedOn: '2027-03-01' }; // prettier-ignore
    expect(packOfListed(listed, { size: 5, unit: 'L', leadDays: 4 })).toEqual({ id: 'B-1', size: 5, unit: 'L', priceMinor: 900, supplier: 'marl', leadDays: 4 }); // prettier-ignore
    expect(packOfListed({ ...listed, size: 20, unit: 'kg', leadDays: 2 }, { size: 5, unit: 'L', leadDays: 4 })).toMatchObject({ size: 20, unit: 'kg', leadDays: 2 }); // prettier-ignore
  });
});
