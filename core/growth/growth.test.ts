import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KNOWN_PLANTS } from '../catalogue/knownPlants';
import type { Plant } from '../commission/schema';
import {
  coverDays,
  coverShare,
  dliForFactor,
  growthOf,
  heightMm,
  plugRadiusMm,
  radiusMm,
  trimDays,
  reachDays,
  spacingToCover,
} from './growth';

const carpet: Plant = { id: 'c', name: 'Carpet', roots: 'bed', habit: 'carpet', growth: 'medium', dli: [1, 2], heightMm: [20, 50], firstTrimDays: 35, trimEveryDays: 28 }; // prettier-ignore
const well = { dli: 2, co2: true };

describe('growth', () => {
  it('grows by its light and gas', () => {
    const factor = (dli: number, co2 = true, part: Partial<Plant> = {}) => growthOf({ ...carpet, ...part }, { dli, co2 }).factor; // prettier-ignore
    expect([0, 0.5, 1, 1.5, 2, 5].map((dli) => Math.round(factor(dli) * 100) / 100)).toEqual([
      0, 0, 0.3, 0.65, 1, 1,
    ]);
    expect(factor(2, false)).toBe(1);
    expect(factor(2, false, { needsCo2: true })).toBe(0.2);
    expect(factor(2, false, { helpedByCo2: true })).toBe(0.6);
  });

  it('spreads in the weeks of a dry start, with the gas of the air, and rests no second time', () => {
    const dry = growthOf(carpet, { ...well, dryDays: 28 });
    // Four weeks, less one of rest: three weeks of 3.2 mm.
    expect(dry.grownMm).toBeCloseTo(9.6, 9);
    expect(dry.restsDays).toBe(0);
    const fromPlanting = coverDays(carpet, 25, growthOf(carpet, well))!.days;
    expect(coverDays(carpet, 25, dry)!.days).toBeCloseTo(fromPlanting - 28, 9);
    expect(radiusMm(carpet, dry, 0)).toBeCloseTo(5 + 9.6, 9);
    // A plant that needs gas goes on slowly once the water is there.
    const needs: Plant = { ...carpet, needsCo2: true };
    const without = { ...well, co2: false, dryDays: 28 };
    expect(growthOf(needs, without)).toMatchObject({ grownMm: dry.grownMm, factor: 0.2 });
    // Long enough and it has closed before the water; a day before is not yet past its rest.
    expect(coverDays(carpet, 25, growthOf(carpet, { ...well, dryDays: 60 }))!.days).toBe(0);
    expect(growthOf(carpet, { ...well, dryDays: 1 })).toMatchObject({ grownMm: 0, restsDays: 6 });
    const within = coverDays(carpet, 30, dry)!.days;
    expect(spacingToCover(carpet, dry, within)).toBeCloseTo(30, 9);
  });

  it('closes when circles meet at the corners of their squares', () => {
    const growth = growthOf(carpet, well);
    const { days, from, to } = coverDays(carpet, 25, growth)!;
    // 25·√½ − 5 mm at 3.2 mm a week after a week of rest: 34.7 days. Dense carpets take four to six weeks (common practice).
    expect(days).toBeCloseTo(7 + ((25 * Math.SQRT1_2 - 5) / 3.2) * 7, 9);
    expect(days).toBeGreaterThan(28);
    expect(days).toBeLessThan(42);
    expect(from).toBeLessThan(days);
    expect(to).toBeGreaterThan(days);
    expect(radiusMm(carpet, growth, days)).toBeCloseTo(25 * Math.SQRT1_2, 9);
    // Half as dense it takes weeks longer; in the dark it never closes.
    expect(coverDays(carpet, 45, growth)!.days).toBeGreaterThan(days + 28);
    expect(coverDays(carpet, 25, growthOf(carpet, { dli: 0.2, co2: true }))).toBeUndefined();
    // One heart does not run on: rosettes wider apart than they spread stay apart.
    const rosette: Plant = { ...carpet, habit: 'rosette', spreadMm: 80 };
    expect(coverDays(rosette, 100, growth)).toBeUndefined();
    expect(coverDays(rosette, 50, growth)).toBeDefined();
    // Stems branch as far as a little beyond their spread, runners close what is within their reach: the rest stays islands.
    const stem: Plant = { ...carpet, habit: 'stem', spreadMm: 50 };
    expect([40, 48, 119].map((mm) => coverDays(stem, mm, growth) !== undefined)).toEqual([true, true, false]);
    expect([100, 119].map((mm) => coverDays(carpet, mm, growth) !== undefined)).toEqual([true, false]);
    expect(coverShare(carpet, 119, growth, 1_000)).toBeLessThan(1);
  });

  it('closes in time at the spacing that is said for it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KNOWN_PLANTS.filter((p) => p.roots === 'bed')),
        fc.integer({ min: 10, max: 150 }),
        fc.integer({ min: 40, max: 400 }),
        (plant, days, hundredths) => {
          const growth = growthOf(plant, { dli: hundredths / 100, co2: true });
          const mm = spacingToCover(plant, growth, days);
          if (mm === undefined) {
            expect(growth.factor === 0 || days <= growth.restsDays).toBe(true);
            return;
          }
          expect(coverDays(plant, mm, growth)!.days).toBeLessThanOrEqual(days + 1e-6);
          // A little wider it is later, or never where one heart has its spread.
          expect(coverDays(plant, mm * 1.02, growth)?.days ?? Infinity).toBeGreaterThan(days);
        },
      ),
    );
    expect(spacingToCover(carpet, growthOf(carpet, well), 7)).toBeUndefined();
  });

  it('says the light that a growth takes', () => {
    const needing: Plant = { ...carpet, needsCo2: true };
    for (const factor of [0.3, 0.5, 0.8, 1])
      for (const co2 of [true, false]) {
        const dli = dliForFactor(needing, factor * (co2 ? 1 : 0.2), co2)!;
        expect(growthOf(needing, { dli, co2 }).factor).toBeCloseTo(factor * (co2 ? 1 : 0.2), 9);
      }
    // Without CO2 no light brings it to half of what it can.
    expect(dliForFactor(needing, 0.5, false)).toBeUndefined();
  });

  it('covers more every day, and all when it closes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KNOWN_PLANTS.filter((p) => p.roots === 'bed')),
        fc.integer({ min: 15, max: 90 }),
        fc.integer({ min: 0, max: 110 }),
        (plant, spacing, day) => {
          const growth = growthOf(plant, { dli: 5, co2: true });
          const [now, later] = [
            coverShare(plant, spacing, growth, day),
            coverShare(plant, spacing, growth, day + 3),
          ];
          expect(now).toBeGreaterThanOrEqual(0);
          expect(later).toBeLessThanOrEqual(1);
          expect(later).toBeGreaterThanOrEqual(now - 1e-9);
          const closes = coverDays(plant, spacing, growth);
          if (closes) expect(coverShare(plant, spacing, growth, closes.days + 0.01)).toBeCloseTo(1, 6);
        },
      ),
    );
    // As planted: the area of a plug against its square.
    const growth = growthOf(carpet, well);
    expect(coverShare(carpet, 25, growth, 0)).toBeCloseTo((Math.PI * plugRadiusMm(carpet) ** 2) / 625, 9);
  });

  it('is trimmed when it is due, and never grows over its height', () => {
    const growth = growthOf(carpet, well);
    expect(trimDays(carpet, growth, 112)).toEqual([35, 63, 91]);
    expect(trimDays(carpet, growthOf(carpet, { dli: 0.1, co2: true }), 112)).toEqual([]);
    for (const plant of KNOWN_PLANTS)
      for (const day of [0, 14, 40, 80, 112]) {
        const tall = heightMm(plant, growthOf(plant, { dli: 4, co2: true }), day);
        expect(tall, plant.name).toBeGreaterThan(0);
        expect(tall, plant.name).toBeLessThanOrEqual(plant.heightMm![1] + 1e-9);
      }
    const stem = KNOWN_PLANTS.find((p) => p.id === 'rotala-rotundifolia')!;
    const grows = growthOf(stem, { dli: 3, co2: true });
    const [before, after] = [heightMm(stem, grows, 20), heightMm(stem, grows, 22)];
    expect(before).toBeGreaterThan(heightMm(stem, grows, 7));
    expect(after).toBeLessThanOrEqual(before + 20);
  });
});

describe('a stem that is not trimmed', () => {
  it('reaches the surface by its rate, or never', () => {
    const plant = {
      id: 'x',
      name: 'x',
      roots: 'bed' as const,
      habit: 'stem' as const,
      growth: 'fast' as const,
      heightMm: [150, 400] as [number, number],
      dli: [1, 2] as [number, number],
    };
    const growth = growthOf(plant, { dli: 2, co2: true });
    // From 40 mm to 315 mm at 55 mm a week are five weeks, after seven days of rest.
    expect(reachDays(plant, growth, 315)).toBeCloseTo(42, 9);
    expect(reachDays(plant, growth, 420)).toBeUndefined();
  });
});
