import { materialIn } from '../commission/lookup';
import { stillMissing, type ComingLine } from '../ordering/coming';
import type { Resolved } from '../resolved/resolved';
import type { TakeOffLine } from '../takeoff/line';
import { rounded } from '../units/quantity';
import { amountIn, onShelf } from './onShelf';
import type { Shelf, Take } from './shelf';
import { shelfUnit } from './takes';

/** What the shelf has for a line, in its unit; how much of it others take, how much was taken for this line, and how much would be. */
export interface LineOffer {
  line: string;
  has: number;
  reserved: number;
  took: number;
  takes: number;
}

/**
 * Lines of the take-off that can be had off the studio's own shelf, in part or whole: what is there and free, up to what is
 * missing. What is planted or poured from stock by its own mark is no line that is missing anything.
 * Valid for things in the unit of the line, or in litres and kilograms of a material whose litre has a weight. Leaves out: until when it keeps.
 * Test: lineOffer.test.ts, "never takes more than is missing or free".
 */
export function lineOffers(job: Resolved, lines: readonly TakeOffLine[], coming: readonly ComingLine[], takes: readonly Take[], shelf: Shelf | undefined): LineOffer[] {
  if (!shelf) return [];
  return lines.flatMap((line): LineOffer[] => {
    const unit = shelfUnit(line.needed.unit);
    if (!unit) return [];
    const kgPerL = materialIn(job, line.id)?.bulkKgPerL;
    const { has, reserved } = onShelf(shelf, { of: line.id, unit, kgPerL });
    const took = (job.taken ?? []).filter((t) => t.from === 'shelf' && t.item === line.id).reduce((n, t) => n + t.amount, 0);
    // All that this commission takes of it: for this line, and poured or planted from stock by its own mark.
    const own = takes.filter((t) => t.of === line.id).reduce((n, t) => n + (amountIn(t.amount, t.unit, unit, kgPerL) ?? 0), 0);
    const free = Math.max(0, has - reserved - own);
    return has > 0 || took > 0 ? [{ line: line.id, has, reserved, took, takes: rounded(Math.min(stillMissing(job, line, coming), free), 2) }] : [];
  });
} // prettier-ignore
