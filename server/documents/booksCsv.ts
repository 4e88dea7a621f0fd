import Papa from 'papaparse';
import type { Commission } from '../../core/commission/schema';
import type { Plan } from '../../core/pipeline/plan';
import type { BookEntry } from '../../core/pricing/books';
import { majorOf } from '../../core/units/money';
import { inEnglish } from '../../core/words/english';
import { FORMULA } from './takeOffCsv';

const SIDES: Record<BookEntry['side'], string> = { asked: 'asked of the client', spent: 'paid or confirmed', toCome: 'still to be bought' }; // prettier-ignore

/** Columns of the studio's books; amounts in the document's currency, which stands in each row. */
const COLUMNS = ['side', 'day', 'with whom', 'what', 'amount', 'tax', 'currency'] as const;

/** A commission for the studio's books as CSV (RFC 4180), a row an entry: what is asked is net, its tax beside it. */
export function booksCsv({ currency, brief }: Commission, { books }: Pick<Plan, 'books'>): string {
  const rows = books.entries.map(({ side, day, party, what, minor, taxMinor }) => ({
    side: SIDES[side],
    day: day ?? '',
    'with whom': party ?? (side === 'asked' ? (brief.client?.name ?? '') : ''),
    what: inEnglish(what),
    // As numbers: an allowance below zero is none of the cells that are kept from being formulas.
    amount: majorOf(minor, currency),
    tax: taxMinor === undefined ? '' : majorOf(taxMinor, currency),
    currency,
  }));
  return Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: FORMULA, newline: '\r\n' });
}
