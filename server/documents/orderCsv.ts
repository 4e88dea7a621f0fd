import Papa from 'papaparse';
import { amount } from '../../core/units/money';
import type { SupplierRequest } from '../supplierLink';
import { FORMULA } from './takeOffCsv';

/** An order as a supplier's desk reads it (RFC 4180): its articles, how many, and what was quoted for them. */
export function orderCsv({ reference, lines, currency, wantedBy }: SupplierRequest): string {
  const rows = lines.map((l) => ({
    order: reference,
    article: l.pack,
    name: l.name,
    packs: l.count,
    'sold as': l.words ?? '',
    [`price ${currency}`]: amount(l.priceMinor, currency),
    'wanted by': wantedBy ?? '',
  }));
  return Papa.unparse(rows, { escapeFormulae: FORMULA, newline: '\r\n' });
}
