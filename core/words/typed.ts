import { minorOf } from '../units/money';
import { MM_PER_INCH } from '../units/length';
import { KG_PER_POUND } from '../units/mass';
import { celsiusFromFahrenheit } from '../units/temperature';
import { L_PER_IMPERIAL_GALLON, L_PER_US_GALLON } from '../units/volume';
import { MG_CACO3_PER_DEGREE, MMOL_PER_DEGREE } from '../units/hardness';
import { scaleOf, systemOf, type FigureKind, type Habits } from './scales';
import { say, type MessageKey, type Text } from './text';

/*
 * A figure as people type it: with its unit or without, in fractions, with a comma or a point. One rule for every field.
 */

/** What was typed, in the document's unit; or why it is no such figure. */
export type Typed = { ok: true; value: number } | { ok: false; says: Text };

/** How a place writes figures and what the reader prefers. */
export interface Typist extends Habits {
  /** A language tag: which of comma and point stands before decimals there. */
  locale: string;
  /** Of money, or the unit that stands beside the field. */
  unit?: string;
}

type Dimension = 'length' | 'volume' | 'mass' | 'flow' | 'hardness' | 'share' | 'angle' | 'days' | 'power';
/** A unit by what it measures, as so many of the unit in which that is counted here: mm, L, kg, L/h, °d. */
type Unit = readonly [dimension: Dimension, per: number];

const G = L_PER_US_GALLON;
const UNITS: Readonly<Record<string, Unit>> = {
  mm: ['length', 1],
  cm: ['length', 10],
  m: ['length', 1000],
  in: ['length', MM_PER_INCH],
  inch: ['length', MM_PER_INCH],
  inches: ['length', MM_PER_INCH],
  '"': ['length', MM_PER_INCH],
  '″': ['length', MM_PER_INCH],
  '”': ['length', MM_PER_INCH],
  ft: ['length', 12 * MM_PER_INCH],
  feet: ['length', 12 * MM_PER_INCH],
  foot: ['length', 12 * MM_PER_INCH],
  "'": ['length', 12 * MM_PER_INCH],
  '′': ['length', 12 * MM_PER_INCH],
  '’': ['length', 12 * MM_PER_INCH],
  l: ['volume', 1],
  litre: ['volume', 1],
  litres: ['volume', 1],
  liter: ['volume', 1],
  liters: ['volume', 1],
  ml: ['volume', 1e-3],
  'us gal': ['volume', G],
  'imp gal': ['volume', L_PER_IMPERIAL_GALLON],
  kg: ['mass', 1],
  g: ['mass', 1e-3],
  lb: ['mass', KG_PER_POUND],
  lbs: ['mass', KG_PER_POUND],
  oz: ['mass', KG_PER_POUND / 16],
  'l/h': ['flow', 1],
  'l an hour': ['flow', 1],
  'us gal/h': ['flow', G],
  'us gal a day': ['flow', G / 24],
  '°d': ['hardness', 1],
  '°dh': ['hardness', 1],
  dgh: ['hardness', 1],
  dkh: ['hardness', 1],
  ppm: ['hardness', 1 / MG_CACO3_PER_DEGREE],
  'mg/l': ['hardness', 1 / MG_CACO3_PER_DEGREE],
  'mmol/l': ['hardness', 1 / MMOL_PER_DEGREE],
  '%': ['share', 1],
  '°': ['angle', 1],
  deg: ['angle', 1],
  days: ['days', 1],
  day: ['days', 1],
  weeks: ['days', 7],
  week: ['days', 7],
  w: ['power', 1],
};

/** What each kind of field measures, and how many of the unit above are one of the document's. */
const MEASURES: Partial<Record<FigureKind, readonly [Dimension, number]>> = {
  length: ['length', 1],
  distance: ['length', 1000],
  volume: ['volume', 1],
  mass: ['mass', 1],
  flow: ['flow', 1],
  hardness: ['hardness', 1],
  degrees: ['angle', 1],
};
/** What a plain field counts, by the unit beside it. */
const PLAIN: Readonly<Record<string, Dimension>> = { '%': 'share', days: 'days', W: 'power' };

const FRACTIONS: Readonly<Record<string, string>> = { '½': ' 1/2', '¼': ' 1/4', '¾': ' 3/4', '⅛': ' 1/8', '⅜': ' 3/8', '⅝': ' 5/8', '⅞': ' 7/8' }; // prettier-ignore
/** Longer than any figure: what is pasted by mistake is not looked through. */
const LONGEST = 60;

/**
 * A figure as it was typed into a field of some kind, in the document's unit. Without a unit it is on the reader's scale.
 *
 * @example typedFigure('47 1/2 in', 'length', reader) // 1206.5 mm
 */
