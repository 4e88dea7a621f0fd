import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inEnglish } from './english';
import type { FigureKind } from './scales';
import { typedFigure, type Typist } from './typed';

const british: Typist = { units: 'metric', gallons: 'as-units', hardness: 'degree', locale: 'en-GB' };
const american: Typist = { ...british, units: 'us', locale: 'en-US' };
const german: Typist = { ...british, locale: 'de-DE' };

function read(text: string, kind: FigureKind, by: Typist = british): number | string {
  const typed = typedFigure(text, kind, by);
  return typed.ok ? Math.round(typed.value * 1e4) / 1e4 : inEnglish(typed.says);
}

describe('a figure as it is typed', () => {
  // An inch is 25.4 mm, a US gallon 3.785 411 784 L, a pound 0.453 592 37 kg (NIST SP 811, appendix B.8).
  it.each<[string, FigureKind, Typist, number]>([
    ['75 cm', 'length', british, 750],
    ['48"', 'length', british, 1219.2],
    ['47 1/2 in', 'length', british, 1206.5],
    ['47½"', 'length', american, 1206.5],
    ['1200 mm', 'length', american, 1200],
    ['1.2 m', 'length', british, 1200],
    ['4 ft 2 in', 'length', american, 1270],
    ['4\' 2"', 'length', american, 1270],
    ["4'", 'length', american, 1219.2],
    ['3/4', 'length', american, 19.05],
    ['48', 'length', american, 1219.2],
    ['48', 'length', british, 48],
    ['850 mm', 'distance', british, 0.85],
    ['20 gal', 'volume', american, 75.7082],
    ['20 gal', 'volume', { ...british, gallons: 'imperial' }, 90.9218],
    ['20 imp gal', 'volume', british, 90.9218],
    ['20 gal', 'volume', { ...british, gallons: 'us' }, 75.7082],
    ['20 gal', 'volume', { ...american, gallons: 'metric' }, 75.7082],
    ['500 ml', 'volume', american, 0.5],
    ['12 lb', 'mass', british, 5.4431],
    ['12 lb 8 oz', 'mass', british, 5.6699],
    ['250 g', 'mass', british, 0.25],
    ['78 °F', 'temperature', british, 25.5556],
    ['78', 'temperature', american, 25.5556],
    ['25,5 C', 'temperature', american, 25.5],
    ['-4', 'temperature', british, -4],
    ['90 ppm', 'hardness', british, 5.0425],
    ['1250,50', 'money', { ...german, unit: 'EUR' }, 125_050],
    ['£1,250.50', 'money', { ...british, unit: 'GBP' }, 125_050],
    ['1.250,50 EUR', 'money', { ...german, unit: 'EUR' }, 125_050],
    ['40 %', 'plain', { ...british, unit: '%' }, 40],
    ['2 weeks', 'plain', { ...british, unit: 'days' }, 14],
    ['5 mg/L', 'plain', { ...british, unit: 'mg/L' }, 5],
    ['0.95 kg/l', 'plain', { ...british, unit: 'kg/L' }, 0.95],
    ['30°', 'degrees', british, 30],
  ])('takes its unit: %s', (text, kind, by, value) => {
    expect(read(text, kind, by)).toBe(value);
  });

  it('reads comma and point as the place has them', () => {
    expect([read('1,250', 'length'), read('1.250', 'length')]).toEqual([1250, 1.25]);
    expect([read('1,250', 'length', german), read('1.250', 'length', german)]).toEqual([1.25, 1250]);
    expect([read('14,00', 'plain'), read('1,250.5', 'plain'), read('1.250,5', 'plain')]).toEqual([
      14, 1250.5, 1250.5,
    ]);
    expect([read('1,250,000', 'plain'), read("1'250", 'plain'), read('1 250,5', 'plain')]).toEqual([1_250_000, 1250, 1250.5]); // prettier-ignore
  });

  it('is refused in words, and never guessed', () => {
    expect(read('20 gal', 'volume')).toBe('is 20 gal: US or imperial? Say “US gal” or “imp gal”');
    expect(read('20 kg', 'length')).toBe('is “20 kg”: kg is no unit of this field');
    expect(read('wide', 'length')).toBe('is "wide" (text), must be a number');
    expect(read('', 'plain')).toMatch(/must be a number/);
    expect(read('4 ft wide', 'length', american)).toMatch(/no unit of this field/);
    expect(read('1.2.3', 'length')).toMatch(/must be a number/);
    expect(read('1/0', 'length')).toMatch(/must be a number/);
    expect(read('hot', 'temperature')).toMatch(/must be a number/);
    expect(read('12 kg', 'money', { ...british, unit: 'GBP' })).toMatch(/no amount/);
    expect(read(`${'9'.repeat(500)}x`, 'length')).toMatch(/./);
  });

  it('is the figure again that any place would write', () => {
    const places = fc.constantFrom('en-GB', 'en-US', 'de-DE', 'fr-FR', 'de-CH');
    fc.assert(
      fc.property(places, fc.integer({ min: -9_999_999, max: 9_999_999 }), (locale, n) => {
        const value = n / 100;
        const text = new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(value).replace(/[\u00a0\u202f]/g, ' ').replace('−', '-').replace('’', "'"); // prettier-ignore
        expect(read(text, 'plain', { ...british, locale })).toBeCloseTo(value, 6);
      }),
    );
  });
});
