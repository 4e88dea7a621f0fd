import { computed } from 'vue';
import { MM_PER_INCH } from '../../core/units/length';
import { KG_PER_POUND, STANDARD_GRAVITY } from '../../core/units/mass';
import { majorOf, placesOf } from '../../core/units/money';
import { isCounted, rounded, unitFor } from '../../core/units/quantity';
import { L_PER_IMPERIAL_GALLON, L_PER_US_GALLON, ML_PER_US_FLUID_OUNCE } from '../../core/units/volume';
import { dayWords } from '../../core/calendar/day';
import { EN } from '../../core/words/en';
import { inWords, type Reader } from '../../core/words/render';
import type { Said } from '../../core/words/text';
import { usePreferences } from './preferences';
import { scaleOf, type FigureKind } from './scales';

/** A figure as it is shown: text and unit apart, so that the unit can be set smaller. */
export interface Shown {
  text: string;
  unit: string;
}

const formats = new Map<number, Intl.NumberFormat>();

/** A number by the reader's locale with so many decimals. */
export function decimal(value: number, places: number): string {
  if (!formats.has(places))
    formats.set(
      places,
      new Intl.NumberFormat(undefined, { minimumFractionDigits: places, maximumFractionDigits: places }),
    );
  return formats.get(places)!.format(value);
}

const plainFormats = new Map<number, Intl.NumberFormat>();
/** Decimals of a bare figure in a sentence at most. */
const MOST_PLACES = 3;

/** A figure in a sentence: as many decimals as it has, up to so many, and no marks between thousands. */
function plain(value: number, places: number): string {
  const digits = { maximumFractionDigits: places, useGrouping: false };
  const format = plainFormats.get(places) ?? new Intl.NumberFormat(undefined, digits);
  plainFormats.set(places, format);
  return format.format(rounded(value, places));
}

/** Decimals that show about three figures of a value. */
function sensible(value: number): number {
  const size = Math.abs(value);
  if (size === 0 || size >= 100) return 0;
  return size >= 10 ? 1 : 2;
}

/** Each metric unit and how it is shown in US units. */
const US: Record<string, { unit: string; per: number; places?: number }> = {
  mm: { unit: 'in', per: MM_PER_INCH, places: 2 },
  m: { unit: 'ft', per: MM_PER_INCH * 12e-3 },
  'm²': { unit: 'ft²', per: (MM_PER_INCH * 12e-3) ** 2 },
  L: { unit: 'US gal', per: L_PER_US_GALLON },
  mL: { unit: 'fl oz', per: ML_PER_US_FLUID_OUNCE },
  kg: { unit: 'lb', per: KG_PER_POUND },
  g: { unit: 'oz', per: (KG_PER_POUND * 1000) / 16 },
  kgf: { unit: 'lbf', per: KG_PER_POUND },
  kN: { unit: 'lbf', per: (KG_PER_POUND * STANDARD_GRAVITY) / 1000, places: 0 },
  'kN/m²': { unit: 'psf', per: 0.04788026, places: 0 },
  'L/min': { unit: 'gal/min', per: L_PER_US_GALLON },
};

/** Units of sentences that are typed on a scale of their own, and the decimals they are spoken with. */
const SCALED: Record<string, { kind: FigureKind; places: number }> = {
  '°C': { kind: 'temperature', places: 0 },
  '°d': { kind: 'hardness', places: 1 },
  'L an hour': { kind: 'flow', places: 0 },
};
const HARDNESS_PLACES = { degree: 1, ppm: 0, mmol: 2 } as const;

/** Figures and money in the units and the locale of the reader. */
export function useFigures() {
  const preferences = usePreferences();
  const us = computed(() => preferences.units === 'us');
  /** The gallon in which volumes are shown, or none for litres. */
  const gallon = computed(() => {
    if (preferences.gallons === 'imperial') return { unit: 'imp gal', per: L_PER_IMPERIAL_GALLON };
    return us.value ? { unit: 'US gal', per: L_PER_US_GALLON } : undefined;
  });
  const scale = (kind: FigureKind, currency?: string) => scaleOf(kind, preferences, currency);

  function shown(value: number, unit: string, places?: number): Shown {
    const other: (typeof US)[string] | undefined =
      unit === 'L' && gallon.value ? gallon.value : us.value ? US[unit] : undefined;
    const v = other ? value / other.per : value;
    const fixed = other ? (other.places ?? sensible(v)) : (places ?? sensible(v));
    const whole = isCounted(unit) && Number.isInteger(v);
    return { text: decimal(v, whole ? 0 : fixed), unit: other?.unit ?? unitFor(v, unit) };
  }
  const said = (value: number, unit: string, places?: number) => {
    const { text, unit: u } = shown(value, unit, places);
    return `${text} ${u}`;
  };
  /** A message of the computation in words, its figures in the reader's units. */
  const reader: Reader = {
    locale: 'en',
    messages: EN,
    figure: (value, unit, places) => {
      const own = inReaders(value, unit);
      return own.unit === unit ? { text: plain(value, places), unit } : own;
    },
    number: (value) => plain(value, MOST_PLACES),
    day: dayWords,
    money: ({ minor, currency }) => money(minor, currency),
  };
  const words = (said: Said) => inWords(said, reader);
  function inReaders(value: number, unit: string): Shown {
    const own = SCALED[unit];
    if (!own) return shown(value, unit);
    const { unit: name, out } = scale(own.kind);
    const places = own.kind === 'hardness' ? HARDNESS_PLACES[preferences.hardness] : own.places;
    return { text: decimal(out(value), places), unit: name };
  }
  return {
    us,
    scale,
    shown,
    words,
    said,
    /** A bare figure with as many decimals as it has. */
    number: (value: number) => plain(value, MOST_PLACES),
    length: (mm: number) => said(mm, 'mm', 0),
    volume: (l: number, places = 1) => said(l, 'L', places),
    mass: (kg: number) => said(kg, 'kg', kg >= 100 ? 0 : 1),
    temperature: (c: number, places = 1) => {
      const { unit, out } = scale('temperature');
      return `${decimal(out(c), places)} ${unit}`;
    },
    hardness: (d: number) => {
      const { text, unit } = inReaders(d, '°d');
      return `${text} ${unit}`;
    },
    fromMm: (mm: number) => scale('length').out(mm),
    lengthUnit: computed(() => scale('length').unit),
  };
}

const moneyFormats = new Map<string, Intl.NumberFormat>();

/** Money in its currency, whole units without pence when asked. */
export function money(minor: number, currency: string, whole = false): string {
  const key = `${currency} ${whole}`;
  const places = whole ? 0 : placesOf(currency);
  const digits = { minimumFractionDigits: places, maximumFractionDigits: places };
  const format =
    moneyFormats.get(key) ?? new Intl.NumberFormat(undefined, { style: 'currency', currency, ...digits });
  moneyFormats.set(key, format);
  return format.format(majorOf(minor, currency));
}
