import type { Joint, Material, Piece, Plant } from '../commission/schema';
import { buildingOf, sittingsOf, type OfSittings, type Sitting } from './sittings';

/*
 * To which sitting a task belongs, and with it every stone, layer and plant: to the one that somebody said; otherwise to the
 * first that takes work of its sort. Take-off, order, tasks and calendar read the day of a thing from here.
 */

/** How far the scape is when such work is done: each sitting takes what belongs to it and to those before it. */
const SORTS = ['yard', 'tank', 'hardscape', 'planting', 'water'] as const;
type Sort = (typeof SORTS)[number];

/** The furthest work that each sitting takes. */
const TAKES: Record<Sitting['kind'], Sort> = {
  table: 'yard',
  trial: 'tank',
  hardscape: 'hardscape',
  rebuild: 'hardscape',
  planting: 'planting',
  build: 'water',
  // A visit takes what is said to belong to it, and nothing by itself.
  detail: 'yard',
};

/** Work that touches nothing in the tank; work that makes the tank free for the scape. */
const YARD = ['wash', 'table'];
const TANK = ['protect', 'leaving', 'holding', 'drain', 'lift', 'strip', 'trial'];
/** Work at which water goes in, and what needs it. */
const WATER = ['unpack', 'equipment', 'fill-part', 'fill', 'refloat', 'start', 'floaters', 'return', 'photograph', 'clear-up']; // prettier-ignore

/** Two halves of one plant are one task here: `plant-x-0` is `plant-x`. */
export function taskKey(task: string): string {
  return task.replace(/^(plant-.*)-[01]$/, '$1');
}

function sortOf(key: string, { brief }: OfSittings, isLookedAt: boolean): Sort {
  if (YARD.includes(key)) return 'yard';
  if (TANK.includes(key)) return 'tank';
  const isPlanted =
    key.startsWith('plant-') || key.startsWith('prepare-') || key === 'epiphytes' || key === 'wet-bed';
  // Through all the water they go in on the day on which it does.
  if (isPlanted) return brief.schools?.moisture === 'flooded' ? 'water' : 'planting';
  if (WATER.includes(key) || /^(partly|submerged)-/.test(key)) return 'water';
  return isLookedAt ? 'planting' : 'hardscape';
}

/**
 * The sitting to which a task belongs. `isLookedAt` is true for a layer that is only looked at: it lies when the plants do.
 * Valid for any key; one that no rule knows is work at the hardscape. Leaves out: things that name a sitting themselves.
 * Test: sittings.test.ts, "take each the work of their sort, the first that is far enough".
 */
export function homeOf(of: OfSittings, key: string, isLookedAt = false): Sitting {
  const building = buildingOf(of);
  const said = sittingsOf(of).find((s) => s.tasks.includes(key));
  if (said) return said;
  const tried = (key === 'trial' || key === 'table') && building.find((s) => s.kind === key);
  if (tried) return tried;
  const far = SORTS.indexOf(sortOf(key, of, isLookedAt));
  return building.find((s) => s.kind !== 'detail' && SORTS.indexOf(TAKES[s.kind]) >= far)!;
}

/** The task that sets a piece. */
export function taskOfPiece(piece: Pick<Piece, 'stand'>, kind: Material['kind']): string {
  if (kind === 'wood') return 'wood';
  return piece.stand.kind === 'floor' ? 'floor-stones' : 'stones';
}

/** The task that sets a plant. */
export function taskOfPlant({ id, roots }: Pick<Plant, 'id' | 'roots'>): string {
  if (roots === 'epiphyte') return 'epiphytes';
  return roots === 'float' ? 'floaters' : `plant-${id}`;
}

/** The sitting of a thing: the one it names, or that of its task. Throws a RangeError where it names none of the list. */
export function sittingOf(
  of: OfSittings,
  named: string | undefined,
  key: string,
  isLookedAt = false,
): Sitting {
  if (named === undefined) return homeOf(of, key, isLookedAt);
  const found = sittingsOf(of).find((s) => s.id === named);
  if (!found) throw new RangeError(`sitting "${named}" is not in the brief`);
  return found;
}

/** The sitting in which a joint is made: the one it names, or that in which the last of its pieces is set. */
export function sittingOfJoint(
  of: OfSittings,
  joint: Pick<Joint, 'sitting' | 'pieces'>,
  sittingOfPiece: (id: string) => Sitting,
): Sitting {
  if (joint.sitting !== undefined) return sittingOf(of, joint.sitting, 'joints');
  const said = sittingsOf(of).find((s) => s.tasks.includes('joints'));
  if (said) return said;
  const all = sittingsOf(of);
  return joint.pieces
    .map(sittingOfPiece)
    .reduce((last, s) => (all.indexOf(s) > all.indexOf(last) ? s : last));
}

/** Days before the build on which the pieces are tried for the first time, on a table or in the tank; 0 where they are not. */
export function triedAheadDays(of: OfSittings): number {
  return buildingOf(of).find((s) => s.kind === 'table' || s.kind === 'trial')?.aheadDays ?? 0;
}
