import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { waterDensity } from './density';
import { caco3FromDegrees, degreesFromCaco3, degreesFromMmol, mmolFromDegrees } from '../units/hardness';
import { bicarbonateG, gypsumG } from './hardness';
import { missingCelsius, mixedCelsius } from './mixing';
import { waterRecipe, type RecipeAsk } from './recipe';
import { roSchedule } from './roSchedule';

describe('hardness', () => {
  it('is 17.85 mg/L as CaCO3 and 0.1783 mmol/L for a degree (DIN, from memory)', () => {
    expect(caco3FromDegrees(1)).toBeCloseTo(17.85, 2);
    expect(mmolFromDegrees(1)).toBeCloseTo(0.1783, 4);
  });

  it('comes back from both', () => {
    expect(degreesFromCaco3(caco3FromDegrees(7.3))).toBeCloseTo(7.3, 12);
    expect(degreesFromMmol(mmolFromDegrees(7.3))).toBeCloseTo(7.3, 12);
  });

  it('is raised by 3.07 g of gypsum or 3.00 g of bicarbonate for 100 L and a degree', () => {
    expect(gypsumG(1, 100)).toBeCloseTo(3.07, 2);
    expect(bicarbonateG(1, 100)).toBeCloseTo(3.0, 2);
  });
});

describe('density of water', () => {
  it('agrees with Kell (J. Chem. Eng. Data 20, 1975, values from memory)', () => {
    expect(waterDensity(4)).toBeCloseTo(999.97, 2);
    expect(waterDensity(20)).toBeCloseTo(998.2, 2);
    expect(waterDensity(25)).toBeCloseTo(997.04, 1);
  });
});

describe('mixing', () => {
  it('is the mean by amount: 30 L of 10 °C and 10 L of 50 °C give 20 °C', () => {
    const cold = { litres: 30, celsius: 10 };
    expect(mixedCelsius([cold, { litres: 10, celsius: 50 }])).toBe(20);
    expect(missingCelsius(20, 10, [cold])).toBe(50);
    expect(missingCelsius(20, 0, [cold])).toBeUndefined();
  });
});

const HARD: RecipeAsk = {
  litres: 183,
  tap: { gh: 14, kh: 11, coldC: 11, hotC: 55 },
  roC: 18,
  target: { gh: 5.7, kh: 4.5, celsius: 24 },
};

describe('a water recipe', () => {
  it('cuts hard tap water with RO until neither hardness is over', () => {
    const r = waterRecipe(HARD);
    // 5.7 / 14 = 0.4071 is less than 4.5 / 11 = 0.4091: general hardness decides.
    expect((r.tapColdL + r.tapHotL) / 183).toBeCloseTo(5.7 / 14, 9);
    expect(r.gh).toBeCloseTo(5.7, 9);
    expect(r.gypsumG).toBeCloseTo(0, 9);
    expect(r.khBefore).toBeCloseTo((11 * 5.7) / 14, 9);
    expect(r.bicarbonateG).toBeCloseTo(bicarbonateG(4.5 - (11 * 5.7) / 14, 183), 9);
  });

  it('takes hot water for the temperature: by hand, (24·183 − 74.5·11 − 108.5·18) / 44', () => {
    const r = waterRecipe(HARD);
    const tapL = (183 * 5.7) / 14;
    expect(r.tapHotL).toBeCloseTo((24 * 183 - tapL * 11 - (183 - tapL) * 18) / 44, 9);
    expect(r.celsius).toBeCloseTo(24, 9);
    expect(r.warmRoToC).toBeUndefined();
  });

  it('warms the RO water when the hot tap cannot', () => {
    const r = waterRecipe({ ...HARD, tap: { ...HARD.tap, gh: 60, kh: 40 } });
    expect(r.tapColdL).toBeCloseTo(0, 9);
    expect(r.warmRoToC).toBeGreaterThan(18);
    expect(r.celsius).toBe(24);
  });

  it('is all tap water, and too hard, without RO', () => {
    const r = waterRecipe({ ...HARD, roC: undefined });
    expect(r.roL).toBe(0);
    expect(r.gh).toBe(14);
  });

  it('lifts soft water with minerals alone', () => {
    const r = waterRecipe({ ...HARD, tap: { gh: 2, kh: 1, coldC: 11, hotC: 55 } });
    expect(r.roL).toBe(0);
    expect(r.gypsumG).toBeCloseTo(gypsumG(3.7, 183), 9);
    expect(r.kh).toBeCloseTo(4.5, 9);
  });

  it('adds up to the litres asked for and never misses a target it can reach', () => {
    const d = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        d(0, 30),
        d(0, 20),
        d(0, 12),
        d(0, 10),
        d(4, 22),
        d(1, 900),
        (gh, kh, tgh, tkh, coldC, litres) => {
          const r = waterRecipe({
            litres,
            tap: { gh, kh, coldC, hotC: 55 },
            roC: 18,
            target: { gh: tgh, kh: tkh, celsius: 24 },
          });
          expect(r.tapColdL + r.tapHotL + r.roL).toBeCloseTo(litres, 6);
          expect(r.gh).toBeCloseTo(tgh, 6);
          expect(r.kh).toBeCloseTo(tkh, 6);
          expect(r.celsius).toBeGreaterThan(23.9);
        },
      ),
    );
  });
});

describe('a reverse-osmosis schedule', () => {
  const week = Array.from({ length: 7 }, (_, i) => ({ afterDays: i + 1, litres: 73 }));

  it('falls behind when a day asks for more than a day makes', () => {
    // 2.5 L/h make 60 L a day; with room for 20 L there is never more than the day's own.
    const s = roSchedule([{ afterDays: 0, litres: 108 }, ...week], 2.5, 20);
    expect(s.perDayL).toBe(60);
    expect(s.hoursBeforeFill).toBeCloseTo(43.2, 9);
    expect(s.days.map((d) => d.shortL)).toEqual([13, 13, 13, 13, 13, 13, 13]);
    expect(s.days[0].hours).toBeCloseTo(29.2, 9);
    // Seven days of 73 L, seven of 60 L made.
    expect(s.storeNeededL).toBeCloseTo(7 * 13, 9);
  });

  it('catches up where days lie between', () => {
    const s = roSchedule(
      [7, 14, 21].map((afterDays) => ({ afterDays, litres: 73 })),
      2.5,
      100,
    );
    expect(s.days.every((d) => d.shortL === 0)).toBe(true);
    expect(s.storeNeededL).toBe(0);
  });
});
