import type { Pack } from '../commission/schema';
import { minorOf, placesOf } from '../units/money';

/*
 * Figures as suppliers write them. Nobody says in which country a list was made: what its prices have between pounds and
 * pence is found in the list as a whole, and asked about where the list does not tell.
 */

/** What stands before the decimals; the other of the two, a space or an apostrophe stands between thousands. */
export type DecimalSign = '.' | ',';

/** What names the money before or behind a price: `£12.50`, `12,50 EUR`, `7,-`. */
const BEFORE = /^(?:[£€$¥]|[A-Z]{3})/u;
const BEHIND = /(?:[£€$¥]|[A-Z]{3}|[,.]-)$/u;
/** No price is written longer. */
const LONGEST = 40;
const CURRENCY_OF: Readonly<Record<string, string>> = { '£': 'GBP', '€': 'EUR' };
/** A space or an apostrophe stands between thousands alone. */
const GAPS = /[\s'’]/gu;

/** The figure of a price without what names the money; undefined where it is no price. */
function figureOf(cell: string): string | undefined {
  const text = cell.trim();
  if (text.length > LONGEST) return undefined;
  const figure = text.replace(BEFORE, '').trim().replace(BEHIND, '').replace(GAPS, '');
  return /^\d/.test(figure) && /\d$/.test(figure) && !/[^\d.,]/.test(figure) ? figure : undefined;
}

/**
 * What a price says of the sign before its decimals: with both signs it is the last one; one that comes twice, or once
 * before other than three digits, tells too; `1,450` says nothing.
 */
function signIn(figure: string): DecimalSign | 'either' | undefined {
  const [points, commas] = [figure.split('.').length - 1, figure.split(',').length - 1];
  if (points + commas === 0) return undefined;
  if (points > 0 && commas > 0) return figure.lastIndexOf('.') > figure.lastIndexOf(',') ? '.' : ',';
  const sign = points > 0 ? '.' : ',';
  const other = sign === '.' ? ',' : '.';
  if (points + commas > 1) return other;
  const behind = figure.length - figure.indexOf(sign) - 1;
  return behind === 3 && figure.indexOf(sign) > 0 && figure.indexOf(sign) <= 3 ? 'either' : sign;
}

/** The sign before the decimals in a column of prices, or prices (three at most) that leave it open or contradict. */
export function decimalSign(cells: readonly string[]): { sign: DecimalSign } | { open: string[] } {
  const seen: Partial<Record<DecimalSign | 'either', string[]>> = {};
  for (const cell of cells) {
    const sign = signIn(figureOf(cell) ?? '');
    if (sign) (seen[sign] ??= []).push(cell.trim());
  }
  const [point, comma] = [seen['.']?.length ?? 0, seen[',']?.length ?? 0];
  if (point > 0 && comma > 0) return { open: [seen['.']![0], seen[',']![0]] };
  if (point + comma > 0) return { sign: point > 0 ? '.' : ',' };
  return seen.either ? { open: seen.either.slice(0, 3) } : { sign: '.' };
}

/**
 * A price in the minor unit of `currency`; or why it is none, for whoever sent the list.
 * Leaves out: prices with more decimals than the currency has; a pack costs a whole number of pence.
 */
export function priceIn(cell: string, sign: DecimalSign, currency: string): number | { wrong: string } {
  const text = cell.trim();
  const figure = figureOf(text);
  if (figure === undefined) return { wrong: `the price is “${text.slice(0, 30)}”, must be a figure` };
  const named = /[£€]|[A-Z]{3}/u.exec(text)?.[0];
  const paidIn = named && (CURRENCY_OF[named] ?? named);
  if (paidIn && paidIn !== currency)
    return { wrong: `the price is in ${paidIn}, the studio pays in ${currency}` };
  const between = sign === '.' ? ',' : '.';
  const [whole, decimals = '', ...more] = figure.split(sign);
  const isGrouped = !whole.includes(between) || new RegExp(`^\\d{1,3}(\\${between}\\d{3})+$`).test(whole);
  if (more.length > 0 || decimals.includes(between) || !isGrouped || whole === '')
    return { wrong: `the price “${text}” cannot be read with “${sign}” before the decimals` };
  const places = placesOf(currency);
  if (Number(decimals.slice(places)) !== 0)
    return { wrong: `the price “${text}” has more decimals than ${currency}` };
  return minorOf(Number(`${whole.replaceAll(between, '')}.${decimals.slice(0, places) || 0}`), currency);
}

const UNIT_OF: Readonly<Record<string, Pack['unit']>> = {
  l: 'L', ltr: 'L', litre: 'L', litres: 'L', liter: 'L', liters: 'L',
  kg: 'kg', kgs: 'kg', g: 'g', gr: 'g', ml: 'mL', m: 'm',
  piece: 'piece', pieces: 'piece', pc: 'piece', pcs: 'piece', each: 'piece', ea: 'piece', st: 'piece', stk: 'piece',
}; // prettier-ignore
const SIZED =
  /(?<![\d.,])(\d{1,6}(?:[.,]\d{1,3})?)\s{0,2}(litres?|liters?|ltr|l|kgs?|gr?|ml|m|pieces?|pcs?|each|ea|stk?)\b/giu;

/** A unit as lists write it, or undefined. */
export function unitIn(text: string): Pack['unit'] | undefined {
  return UNIT_OF[text.trim().toLowerCase().replace(/\.$/, '')];
}

/** What a pack holds by its words, the last that is said: `Soil, fine, 9 L` is nine litres. */
export function sizeIn(text: string): Pick<Pack, 'size' | 'unit'> | undefined {
  const [, figure, unit] = [...text.matchAll(SIZED)].at(-1) ?? [];
  const size = Number(figure?.replace(',', '.'));
  return size > 0 ? { size, unit: unitIn(unit)! } : undefined;
}
