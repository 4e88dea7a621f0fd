import { z } from 'zod';
import type { Day } from '../calendar/day';
import { words } from '../commission/primitives';
import type { DecimalSign } from './listFigures';
import type { PriceChanges, Repriced, Resized } from './priceChanges';

/** What a column of a price list says; without name and price it is none. */
export const ROLES = ['name', 'price', 'article', 'size', 'unit', 'currency', 'leadDays'] as const;
export type Role = (typeof ROLES)[number];
export const NEEDED_ROLES: readonly Role[] = ['name', 'price'];

/** Which heading of a supplier's list says what, and what its prices have before the decimals: matched once, and kept. */
export const listShapeSchema = z.object({
  columns: z.partialRecord(z.enum(ROLES), words),
  sign: z.enum(['.', ',']).optional(),
});
export type ListShape = z.infer<typeof listShapeSchema>;

/** How a supplier's list was read last, of which day it is and how many lines it has; by the supplier's id. */
export interface KeptList extends ListShape {
  id: string;
  listedOn: Day;
  lines: number;
}

/** A line that was not taken, by its number in the file, with the reason. */
export interface BadLine {
  line: number;
  says: string;
}

/** A group of a report: all of it counted, the first of it named. */
export interface Some<T> {
  count: number;
  some: T[];
}

/** What a list would change, shown before any of it is taken. */
export interface PriceReport {
  /** Stands for the list and for what it was compared with: only the same is taken. */
  digest: string;
  shape: ListShape & { sign: DecimalSign };
  lines: number;
  bad: Some<BadLine>;
  fresh: Some<{ article: string; name: string; priceMinor: number }>;
  gone: Some<{ article: string; name: string }>;
  dearer: Some<Repriced>;
  cheaper: Some<Repriced>;
  resized: Some<Resized>;
  same: number;
  /** Of what is dearer or cheaper: the middle of the changes, as a share. */
  middle?: number;
  /** What the studio has in its catalogue by that article, of all of the above. */
  used: {
    dearer: Repriced[];
    cheaper: Repriced[];
    resized: Resized[];
    gone: { article: string; name: string }[];
  };
}

/** What a file answers: a question that its words leave open, a report, or why it is no list. */
export type PriceAnswer =
  | { kind: 'refused'; says: string }
  | {
      kind: 'columns';
      headings: string[];
      sample: string[][];
      guess: ListShape['columns'];
      missing: string[];
    }
  | { kind: 'sign'; open: string[]; columns: ListShape['columns'] }
  | { kind: 'report'; report: PriceReport }
  | { kind: 'taken'; lines: number; repriced: number };

/** Words by which headings are guessed; in the languages in which trade lists come most. */
const HINTS: Readonly<Record<Role, RegExp>> = {
  price: /price|net\b|cost|preis|\bek\b|prix|prijs|precio/i,
  article: /art|sku|code|item ?n|\bno\b|nr\b|number|ref/i,
  name: /name|descr|what|product|title|bezeichnung|libell|omschrijving|designation/i,
  size: /size|content|pack|weight|volume|inhalt|gebinde|qty/i,
  unit: /unit|uom|einheit|unit[ée]|eenheid/i,
  currency: /currency|curr\b|währung|devise|valuta/i,
  leadDays: /lead|delivery|lieferzeit|days/i,
};

/** Which heading says what, as far as the words tell; each heading is one thing. To be looked at by a person. */
export function guessColumns(headings: readonly string[]): ListShape['columns'] {
  const left = new Set(headings.filter((h) => h !== ''));
  const found: ListShape['columns'] = {};
  for (const role of Object.keys(HINTS) as Role[]) {
    const heading = [...left].find((h) => HINTS[role].test(h));
    if (heading === undefined) continue;
    found[role] = heading;
    left.delete(heading);
  }
  return found;
}

/** Of what changed in price the middle change, as a share; undefined where none did. */
export function middleChange({
  dearer,
  cheaper,
}: Pick<PriceChanges, 'dearer' | 'cheaper'>): number | undefined {
  const shares = [...dearer, ...cheaper]
    .filter((r) => r.wasMinor > 0)
    .map((r) => (r.isMinor - r.wasMinor) / r.wasMinor)
    .sort((a, b) => a - b);
  if (shares.length === 0) return undefined;
  const at = (shares.length - 1) / 2;
  return (shares[Math.floor(at)] + shares[Math.ceil(at)]) / 2;
}

/** Named of each group at most: nobody reads thousands. */
const NAMED = 100;
export const firstOf = <T>(all: readonly T[]): Some<T> => ({ count: all.length, some: all.slice(0, NAMED) });

/** The report on a list: what changes against the one before, and what of it the studio uses, by its articles. */
export function priceReport(
  changes: PriceChanges,
  bad: readonly BadLine[],
  used: ReadonlySet<string>,
  list: Pick<PriceReport, 'digest' | 'shape' | 'lines'>,
): PriceReport {
  const own = <T extends { article: string }>(all: readonly T[]) => all.filter((l) => used.has(l.article));
  const named = (all: PriceChanges['gone']) => all.map(({ article, name }) => ({ article, name }));
  const { dearer, cheaper, resized, same } = changes;
  return {
    ...list,
    bad: firstOf(bad),
    fresh: firstOf(changes.fresh.map(({ article, name, priceMinor }) => ({ article, name, priceMinor }))),
    gone: firstOf(named(changes.gone)),
    dearer: firstOf(dearer),
    cheaper: firstOf(cheaper),
    resized: firstOf(resized),
    same,
    middle: middleChange(changes),
    used: {
      dearer: own(dearer),
      cheaper: own(cheaper),
      resized: own(resized),
      gone: own(named(changes.gone)),
    },
  };
}
