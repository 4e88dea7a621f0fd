import Papa from 'papaparse';
import { decimalSign, priceIn, sizeIn, unitIn, type DecimalSign } from '../../core/catalogue/listFigures';
import { guessColumns, NEEDED_ROLES, type BadLine, type ListShape, type Role } from '../../core/catalogue/priceList'; // prettier-ignore
import type { ListLine } from '../../core/catalogue/priceChanges';
import { FORMULA } from './takeOffCsv';
import { NoText, textOf } from './textOf';

/*
 * A supplier's price list as it comes: columns of its own, titles above and headings between its lines. Read in a thread.
 */

export type ReadList =
  | { kind: 'refused'; says: string }
  | { kind: 'columns'; headings: string[]; sample: string[][]; guess: ListShape['columns']; missing: string[] }
  | { kind: 'sign'; open: string[]; columns: ListShape['columns'] }
  | { kind: 'lines'; lines: ListLine[]; bad: BadLine[]; unread: Set<string>; shape: ListShape & { sign: DecimalSign } }; // prettier-ignore

/** How a list is to be read: as somebody says now, else by what was matched when the last one came. */
export type AskedShape = ListShape & { usualSign?: DecimalSign };

const MOST_LINES = 60_000;
const MOST_COLUMNS = 200;
/** Rows in which the headings are looked for: lists begin with an address and a date. */
const TITLES = 30;
const SAMPLE = 4;
const MOST_IN_CELL = 200;
const MOST_LEAD_DAYS = 365;
/** Lines after which it is said how far it is. */
const TOLD_EVERY = 1_000;

/**
 * Reads a price list by the columns in `shape`, or by those that were matched when the last one came, or asks for them.
 * A line that is wrong is left out with its reason; `tell` hears of how many lines so many are read.
 */
export function priceListOf(
  bytes: Uint8Array,
  shape: AskedShape | undefined,
  currency: string,
  tell: (done: number, of: number) => void = () => {},
): ReadList {
  const table = rowsOf(bytes);
  if ('says' in table) return { kind: 'refused', says: table.says };
  const { headings, rows, firstLine } = table;
  const columns = shape?.columns ?? {};
  const missing = Object.values(columns).filter((heading) => !headings.includes(heading));
  if (missing.length > 0 || NEEDED_ROLES.some((role) => columns[role] === undefined)) {
    const sample = rows.slice(0, SAMPLE).map((r) => headings.map((_, i) => (r[i] ?? '').slice(0, 60)));
    return { kind: 'columns', headings, sample, guess: { ...guessColumns(headings), ...known(columns, headings) }, missing }; // prettier-ignore
  }
  const at = (role: Role) => (columns[role] === undefined ? -1 : headings.indexOf(columns[role]));
  const place = { name: at('name'), price: at('price'), article: at('article'), size: at('size'), unit: at('unit'), currency: at('currency'), leadDays: at('leadDays') }; // prettier-ignore
  const found = decimalSign(rows.map((r) => r[place.price] ?? ''));
  // What somebody has just said, else what the list itself says, else how the supplier wrote before.
  const leftOpen = 'open' in found && found.open.every((price) => 'open' in decimalSign([price]));
  const sign = shape?.sign ?? ('sign' in found ? found.sign : leftOpen ? shape?.usualSign : undefined);
  if (!sign) return { kind: 'sign', open: 'open' in found ? found.open : [], columns };
  const read: Extract<ReadList, { kind: 'lines' }> = { kind: 'lines', lines: [], bad: [], unread: new Set(), shape: { columns, sign } }; // prettier-ignore
  const seen = new Map<string, number>();
  for (const [i, cells] of rows.entries()) {
    if (i % TOLD_EVERY === 0) tell(i, rows.length);
    takeLine(cells, firstLine + i);
  }
  tell(rows.length, rows.length);
  return read;

  function takeLine(cells: string[], number: number): void {
    // A heading between the lines.
    if (cells.filter((c) => c.trim() !== '').length < 2) return;
    const cell = (role: Role) => unquoted(cells[place[role]] ?? '');
    const article = cell('article') || cell('name');
    const line = lineOf(cell, sign!, currency);
    const earlier = seen.get(article);
    const wrong = 'wrong' in line ? line.wrong : earlier && `“${article}” is on line ${earlier} already`;
    if (wrong) {
      read.bad.push({ line: number, says: `${wrong}.` });
      read.unread.add(article);
    } else {
      seen.set(article, number);
      read.lines.push(line as ListLine);
    }
  }
}

