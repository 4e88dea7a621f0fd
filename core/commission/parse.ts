import { budgetFaults } from './budgets';
import { fault, faultOf, type Fault } from './fault';
import { geometryFaults } from './geometryFaults';
import { migrated } from './migrate';
import { referenceFaults } from './references';
import { commissionSchema, type Commission } from './schema';

export type Parsed = { ok: true; commission: Commission } | { ok: false; faults: Fault[] };

/** Bytes above which a document is refused unread; a commission with twenty scanned stones has about 8 MB. */
export const MAX_DOCUMENT_BYTES = 20 * 1024 * 1024;

/** Faults listed at most: after that many the file is something else. */
const MOST_FAULTS = 50;

/**
 * Reads a commission of any version from parsed JSON. Either a document that every later stage may trust, or
 * each fault with the path of its field and what is allowed there. The input is not changed.
 */
export function parseCommission(input: unknown): Parsed {
  const budget = budgetFaults(input);
  if (budget.length > 0) return refused(budget);
  const current = migrated(input);
  if (!current.ok) return current;
  const result = commissionSchema.safeParse(current.document);
  if (!result.success) return refused(result.error.issues.map((issue) => faultOf(issue, current.document)));
  const faults = [...referenceFaults(result.data), ...geometryFaults(result.data)];
  return faults.length > 0 ? refused(faults) : { ok: true, commission: result.data };
}

/** The same from the text of a file. */
export function parseCommissionText(text: string): Parsed {
  if (text.length > MAX_DOCUMENT_BYTES) return refused([tooLarge(text.length)]);
  try {
    return parseCommission(JSON.parse(text));
  } catch (error) {
    const reason = error instanceof SyntaxError ? error.message.split('\n')[0] : 'cannot be read';
    return refused([fault('(document)', 'fault.no.json', { why: reason })]);
  }
}

/** The fault for a file that is refused unread. */
export function tooLarge(bytes: number, most = MAX_DOCUMENT_BYTES): Fault {
  const mb = (n: number) => Math.ceil((n / 1024 / 1024) * 10) / 10;
  return fault('(document)', 'fault.too.large', { has: mb(bytes), most: mb(most) });
}

function refused(faults: Fault[]): Parsed {
  const more = faults.length - MOST_FAULTS;
  const list = faults.slice(0, MOST_FAULTS);
  if (more > 0) list.push(fault('(document)', 'fault.more', { count: more }));
  return { ok: false, faults: list };
}
