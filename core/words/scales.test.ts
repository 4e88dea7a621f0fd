import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { otherScale, scaleOf, type FigureKind, type Habits } from './scales';
import { inEnglish } from './english';

const METRIC: Habits = { units: 'metric', gallons: 'as-units', hardness: 'degree' };
const US: Habits = { ...METRIC, units: 'us' };

describe('scales of typed figures', () => {
  it.each<[FigureKind, Habits, string, number, number]>([
    ['length', METRIC, 'mm', 254, 254],
    ['length', US, 'in', 254, 10],
    ['distance', US, 'ft', 3.048, 10],
    ['volume', US, 'US gal', 37.85411784, 10],
    ['volume', { ...METRIC, gallons: 'imperial' }, 'imp gal', 45.4609, 10],
    // US units or not, a gallon that was chosen stays what it is.
    ['volume', { ...US, gallons: 'imperial' }, 'imp gal', 45.4609, 10],
    ['flow', METRIC, 'L an hour', 7.5, 7.5],
    // 50 US gallons a day are 7.9 L an hour (50 × 3.785 / 24).
    ['flow', US, 'US gal a day', (50 * 3.785411784) / 24, 50],
    ['mass', US, 'lb', 4.5359237, 10],
    ['temperature', US, '°F', 25, 77],
    ['hardness', { ...METRIC, hardness: 'ppm' }, 'mg/L CaCO3', 10, 178],
    ['hardness', { ...METRIC, hardness: 'mmol' }, 'mmol/L', 10, 1.78],
    ['money', US, '', 1_234, 12.34],
  ])('%s', (kind, reader, unit, kept, typed) => {
    const scale = scaleOf(kind, reader);
    expect(scale.unit).toBe(unit);
    expect(scale.out(kept)).toBe(typed);
    expect(scale.in(typed)).toBeCloseTo(kept, kind === 'hardness' ? 0 : 6);
  });

  it('take back what they show, within half of the last place shown', () => {
    const kinds = fc.constantFrom<FigureKind>('length', 'distance', 'volume', 'flow', 'mass', 'temperature');
    fc.assert(
      fc.property(
        kinds,
        fc.constantFrom(METRIC, US),
        fc.integer({ min: 0, max: 3_000 }),
        (kind, reader, v) => {
          const scale = scaleOf(kind, reader);
          expect(scale.out(scale.in(scale.out(v)))).toBeCloseTo(scale.out(v), 6);
        },
      ),
    );
  });

  it('ask when a temperature belongs to the other one', () => {
    expect(inEnglish(otherScale(75, false)!)).toBe('is 75 °C: is that °F? Then it is 23.9 °C');
    expect(inEnglish(otherScale(24, true)!)).toBe('is 24 °F: is that °C? Then it is 75.2 °F');
    expect([otherScale(28, false), otherScale(78, true), otherScale(212, false)]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
});