const known = (columns: ListShape['columns'], headings: string[]) =>
  Object.fromEntries(Object.entries(columns).filter(([, heading]) => headings.includes(heading)));

/** An apostrophe that a spreadsheet was given in front of a sign is none of the cell. */
const unquoted = (cell: string) => cell.trim().replace(/^'(?=[=+\-@])/, '');

function lineOf(
  cell: (role: Role) => string,
  sign: DecimalSign,
  currency: string,
): ListLine | { wrong: string } {
  const name = cell('name');
  const article = cell('article') || name;
  if (name === '') return { wrong: 'the name is missing' };
  if ([name, article].some((c) => c.length > MOST_IN_CELL))
    return { wrong: `the name is longer than ${MOST_IN_CELL} characters` };
  const formula = [name, article, cell('price')].find((c) => FORMULA.test(c) && !/^-?[\d.,]+$/.test(c));
  if (formula) return { wrong: `“${formula.slice(0, 30)}” is a formula, must be what it comes to` };
  const paidIn = cell('currency').toUpperCase();
  if (paidIn !== '' && paidIn !== currency)
    return { wrong: `the price is in ${paidIn.slice(0, 12)}, the studio pays in ${currency}` };
  const priceMinor = priceIn(cell('price'), sign, currency);
  if (typeof priceMinor !== 'number') return priceMinor;
  const lead = cell('leadDays');
  const leadDays = lead === '' ? undefined : Number(/^\d{1,3}/.exec(lead)?.[0] ?? NaN);
  if (leadDays !== undefined && !(leadDays <= MOST_LEAD_DAYS))
    return { wrong: `the delivery is “${lead.slice(0, 30)}”, must be days` };
  return {
    article,
    name,
    ...sizeOf(cell),
    priceMinor,
    ...(leadDays === undefined ? {} : { leadDays }),
  };
}

/** By its own columns where it has them, else by the words of the name. */
function sizeOf(cell: (role: Role) => string): Pick<ListLine, 'size' | 'unit'> {
  const written = cell('size');
  const unit = unitIn(cell('unit'));
  const plain = Number(written.replace(',', '.'));
  if (unit && written !== '' && plain > 0) return { size: plain, unit };
  return sizeIn(written) ?? sizeIn(cell('name')) ?? {};
}

/** The headings and the rows below them; `firstLine` is the number of the first of those in the file. */
function rowsOf(
  bytes: Uint8Array,
): { headings: string[]; rows: string[][]; firstLine: number } | { says: string } {
  let text: string;
  try {
    text = textOf(bytes);
  } catch (error) {
    if (error instanceof NoText) return { says: error.message };
    throw error;
  }
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false, preview: MOST_LINES + TITLES + 1 }); // prettier-ignore
  const top = data.slice(0, TITLES).findIndex(isHeading);
  if (top < 0)
    return { says: `There is no line of headings in its first ${TITLES}: a list names its columns above its prices.` }; // prettier-ignore
  const headings = data[top].map((h) => h.trim().slice(0, MOST_IN_CELL));
  const rows = data.slice(top + 1);
  // The end of the last line is no line.
  if (rows.at(-1)?.every((c) => c === '')) rows.pop();
  if (headings.length > MOST_COLUMNS)
    return { says: `It has ${headings.length} columns, must have at most ${MOST_COLUMNS}.` };
  if (rows.length > MOST_LINES) return { says: `It has more than ${MOST_LINES} lines.` };
  return { headings, rows, firstLine: top + 2 };
}

/** Words in at least two places, and no figure by itself. */
function isHeading(row: string[]): boolean {
  const said = row.filter((c) => c.trim() !== '');
  return said.length >= 2 && !said.some((c) => /\d/.test(c) && !/\p{L}/u.test(c));
}
