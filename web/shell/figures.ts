import { computed } from 'vue';
import { inchesFromMm, MM_PER_INCH } from '../../core/units/length';
import { KG_PER_POUND, poundsFromKg } from '../../core/units/mass';
import { celsiusFromFahrenheit, fahrenheitFromCelsius } from '../../core/units/temperature';
import { L_PER_IMPERIAL_GALLON, L_PER_US_GALLON, ML_PER_US_FLUID_OUNCE } from '../../core/units/volume';
import { MG_CACO3_PER_DEGREE, MMOL_PER_DEGREE } from '../../core/water/hardness';
import { usePreferences } from './preferences';

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
  'kN/m²': { unit: 'psf', per: 0.04788026, places: 0 },
  'L/min': { unit: 'gal/min', per: L_PER_US_GALLON },
};

/** A figure with its unit in a sentence, and those joined to it: `440 × 520 mm`, `23 to 28 °C`. */
const METRIC = /((?:-?\d+(?:\.\d+)?(?: × | to ))*)(-?\d+(?:\.\d+)?) (mm|kgf|kg|mL|L|°C)(?![\w/])/g;

/** Units of hardness, and what one degree is in each. */
const HARDNESS = {
  degree: { unit: '°d', per: 1, places: 1 },
  ppm: { unit: 'mg/L CaCO3', per: MG_CACO3_PER_DEGREE, places: 0 },
  mmol: { unit: 'mmol/L', per: MMOL_PER_DEGREE, places: 2 },
} as const;

/** Figures and money in the units and the locale of the reader. */
export function useFigures() {
  const preferences = usePreferences();
  const us = computed(() => preferences.units === 'us');
  /** The gallon in which volumes are shown, or none for litres. */
  const gallon = computed(() => {
    if (preferences.gallons === 'imperial') return { unit: 'imp gal', per: L_PER_IMPERIAL_GALLON };
    return us.value ? { unit: 'US gal', per: L_PER_US_GALLON } : undefined;
  });
  const hardness = computed(() => HARDNESS[preferences.hardness]);

  function shown(value: number, unit: string, places?: number): Shown {
    const other: (typeof US)[string] | undefined =
      unit === 'L' && gallon.value ? gallon.value : us.value ? US[unit] : undefined;
    const v = other ? value / other.per : value;
    const fixed = other ? (other.places ?? sensible(v)) : (places ?? sensible(v));
    const count = ['plug', 'piece', 'pack', 'contact', 'joint', 'bag', 'stone', 'portion', 'cell'].includes(
      unit,
    );
    const many = count && Math.abs(v) !== 1 ? `${unit}s` : unit;
    return { text: decimal(v, count && Number.isInteger(v) ? 0 : fixed), unit: other?.unit ?? many };
  }
  const said = (value: number, unit: string, places?: number) => {
    const { text, unit: u } = shown(value, unit, places);
    return `${text} ${u}`;
  };
  /** A sentence of the computation, which speaks metric, with its figures in the reader's units. */
  const words = (sentence: string) =>
    us.value
      ? sentence.replace(METRIC, (_, before: string, value: string, unit: string) =>
          inUs(before, value, unit),
        )
      : sentence;
  function inUs(before: string, value: string, unit: string): string {
    const one = (text: string) =>
      unit === '°C' ? decimal(fahrenheitFromCelsius(Number(text)), 0) : shown(Number(text), unit).text;
    const name = unit === '°C' ? '°F' : shown(Number(value), unit).unit;
    return `${before.replace(/-?\d+(?:\.\d+)?/g, one)}${one(value)} ${name}`;
  }
  return {
    us,
    shown,
    words,
    said,
    length: (mm: number) => said(mm, 'mm', 0),
    volume: (l: number, places = 1) => said(l, 'L', places),
    mass: (kg: number) => said(kg, 'kg', kg >= 100 ? 0 : 1),
    /** A typed length in the reader's unit, back in mm; and the other way round. */
    toMm: (typed: number) => (us.value ? typed * MM_PER_INCH : typed),
    fromMm: (mm: number) => (us.value ? Math.round(inchesFromMm(mm) * 100) / 100 : Math.round(mm * 10) / 10),
    lengthUnit: computed(() => (us.value ? 'in' : 'mm')),
    toL: (typed: number) => typed * (gallon.value?.per ?? 1),
    fromL: (l: number) => Math.round((l / (gallon.value?.per ?? 1)) * 100) / 100,
    volumeUnit: computed(() => gallon.value?.unit ?? 'L'),
    toC: (typed: number) => (us.value ? celsiusFromFahrenheit(typed) : typed),
    fromC: (c: number) => Math.round((us.value ? fahrenheitFromCelsius(c) : c) * 10) / 10,
    temperatureUnit: computed(() => (us.value ? '°F' : '°C')),
    temperature: (c: number, places = 1) =>
      `${decimal(us.value ? fahrenheitFromCelsius(c) : c, places)} ${us.value ? '°F' : '°C'}`,
    toDegrees: (typed: number) => typed / hardness.value.per,
    fromDegrees: (d: number) => Math.round(d * hardness.value.per * 100) / 100,
    hardnessUnit: computed(() => hardness.value.unit),
    hardness: (d: number) =>
      `${decimal(d * hardness.value.per, hardness.value.places)} ${hardness.value.unit}`,
    toKg: (typed: number) => (us.value ? typed * KG_PER_POUND : typed),
    fromKg: (kg: number) => Math.round((us.value ? poundsFromKg(kg) : kg) * 100) / 100,
    massUnit: computed(() => (us.value ? 'lb' : 'kg')),
  };
}

const moneyFormats = new Map<string, Intl.NumberFormat>();

/** Money in its currency, whole units without pence when asked. */
export function money(minor: number, currency: string, whole = false): string {
  const key = `${currency} ${whole}`;
  const places = whole ? { maximumFractionDigits: 0, minimumFractionDigits: 0 } : {};
  const format =
    moneyFormats.get(key) ?? new Intl.NumberFormat(undefined, { style: 'currency', currency, ...places });
  moneyFormats.set(key, format);
  return format.format(minor / 100);
}
