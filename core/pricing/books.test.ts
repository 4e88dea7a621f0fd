import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Placed } from '../ordering/confirmation';
import type { SupplierOrder } from '../ordering/order';
import { plan, type Plan } from '../pipeline/plan';
import { anyJob, jobDocument } from '../testing/anyJob';
import { carpet } from '../testing/job';
import { parsed, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { paidBeside } from '../gear/gear';
import { resolved } from '../testing/resolved';

const document = () =>
  parsed({
    ...(scape({ option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [carpet] } }) as object),
    quote: { hourMinor: 3_800, travelMinor: 4_500, margin: 0.3, tax: { name: 'VAT', share: 0.175 } },
  });

/** What a supplier answers that gives everything, `dearer` than it was. */
function given(first: SupplierOrder, dearer: number): Placed {
  const lines = first.lines.map((l) => ({ item: l.line, pack: l.pack, name: l.line, asked: l.count, given: l.count })); // prettier-ignore
  const totalMinor = first.totalMinor + first.carriageMinor + dearer;
  return { reference: 'ours-1', supplier: first.supplier, confirmation: { supplierReference: 'X-1', deliveryDay: first.lines[0].neededOn, totalMinor, lines } }; // prettier-ignore
}
const sideSum = ({ books }: Plan, side: string) => books.entries.filter((e) => e.side === side).reduce((n, e) => n + e.minor, 0); // prettier-ignore

describe('the books', () => {
  it('have each parcel as it was confirmed, and say what it comes to beyond the plan', () => {
    const before = plan(document());
    expect([before.books.spentMinor, before.books.overMinor]).toEqual([0, 0]);
    const first = before.order.suppliers.find((s) => s.lines.length > 0)!;
    const { books } = plan(document(), { placed: [given(first, 250)] });
    expect(books.plannedMinor).toBe(before.books.plannedMinor);
    expect(books.overMinor).toBe(250);
    expect(books.spentMinor).toBe(first.totalMinor + 250);
    expect(books.entries.find((e) => e.side === 'spent')).toMatchObject({ party: first.name, day: first.lines[0].neededOn }); // prettier-ignore
    expect(inEnglish(books.entries.find((e) => e.side === 'spent')!.what)).toBe('Order ours-1 (theirs: X-1)');
  });

  it('have what was taken over a counter at the price that was paid', () => {
    const c = document();
    const cups = plan(c).takeOff.lines.find((l) => l.id === 'grass')!;
    // All of it, for 100.00; the catalogue asked 17 × 6.50 = 110.50 for it.
    const taken = [{ id: 't-1', item: 'grass', amount: cups.held, paidMinor: 10_000, day: '2027-01-03' }]; // prettier-ignore
    const { books } = plan({ ...c, taken });
    expect(books.entries.filter((e) => e.side === 'spent')).toMatchObject([{ day: '2027-01-03', what: cups.name, minor: 10_000 }]); // prettier-ignore
    expect(books.overMinor).toBe(10_000 - 11_050);
  });

  it('have a second-hand lot as paid from the day on which it is fetched', () => {
    const c = document();
    c.brief.brokenDown = [
      { id: 'lot', name: 'Corner tank and stones', day: '2027-01-05', priceMinor: 18_000 },
    ];
    const lot = (today?: string) => plan(c, { today }).books.entries.find((e) => e.what === 'Corner tank and stones')!; // prettier-ignore
    expect([lot().side, lot('2027-01-04').side, lot('2027-01-05').side]).toEqual([
      'toCome',
      'toCome',
      'spent',
    ]);
    expect(plan(c, { today: '2027-01-05' }).books).toMatchObject({ spentMinor: 18_000, overMinor: 0 });
    // The tank of it is for another: two thirds are borne here, by books and quote.
    c.brief.brokenDown[0].share = 2 / 3;
    const { books, quote } = plan(c, { today: '2027-01-05' });
    expect(books).toMatchObject({ spentMinor: 12_000, overMinor: 0 });
    expect(quote.lines.find((l) => l.key === 'lots')!.costMinor).toBe(12_000);
  });

  it('spent and still to come are what all of it costs; asked is the quote with its tax', () => {
    fc.assert(
      fc.property(
        anyJob,
        fc.integer({ min: -300, max: 900 }),
        fc.constantFrom('line' as const, 'total' as const),
        (job, dearer, by) => {
          const c = parsed({ ...jobDocument(job), quote: { hourMinor: 3_333, margin: 0.3, tax: { name: 'VAT', share: 0.175, by } } }); // prettier-ignore
          const before = plan(c);
          expect(before.books.overMinor).toBe(0);
          const first = before.order.suppliers.find((s) => s.lines.length > 0);
          const after = first ? plan(c, { placed: [given(first, dearer)] }) : before;
          expect(sideSum(after, 'spent') + sideSum(after, 'toCome')).toBe(after.order.totalMinor + paidBeside(resolved(c)).all); // prettier-ignore
          expect(sideSum(after, 'asked')).toBe(after.quote.netMinor);
          expect(after.books.entries.reduce((n, e) => n + (e.taxMinor ?? 0), 0)).toBe(after.quote.taxMinor);
        },
      ),
      { numRuns: 20 },
    );
  });
});
