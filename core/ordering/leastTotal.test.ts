import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { carriageOf, termsOf, type Terms } from './carriage';
import { leastTotal, type Bought } from './leastTotal';

const FREE: Terms = termsOf({});
const line = (id: string, offers: Record<string, number>): Bought => ({
  line: id,
  offers: Object.entries(offers).map(([supplier, priceMinor]) => ({ supplier, priceMinor })),
});

/** Every line from every supplier that has it, one way after another. */
function bruteForce(lines: readonly Bought[], termsFor: (s: string) => Terms, aim: 'total' | 'parcels') {
  let best: { total: number; parcels: number } | undefined;
  const visit = (i: number, goods: Map<string, number>): void => {
    if (i === lines.length) {
      if ([...goods].some(([s, g]) => g < termsFor(s).minimumMinor)) return;
      const total = [...goods].reduce((n, [s, g]) => n + g + carriageOf(termsFor(s), g), 0);
      const parcels = goods.size;
      const isLess = !best || (aim === 'total' ? total < best.total : parcels < best.parcels || (parcels === best.parcels && total < best.total)); // prettier-ignore
      if (isLess) best = { total, parcels };
      return;
    }
    for (const o of lines[i].offers)
      visit(i + 1, new Map([...goods, [o.supplier, (goods.get(o.supplier) ?? 0) + o.priceMinor]]));
  };
  visit(0, new Map());
  return best;
}

describe('the least total', () => {
  it('agrees with trying every way to buy', () => {
    const supplier = fc.constantFrom('a', 'b', 'c');
    const anyLine = fc.uniqueArray(fc.record({ supplier, priceMinor: fc.integer({ min: 1, max: 4_000 }) }), { minLength: 1, maxLength: 3, selector: (o) => o.supplier }); // prettier-ignore
    const anyTerms = fc.record({
      minimumMinor: fc.constantFrom(0, 0, 1_500, 4_000),
      carriage: fc.array(fc.record({ fromMinor: fc.constantFrom(0, 2_000, 5_000, 9_000), minor: fc.constantFrom(0, 300, 600, 900) }), { maxLength: 3 }), // prettier-ignore
    });
    fc.assert(
      fc.property(
        fc.array(anyLine, { minLength: 1, maxLength: 6 }),
        fc.record({ a: anyTerms, b: anyTerms, c: anyTerms }),
        fc.constantFrom('total' as const, 'parcels' as const),
        (offers, terms, aim) => {
          const lines = offers.map((o, i) => ({ line: `l${i}`, offers: o }));
          const termsFor = (s: string) => termsOf(terms[s as 'a']);
          const found = leastTotal(lines, termsFor, aim);
          const expected = bruteForce(lines, termsFor, aim);
          expect(found === undefined).toBe(expected === undefined);
          if (!found || !expected) return;
          expect(found.proven).toBe(true);
          expect(found.goodsMinor + found.carriageMinor).toBe(expected.total);
          if (aim === 'parcels') expect(found.parcels).toBe(expected.parcels);
          // What is said of it is what it comes to.
          const goods = new Map<string, number>();
          for (const l of lines) {
            const s = found.from.get(l.line)!;
            goods.set(s, (goods.get(s) ?? 0) + l.offers.find((o) => o.supplier === s)!.priceMinor);
          }
          expect([...goods].reduce((n, [s, g]) => n + g + carriageOf(termsFor(s), g), 0)).toBe(expected.total); // prettier-ignore
        },
      ),
      { numRuns: 400 },
    );
  });

  it('pays a little more for one thing where that saves a parcel', () => {
    // By hand: a and b apart 30.00 + 8.00 with 6.00 carriage each are 50.00; all from a 30.00 + 10.00 + 6.00 are 46.00.
    const carriage = { carriage: [{ fromMinor: 0, minor: 600 }] };
    const found = leastTotal([line('soil', { a: 3_000 }), line('glue', { a: 1_000, b: 800 })], () => termsOf(carriage))!; // prettier-ignore
    expect([found.from.get('glue'), found.goodsMinor, found.carriageMinor, found.parcels]).toEqual(['a', 4_000, 600, 1]); // prettier-ignore
  });

  it('moves a line to a supplier whose carriage is free from there on', () => {
    // By hand: 48.00 at a with 7.00, 12.00 at b free: 67.00; moved to a for 13.00 they are 61.00 and free.
    const terms = (s: string) => (s === 'a' ? termsOf({ carriage: [{ fromMinor: 0, minor: 700 }, { fromMinor: 6_000, minor: 0 }] }) : FREE); // prettier-ignore
    const found = leastTotal([line('wood', { a: 4_800 }), line('sand', { a: 1_300, b: 1_200 })], terms)!;
    expect([found.from.get('sand'), found.goodsMinor + found.carriageMinor]).toEqual(['a', 6_100]);
  });

  it('has no way where everybody asks for more than is wanted', () => {
    const found = leastTotal([line('glue', { a: 500 })], () => termsOf({ minimumMinor: 2_000 }));
    expect(found).toBeUndefined();
  });

  it('is found for a studio’s largest order', () => {
    // Sixty lines, six suppliers, each with a minimum and carriage in three steps.
    const seeded = (n: number) => ((n * 2_654_435_761) >>> 0) / 2 ** 32;
    const names = ['a', 'b', 'c', 'd', 'e', 'f'];
    const lines = Array.from({ length: 60 }, (_, i) =>
      line(
        `l${i}`,
        Object.fromEntries(names.flatMap((s, k) => (seeded(i * 7 + k + 1) < 0.6 || k === i % 6 ? [[s, Math.round(300 + 4_000 * seeded(i + 1) * (0.9 + 0.2 * seeded(i * 13 + k)))]] : []))), // prettier-ignore
      ),
    );
    const termsFor = (s: string) => {
      const k = names.indexOf(s);
      return termsOf({ minimumMinor: 2_000 + 500 * k, carriage: [{ fromMinor: 0, minor: 1_200 }, { fromMinor: 8_000, minor: 600 }, { fromMinor: 15_000 + 1_000 * k, minor: 0 }] }); // prettier-ignore
    };
    const found = leastTotal(lines, termsFor)!;
    expect(found.proven).toBe(true);
    // Not more than all lines at their least price with the dearest carriage of all.
    const loose = lines.reduce((n, l) => n + Math.min(...l.offers.map((o) => o.priceMinor)), 0);
    expect(found.goodsMinor + found.carriageMinor).toBeGreaterThanOrEqual(loose);
    expect(found.goodsMinor + found.carriageMinor).toBeLessThanOrEqual(loose + 6 * 1_200);
  });
});
