import { daysFrom, type Day } from '../calendar/day';
import { cureMin } from '../hardscape/joining';
import { layerOf, pieceOf, plantingOf } from '../resolved/resolved';
import { homeOf } from '../sittings/homes';
import { buildingOf, type Sitting } from '../sittings/sittings';
import { inLitres } from '../words/measure';
import { say, type Text } from '../words/text';
import { together } from './cautions';
import { LONG_CURE_MIN, setOf, type Job } from './job';
import { madeIn } from './jobIn';

/** In what state a tank is left between two sittings. */
export type LeftState = 'untouched' | 'table' | 'cleared' | 'dry' | 'damp' | 'water';

/** How the tank is left when a sitting ends, until the next. */
export interface Left {
  state: LeftState;
  /** Nights until the next sitting; 0 where that is on the same day. */
  nights: number;
  until: { id: string; day: Day; start: string };
  /** How it may be left, and what must not be. */
  says: Text;
  never: Text;
}

/** From so many nights on plants in a damp bed are a dry start: the house sees to them each day (common practice). */
export const DRY_START_NIGHTS = 2;

/**
 * How a sitting leaves the tank; undefined for the last, after which it is a tank with water.
 * Valid for sittings up to the build day. Leaves out: what else stands in the room.
 * Test: between.test.ts, "leaves a dry hardscape, damp plants under film, or half the water with its fish".
 */
export function leftAfter(job: Job, sitting: Sitting): Left | undefined {
  const building = buildingOf(job.commission);
  const at = building.findIndex((s) => s.id === sitting.id);
  const next = building[at + 1];
  if (at < 0 || !next) return undefined;
  const state = stateAfter(job, building, at);
  const nights = daysFrom(sitting.day, next.day);
  const isLong = state === 'damp' && nights >= DRY_START_NIGHTS;
  const kept = isLong
    ? say('left.damp.weeks')
    : state === 'water'
      ? say('left.water', { litres: inLitres(job.fill.remainsL, 0) })
      : say(`left.${state}`);
  const curing = job.joints.filter((j) => cureMin(j) > LONG_CURE_MIN && madeIn(job, j).id === sitting.id);
  return {
    state,
    nights,
    until: { id: next.id, day: next.day, start: next.start },
    says: together([
      kept,
      ...(curing.length > 0 ? [say('left.cures', { joints: curing.map((j) => j.id), count: curing.length, hours: Math.max(...curing.map(cureMin)) / 60 })] : []), // prettier-ignore
      ...(holdsAnimals(job, building, at) ? [say('left.tubs')] : []),
    ]),
    never: say(`never.${state}`),
  };
} // prettier-ignore

/** True where animals are in tubs when a sitting ends. */
export function holdsAnimals(
  { commission, waiting }: Job,
  building: readonly Sitting[],
  at: number,
): boolean {
  return waiting?.where === 'tubs' && isDone(commission, building, at, 'holding');
}

/** True where a task of the whole work is done when a sitting ends. */
export function isDone(
  commission: Job['commission'],
  building: readonly Sitting[],
  at: number,
  task: string,
): boolean {
  const done = building.findIndex((s) => s.id === homeOf(commission, task).id);
  return done >= 0 && done <= at;
}

function stateAfter(job: Job, building: readonly Sitting[], at: number): LeftState {
  const { commission, fill } = job;
  const over = new Set(building.slice(0, at + 1).map((s) => s.id));
  const planted = job.plantings.some((p) => p.plugs > 0 && over.has(plantingOf(commission, p.id).sitting));
  const set = setOf(job).some((p) => over.has(pieceOf(commission, p.id).sitting));
  const poured = job.pours.some((p) => over.has(layerOf(commission, p.layer).sitting));
  if (commission.brief.rescape) {
    if (!isDone(commission, building, at, 'drain') && !set && !poured) return 'untouched';
    if (fill.remainsL > 0.5) return 'water';
  }
  if (planted) return 'damp';
  if (set || poured) return 'dry';
  return building[at].kind === 'table' ? 'table' : 'cleared';
} // prettier-ignore
