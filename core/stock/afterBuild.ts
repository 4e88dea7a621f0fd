import type { Day } from '../calendar/day';
import { materialIn } from '../commission/lookup';
import { comes, takenOf, toOrder, type ComingLine } from '../ordering/coming';
import type { Resolved } from '../resolved/resolved';
import { HOLDING_KINDS } from '../takeoff/consumables';
import type { TakeOffLine } from '../takeoff/line';
import { rounded } from '../units/quantity';
import type { Said } from '../words/text';
import { amountIn } from './onShelf';
import type { ShelfEntry, Take } from './shelf';
import { shelfUnit } from './takes';

/** What is over when a scape is built, in the unit of its line. */
export interface Over {
  line: string;
  name: Said;
  amount: number;
  unit: ShelfEntry['unit'];
}

/** What is dosed for weeks stays with the client. */
const COMES_BACK: readonly string[] = HOLDING_KINDS;
/** Less than this of anything is a rest in a bag, in any unit. */
const REST = 0.05;

/**
 * What was bought of soil, sand, plants, glue and other small things and is not used: what came, was taken and was still to be
 * ordered, less what is needed.
 * Valid for a build that used what was reckoned. Leaves out: what was lost or taken more of, which is written over it by hand.
 * Test: afterBuild.test.ts, "is what was bought less what is needed".
 */
export function leftOver(
  job: Resolved,
  lines: readonly TakeOffLine[],
  coming: readonly ComingLine[],
): Over[] {
  return lines.flatMap((line): Over[] => {
    const unit = shelfUnit(line.needed.unit);
    if (!unit || !isReturned(job, line)) return [];
    // What was never confirmed here was bought beside it, as it was planned.
    const beside = toOrder(job, line, coming).reduce((n, c) => n + c.count * (line.contents[c.pack] ?? 0), 0);
    const amount = rounded(comes(line, coming) + takenOf(job, line) + beside - line.held, 2);
    return amount > REST ? [{ line: line.id, name: line.name, amount, unit }] : [];
  });
}

function isReturned(job: Resolved, { id, kind }: TakeOffLine): boolean {
  if (kind === 'substrate' || kind === 'plants') return true;
  const material = materialIn(job, id);
  return kind === 'consumables' && material !== undefined && COMES_BACK.includes(material.kind);
}

/** What is over as it stands on the shelf: the same entry however often it is put there. */
export function asEntry(over: Over, name: string, commissionId: string, since: Day): ShelfEntry {
  return {
    id: `over-${commissionId}-${over.line}`.slice(0, 80),
    name,
    of: over.line,
    amount: over.amount,
    unit: over.unit,
    since,
    from: commissionId,
  };
}

/** How much of what a commission took is not written off yet, in the unit in which it was taken. */
export function toWriteOff(entries: readonly ShelfEntry[], take: Take, by: string): number {
  const done = entries
    .filter((e) => e.of === take.of)
    .flatMap((e) => (e.used ?? []).filter((u) => u.by === by).map((u) => amountIn(u.amount, e.unit, take.unit, take.kgPerL) ?? 0)); // prettier-ignore
  return Math.max(0, rounded(take.amount - done.reduce((a, b) => a + b, 0), 2));
}

/**
 * Entries of the shelf with what a commission used of a thing written off, the oldest first; those alone that are other than before.
 * Asked again after some of them were kept, it is what is left of it.
 * Valid for what there is: what was used beyond it is not written anywhere. Leaves out: which of several bags was really opened.
 * Test: afterBuild.test.ts, "writes off as much as was used, once, whatever was kept of it before".
 */
export function writtenOff(entries: readonly ShelfEntry[], take: Take, by: string): ShelfEntry[] {
  let left = toWriteOff(entries, take, by);
  const own = entries.filter((e) => e.of === take.of).sort((a, b) => (a.since ?? '').localeCompare(b.since ?? '')); // prettier-ignore
  return own.flatMap((e) => {
    const has = amountIn(e.amount, e.unit, take.unit, take.kgPerL) ?? 0;
    const goes = Math.min(left, has);
    if (goes <= 0) return [];
    left -= goes;
    const amount = rounded(amountIn(goes, take.unit, e.unit, take.kgPerL)!, 3);
    return [{ ...e, amount: rounded(Math.max(0, e.amount - amount), 3), used: [...(e.used ?? []), { by, amount }] }]; // prettier-ignore
  });
}
