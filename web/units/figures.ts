import { computed } from 'vue';
import { majorOf, placesOf } from '../../core/units/money';
import { isCounted, rounded, unitFor } from '../../core/units/quantity';
import { dayWords } from '../../core/calendar/day';
import { EN } from '../../core/words/en';
import { converted, convertedInWords, sensible } from '../../core/words/readers';
import { scaleOf, type FigureKind, type Habits } from '../../core/words/scales';
import { inWords, type Reader } from '../../core/words/render';
import type { Said } from '../../core/words/text';
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
  // What rounds to nothing is nothing, never less than nothing.
  return formats.get(places)!.format(rounded(value, places) || 0);
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

/** Figures and money in the units and the locale of the reader. */
export function useFigures() {
  const preferences = usePreferences();
  const us = computed(() => preferences.units === 'us');
  const habits = computed((): Habits => {
    const { units, gallons, hardness, masses, temperatures } = preferences;
    return { units, gallons, hardness, masses, temperatures };
  });
  const scale = (kind: FigureKind, currency?: string) => scaleOf(kind, preferences, currency);

  function shown(value: number, unit: string, places?: number): Shown {
    const other = converted(value, unit, preferences);
    const v = other?.value ?? value;
    const whole = isCounted(unit) && Number.isInteger(v);
    return { text: decimal(v, whole ? 0 : (other?.places ?? places ?? sensible(v))), unit: other?.unit ?? unitFor(v, unit) }; // prettier-ignore
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
      const own = convertedInWords(value, unit, preferences);
      return own
        ? { text: decimal(own.value, own.places), unit: own.unit }
        : { text: plain(value, places), unit };
    },
    number: (value) => plain(value, MOST_PLACES),
    day: dayWords,
    money: ({ minor, currency }) => money(minor, currency),
  };
  const words = (said: Said) => inWords(said, reader);
  return {
    us,
    habits,
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
      const own = convertedInWords(d, '°d', preferences);
      return own ? `${decimal(own.value, own.places)} ${own.unit}` : `${decimal(d, 1)} °d`;
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
