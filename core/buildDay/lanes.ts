import { filterStateOf } from '../commission/usual';
import { say, type Text } from '../words/text';
import { isFlooded, type Job } from './job';
import { workOf } from './rescapeTasks';
import { LIVING_OUT_MIN, MEDIA_OUT_MIN, PLANTS_OUT_MIN } from './rates';
import type { Scheduled } from './schedule';

/** A stretch of the day during which something cures, or is out of water. Minutes from the start. */
export interface Lane {
  kind: 'cures' | 'plants' | 'media' | 'living' | 'animals';
  what: Text;
  fromMin: number;
  toMin: number;
  /** Longest it should last, when there is such a limit. */
  limitMin?: number;
  /** What is out of water, by name. */
  pieces?: string[];
}

/** Every clock of the day, from the times of its own tasks: what cures, and what is out of water for how long. */
export function lanesOf(job: Job, tasks: readonly Scheduled[]): Lane[] {
  const find = (id: string) => tasks.find((t) => t.id === id);
  const cures = tasks.flatMap((t): Lane[] =>
    t.cure ? [{ kind: 'cures', what: t.cure.what, fromMin: t.endMin, toMin: t.endMin + t.cure.minutes }] : [],
  );
  const clears = tasks.flatMap((t): Lane[] =>
    t.clears
      ? [{ kind: 'cures', what: say('lane.clears'), fromMin: t.endMin, toMin: t.endMin + t.clears }]
      : [],
  );
  const wetAgain = find('fill')?.endMin;
  return [
    ...cures,
    ...clears,
    ...plants(tasks, job.wet || isFlooded(job) ? undefined : wetAgain),
    ...media(job, tasks),
    ...living(job, tasks, wetAgain),
    ...animals(job, tasks),
  ];
}

/** From the first pot that is opened to the water, or to the last plant where they are set in water. */
function plants(tasks: readonly Scheduled[], filled: number | undefined): Lane[] {
  const prepared = tasks.filter((t) => t.id.startsWith('prepare-'));
  if (prepared.length === 0) return [];
  const fromMin = Math.min(...prepared.map((t) => t.startMin));
  const planted = tasks.filter((t) => t.phase === 'planting' && t.id !== 'floaters');
  const last = Math.max(...planted.map((t) => t.endMin));
  const toMin = filled !== undefined && filled > fromMin ? filled : last;
  return [{ kind: 'plants', what: say('lane.plants'), fromMin, toMin, limitMin: PLANTS_OUT_MIN }];
}

/**
 * Media that live are without flow from when the filter stops until it runs again: over the whole work where it
 * stands beside the tank, only for the move where it ran on a tub or waited in a bucket. New media have no clock.
 */
function media(job: Job, tasks: readonly Scheduled[]): Lane[] {
  const start = tasks.find((t) => t.id === 'start');
  if (!start || filterStateOf(job.commission.brief) === 'new') return [];
  const stopped = workOf(job).held ? undefined : tasks.find((t) => t.id === 'drain' || t.id === 'strip');
  return [
    {
      kind: 'media',
      what: say(stopped ? 'lane.filter' : 'lane.media'),
      fromMin: (stopped ?? start).startMin,
      toMin: start.endMin,
      limitMin: MEDIA_OUT_MIN,
    },
  ];
}

/** Animals in water that cools: from when they are in the tub, or the tank is drained, until they are back or it is full. */
function animals({ waiting }: Job, tasks: readonly Scheduled[]): Lane[] {
  const find = (...ids: string[]) => tasks.find((t) => ids.includes(t.id));
  if (!waiting || waiting.where === 'elsewhere') return [];
  const [from, to] = waiting.where === 'tubs' ? [find('holding'), find('return')] : [find('drain'), find('fill')]; // prettier-ignore
  if (!from || !to) return [];
  return [
    {
      kind: 'animals',
      what: say(`lane.animals.${waiting.where}`),
      fromMin: waiting.where === 'tubs' ? from.startMin : from.endMin,
      toMin: to.endMin,
      ...(Number.isFinite(waiting.limitMin) ? { limitMin: waiting.limitMin } : {}),
    },
  ];
}

/** Stone and wood that something lives on, from the first that is set to the water; in water they are never out. */
function living(job: Job, tasks: readonly Scheduled[], filled: number | undefined): Lane[] {
  if (job.living.length === 0 || job.wet || filled === undefined) return [];
  const wood = new Set(job.wood.map((p) => p.id));
  const floor = new Set(job.floorStones.map((p) => p.id));
  const setBy = new Set(job.living.map((p) => (wood.has(p.id) ? 'wood' : floor.has(p.id) ? 'floor-stones' : 'stones'))); // prettier-ignore
  const setting = tasks.filter((t) => setBy.has(t.id as 'wood'));
  if (setting.length === 0) return [];
  return [
    {
      kind: 'living',
      what: say('lane.living'),
      fromMin: Math.min(...setting.map((t) => t.startMin)),
      toMin: filled,
      limitMin: LIVING_OUT_MIN,
      pieces: job.living.map((p) => p.id),
    },
  ];
}
