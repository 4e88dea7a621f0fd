import Papa from 'papaparse';
import { GLUES, MATERIAL_KINDS, materialSchema, packSchema } from '../../core/commission/catalogueSchema';
import { faultOf } from '../../core/commission/fault';
import { gearKind, co2Part } from '../../core/commission/primitives';
import type { Material, Pack, Supplier } from '../../core/commission/schema';
import { idOfName } from '../../core/edits/ids';
import { amount, minorOf, placesOf } from '../../core/units/money';
import { percentOf, shareOf } from '../../core/units/quantity';
import { inEnglish } from '../../core/words/english';
import { Row, said, tableOf, type Cells, type Unread } from './csvTable';
import { FORMULA } from './takeOffCsv';

/** Columns of a list of materials with their prices: a line for each pack, what is known of the material on its first. */
const COLUMNS = [
  'name', 'kind', 'poured kg/L', 'solid kg/L', 'soaked kg/L', 'sinks after days', 'settles %', 'slope deg', 'pores %', 'dose mL/100 L',
  'bacteria mL/100 L/d', 'draws W', 'moves L/h', 'carbonate', 'glue', 'device', 'part', 'colour', 'notes',
  'article', 'pack', 'size', 'unit', 'price', 'currency', 'supplier', 'lead days', 'keeps days',
] as const; // prettier-ignore
type Column = (typeof COLUMNS)[number];

/** What prices are written in, and the names by which suppliers are known. */
export interface Sellers {
  currency: string;
  suppliers: readonly Named[];
}

/** What a list of prices is read against: those, and ids and names of the materials that are here. */
export interface Selling extends Sellers {
  materials: readonly (readonly [id: string, name: string])[];
}
type Named = Pick<Supplier, 'id' | 'name'>;

/** A studio's materials and what they cost as CSV (RFC 4180), in units that are in the heading. */
export function materialsCsv(materials: readonly Material[], { currency, suppliers }: Sellers): string {
  const rows = materials.flatMap(
    (m) =>
    m.packs?.length ? m.packs.map((p, i) => ({ ...(i === 0 ? ofMaterial(m) : { name: m.name }), ...ofPack(p) })) : [ofMaterial(m)], // prettier-ignore
  );
  return Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: FORMULA, newline: '\r\n' });

  function ofPack(p: Pack): Cells<Column> {
    return {
      article: p.id,
      pack: p.name ?? '',
      size: String(p.size),
      unit: p.unit,
      price: amount(p.priceMinor, currency),
      currency,
      supplier: suppliers.find((s) => s.id === p.supplier)?.name ?? p.supplier,
      'lead days': String(p.leadDays),
      'keeps days': figure(p.keepsDays),
    };
  }
}

const figure = (value: number | undefined) => (value === undefined ? '' : String(value));

function ofMaterial(m: Material): Cells<Column> {
  return {
    name: m.name,
    kind: m.kind,
    'poured kg/L': figure(m.bulkKgPerL),
    'solid kg/L': figure(m.densityKgPerL),
    'soaked kg/L': figure(m.soakedKgPerL),
    'sinks after days': figure(m.soakDays),
    'settles %': figure(percentOf(m.settles)),
    'slope deg': figure(m.reposeDeg),
    'pores %': figure(percentOf(m.pores)),
    'dose mL/100 L': figure(m.dosePer100L),
    'bacteria mL/100 L/d': figure(m.bacteriaPer100L),
    'draws W': figure(m.watts),
    'moves L/h': figure(m.litresPerHour),
    carbonate: m.hardens ? 'yes' : '',
    glue: m.glue ?? '',
    device: m.gear ?? '',
    part: m.part ?? '',
    colour: m.colour ?? '',
    notes: m.notes ?? '',
  };
}

/** What a list says of a material; of one that is here already it may be a part. */
export type MaterialPart = Partial<Material> & Pick<Material, 'id' | 'name'>;
/** Of what is here already not even the kind has to be said. Made once: it takes as long as reading many lines. */
const PART = materialSchema.partial({ kind: true });
export type ReadMaterials = { ok: true; materials: MaterialPart[] } | Unread;

const MOST_LINES = 60_000;
const MOST_MATERIALS = 20_000;

/**
 * Reads a list of materials and prices. Lines of one name are one material with several packs; what no line says of it
 * stays as it is known, and its packs are replaced only where the list has some. Nothing is taken where one line is wrong.
 */
