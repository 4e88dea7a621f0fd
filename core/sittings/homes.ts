import { isRubble } from '../commission/rubble';
import type { Joint, Material, Piece, Plant } from '../commission/schema';
import { BUILD, buildingOf, sittingsOf, type OfSittings, type Sitting } from './sittings';
import { SORTS, taskKind, type Sort } from './taskKinds';

/*
 * To which sitting a task belongs, and with it every stone, layer and plant: to the one that somebody said; otherwise to the
 * first that takes work of its sort. Take-off, order, tasks and calendar read the day of a thing from here.
 */

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

/** Through all the water plants go in on the day on which it does; what is only looked at lies when they do. */
function sortOf(key: string, { brief }: OfSittings, isLookedAt: boolean): Sort {
  const { sort } = taskKind(key);
  if (sort === 'planting' && brief.schools?.moisture === 'flooded') return 'water';
  return isLookedAt ? 'planting' : sort;
}

/**
 * The sitting to which a task belongs; what the water waits for is done before it, whatever was said. `isLookedAt` is true for a layer that is only looked at: it lies when the plants do.
 * Valid for any key; one that no rule knows is work at the hardscape. Leaves out: things that name a sitting themselves.
 * Test: sittings.test.ts, "take each the work of their sort, the first that is far enough".
 */
export function homeOf(of: OfSittings, key: string, isLookedAt = false): Sitting {
  const building = buildingOf(of);
  const all = sittingsOf(of);
  const said = all.find((s) => s.tasks.includes(key));
  const { ofThings, mayBeLater } = taskKind(key);
  const isTooLate = said !== undefined && all.indexOf(said) >= building.length && !ofThings && !mayBeLater;
  if (said && !isTooLate) return said;
  if (isTooLate) return building.find((s) => s.id === BUILD)!;
  const tried = (key === 'trial' || key === 'table') && building.find((s) => s.kind === key);
  if (tried) return tried;
  const far = SORTS.indexOf(sortOf(key, of, isLookedAt));
  return building.find((s) => s.kind !== 'detail' && SORTS.indexOf(TAKES[s.kind]) >= far)!;
}

/** The task that sets a piece; on the glass a pot is set as a stone is. */
export function taskOfPiece(piece: Pick<Piece, 'stand'>, kind: Material['kind']): string {
  if (kind === 'wood') return 'wood';
  if (piece.stand.kind === 'floor') return 'floor-stones';
  return kind === 'ware' ? 'ware' : 'stones';
}

/** The task that strews: stone before anything is planted, grain into the holes at last. */
export function taskOfStrewn(material: Pick<Material, 'kind'>): 'rubble' | 'sprinkle' {
  return isRubble(material) ? 'rubble' : 'sprinkle';
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
