import { majorOf, minorOf } from '../units/money';
import { MM_PER_INCH } from '../units/length';
import { KG_PER_POUND } from '../units/mass';
import { rounded } from '../units/quantity';
import { celsiusFromFahrenheit, fahrenheitFromCelsius } from '../units/temperature';
import { L_PER_IMPERIAL_GALLON, L_PER_US_GALLON } from '../units/volume';
import { MG_CACO3_PER_DEGREE, MMOL_PER_DEGREE } from '../units/hardness';
import { say, type Text } from './text';

/** Metric or US units, or whatever the units as a whole are. */
export const SYSTEMS = ['as-units', 'metric', 'us'] as const;
export const VOLUMES = ['as-units', 'metric', 'us', 'imperial'] as const;

/** What a reader prefers; what the document keeps is metric. */
export interface Habits {
  /** Lengths, and all that is not said by itself. */
  units: 'metric' | 'us';
  /** Volumes: gallons are two. */
  gallons: (typeof VOLUMES)[number];
  hardness: 'degree' | 'ppm' | 'mmol';
  masses?: (typeof SYSTEMS)[number];
  temperatures?: (typeof SYSTEMS)[number];
}

/** The system in which a reader has lengths, volumes, masses or temperatures. */
export function systemOf(
  what: 'length' | 'volume' | 'mass' | 'temperature',
  { units, gallons, masses = 'as-units', temperatures = 'as-units' }: Habits,
): 'metric' | 'us' | 'imperial' {
  const own = { length: units, volume: gallons, mass: masses, temperature: temperatures }[what];
  return own === 'as-units' ? units : own;
}

/** How a typed figure is shown: its unit, the document's value in it, and the other way round. */
export interface Scale {
  unit: string;
  out: (value: number) => number;
  in: (typed: number) => number;
}

/** Kinds of typed figure; in the document mm, m, L, L/h, kg, °C, °d, °, minor units, and as it is. */
export type FigureKind =
  | 'length'
  | 'distance'
  | 'volume'
  | 'flow'
  | 'mass'
  | 'temperature'
  | 'hardness'
  | 'degrees'
  | 'money'
  | 'plain';

/** A unit of which one is `per` in the document's, shown with so many decimals. */
function times(unit: string, per: number, places: number): Scale {
  return { unit, out: (value) => rounded(value / per, places), in: (typed) => typed * per };
}

const MM_PER_FOOT = 12 * MM_PER_INCH;
const HOURS_A_DAY = 24;
const HARDNESS: Record<Habits['hardness'], Scale> = {
  degree: times('°d', 1, 2),
  ppm: times('mg/L CaCO3', MG_CACO3_PER_DEGREE ** -1, 0),
  mmol: times('mmol/L', MMOL_PER_DEGREE ** -1, 2),
};

/** The scale on which a reader types a kind of figure. US makers give the output of RO units by the day. */
export function scaleOf(kind: FigureKind, reader: Habits, currency = ''): Scale {
  const isUs = (what: Parameters<typeof systemOf>[0]) => systemOf(what, reader) === 'us';
  switch (kind) {
    case 'length':
      return isUs('length') ? times('in', MM_PER_INCH, 2) : times('mm', 1, 1);
    case 'distance':
      return isUs('length') ? times('ft', MM_PER_FOOT / 1000, 1) : times('m', 1, 2);
    case 'volume':
      if (systemOf('volume', reader) === 'imperial') return times('imp gal', L_PER_IMPERIAL_GALLON, 2);
      return isUs('volume') ? times('US gal', L_PER_US_GALLON, 2) : times('L', 1, 2);
    case 'flow':
      // Imperial gallons say nothing of how the output of a unit is given.
      return isUs('volume') || (systemOf('volume', reader) === 'imperial' && reader.units === 'us')
        ? times('US gal a day', L_PER_US_GALLON / HOURS_A_DAY, 0)
        : times('L an hour', 1, 2);
    case 'mass':
      return isUs('mass') ? times('lb', KG_PER_POUND, 2) : times('kg', 1, 2);
    case 'temperature':
      return isUs('temperature')
        ? { unit: '°F', out: (c) => rounded(fahrenheitFromCelsius(c), 1), in: celsiusFromFahrenheit }
        : times('°C', 1, 1);
    case 'hardness':
      return HARDNESS[reader.hardness];
    case 'degrees':
      return times('°', 1, 1);
    case 'money':
      return {
        unit: '',
        out: (minor) => majorOf(minor, currency),
        in: (typed) => minorOf(typed, currency),
      };
    case 'plain':
      return { unit: '', out: (value) => value, in: (typed) => typed };
  }
}

/** Water and rooms are between freezing and 45 °C: beyond that somebody read the other scale. */
export function otherScale(number: number, us: boolean): Text | undefined {
  if (!us && number > 45 && number <= 113)
    return say('scale.fahrenheit', { typed: number, meant: rounded(celsiusFromFahrenheit(number), 1) });
  if (us && number >= 0 && number < 40)
    return say('scale.celsius', { typed: number, meant: rounded(fahrenheitFromCelsius(number), 1) });
  return undefined;
}
