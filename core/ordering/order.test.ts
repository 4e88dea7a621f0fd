import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayPlus, daysFrom, weekdayOf } from '../calendar/day';
import type { Supplier } from '../commission/schema';
import { survey } from '../survey/survey';
import { takeOff } from '../takeoff/takeOff';
import { example } from '../testing/scape';
import { isClosed, lastDelivery, orderDay } from './delivery';
import { order, orderByOf } from './order';
import { resolved } from '../testing/resolved';

const yard: Supplier = { id: 'yard', name: 'Marl & Timber Yard', days: ['tue', 'fri'] };
const ordered = (commission: ReturnType<typeof example>, today?: string) =>
  order(resolved(commission), takeOff(resolved(commission), survey(commission)), today);

describe('order-by days', () => {
  it('goes back from Thursday 14 January: delivery on Tuesday the 12th, four days before that the 8th', () => {
    expect(lastDelivery(yard, '2027-01-14')).toBe('2027-01-12');
    expect(orderDay(yard, '2027-01-12', 4)).toBe('2027-01-08');
    expect(orderByOf(ordered(example('held-root')), 'soil-granules')).toBe('2027-01-08');
    expect(orderByOf(ordered(example('held-root')), 'carpet-grass')).toBe('2027-01-06');
  });

  it('delivers before the day, not on it', () => {
    expect(weekdayOf('2027-01-12')).toBe('tue');
    expect(lastDelivery(yard, '2027-01-12')).toBe('2027-01-08');
  });

  it('steps over closed days, single or in a span, for delivery and for lead time', () => {
    const closed: Supplier = { ...yard, closed: ['2027-01-12', { from: '2027-01-05', to: '2027-01-07' }] };
    expect(lastDelivery(closed, '2027-01-14')).toBe('2027-01-08');
    expect(orderDay(closed, '2027-01-08', 1)).toBe('2027-01-04');
    expect(isClosed(closed, '2027-01-06')).toBe(true);
    const shut: Supplier = { ...yard, closed: [{ from: '2020-01-01', to: '2030-01-01' }] };
    expect(lastDelivery(shut, '2027-01-14')).toBeUndefined();
  });

  it('always delivers on one of its days, strictly before, with the whole lead time', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 800 }), fc.integer({ min: 0, max: 30 }), (shift, lead) => {
        const needed = dayPlus('2027-01-14', shift);
        const delivery = lastDelivery(yard, needed)!;
        expect(['tue', 'fri']).toContain(weekdayOf(delivery));
        expect(daysFrom(delivery, needed)).toBeGreaterThan(0);
        expect(daysFrom(delivery, needed)).toBeLessThanOrEqual(4);
        expect(daysFrom(orderDay(yard, delivery, lead), delivery)).toBe(lead);
      }),
    );
  });

  it('brings wood early enough to soak, where it has to', () => {
    const commission = structuredClone(example('held-root'));
    commission.catalogue.materials[2].soakDays = 21;
    // A stone holds it: it is there by the build day like the rest.
    expect(orderByOf(ordered(commission), 'branch')).toBe('2027-01-08');
    commission.options[0].joints = [];
    // In the tub by 24 December, a Thursday: delivered on the 22nd, ordered by the 18th.
    expect(orderByOf(ordered(commission), 'branch')).toBe('2026-12-18');
  });

  it('lets a branch soak before the sitting in which it is set, not until the water comes', () => {
    const commission = structuredClone(example('held-root'));
    commission.catalogue.materials[2].soakDays = 21;
    commission.options[0].joints = [];
    const used = (material: string, of = commission) => {
      const line = ordered(of)
        .suppliers.flatMap((s) => s.lines)
        .find((l) => l.line === material)!;
      return [line.neededOn, line.usedOn];
    };
    expect(used('branch')).toEqual(['2026-12-24', '2027-01-14']);
    const dry = { id: 'dry', kind: 'hardscape' as const, day: '2027-01-11' };
    const twice = { ...commission, brief: { ...commission.brief, sittings: [dry] } };
    expect(used('branch', twice)).toEqual(['2026-12-21', '2027-01-11']);
    // Soil waits for nothing: it is there for the evening on which it is laid.
    expect(used('soil-granules', twice)).toEqual(['2027-01-11', '2027-01-11']);
    expect(used('carpet-grass', twice)).toEqual(['2027-01-14', '2027-01-14']);
  });

  it('finds what can no longer be had in time, on the day asked', () => {
    expect(ordered(example('level-cube'), '2027-01-08').findings).toEqual([]);
    const [late] = ordered(example('level-cube'), '2027-01-09').findings;
    expect(late).toMatchObject({ id: 'order.late', measured: 1, limit: 0, at: { line: 'soil-granules' } });
  });

  it('finds plants that would wait longer than they keep', () => {
    const commission = structuredClone(example('held-root'));
    commission.catalogue.plants[0].packs![0].keepsDays = 2;
    expect(ordered(commission).findings.map((f) => f.id)).toEqual(['order.keeps']);
  });

  it('groups lines by supplier, priced, with the earliest day first', () => {
    const { suppliers, totalMinor, unpriced } = ordered(example('held-root'));
    expect(suppliers.map((s) => [s.name, s.lines.length, s.orderBy])).toEqual([
      ['Marl & Timber Yard', 3, '2027-01-08'],
      ['Glasshouse Nine', 1, '2027-01-06'],
    ]);
    expect(suppliers.reduce((sum, s) => sum + s.totalMinor, 0)).toBe(totalMinor);
    expect(unpriced.map((u) => u.id)).toEqual(['glue', 'fibre', 'conditioner', 'plant-food', 'test']);
  });
});
