import { MM_PER_INCH } from '../units/length';
import { KG_PER_POUND, STANDARD_GRAVITY } from '../units/mass';
import { isCounted, rounded } from '../units/quantity';
import { L_PER_IMPERIAL_GALLON, L_PER_US_GALLON, ML_PER_US_FLUID_OUNCE } from '../units/volume';
import { ENGLISH } from './english';
import type { Reader } from './render';
import { scaleOf, systemOf, type FigureKind, type Habits } from './scales';

/** Who reads metric figures: files are written so unless somebody else asks for them. */
export const METRIC: Habits = { units: 'metric', gallons: 'as-units', hardness: 'degree' };

/** Each metric unit and how it is shown in US units. */
const US: Record<string, { unit: string; per: number; places?: number; what?: 'volume' | 'mass' }> = {
  mm: { unit: 'in', per: MM_PER_INCH, places: 2 },
  m: { unit: 'ft', per: MM_PER_INCH * 12e-3 },
  'm²': { unit: 'ft²', per: (MM_PER_INCH * 12e-3) ** 2 },
  L: { unit: 'US gal', per: L_PER_US_GALLON, what: 'volume' },
  mL: { unit: 'fl oz', per: ML_PER_US_FLUID_OUNCE, what: 'volume' },
  kg: { unit: 'lb', per: KG_PER_POUND, what: 'mass' },
  g: { unit: 'oz', per: (KG_PER_POUND * 1000) / 16, what: 'mass' },
  kgf: { unit: 'lbf', per: KG_PER_POUND, what: 'mass' },
  kN: { unit: 'lbf', per: (KG_PER_POUND * STANDARD_GRAVITY) / 1000, places: 0, what: 'mass' },
  'kN/m²': { unit: 'psf', per: 0.04788026, places: 0, what: 'mass' },
  'L/min': { unit: 'gal/min', per: L_PER_US_GALLON, what: 'volume' },
};

/** Units of sentences that are typed on a scale of their own, and the decimals they are spoken with. */
const SCALED: Record<string, { kind: FigureKind; places: number }> = {
  '°C': { kind: 'temperature', places: 0 },
  '°d': { kind: 'hardness', places: 1 },
  'L an hour': { kind: 'flow', places: 0 },
};
const HARDNESS_PLACES = { degree: 1, ppm: 0, mmol: 2 } as const;

/** A figure in another unit, with the decimals by which that is shown. */
export interface Converted {
  value: number;
  unit: string;
  places: number;
}

/** Decimals that show about three figures of a value. */
export function sensible(value: number): number {
  const size = Math.abs(value);
  if (size === 0 || size >= 100) return 0;
  return size >= 10 ? 1 : 2;
}

/** A metric figure in the unit of a reader; undefined where that is the metric one. 3.785 L are 1.00 US gal. */
export function converted(value: number, unit: string, habits: Habits): Converted | undefined {
  const us = US[unit];
  if (!us) return undefined;
  const system = systemOf(us.what ?? 'length', habits);
  const imperial = unit === 'L' && system === 'imperial';
  // Imperial gallons go with metric or US units: smaller volumes are as the units have them.
  const isUs = system === 'us' || (system === 'imperial' && habits.units === 'us');
  const other = imperial ? { unit: 'imp gal', per: L_PER_IMPERIAL_GALLON } : isUs ? us : undefined;
  if (!other) return undefined;
  const v = value / other.per;
  const places = 'places' in other ? other.places : undefined;
  return { value: v, unit: other.unit, places: places ?? sensible(v) };
}

/** The same for sentences, in which temperature, hardness and flow are on the reader's own scale. */
export function convertedInWords(value: number, unit: string, habits: Habits): Converted | undefined {
  const own = SCALED[unit];
  if (!own) return converted(value, unit, habits);
  const { unit: name, out } = scaleOf(own.kind, habits);
  if (name === unit) return undefined;
  const places = own.kind === 'hardness' ? HARDNESS_PLACES[habits.hardness] : own.places;
  return { value: out(value), unit: name, places };
}

/** English for files and other programs, in the units of whoever asks for them. */
export function readerIn(habits: Habits): Reader {
  return {
    ...ENGLISH,
    figure(value, unit, places) {
      const own = convertedInWords(value, unit, habits);
      if (!own) return ENGLISH.figure(value, unit, places);
      const fixed = isCounted(own.unit) && Number.isInteger(own.value) ? 0 : own.places;
      return { text: String(rounded(own.value, fixed)), unit: own.unit };
    },
  };
}
