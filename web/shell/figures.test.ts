import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { money, useFigures } from './figures';
import { usePreferences } from './preferences';

describe('figures', () => {
  beforeEach(() => setActivePinia(createPinia()));

  it('are metric, or US throughout: sentences too, but not packs and rates', () => {
    const f = useFigures();
    expect(f.volume(125.6)).toBe('125.6 L');
    expect(f.words('34 mm of soil')).toBe('34 mm of soil');
    usePreferences().units = 'us';
    expect(f.volume(3.785411784)).toBe('1.00 US gal');
    expect(f.length(50.8)).toBe('2.00 in');
    expect(f.words('It lifts 0.6 kgf; 34 mm of soil, 24 s each')).toBe(
      'It lifts 1.32 lbf; 1.34 in of soil, 24 s each',
    );
    expect(f.said(1, 'kN/m²')).toBe('21 psf');
    expect(f.lengthUnit.value).toBe('in');
    expect(f.fromMm(25.4)).toBe(1);
  });

  it('turn joined figures and temperatures in a sentence', () => {
    const f = useFigures();
    usePreferences().units = 'us';
    expect(f.words('the widest is 254 × 508 mm, 20 to 25 °C for all')).toBe(
      'the widest is 10.00 × 20.00 in, 68 to 77 °F for all',
    );
  });

  it('tell gallons apart, and say hardness in three ways', () => {
    const f = useFigures();
    usePreferences().units = 'metric';
    usePreferences().gallons = 'imperial';
    expect(f.volume(4.54609, 2)).toBe('1.00 imp gal');
    expect(f.words('fill 45.4609 L')).toBe('fill 10.0 imp gal');
    usePreferences().gallons = 'as-units';
    expect(f.hardness(10)).toBe('10.0 °d');
    expect(f.words('GH 10 °d and 200 mm²')).toBe('GH 10 °d and 200 mm²');
    usePreferences().hardness = 'ppm';
    expect(f.hardness(10)).toBe('178 mg/L CaCO3');
    expect(f.words('GH 4 to 10 °d for it')).toBe('GH 71 to 178 mg/L CaCO3 for it');
    usePreferences().hardness = 'mmol';
    expect(f.hardness(10)).toBe('1.78 mmol/L');
    usePreferences().hardness = 'degree';
  });

  it('show temperatures on the reader’s scale', () => {
    const f = useFigures();
    usePreferences().units = 'metric';
    expect(f.temperature(24)).toBe('24.0 °C');
    usePreferences().units = 'us';
    expect(f.temperature(25)).toBe('77.0 °F');
    expect(f.words('5 L an hour, 2 kN/m², 3 m from it')).toBe('32 US gal a day, 42 psf, 9.84 ft from it');
  });

  it('say one plug and two plugs, and money with its currency', () => {
    const f = useFigures();
    usePreferences().units = 'metric';
    expect([f.said(1, 'plug'), f.said(2, 'plug')]).toEqual(['1 plug', '2 plugs']);
    expect(money(123_450, 'GBP')).toMatch(/£1,?234\.50/);
    // By the standard, where browsers follow custom: the forint has two places, the yen none.
    expect([money(123_450, 'HUF'), money(1_234, 'JPY')]).toEqual([
      expect.stringMatching(/1,?234\.50/),
      expect.stringMatching(/1,?234$/),
    ]);
  });
});
