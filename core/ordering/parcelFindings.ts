import { daysFrom, type Day } from '../calendar/day';
import { isLiving, nameOfSupplier } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';
import type { Finding } from '../words/finding';
import { PRACTICE, say } from '../words/text';
import type { ComingLine } from './coming';

/** So many days before living goods come it has to be known who opens them (common practice). */
const KNOWN_DAYS = 7;

/** True for an order with plants in it that has a day and has not been counted yet. */
function isLivingParcel(commission: Resolved, own: readonly ComingLine[]): boolean {
  return own.some((c) => c.given > 0 && c.day !== null && !c.received && isLiving(commission, c.line));
}

/** Parcels with something living that come soon, and nobody is named who opens them: a day in a closed box is what kills it. */
export function parcelFindings(
  commission: Resolved,
  coming: readonly ComingLine[],
  today: Day | undefined,
): Finding[] {
  if (today === undefined) return [];
  return [...new Set(coming.map((c) => c.reference))].flatMap((reference): Finding[] => {
    const own = coming.filter((c) => c.reference === reference);
    const [{ day, supplier, supplierReference }] = own;
    if (!isLivingParcel(commission, own) || day === null) return [];
    const ahead = daysFrom(today, day);
    const isKnown = commission.parcels?.some((p) => p.reference === reference && p.openedBy);
    if (isKnown || ahead < 0 || ahead > KNOWN_DAYS) return [];
    return [
      {
        id: 'order.opens',
        severity: 'warn',
        at: { supplier },
        measured: ahead,
        limit: KNOWN_DAYS,
        unit: 'days',
        says: say('order.opens.says', { supplier: nameOfSupplier(commission, supplier), reference: supplierReference, day: { day } }), // prettier-ignore
        because: say('order.opens.because'),
        source: PRACTICE,
      },
    ];
  });
}
