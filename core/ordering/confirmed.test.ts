import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { survey } from '../survey/survey';
import { takeOff } from '../takeoff/takeOff';
import { example } from '../testing/scape';
import { inEnglish } from '../words/english';
import type { Placed } from './confirmation';
import { stillMissing } from './coming';
import { order, type Order } from './order';
import { resolved } from '../testing/resolved';

/** Soil for the held root: 2 × 9 L from the timber yard, wanted before 14 January. */
const commission = example('held-root');
const taken = takeOff(resolved(commission), survey(commission));
const soil = taken.lines.find((l) => l.id === 'soil-granules')!;
const ordered = (placed: Placed[], doc: Commission = commission, today?: string) =>
  order(resolved(doc), doc === commission ? taken : takeOff(resolved(doc), survey(doc)), today, placed);
const from = ({ suppliers }: Order, id = 'marl-timber') => suppliers.find((s) => s.supplier === id)!;

/** What the yard answers to all that is wanted of it. */
function answered(given: (asked: number, line: string) => number, deliveryDay: string | null = '2027-01-12') {
  const lines = from(ordered([])).lines.map((l) => ({
    item: l.line,
    pack: l.pack,
    name: inEnglish(l.name),
    asked: l.count,
    given: given(l.count, l.line),
  }));
  const prices = from(ordered([])).lines.map((l) => l.priceMinor / l.count);
  const totalMinor = lines.reduce((sum, l, i) => sum + l.given * prices[i], 0);
  return { reference: 'yard-1', supplier: 'marl-timber', confirmation: { supplierReference: 'MA-12345', deliveryDay, totalMinor, lines } }; // prettier-ignore
}
const whole = answered((asked) => asked);
const says = (o: Order) => o.findings.map((f) => `${f.id}: ${inEnglish(f.says)} ${inEnglish(f.because)}`);

describe('what is confirmed', () => {
  it('stands: nothing of it is ordered twice, and what it costs is what was confirmed', () => {
    const before = ordered([]);
    const after = ordered([whole], commission, '2027-01-10');
    expect(from(after).lines).toEqual([]);
    expect(from(after).orderBy).toBeUndefined();
    expect(from(after).coming.map((c) => [c.line, c.given, c.day])).toContainEqual(['soil-granules', 2, '2027-01-12']); // prettier-ignore
    // Late or not: what has been ordered cannot be ordered too late.
    expect(after.findings.filter((f) => f.at.supplier === 'marl-timber')).toEqual([]);
    expect(after.totalMinor).toBe(before.totalMinor);
    const dearer = { ...whole, confirmation: { ...whole.confirmation, totalMinor: whole.confirmation.totalMinor + 500 } }; // prettier-ignore
    expect(ordered([dearer]).totalMinor).toBe(before.totalMinor + 500);
  });

  it('asks for what is missing, of somebody who has it', () => {
    const short = answered((asked, line) => (line === 'soil-granules' ? 1 : asked));
    // 16.12 L are wanted and 9 come; of 9 L bags there are none left: the 7.12 L that are missing take three of 3 L.
    expect(soil.held).toBeCloseTo(16.12, 2);
    const o = ordered([short]);
    expect(from(o).lines.map((l) => [l.line, l.pack, l.count])).toEqual([['soil-granules', 'soil-3', 3]]);
    expect(says(o)).toEqual([
      'order.short: Marl & Timber Yard gives 1 of 2 packs of Active soil, granules. The rest is still to be ordered: 3 × 3 L from Marl & Timber Yard.',
    ]);
  });

  it('says so where nobody else has it', () => {
    const doc = structuredClone(commission);
    const entry = doc.catalogue.materials.find((m) => m.id === 'soil-granules')!;
    entry.packs = entry.packs!.filter((p) => p.size === 9);
    const o = ordered([answered((asked, line) => (line === 'soil-granules' ? 1 : asked))], doc);
    expect(o.findings.find((f) => f.id === 'order.short')).toMatchObject({ severity: 'stop', measured: 1, limit: 2 }); // prettier-ignore
  });

  it('is found where it comes on the day itself, on no day, or too early to keep', () => {
    const ids = (p: Placed, doc = commission) => ordered([p], doc).findings.filter((f) => f.at.line === 'soil-granules').map((f) => f.id); // prettier-ignore
    expect(ids(answered((n) => n, '2027-01-13'))).toEqual([]);
    expect(ids(answered((n) => n, '2027-01-14'))).toEqual(['order.after']);
    expect(ids(answered((n) => n, null))).toEqual(['order.noday']);
    const doc = structuredClone(commission);
    for (const p of doc.catalogue.materials.find((m) => m.id === 'soil-granules')!.packs!) p.keepsDays = 3;
    expect(
      ids(
        answered((n) => n, '2027-01-10'),
        doc,
      ),
    ).toEqual(['order.keeps']);
    expect(
      ids(
        answered((n) => n, '2027-01-11'),
        doc,
      ),
    ).toEqual([]);
  });

  it('is asked back where a whole pack is over', () => {
    const more = answered((asked, line) => (line === 'soil-granules' ? 4 : asked));
    // 36 L come, 16.12 are needed: two of the four bags stay closed.
    expect(says(ordered([more]))).toEqual([
      'order.over: Active soil, granules: 2 × 9 L more than anything needs. Ask Marl & Timber Yard about MA-12345, or keep it for the next job.',
    ]);
  });

  it('is named as it was ordered where the take-off does not have it any more', () => {
    const doc = structuredClone(commission);
    doc.catalogue.suppliers = [];
    doc.catalogue.materials = doc.catalogue.materials.map((m) => ({ ...m, packs: [] }));
    doc.catalogue.plants = doc.catalogue.plants.map((m) => ({ ...m, packs: [] }));
    const { coming, name } = from(ordered([whole], doc));
    expect(name).toBe('marl-timber');
    expect(coming.map((c) => inEnglish(c.packWords))).toContain('2 × Active soil, granules');
    // A layer that was taken away altogether: all that comes of it is over.
    const bare = structuredClone(commission);
    bare.options[0].bed = [];
    bare.options[0].plants = [];
    const over = ordered([whole], bare).findings.filter((f) => f.id === 'order.over');
    expect(over.map((f) => [f.at.line, f.measured])).toContainEqual(['soil-granules', 2]);
  });

  it('and what is still ordered hold together what is needed, whatever is given', () => {
    const counts = fc.array(fc.nat(6), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(counts, (given) => {
        const p = answered((asked) => asked);
        p.confirmation.lines.forEach((l, i) => (l.given = given[i]));
        const o = ordered([p]);
        const nobody = new Set(o.findings.filter((f) => f.severity === 'stop').map((f) => f.at.line));
        for (const line of taken.lines.filter((l) => l.packs.length > 0 && !nobody.has(l.id))) {
          const coming = o.suppliers.flatMap((s) => s.coming);
          const more = o.suppliers.flatMap((s) => s.lines).filter((l) => l.line === line.id);
          const held = more.reduce((sum, l) => sum + l.count * line.contents[l.pack], 0);
          expect(held).toBeGreaterThanOrEqual(stillMissing(commission, line, coming) - 1e-6);
        }
      }),
      { numRuns: 40 },
    );
  });
});