export function typedFigure(text: string, kind: FigureKind, by: Typist): Typed {
  const plain = text.trim();
  const noNumber = (): Typed => refused('fault.is', { value: shownText(plain), allowed: say('must.be.type', { type: say('type.number') }) }); // prettier-ignore
  if (plain.length > LONGEST) return noNumber();
  if (kind === 'temperature') return temperature(plain, by) ?? noNumber();
  const parts = partsOf(kind === 'money' ? withoutCurrency(plain, by.unit) : plain, by);
  if (!parts) return noNumber();
  if (kind === 'money') return parts.length === 1 && !parts[0].unit ? taken(minorOf(parts[0].figure, by.unit ?? '')) : refused('typed.no.money', { text: plain }); // prettier-ignore
  if (parts.length === 1 && !parts[0].unit) return taken(onScale(parts[0].figure, kind, by));
  const [dimension, per] = MEASURES[kind] ?? [PLAIN[by.unit ?? ''], 1];
  let sum = 0;
  for (const { figure, unit } of parts) {
    // The unit that stands beside the field is always one of it.
    if (kind === 'plain' && unit === by.unit?.toLowerCase()) {
      sum += figure;
      continue;
    }
    const named = unit === 'gal' || unit === 'gallons' || unit === 'gallon' ? gallons(by) : unit;
    if (named === undefined) return refused('typed.which.gallon', { text: plain });
    const known = UNITS[named ?? ''];
    if (!known || known[0] !== dimension)
      return refused('typed.other.unit', { text: plain, unit: unit || '–' });
    sum += (figure * known[1]) / per;
  }
  return taken(sum);
}

const shownText = (text: string) => say('value.text', { text: text.slice(0, LONGEST) });
const taken = (value: number): Typed => ({ ok: true, value });
const refused = <K extends MessageKey>(...said: Parameters<typeof say<K>>): Typed => ({
  ok: false,
  says: say(...said),
});

/** A figure without a unit, on the scale that stands beside the field. */
function onScale(figure: number, kind: FigureKind, by: Typist): number {
  return kind === 'plain' ? figure : scaleOf(kind, by, by.unit).in(figure);
}

/** Which gallon somebody means who reads them; undefined where nobody knows. */
function gallons(by: Habits): string | undefined {
  const system = systemOf('volume', by);
  if (system === 'imperial') return 'imp gal';
  return system === 'us' || by.units === 'us' ? 'us gal' : undefined;
}

/** `78`, `78 °F`, `25,5 C`. */
function temperature(text: string, by: Typist): Typed | undefined {
  const unit = /[cf]$/i.exec(text)?.[0];
  const figure = (unit ? text.slice(0, -1) : text).replace(/[°º]/, '').trim();
  const value = numberOf(figure, by.locale);
  if (value === undefined) return undefined;
  if (!unit) return taken(scaleOf('temperature', by).in(value));
  return taken(unit.toLowerCase() === 'f' ? celsiusFromFahrenheit(value) : value);
}

/** Signs and names of the currency beside an amount say nothing new. */
function withoutCurrency(text: string, currency = ''): string {
  return text
    .replace(/[£$€¥]/g, '')
    .replaceAll(currency || '\0', '')
    .trim();
}

interface Part {
  figure: number;
  unit: string;
}

/** `4 ft 2 1/2 in` is two parts; undefined where something in it is neither a figure nor a unit. */
function partsOf(text: string, by: Typist): Part[] | undefined {
  const spelled = [...withoutGroups(text)].map((c) => FRACTIONS[c] ?? c).join('').trim(); // prettier-ignore
  const found: Part[] = [];
  let rest = spelled;
  while (rest !== '') {
    const figure = /^[-+]?(?:[\d.,]+(?: +\d+\/\d+)?|\d+\/\d+)(?!\/)/.exec(rest)?.[0];
    const value = figure === undefined ? undefined : numberOf(figure, by.locale);
    if (figure === undefined || value === undefined) return undefined;
    rest = rest.slice(figure.length);
    const unit = /^[^\d+-]*/.exec(rest)![0];
    found.push({ figure: value, unit: unit.trim().toLowerCase().replace(/\.$/, '') });
    rest = rest.slice(unit.length);
  }
  return found.length > 0 ? found : undefined;
}

/** Marks and blanks between thousands say nothing; a foot’s mark has no three digits after it. */
function withoutGroups(text: string): string {
  return text.replace(/(\d)[' ](?=\d{3}(?!\d))/g, '$1');
}

/** Which mark stands before decimals in a place. */
function decimalMark(locale: string): string {
  return new Intl.NumberFormat(locale).formatToParts(1.5).find((p) => p.type === 'decimal')?.value ?? '.';
}

/**
 * A bare figure: `1250`, `1,250.5`, `1.250,5`, `47 1/2`. Of two marks the last stands before decimals; one mark with three
 * digits after it is read as the place has it, any other before decimals.
 */
function numberOf(text: string, locale: string): number | undefined {
  const words = withoutGroups(text.trim()).split(/ +/);
  const [top, under] = words.at(-1)!.includes('/') ? words.pop()!.split('/') : [];
  if (words.length > 1 || (words.length === 0 && top === undefined)) return undefined;
  const part = top === undefined ? 0 : Number(top) / Number(under);
  const [bare = ''] = words;
  const value = bare === '' ? 0 : decimalOf(bare, locale);
  if (value === undefined || !Number.isFinite(part)) return undefined;
  return bare.startsWith('-') ? value - part : value + part;
}

function decimalOf(text: string, locale: string): number | undefined {
  const last = Math.max(text.lastIndexOf(','), text.lastIndexOf('.'));
  if (last < 0) return finite(text);
  const mark = text[last];
  const other = mark === ',' ? '.' : ',';
  const after = text.length - last - 1;
  const isGrouped = after === 3 && !text.includes(other) && (mark !== decimalMark(locale) || text.indexOf(mark) !== last); // prettier-ignore
  if (isGrouped) return finite(text.replaceAll(mark, ''));
  return text.indexOf(mark) === last ? finite(text.replaceAll(other, '').replace(mark, '.')) : undefined;
}

function finite(text: string): number | undefined {
  const value = Number(text);
  return text !== '' && Number.isFinite(value) ? value : undefined;
}
