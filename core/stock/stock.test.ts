import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import type { Shelf, ShelfEntry } from './shelf';
import { amountIn } from './onShelf';

const base = example('held-root');
const ASK = { today: '2026-01-05', cellMm: 20, planted: 'later' as const };
const option = base.options.find((o) => o.id === base.chosen)!;
/** The same with its first layer and its first planting from the studio's own shelf. */
const own: Commission = {
  ...base,
  options: base.options.map((o) => o.id !== option.id ? o : {
    ...o,
    bed: o.bed.map((l, i) => (i === 0 ? { ...l, origin: 'stock' as const } : l)),
    plants: o.plants.map((p, i) => (i === 0 ? { ...p, origin: 'stock' as const } : p)),
  }),
}; // prettier-ignore
const planned = (shelf?: Shelf, doc = own) => plan(doc, { ...ASK, shelf });
const [soil, plugs] = planned().takes;
const entry = (of: string, amount: number, unit: ShelfEntry['unit'], more: Partial<ShelfEntry> = {}): ShelfEntry => ({ id: `e-${of}`, name: of, of, amount, unit, ...more }); // prettier-ignore
const found = (shelf: Shelf) => planned(shelf).findings.filter((f) => f.id.startsWith('stock.'));

describe('the studio’s shelf', () => {
  it('takes as much as it pours and plants', () => {
    const { survey, order } = planned();
    expect(plan(base, ASK).takes).toEqual([]);
    expect(soil).toMatchObject({ of: option.bed[0].material, unit: 'L', on: base.brief.buildDay });
    // As poured it is more than it measures once it lies (common practice: soils settle).
    expect(soil.amount).toBeGreaterThanOrEqual(Math.floor(survey.layers[0].volumeL * 10) / 10);
    expect(plugs).toMatchObject({
      of: option.plants[0].plant,
      unit: 'plug',
      amount: survey.plantings[0].plugs,
    });
    // None of it is in the order.
    expect(order.suppliers.flatMap((s) => s.lines.map((l) => l.line))).not.toContain(plugs.of);
  });

  it('is short where two want the same, whoever asks', () => {
    const has = entry(plugs.of, plugs.amount + 5, 'plug');
    const enough: Shelf = { entries: [has, entry(soil.of, soil.amount, 'L')], reserved: [] };
    expect(found(enough)).toEqual([]);
    const other = {
      of: plugs.of,
      name: 'x',
      amount: 10,
      unit: 'plug' as const,
      on: '2026-01-20',
      title: 'Long wall',
    };
    const [short, ...more] = found({ ...enough, reserved: [other] });
    expect(more).toEqual([]);
    // Of five more than it wants ten are taken: it is five short.
    expect(short).toMatchObject({ id: 'stock.short', measured: plugs.amount, limit: plugs.amount - 5, unit: 'plug', at: { plant: plugs.of } }); // prettier-ignore
    expect(found({ entries: [has], reserved: [] }).map((f) => [f.id, f.limit])).toEqual([['stock.short', 0]]);
  });

  it('is silent as long as nobody has entered anything', () => {
    expect(found({ entries: [], reserved: [] })).toEqual([]);
  });

  it('says what keeps no longer than that, and what lives on it', () => {
    const entries = [
      entry(soil.of, 500, 'L', { keepsUntil: '2026-01-01' }),
      entry(plugs.of, 5_000, 'plug', { livesOn: ['snails'] }),
    ];
    expect(found({ entries, reserved: [] }).map((f) => [f.id, f.severity])).toEqual([['stock.keeps', 'warn'], ['stock.lives', 'note']]); // prettier-ignore
  });

  it('counts kilograms as litres where a litre has a weight', () => {
    // A bag of 15 kg of quartz sand at 1.5 kg/L is ten litres.
    expect(amountIn(15, 'kg', 'L', 1.5)).toBe(10);
    expect(amountIn(10, 'L', 'kg', 1.5)).toBe(15);
    expect(amountIn(10, 'L', 'kg', undefined)).toBeUndefined();
    expect(amountIn(3, 'piece', 'plug', 1)).toBeUndefined();
  });
});