export function materialsOfCsv(bytes: Uint8Array, selling: Selling): ReadMaterials {
  const table = tableOf(bytes, COLUMNS, MOST_LINES);
  if (!table.ok) return table;
  const found = new Map<string, { line: number; fields: Record<string, unknown>; packs: Pack[] }>();
  for (const [i, cells] of table.rows.entries()) {
    const row = new Row(cells, COLUMNS);
    const name = row.cell('name');
    const own = found.get(name) ?? { line: i + 2, fields: {}, packs: [] };
    found.set(name, own);
    if (!row.wrong) Object.assign(own.fields, fieldsOf(row));
    const pack = row.wrong ? undefined : packOf(row, `${idOfName(name)}-${own.packs.length + 1}`, selling);
    if (row.wrong) return { ok: false, says: `Line ${i + 2}: ${row.wrong}` };
    if (pack) own.packs.push(pack);
  }
  if (found.size > MOST_MATERIALS) return { ok: false, says: `It has ${found.size} materials, must have at most ${MOST_MATERIALS}.` }; // prettier-ignore
  if (found.size === 0) return { ok: false, says: 'There is no material in it.' };
  const materials: MaterialPart[] = [];
  const ids = new Map<string, string>();
  const known = new Map(selling.materials.map(([id, name]) => [name, id]));
  for (const [name, { line, fields, packs }] of found) {
    const id = known.get(name) ?? idOfName(name);
    const other = ids.get(id);
    if (other) return { ok: false, says: `Line ${line}: “${name}” and “${other}” are too much alike: give them names that differ in more than signs.` }; // prettier-ignore
    ids.set(id, name);
    const entry = { id, name, ...fields, ...(packs.length > 0 ? { packs } : {}) };
    // What is here already has its kind: a list of prices need not say it.
    if (!('kind' in fields) && !known.has(name)) return { ok: false, says: `Line ${line}: kind is missing, must be ${MATERIAL_KINDS.join(', ')}.` }; // prettier-ignore
    const parsed = PART.safeParse(entry);
    if (!parsed.success) {
      const { path, says } = faultOf(parsed.error.issues[0], entry);
      return { ok: false, says: `Line ${line}: ${path} ${inEnglish(says)}.` };
    }
    materials.push(parsed.data);
  }
  return { ok: true, materials };
}

function fieldsOf(row: Row<Column>): Record<string, unknown> {
  return said({
    kind: row.oneOf('kind', MATERIAL_KINDS),
    bulkKgPerL: row.number('poured kg/L'),
    densityKgPerL: row.number('solid kg/L'),
    soakedKgPerL: row.number('soaked kg/L'),
    soakDays: row.number('sinks after days'),
    settles: shareOf(row.number('settles %')),
    reposeDeg: row.number('slope deg'),
    pores: shareOf(row.number('pores %')),
    dosePer100L: row.number('dose mL/100 L'),
    bacteriaPer100L: row.number('bacteria mL/100 L/d'),
    watts: row.number('draws W'),
    litresPerHour: row.number('moves L/h'),
    hardens: row.oneOf('carbonate', ['yes', 'no']) === 'yes' ? true : undefined,
    glue: row.oneOf('glue', GLUES),
    gear: row.oneOf('device', gearKind.options),
    part: row.oneOf('part', co2Part.options),
    colour: row.text('colour'),
    notes: row.text('notes'),
  });
}

/** The pack of a line, or nothing where the line has none. */
function packOf(row: Row<Column>, usual: string, selling: Selling): Pack | undefined {
  const parts = ['size', 'unit', 'price', 'supplier'] as const;
  const there = parts.filter((c) => row.cell(c) !== '');
  if (there.length === 0) return undefined;
  const missing = parts.find((c) => !there.includes(c));
  if (missing) return void row.refuse(`${missing} is missing: a pack has size, unit, price and supplier.`);
  const currency = row.text('currency') ?? selling.currency;
  if (currency !== selling.currency)
    row.refuse(`the price is in ${currency}, must be in ${selling.currency}.`);
  const name = row.cell('supplier');
  const supplier = selling.suppliers.find((s) => s.name === name || s.id === name);
  if (!supplier)
    row.refuse(`no supplier is called “${name.slice(0, 60)}”: enter it among the suppliers first.`);
  const entry = said({
    id: row.text('article') ?? usual,
    name: row.text('pack'),
    size: row.number('size'),
    unit: row.oneOf('unit', packSchema.shape.unit.options),
    priceMinor: priceOf(row, currency),
    supplier: supplier?.id,
    leadDays: row.number('lead days') ?? 0,
    keepsDays: row.number('keeps days'),
  });
  if (row.wrong) return undefined;
  const parsed = packSchema.safeParse(entry);
  if (parsed.success) return parsed.data;
  const { path, says } = faultOf(parsed.error.issues[0], entry);
  return void row.refuse(`${path} ${inEnglish(says)}.`);
}

/** A price with as many decimals as its currency has at most. */
function priceOf(row: Row<Column>, currency: string): number | undefined {
  const cell = row.cell('price');
  const decimals = /^\d{1,9}(?:[.,](\d{1,4}))?$/.exec(cell)?.[1]?.length ?? 0;
  if (!/^\d/.test(cell) || decimals > placesOf(currency))
    row.refuse(`price is “${cell}”, must be like ${amount(145000, currency)}, without signs before it or between thousands.`); // prettier-ignore
  const price = row.number('price');
  return price === undefined ? undefined : minorOf(price, currency);
}
