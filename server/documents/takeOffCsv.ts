import Papa from 'papaparse';
import type { Commission } from '../../core/commission/schema';
import { orderByOf } from '../../core/ordering/order';
import type { Plan } from '../../core/pipeline/plan';
import { amount } from '../../core/units/money';
import { inEnglish } from '../../core/words/english';
import { rounded } from '../../core/units/quantity';

/**
 * What a spreadsheet may take for a formula: one of its signs, in full width too, at the beginning or behind
 * blanks, no-break spaces, line breaks and marks that are not seen.
 */
export const FORMULA = /^[\s\p{C}\p{Z}]*[=+\-@\t\r\n＝＋－＠]|^[\t\r\n]/u;

/** In front of a file it tells spreadsheets that the text is UTF-8. */
export const UTF8_MARK = '\uFEFF';

/**
 * The take-off as CSV (RFC 4180), a line a row. Cells that begin like a formula get an apostrophe in front,
 * so that no spreadsheet computes what somebody typed as a name.
 */
export function takeOffCsv(commission: Commission, plan: Plan): string {
  const rows = plan.takeOff.lines.map((line) => ({
    group: line.kind,
    item: inEnglish(line.name),
    measured: rounded(line.measured.value, 4),
    'measured unit': line.measured.unit,
    needed: rounded(line.needed.value, 4),
    'needed unit': line.needed.unit,
    packs: line.packWords ? inEnglish(line.packWords) : '',
    [`price ${commission.currency}`]: amount(line.priceMinor, commission.currency),
    'order by': orderByOf(plan.order, line.id) ?? '',
    workings: line.workings.map((w) => `${inEnglish(w.step)}: ${rounded(w.value, 3)} ${w.unit}`).join('; '),
  }));
  return Papa.unparse(rows, { escapeFormulae: FORMULA, newline: '\r\n' });
}
