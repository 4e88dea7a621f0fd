import type { Plant } from '../commission/schema';
import { preparedOf } from '../planting/preparation';
import { plantingSequence, type Turn } from '../survey/plantingSequence';
import { PRACTICE, say, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import { each, step, type Job } from './job';
import { RATES } from './rates';
import type { Task } from './task';

/** A plant takes longer than this: its patches are shared between two. */
const SHARED_FROM_MIN = 40;
/** Where plants are set only once these stand. */
const HARDSCAPE = ['stones', 'wood', 'soil', 'floor-stones', 'gaps', 'pockets', 'wiggle'];

/** Plants made ready, then set in the bed, then those that hold on to stone and wood, and those that float. */
export function plantTasks(job: Job): Task[] {
  return [...prepareTasks(job), ...bedTasks(job), ...epiphyteTasks(job), ...floaterTasks(job)];
}

/** Ids of the tasks that plant into the bed. */
export function bedPlantingIds(job: Job): string[] {
  return bedTasks(job).map((t) => t.id);
}

/** Ids of the tasks that plant into the bed and upon stone and wood: what floats comes after them. */
export function plantingTaskIds(job: Job): string[] {
  return [...bedPlantingIds(job), ...epiphyteTasks(job).map((t) => t.id)];
}

/** True where plants are set when all the water is in, as the school has it. At half fill hands reach better. */
export function isFlooded({ commission, wet }: Job): boolean {
  return !wet && commission.brief.schools?.moisture === 'flooded';
}

/** What each kind of pack asks for is a job of its own, for as many people: in gel, in wool, as bunches, from a tank. */
function prepareTasks(job: Job): Task[] {
  const today = turnsOf(job).map((turn) => ({ turn, prepared: preparedOf(turn) }));
  const kinds = [...new Set(today.map((t) => t.prepared.comesAs))];
  return kinds.flatMap((kind): Task[] => {
    const own = today.filter((t) => t.prepared.comesAs === kind).map((t) => t.prepared);
    const sum = (of: 'packs' | 'plugs' | 'minutes') => own.reduce((n, p) => n + p[of], 0);
    const [packs, plugs] = [sum('packs'), sum('plugs')];
    const words = {
      packs: say('count.packs', { count: packs }),
      plugs: say('count.plugs', { count: plugs }),
      todo: once(own.flatMap((p) => p.todo)),
    };
    return [
      {
        id: `prepare-${kind}`,
        phase: 'planting',
        title: say(`prepare-${kind}.title`),
        detail: packs > 0 ? say('prepare.detail', words) : say('prepare.detail.tank', words),
        minutes: sum('minutes'),
        people: 1,
        // Not before the hardscape stands and everything else is laid out: out of the pot they dry.
        needs: [...HARDSCAPE, 'unpack', 'rinse', ...bedLayers(job)],
        caution: CAUTIONS.mist,
        workings: [
          ...(packs > 0 ? [step(say('step.packs'), packs, 'pack')] : []),
          step(say('step.plugs'), plugs, 'plug'),
          step(say('step.packs.time'), sum('minutes'), 'min', PRACTICE),
        ],
      },
    ];
  });
}

/** Each thing to do once, in the order in which it is first said. */
function once(texts: readonly Text[]): Text[] {
  return [...new Map(texts.map((t) => [JSON.stringify(t), t])).values()];
}

/** Layers that have to lie before anything is planted: what is only looked at where the school has it first. */
function bedLayers(job: Job): string[] {
  const lookedAt = sandFirst(job);
  return job.pours.filter((p) => lookedAt || p.role !== 'cosmetic').map((p) => p.task);
}

/** True where sand that is only looked at lies before the plants: by the school, or since they are set through all the water. */
export function sandFirst(job: Job): boolean {
  return job.commission.brief.schools?.sand === 'before' || isFlooded(job);
}

interface Patch {
  plant: Plant;
  /** Those at hand: what packs do not give is not set. */
  plugs: number;
  /** Ids of the tasks that make it ready. */
  preparedBy: string[];
}

/** What is planted on the day, in the order of planting: where nothing is at hand nothing is. */
function turnsOf({ commission, survey, plantings }: Job): Turn[] {
  const today = new Set(plantings.filter((p) => p.plugs > 0).map((p) => p.id));
  return plantingSequence(commission, survey).filter(
    (t) => today.has(t.id) && Math.min(t.count, t.plugsAtHand) > 0,
  );
}

/** The same by species. */
function patches(job: Job): Patch[] {
  const byPlant = new Map<string, Patch>();
  for (const turn of turnsOf(job)) {
    const { comesAs, plugs } = preparedOf(turn);
    const known = byPlant.get(turn.plant.id) ?? { plant: turn.plant, plugs: 0, preparedBy: [] };
    const preparedBy = [...new Set([...known.preparedBy, `prepare-${comesAs}`])];
    byPlant.set(turn.plant.id, { ...known, plugs: known.plugs + plugs, preparedBy });
  }
  return [...byPlant.values()];
}

/** A kind that goes into the bed, and its tasks: one, or two halves where it is long and hands are there for both. */
interface Rooted extends Patch {
  parts: { id: string; plugs: number }[];
}

function rootedKinds(job: Job): Rooted[] {
  return patches(job)
    .filter(({ plant }) => plant.roots === 'bed')
    .map((patch) => {
      const { plant, plugs } = patch;
      const shared = job.crew > 1 && plugs * RATES.plug > SHARED_FROM_MIN;
      const counts = shared ? [Math.ceil(plugs / 2), Math.floor(plugs / 2)] : [plugs];
      return { ...patch, parts: counts.map((count, i) => ({ id: `plant-${plant.id}-${i}`, plugs: count })) };
    });
}

/** Tasks of the kinds whose turn is over before the kind at a place: with more hands as many kinds as hands are under way. */
function overBefore(kinds: readonly Rooted[], at: number, crew: number): string[] {
  return kinds.slice(0, Math.max(0, at - crew + 1)).flatMap((k) => k.parts.map((p) => p.id));
}

function bedTasks(job: Job): Task[] {
  const kinds = rootedKinds(job);
  return kinds.flatMap(({ plant, preparedBy, parts }, at) =>
    parts.map(({ id, plugs }, i): Task => ({
      id,
      phase: 'planting',
      title:
        parts.length > 1
          ? say(i === 0 ? 'plant.title.left' : 'plant.title.right', { plant: plant.name })
          : plant.name,
      detail: say('plant.detail', { count: plugs, seconds: RATES.plug * 60 }),
      minutes: plugs * RATES.plug,
      people: 1,
      needs: [
        ...preparedBy,
        ...HARDSCAPE,
        ...bedLayers(job),
        'wet-bed',
        ...(isFlooded(job) ? ['fill'] : []),
        ...overBefore(kinds, at, job.crew),
      ],
      caution: CAUTIONS.mist,
      workings: [step(say('step.plugs'), plugs, 'plug', each(RATES.plug))],
    })),
  );
}

function epiphyteTasks(job: Job): Task[] {
  const on = patches(job).filter(({ plant }) => plant.roots === 'epiphyte');
  const rooted = rootedKinds(job);
  const count = on.reduce((sum, p) => sum + p.plugs, 0);
  if (count === 0) return [];
  return [
    {
      id: 'epiphytes',
      phase: 'planting',
      title: say('epiphytes.title'),
      detail: say('epiphytes.detail', { count, plants: on.map((p) => p.plant.name) }),
      minutes: count * RATES.epiphyte,
      people: 1,
      needs: [
        ...on.flatMap((p) => p.preparedBy),
        ...overBefore(rooted, rooted.length, job.crew),
        'wiggle',
        'stones',
        'wood',
        'pockets',
      ],
      caution: CAUTIONS.glue,
      workings: [step(say('step.portions'), count, 'portion', each(RATES.epiphyte))],
    },
  ];
}

/** Plants that float go in when there is water to float on. */
function floaterTasks(job: Job): Task[] {
  const on = patches(job).filter(({ plant }) => plant.roots === 'float');
  const rooted = rootedKinds(job);
  const count = on.reduce((sum, p) => sum + p.plugs, 0);
  if (count === 0) return [];
  return [
    {
      id: 'floaters',
      phase: 'planting',
      title: say('floaters.title'),
      detail: say('floaters.detail', { count, plants: on.map((p) => p.plant.name) }),
      minutes: Math.max(1, count * RATES.floater),
      people: 1,
      needs: ['fill', 'refloat', ...overBefore(rooted, rooted.length, job.crew), ...(job.crew > 1 ? [] : ['epiphytes']), ...on.flatMap((p) => p.preparedBy)], // prettier-ignore
      workings: [step(say('step.portions'), count, 'portion', each(RATES.floater))],
    },
  ];
}
