import { dayPlus } from '../calendar/day';
import type { Material } from '../commission/schema';
import { comesGrown } from '../commission/usual';
import { plantingOf, type Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Take } from './shelf';

/**
 * What a scape takes off the studio's shelf: soil and sand as they are poured, what is strewn, plugs, also those of one's own
 * that go in before bought ones. Pieces are not of it: each has a number of its own in the yard. What comes out of a scape
 * that is broken down, or grown on a piece, stands on no shelf.
 * Valid for the option that was resolved. Leaves out: glue, salts and tools, which nobody counts by the job.
 * Test: stock.test.ts, "takes as much as it pours and plants".
 */
export function takesOf(job: Resolved, survey: Survey): Take[] {
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
    const { planting, plant, origin, atHand, onDay } = plantingOf(job, id);
    const isOwn =
      origin === 'stock' ? planting.from === undefined && !comesGrown(planting) : origin === 'bought';
    return isOwn ? [{ of: plant.id, name: plant.name, amount: atHand, unit: 'plug', on: on(onDay) }] : [];
  });
  return summed([...layers, ...strewn, ...plugs].filter((t) => t.amount > 0));
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
