import Papa from 'papaparse';
import { FORMULA } from './takeOffCsv';
import { NoText, textOf } from './textOf';

/*
 * A table that comes from outside as CSV (RFC 4180): its columns may stand in any order and be left out, but none is
 * unknown. Read in a thread; everything is counted before anything is looked for.
 */

/** What is wrong with a file, in a sentence that says where and what to do. */
export interface Unread {
  ok: false;
  says: string;
}

/** One thousand four hundred in one place, one and four tenths in another. */
const MAY_BE_TWO = /^\d{1,3},\d{3}$/;

export type Cells<C extends string> = Partial<Record<C, string>>;

/** Characters of one cell: no name or figure is longer, and nothing is looked for in more. Notes are not looked into. */
const MOST_IN_CELL = 2_000;
const UNREAD = 'notes';
/** Line ends for each line of a table: notes may be of several lines. */
const ENDS_A_LINE = 10;

/** The rows of a table with these columns, of which the name must be there. */
export function tableOf<C extends string>(
  bytes: Uint8Array,
  columns: readonly C[],
  mostLines: number,
): { ok: true; rows: Cells<C>[] } | Unread {
  const refused = (says: string): Unread => ({ ok: false, says });
  const mostEnds = mostLines * ENDS_A_LINE;
  if (bytes.reduce((n, byte) => (byte === 0x0a || byte === 0x0d ? n + 1 : n), 0) > mostEnds)
    return refused(`It has more than ${mostEnds} lines, must have at most ${mostLines}.`);
  let text: string;
  try {
    text = textOf(bytes);
  } catch (error) {
    if (error instanceof NoText) return refused(error.message);
    throw error;
  }
  const { data, meta } = Papa.parse<Cells<C>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim(),
  });
  const fields = meta.fields ?? [];
  if (!fields.includes('name')) return refused(`There is no column “name”; its columns are ${fields.slice(0, 6).join(', ') || 'none'}.`); // prettier-ignore
  const unknown = fields.find((f) => f !== '' && !(columns as readonly string[]).includes(f));
  if (unknown !== undefined)
    return refused(`The column “${unknown}” is not known: ${columns.join(', ')}. Rename it or take it out.`);
  if (data.length > mostLines) return refused(`It has ${data.length} lines, must have at most ${mostLines}.`);
  return { ok: true, rows: data };
}

/** One row as it is read: the first thing that is wrong with it is remembered. */
export class Row<C extends string> {
  wrong?: string;

  constructor(
    private readonly cells: Cells<C>,
    columns: readonly C[],
  ) {
    const long = columns.find((c) => c !== UNREAD && this.cell(c).length > MOST_IN_CELL);
    const name = this.cell('name' as C);
    if (long) this.wrong = `${long} is longer than ${MOST_IN_CELL} characters.`;
    else if (name === '') this.wrong = 'the name is missing.';
    else if (FORMULA.test(name)) this.wrong = `“${name.slice(0, 30)}” is a formula, must be a name.`;
  }

  /** An apostrophe that a spreadsheet was given in front of a sign is none of the name. */
  cell(c: C): string {
    return (this.cells[c] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  }

  /** A cell's text, or nothing. */
  text(c: C): string | undefined {
    return this.cell(c) || undefined;
  }

  number(c: C): number | undefined {
    return this.cell(c) === '' ? undefined : this.figure(c, this.cell(c));
  }

  /** A figure with point or comma. A file says nothing of its place: what may be thousands or decimals is asked about. */
  private figure(c: C, text: string): number {
    const plain = text.trim();
    if (MAY_BE_TWO.test(plain))
      this.refuse(`${c} is “${plain}”, which may be two figures: write ${plain.replace(',', '')} or ${plain.replace(',', '.')}.`); // prettier-ignore
    // Nothing is no figure, though `Number` takes it for 0.
    const value = plain === '' ? NaN : Number(plain.replace(',', '.'));
    if (!Number.isFinite(value))
      this.refuse(`${c} is “${plain}”, must be a figure in the unit of its heading.`);
    return value;
  }

  /** So many figures with a dash between. */
  span(c: C, of: number): number[] | undefined {
    if (this.cell(c) === '') return undefined;
    const parts = this.cell(c).split(/[-–]/);
    const isSpan = parts.length === of && parts.every((v) => /^ *\d[\d.,]* *$/.test(v));
    if (!isSpan) this.refuse(`${c} is “${this.cell(c)}”, must be ${of} figures with a dash between.`);
    return parts.map((v) => this.figure(c, v));
  }

  /** One of some words, or nothing. */
  oneOf(c: C, words: readonly string[]): string | undefined {
    const word = this.text(c);
    if (word !== undefined && !words.includes(word))
      this.refuse(`${c} is “${word}”, must be ${words.join(', ')}.`);
    return word;
  }

  refuse(says: string): void {
    this.wrong ??= says;
  }
}

/** An object without what nothing is said of. */
export function said(fields: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
}
