import Papa from 'papaparse';
import { plantId } from '../../core/catalogue/knownPlants';
import { faultOf } from '../../core/commission/fault';
import { plantSchema, type Plant } from '../../core/commission/schema';
import { FORMULA } from './takeOffCsv';
import { NoText, textOf } from './textOf';
import { inEnglish } from '../../core/words/english';

/** Columns of a list of plants, each with how a plant's field is written and read. */
const COLUMNS = [
  'name', 'habit', 'roots', 'height mm', 'spread mm', 'growth', 'light lives mol/m2/d', 'light good mol/m2/d', 'CO2', 'temperature C',
  'hardness d', 'spacing mm', 'plugs a pack', 'first trim days', 'trim every days', 'emersed leaves', 'leaf', 'colour', 'notes',
] as const; // prettier-ignore
type Column = (typeof COLUMNS)[number];
type Cells = Record<Column, string>;

/** A studio's plants as CSV (RFC 4180), a line a plant, in units that are in the heading. */
export function plantsCsv(plants: readonly Plant[]): string {
  const span = (pair: readonly number[] | undefined) => pair?.join('-') ?? '';
  const rows = plants.map((p): Cells => ({
    name: p.name,
    habit: p.habit ?? '',
    roots: p.roots,
    'height mm': span(p.heightMm),
    'spread mm': String(p.spreadMm ?? ''),
    growth: p.growth ?? '',
    'light lives mol/m2/d': String(p.dli?.[0] ?? ''),
    'light good mol/m2/d': String(p.dli?.[1] ?? ''),
    CO2: p.needsCo2 ? 'needed' : p.helpedByCo2 ? 'helped' : 'without',
    'temperature C': span(p.tempC),
    'hardness d': span(p.gh),
    'spacing mm': String(p.spacingMm ?? ''),
    'plugs a pack': span(p.plugsAPack),
    'first trim days': String(p.firstTrimDays ?? ''),
    'trim every days': String(p.trimEveryDays ?? ''),
    'emersed leaves': p.emersedLeaves ?? '',
    leaf: p.leaf ?? '',
    colour: p.colour ?? '',
    notes: p.notes ?? '',
  }));
  return Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: FORMULA, newline: '\r\n' });
}

/** Plants that were read, or what is wrong with the file: line, column and what to do. */
export type ReadPlants = { ok: true; plants: Plant[] } | { ok: false; says: string };

/** More lines than this are another kind of list; counted before anything is read, notes may be of several lines. */
const MOST_LINES = 2_000;
const MOST_LINE_ENDS = 20_000;
/** Characters of one cell, notes apart: no name or figure is longer, and nothing is looked for in more. */
const MOST_IN_CELL = 2_000;

/**
 * Reads a list of plants. Columns may stand in any order and be left out, the name alone must be there; what a column
 * does not say stays as it is known of the plant. Nothing is taken where one line is wrong.
 */
export function plantsOfCsv(bytes: Uint8Array): ReadPlants {
  if (bytes.reduce((n, byte) => (byte === 0x0a || byte === 0x0d ? n + 1 : n), 0) > MOST_LINE_ENDS)
    return { ok: false, says: `It has more than ${MOST_LINE_ENDS} lines, must have at most ${MOST_LINES}.` };
  let text: string;
  try {
    text = textOf(bytes);
  } catch (error) {
    if (error instanceof NoText) return { ok: false, says: error.message };
    throw error;
  }
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim(),
  });
  const fields = meta.fields ?? [];
  if (!fields.includes('name')) return { ok: false, says: `There is no column “name”; its columns are ${fields.slice(0, 6).join(', ') || 'none'}.` }; // prettier-ignore
  const unknown = fields.find((f) => f !== '' && !(COLUMNS as readonly string[]).includes(f));
  if (unknown !== undefined)
    return { ok: false, says: `The column “${unknown}” is not known: ${COLUMNS.join(', ')}. Rename it or take it out.` }; // prettier-ignore
  if (data.length > MOST_LINES) return { ok: false, says: `It has ${data.length} lines, must have at most ${MOST_LINES}.` }; // prettier-ignore
  const plants: Plant[] = [];
  for (const [i, row] of data.entries()) {
    const read = plantOf(row);
    if (typeof read === 'string') return { ok: false, says: `Line ${i + 2}: ${read}` };
    plants.push(read);
  }
  return plants.length > 0 ? { ok: true, plants } : { ok: false, says: 'There is no plant in it.' };
}

const ROOTS: Record<string, Plant['roots']> = { epiphyte: 'epiphyte', moss: 'epiphyte', emersed: 'epiphyte', float: 'float' }; // prettier-ignore

function plantOf(row: Partial<Cells>): Plant | string {
  /** An apostrophe that a spreadsheet was given in front of a sign is none of the name. */
  const cell = (c: Column) => (row[c] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const long = COLUMNS.find((c) => cell(c).length > MOST_IN_CELL);
  if (long) return `${long} is longer than ${MOST_IN_CELL} characters.`;
  const name = cell('name');
  if (name === '') return 'the name is missing.';
  if (FORMULA.test(name)) return `“${name.slice(0, 30)}” is a formula, must be a name.`;
  const wrong: string[] = [];
  const number = (c: Column) => {
    if (cell(c) === '') return undefined;
    const value = Number(cell(c).replace(',', '.'));
    if (!Number.isFinite(value))
      wrong.push(`${c} is “${cell(c)}”, must be a figure in the unit of its heading.`);
    return value;
  };
  const span = (c: Column, of: number) => {
    if (cell(c) === '') return undefined;
    // Blanks around a figure are none of it for `Number`.
    const parts = cell(c).split(/[-–]/).map((v) => (v.trim() === '' ? NaN : Number(v.replace(',', '.')))); // prettier-ignore
    if (parts.length !== of || parts.some((v) => !Number.isFinite(v)))
      wrong.push(`${c} is “${cell(c)}”, must be ${of} figures with a dash between.`);
    return parts;
  };
  const co2 = cell('CO2');
  if (!['', 'needed', 'helped', 'without'].includes(co2))
    wrong.push(`CO2 is “${co2}”, must be needed, helped or without.`);
  const [lives, good] = [number('light lives mol/m2/d'), number('light good mol/m2/d')];
  const habit = cell('habit') || undefined;
  const entry = Object.fromEntries(
    Object.entries({
      id: plantId(name),
      name,
      roots: cell('roots') || (ROOTS[habit ?? ''] ?? 'bed'),
      habit,
      heightMm: span('height mm', 2),
      spreadMm: number('spread mm'),
      growth: cell('growth') || undefined,
      dli: lives !== undefined && good !== undefined ? [lives, good] : undefined,
      needsCo2: co2 === 'needed' ? true : undefined,
      helpedByCo2: co2 === 'helped' ? true : undefined,
      tempC: span('temperature C', 2),
      gh: span('hardness d', 2),
      spacingMm: number('spacing mm'),
      plugsAPack: span('plugs a pack', 3),
      firstTrimDays: number('first trim days'),
      trimEveryDays: number('trim every days'),
      emersedLeaves: cell('emersed leaves') || undefined,
      leaf: cell('leaf') || undefined,
      colour: cell('colour') || undefined,
      notes: cell('notes') || undefined,
    }).filter(([, value]) => value !== undefined),
  );
  if (wrong.length > 0) return wrong[0];
  const parsed = plantSchema.safeParse(entry);
  if (parsed.success) return parsed.data;
  const { path, says } = faultOf(parsed.error.issues[0], entry);
  return `${path} ${inEnglish(says)}.`;
}
