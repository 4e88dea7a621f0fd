import Papa from 'papaparse';
import { ANIMAL_KINDS, animalSchema } from '../../core/commission/catalogueSchema';
import { faultOf } from '../../core/commission/fault';
import type { Animal } from '../../core/commission/schema';
import { idOfName } from '../../core/edits/ids';
import { inEnglish } from '../../core/words/english';
import { Row, said, tableOf, type Unread } from './csvTable';
import { FORMULA } from './takeOffCsv';

/** Columns of a list of animals, in units that are in the heading. */
const COLUMNS = [
  'name', 'kind', 'grows to mm', 'group', 'tank at least mm', 'swims', 'temperature C', 'pH', 'GH d', 'KH d',
  'digs', 'eats shrimps', 'eats plants', 'jumps',
] as const; // prettier-ignore
type Column = (typeof COLUMNS)[number];

/** A studio's animals as CSV (RFC 4180), a line a kind of animal. What nobody has said of one is an empty cell. */
export function animalsCsv(animals: readonly Animal[]): string {
  const span = (pair: readonly number[] | undefined) => pair?.join('-') ?? '';
  const yes = (flag: boolean | undefined) => (flag === undefined ? '' : flag ? 'yes' : 'no');
  const rows = animals.map((a): Record<Column, string> => ({
    name: a.name,
    kind: a.kind,
    'grows to mm': String(a.adultMm ?? ''),
    group: String(a.group ?? ''),
    'tank at least mm': String(a.leastMm ?? ''),
    swims: a.zone ?? '',
    'temperature C': span(a.tempC),
    pH: span(a.ph),
    'GH d': span(a.gh),
    'KH d': span(a.kh),
    digs: yes(a.digs),
    'eats shrimps': yes(a.eatsShrimps),
    'eats plants': yes(a.eatsPlants),
    jumps: yes(a.jumps),
  }));
  return Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: FORMULA, newline: '\r\n' });
}

/** What a list says of an animal: of one that is here already its kind need not be said. */
export type AnimalPart = Omit<Animal, 'kind'> & Partial<Pick<Animal, 'kind'>>;
const PART = animalSchema.partial({ kind: true });

/** Animals that were read, or what is wrong with the file: line, column and what to do. */
export type ReadAnimals = { ok: true; animals: AnimalPart[] } | Unread;

/** More lines than this are another kind of list. */
const MOST_LINES = 2_000;

/**
 * Reads a list of animals. Columns may stand in any order and be left out, the name alone must be there, and the kind of
 * those that are new; what no column says stays as it is known. Nothing is taken where one line is wrong.
 *
 * @param here ids and names of the animals that the studio has
 */
export function animalsOfCsv(bytes: Uint8Array, here: readonly (readonly [string, string])[]): ReadAnimals {
  const table = tableOf(bytes, COLUMNS, MOST_LINES);
  if (!table.ok) return table;
  const ids = new Map(here.map(([id, name]) => [name, id]));
  const lines = new Map<string, number>();
  const animals: AnimalPart[] = [];
  for (const [i, cells] of table.rows.entries()) {
    const row = new Row(cells, COLUMNS);
    const name = row.cell('name');
    const entry = said({ id: ids.get(name) ?? idOfName(name), name, ...fieldsOf(row) });
    const twice = lines.get(String(entry.id));
    if (twice) row.refuse(`“${name}” is too much like line ${twice}: leave one of the two out.`);
    if (!('kind' in entry) && !ids.has(name)) row.refuse(`kind is missing, must be ${ANIMAL_KINDS.join(', ')}.`);
    if (row.wrong) return { ok: false, says: `Line ${i + 2}: ${row.wrong}` };
    lines.set(String(entry.id), i + 2);
    const parsed = PART.safeParse(entry);
    if (!parsed.success) {
      const { path, says } = faultOf(parsed.error.issues[0], entry);
      return { ok: false, says: `Line ${i + 2}: ${path} ${inEnglish(says)}.` };
    }
    animals.push(parsed.data);
  }
  return animals.length > 0 ? { ok: true, animals } : { ok: false, says: 'There is no animal in it.' };
} // prettier-ignore

function fieldsOf(row: Row<Column>): Record<string, unknown> {
  const flag = (column: Column) => {
    const word = row.oneOf(column, ['yes', 'no']);
    return word === undefined ? undefined : word === 'yes';
  };
  return {
    kind: row.oneOf('kind', ANIMAL_KINDS),
    adultMm: row.number('grows to mm'),
    group: row.number('group'),
    leastMm: row.number('tank at least mm'),
    zone: row.oneOf('swims', ['top', 'middle', 'bottom']),
    tempC: row.span('temperature C', 2),
    ph: row.span('pH', 2),
    gh: row.span('GH d', 2),
    kh: row.span('KH d', 2),
    digs: flag('digs'),
    eatsShrimps: flag('eats shrimps'),
    eatsPlants: flag('eats plants'),
    jumps: flag('jumps'),
  };
}
