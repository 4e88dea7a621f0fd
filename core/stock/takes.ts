import { dayPlus } from '../calendar/day';
import { materialIn, nameOfEntry } from '../commission/lookup';
import type { Material } from '../commission/schema';
import { comesGrown } from '../commission/usual';
import { plantingOf, type Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { TakeOffLine } from '../takeoff/line';
import { SHELF_UNITS, type Take } from './shelf';

/**
 * What a scape takes off the studio's shelf: soil and sand as they are poured, what is strewn, plugs, also those of one's own
 * that go in before bought ones; and what was taken there for a line of the take-off, an opened bag or a bottle of glue. Pieces are not of it: each has a number of its own in the yard. What comes out of a scape
 * that is broken down, is lifted here and set again, or grown on a piece, stands on no shelf.
 * Valid for the option that was resolved. Leaves out: tools, which come back.
 * Test: stock.test.ts, "takes as much as it pours and plants".
 */
export function takesOf(job: Resolved, survey: Survey, lines: readonly TakeOffLine[]): Take[] {
  const on = (days: number) => dayPlus(job.brief.buildDay, days);
  const layers = [...job.layers.values()]
    .filter((l) => l.origin === 'stock' && l.layer.from === undefined)
    .map((l): Take => ({
      ...ofMaterial(l.material),
      amount: rounded(l.broughtL, 2),
      unit: 'L',
      on: on(l.onDay),
    }));
  const strewn = job.strewn
    .filter((s) => s.origin === 'stock')
    .map((s): Take => ({
      ...ofMaterial(s.material),
      amount: rounded(s.amount.massKg, 2),
      unit: 'kg',
      on: on(s.onDay),
    }));
  const plugs = survey.plantings.flatMap(({ id }): Take[] => {
    const { planting, plant, origin, atHand, lifted, onDay } = plantingOf(job, id);
    const isOwn =
      origin === 'stock' ? planting.from === undefined && !comesGrown(planting) : origin === 'bought';
    return isOwn
      ? [{ of: plant.id, name: plant.name, amount: atHand - lifted, unit: 'plug', on: on(onDay) }]
      : [];
  });
  const byHand = (job.taken ?? []).flatMap((t): Take[] => {
    const line = t.from === 'shelf' ? lines.find((l) => l.id === t.item) : undefined;
    const unit = line && shelfUnit(line.needed.unit);
    if (!line || !unit) return [];
    const days = line.laterDays ?? -(line.usedAheadDays ?? 0);
    return [{ ...thing(job, t.item), amount: t.amount, unit, on: on(days) }];
  });
  return summed([...layers, ...strewn, ...plugs, ...byHand].filter((t) => t.amount > 0));
}

/** A line's unit where things on a shelf are counted in it. */
export const shelfUnit = (unit: string) => SHELF_UNITS.find((u) => u === unit);

/** What stands on the shelf for a line: a material or a plant of the catalogue. */
function thing(job: Resolved, id: string): Pick<Take, 'of' | 'name' | 'kgPerL'> {
  const material = materialIn(job, id);
  return material ? ofMaterial(material) : { of: id, name: nameOfEntry(job, id) };
}

const ofMaterial = ({ id, name, bulkKgPerL }: Material): Pick<Take, 'of' | 'name' | 'kgPerL'> => ({
  of: id,
  name,
  ...(bulkKgPerL === undefined ? {} : { kgPerL: bulkKgPerL }),
});

/** Of one thing in one unit all together, on the first day that any of it is wanted. */
function summed(takes: readonly Take[]): Take[] {
  const all = new Map<string, Take>();
  for (const take of takes) {
    const key = `${take.of} ${take.unit}`;
    const known = all.get(key);
    const both = known && { ...take, amount: rounded(known.amount + take.amount, 2), on: known.on < take.on ? known.on : take.on }; // prettier-ignore
    all.set(key, both ?? take);
  }
  return [...all.values()];
}
