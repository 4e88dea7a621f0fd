import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  inCelsius,
  inDegreesOfHardness,
  inKgf,
  inLitres,
  inLitresAnHour,
  inMm,
} from '../../core/words/measure';
import { say } from '../../core/words/text';
import { money, useFigures } from './figures';
import { usePreferences } from './preferences';

const soil = say('bed.shallow.says', {
  depth: inMm(34),
  plant: 'Anubias',
  grain: say('grain.soil'),
  where: say('where.front.left'),
});

describe('figures', () => {
  beforeEach(() => setActivePinia(createPinia()));

  it('are metric, or US throughout: sentences too, but not packs and rates', () => {
    const f = useFigures();
    expect(f.volume(125.6)).toBe('125.6 L');
    expect(f.words(soil)).toBe('34 mm of soil under Anubias, front left.');
    usePreferences().units = 'us';
    expect(f.volume(3.785411784)).toBe('1.00 US gal');
    expect(f.length(50.8)).toBe('2.00 in');
    expect(f.words(soil)).toBe('1.34 in of soil under Anubias, front left.');
    expect(
      f.words(say('piece.floats.says.joined', { piece: 'R-1', lift: inKgf(0.6), hold: inKgf(0.1) })),
    ).toBe('R-1 will float: it lifts 1.32 lbf, what is joined to it or lies on it holds 0.22 lbf.');
    // As it is printed on the bag; and a name stays a name, whatever is in it.
    expect(f.words(say('pack.sized.named', { count: 3, size: '9 L', name: 'bag' }))).toBe('3 × 9 L bag');
    expect(f.words('Stone of 40 kg')).toBe('Stone of 40 kg');
    expect(f.said(1, 'kN/m²')).toBe('21 psf');
    expect(f.lengthUnit.value).toBe('in');
    expect(f.fromMm(25.4)).toBe(1);
  });

  it('turn joined figures and temperatures in a sentence', () => {
    const f = useFigures();
    usePreferences().units = 'us';
    const sizes = { across: inMm([127, 254]), widest: inMm([254, 508]) };
    expect(f.words(say('piece.passes.says', { piece: 'S-1', ...sizes }))).toBe(
      'S-1 does not pass the opening: 5.00 × 10.00 in across, the widest is 10.00 × 20.00 in.',
    );
    const span = { value: [20, 25], unit: '°C', places: 1, between: 'to' } as const;
    expect(f.words(say('livestock.water.says', { has: inCelsius(28), wants: span, species: 'Betta' }))).toBe(
      '82 °F for the tank, 68 to 77 °F for Betta.',
    );
  });

  it('tell gallons apart, and say hardness in three ways', () => {
    const f = useFigures();
    usePreferences().units = 'metric';
    usePreferences().gallons = 'imperial';
    expect(f.volume(4.54609, 2)).toBe('1.00 imp gal');
    expect(f.words(say('fill.cold', { litres: inLitres(45.4609) }))).toBe('10.0 imp gal cold');
    usePreferences().gallons = 'as-units';
    expect(f.hardness(10)).toBe('10.0 °d');
    const hard = say('water.hard.says.gh', { has: inDegreesOfHardness(10), wanted: inDegreesOfHardness(4) });
    expect(f.words(hard)).toBe('GH 10 °d from the tap, 4 °d wanted.');
    usePreferences().hardness = 'ppm';
    expect(f.hardness(10)).toBe('178 mg/L CaCO3');
    expect(f.words(hard)).toBe('GH 178 mg/L CaCO3 from the tap, 71 mg/L CaCO3 wanted.');
    usePreferences().hardness = 'mmol';
    expect(f.hardness(10)).toBe('1.78 mmol/L');
    usePreferences().hardness = 'degree';
  });

  it('are each in a unit of their own where somebody reads so: inches and litres, pounds and degrees Celsius', () => {
    const [f, p] = [useFigures(), usePreferences()];
    const all = () => [f.length(254), f.volume(10), f.mass(1), f.temperature(24), f.said(3, 'kgf', 1)];
    [p.units, p.gallons, p.masses, p.temperatures] = ['us', 'metric', 'as-units', 'metric'];
    expect(all()).toEqual(['10.00 in', '10.0 L', '2.20 lb', '24.0 °C', '6.61 lbf']);
    [p.units, p.gallons, p.masses, p.temperatures] = ['metric', 'us', 'us', 'us'];
    // NIST SP 811, table B.8: a US gallon has 3.785412 L, a pound 0.4535924 kg.
    expect(all()).toEqual(['254 mm', '2.64 US gal', '2.20 lb', '75.2 °F', '6.61 lbf']);
    // Small volumes and flows go with the gallons.
    expect([f.said(100, 'mL'), f.scale('flow').unit]).toEqual(['3.38 fl oz', 'US gal a day']);
    [p.gallons, p.masses, p.temperatures] = ['as-units', 'as-units', 'as-units'];
    expect(all()).toEqual(['254 mm', '10.0 L', '1.0 kg', '24.0 °C', '3.0 kgf']);
  });

  it('show temperatures on the reader’s scale', () => {
    const f = useFigures();
    usePreferences().units = 'metric';
    expect(f.temperature(24)).toBe('24.0 °C');
    usePreferences().units = 'us';
    expect(f.temperature(25)).toBe('77.0 °F');
    expect(f.words(say('before.ro.detail', { hours: 9, rate: inLitresAnHour(5) }))).toBe(
      '9 h at 32 US gal a day',
    );
  });

  it('are never less than nothing where they round to nothing', () => {
    const { said } = useFigures();
    usePreferences().units = 'metric';
    expect([said(-0, 'plug', 0), said(-0.004, 'L', 2), said(-0.4, 'kg', 0)]).toEqual([
      '0 plugs',
      '0.00 L',
      '0 kg',
    ]);
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
