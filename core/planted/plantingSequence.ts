import { comesGrown } from '../commission/usual';
import type { Plant, Planting } from '../commission/schema';
import { polygonBounds } from '../geometry/polygon';
import { packsOf, type Packs } from '../planting/packs';
import { plantingOf, type Resolved } from '../resolved/resolved';
import type { PlantingSurvey } from '../survey/plantings';
import type { Survey } from '../survey/survey';

/** A planting and when its turn comes. */
export interface Turn extends Packs {
  id: string;
  plant: Plant;
  planting: Planting;
  measured: PlantingSurvey;
  count: number;
  /** Plugs that are lifted out of this tank and set again. */
  lifted: number;
  /** Days after the build on which it goes in, 0 on the day; left out for what is there already. */
  afterDays?: number;
}

/**
 * The plantings of a scape in the order in which they go in: the plan is numbered by it, and run sheet and visits follow it.
 * First what is planted on the day, then visit by visit; into the bed before onto stone and wood, and what floats last;
 * within that by the school, from the front or what makes a transition first. One kind is planted out before the next.
 * What is there already is at the end: nobody plants it.
 */
export function plantingSequence(commission: Resolved, { plantings }: Survey): Turn[] {
  const { brief, option } = commission;
  const turns = option.plants.map((planting, i): Turn => {
    const { plant, origin, laterDays, lifted } = plantingOf(commission, planting.id);
    const count = plantings[i].plugs;
    return {
      id: planting.id,
      plant,
      planting,
      measured: plantings[i],
      count,
      lifted,
      ...packsOf(option, planting, plant, count, origin === 'bought'),
      ...(origin === 'here' || comesGrown(planting) ? {} : { afterDays: laterDays }),
    };
  });
  const transition = brief.schools?.planting === 'transition';
  const group = ({ afterDays, plant }: Turn) => `${afterDays} ${plant.id}`;
  const fronts = new Map<string, number>();
  for (const turn of turns)
    fronts.set(group(turn), Math.min(fronts.get(group(turn)) ?? Infinity, frontOf(turn.planting)));
  return turns.sort(
    (a, b) =>
      before(a.afterDays ?? Infinity, b.afterDays ?? Infinity) ||
      Number(isInWater(a)) - Number(isInWater(b)) ||
      rankOf(a, transition) - rankOf(b, transition) ||
      before(fronts.get(group(a))!, fronts.get(group(b))!) ||
      a.plant.id.localeCompare(b.plant.id) ||
      before(frontOf(a.planting), frontOf(b.planting)) ||
      a.id.localeCompare(b.id),
  );
}

/** Set in the water of the build day, after all that is set before it; on a visit all are. */
const isInWater = ({ afterDays, planting }: Turn) => afterDays === 0 && planting.inWaterMm !== undefined;

/** Infinity is no later than infinity. */
const before = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

/** Its foremost spot; what has no region of its own comes after what has one. */
const frontOf = ({ region }: Planting): number => (region ? polygonBounds(region)[1] : Infinity);

function rankOf({ plant, measured }: Turn, transition: boolean): number {
  if (plant.roots === 'float') return 3;
  if (plant.roots === 'epiphyte') return 2;
  return transition && makesTransition(plant, measured) ? 0 : 1;
}

/** Small rosettes and creepers hide where stone meets soil; a plant whose habit nobody knows by standing around a piece. */
function makesTransition({ habit }: Plant, { standingM2 }: PlantingSurvey): boolean {
  return habit === undefined ? standingM2 > 0 : habit === 'rosette' || habit === 'creeper';
}
