import { describe, expect, it } from 'vitest';
import { inchesFromMm, mmFromInches } from './length';
import { kilonewtonsFromKg, poundsFromKg } from './mass';
import { rounded } from './quantity';
import { celsiusFromFahrenheit, fahrenheitFromCelsius } from './temperature';
import { imperialGallonsFromL, L_PER_US_GALLON, ML_PER_US_FLUID_OUNCE, usGallonsFromL } from './volume';

describe('units, exact by definition', () => {
  it('turns gallons, inches and pounds', () => {
    expect(usGallonsFromL(3.785411784)).toBe(1);
    expect(imperialGallonsFromL(4.54609)).toBe(1);
    expect(L_PER_US_GALLON).toBeCloseTo((231 * 25.4 ** 3) / 1e6, 12); // 231 cubic inches
    expect(ML_PER_US_FLUID_OUNCE).toBeCloseTo(29.5735295625, 10);
    expect(inchesFromMm(25.4)).toBe(1);
    expect(mmFromInches(2)).toBe(50.8);
    expect(poundsFromKg(0.45359237)).toBe(1);
  });

  it('turns temperatures both ways', () => {
    expect(fahrenheitFromCelsius(24)).toBeCloseTo(75.2, 10);
    expect(celsiusFromFahrenheit(77)).toBeCloseTo(25, 10);
    expect(celsiusFromFahrenheit(78)).toBeCloseTo(25.6, 1);
  });

  it('weighs a mass at standard gravity', () => {
    expect(kilonewtonsFromKg(1000)).toBeCloseTo(9.80665, 10);
  });

  it('rounds halves away from zero, as written', () => {
    expect(rounded(1.005, 2)).toBe(1.01);
    expect(rounded(-1.005, 2)).toBe(-1.01);
    expect(Object.is(rounded(-0.0001, 2), 0)).toBe(true);
  });
});
