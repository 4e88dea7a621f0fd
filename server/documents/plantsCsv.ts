import Papa from 'papaparse';
import { plantId } from '../../core/catalogue/knownPlants';
import { faultOf } from '../../core/commission/fault';
import { plantSchema, type Plant } from '../../core/commission/schema';
import { Row, said, tableOf, type Cells as CellsOf, type Unread } from './csvTable';
import { FORMULA } from './takeOffCsv';
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
export type ReadPlants = { ok: true; plants: Plant[] } | Unread;

/** More lines than this are another kind of list. */
const MOST_LINES = 2_000;

/**
 * Reads a list of plants. Columns may stand in any order and be left out, the name alone must be there; what a column
 * does not say stays as it is known of the plant. Nothing is taken where one line is wrong.
 */
export function plantsOfCsv(bytes: Uint8Array): ReadPlants {
  const table = tableOf(bytes, COLUMNS, MOST_LINES);
  if (!table.ok) return table;
  const plants: Plant[] = [];
  for (const [i, row] of table.rows.entries()) {
    const read = plantOf(row);
    if (typeof read === 'string') return { ok: false, says: `Line ${i + 2}: ${read}` };
    plants.push(read);
  }
  return plants.length > 0 ? { ok: true, plants } : { ok: false, says: 'There is no plant in it.' };
}

const ROOTS: Record<string, Plant['roots']> = { epiphyte: 'epiphyte', moss: 'epiphyte', emersed: 'epiphyte', float: 'float' }; // prettier-ignore

function plantOf(cells: CellsOf<Column>): Plant | string {
  const row = new Row(cells, COLUMNS);
  if (row.wrong) return row.wrong;
  const name = row.cell('name');
  const co2 = row.oneOf('CO2', ['needed', 'helped', 'without']);
  const [lives, good] = [row.number('light lives mol/m2/d'), row.number('light good mol/m2/d')];
  const habit = row.text('habit');
  const entry = said({
    id: plantId(name),
    name,
    roots: row.text('roots') ?? ROOTS[habit ?? ''] ?? 'bed',
    habit,
    heightMm: row.span('height mm', 2),
    spreadMm: row.number('spread mm'),
    growth: row.text('growth'),
    dli: lives !== undefined && good !== undefined ? [lives, good] : undefined,
    needsCo2: co2 === 'needed' ? true : undefined,
    helpedByCo2: co2 === 'helped' ? true : undefined,
    tempC: row.span('temperature C', 2),
    gh: row.span('hardness d', 2),
    spacingMm: row.number('spacing mm'),
    plugsAPack: row.span('plugs a pack', 3),
    firstTrimDays: row.number('first trim days'),
    trimEveryDays: row.number('trim every days'),
    emersedLeaves: row.text('emersed leaves'),
    leaf: row.text('leaf'),
    colour: row.text('colour'),
    notes: row.text('notes'),
  });
  if (row.wrong) return row.wrong;
  const parsed = plantSchema.safeParse(entry);
  if (parsed.success) return parsed.data;
  const { path, says } = faultOf(parsed.error.issues[0], entry);
  return `${path} ${inEnglish(says)}.`;
}
