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
    expect(f.toMm(2)).toBe(50.8);
    expect(f.fromMm(25.4)).toBe(1);
  });

  it('say one plug and two plugs, and money with its currency', () => {
    const f = useFigures();
    usePreferences().units = 'metric';
    expect([f.said(1, 'plug'), f.said(2, 'plug')]).toEqual(['1 plug', '2 plugs']);
    expect(money(123_450, 'GBP')).toMatch(/£1,?234\.50/);
  });
});
