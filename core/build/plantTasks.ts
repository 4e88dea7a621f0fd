import { plantOf } from '../catalogue/entries';
import type { Plant } from '../commission/schema';
import { polygonBounds } from '../geometry/polygon';
import type { TakeOffLine } from '../takeoff/line';
import { inMm } from '../words/measure';
import { say, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import { each, step, type Job } from './job';
import { RATES } from './rates';
import type { Task } from './task';

/** A plant takes longer than this: its patches are shared between two. */
const SHARED_FROM_MIN = 40;
/** Roots are cut back to this before planting, mm (common practice). */
const ROOTS_MM = 20;
/** Where plants are set only once these stand. */
const HARDSCAPE = ['stones', 'wood', 'soil', 'floor-stones', 'gaps', 'pockets', 'wiggle'];

/** Plants made ready, then set in the bed, then those that hold on to stone and wood, and those that float. */
export function plantTasks(job: Job): Task[] {
  return [...prepareTasks(job), ...bedTasks(job), ...epiphyteTasks(job), ...floaterTasks(job)];
}

/** Ids of the tasks that plant into the bed. */
export function plantingTaskIds(job: Job): string[] {
  return bedTasks(job).map((t) => t.id);
}

/** True where plants are set when all the water is in, as the school has it. At half fill hands reach better. */
export function isFlooded({ commission, wet }: Job): boolean {
  return !wet && commission.brief.schools?.moisture === 'flooded';
}

/** Cups (rinsed and split) and pots or bunches (wool off, roots trimmed) are two jobs for two people. */
function prepareTasks(job: Job): Task[] {
  const { commission, takeOff, plantings } = job;
  const today = new Set(plantings.map((p) => p.plant));
  const lines = takeOff.lines.filter((l) => l.kind === 'plants' && l.needed.value > 0 && today.has(l.id));
  const inCups = (l: TakeOffLine) => isCup(plantOf(commission, l.id));
  const kinds = [
    {
      id: 'prepare-cups',
      title: say('prepare-cups.title'),
      short: say('prepare-cups.short'),
      detail: (packs: Text, plugs: Text) => say('prepare-cups.detail', { packs, plugs }),
      own: lines.filter(inCups),
    },
    {
      id: 'prepare-pots',
      title: say('prepare-pots.title'),
      detail: (packs: Text, plugs: Text) =>
        say('prepare-pots.detail', { packs, plugs, roots: inMm(ROOTS_MM) }),
      own: lines.filter((l) => !inCups(l)),
    },
  ];
  return kinds.flatMap(({ id, title, short, detail, own }): Task[] => {
    if (own.length === 0) return [];
    const packs = own.reduce((sum, l) => sum + l.packs.reduce((n, p) => n + p.count, 0), 0);
    const plugs = own.reduce((sum, l) => sum + l.needed.value, 0);
    const minutes = packs > 0 ? packs * RATES.preparePerPack : plugs * RATES.preparePerPlug;
    return [
      {
        id,
        phase: 'planting',
        title,
        ...(short ? { short } : {}),
        detail: detail(say('count.packs', { count: packs }), say('count.plugs', { count: plugs })),
        minutes,
        people: 1,
        // Not before the hardscape stands and everything else is laid out: out of the pot they dry.
        needs: [...HARDSCAPE, 'unpack', 'rinse', ...bedLayers(job)],
        caution: CAUTIONS.mist,
        workings: [step(say('step.packs'), packs, 'pack', each(RATES.preparePerPack))],
      },
    ];
  });
}

/** Layers that have to lie before anything is planted: all but what is only looked at. */
function bedLayers({ pours }: Job): string[] {
  return pours.filter((p) => p.role !== 'cosmetic').map((p) => p.task);
}

function isCup(plant: Plant): boolean {
  const name = plant.packs?.[0]?.name;
  return name === undefined || name === 'cup' || name === 'mat';
}

function prepareIdOf(plant: Plant): string {
  return isCup(plant) ? 'prepare-cups' : 'prepare-pots';
}

interface Patch {
  plant: Plant;
  plugs: number;
  frontMm: number;
  /** It grows around something that stands there. */
  atFoot: boolean;
}

/** What is planted of each species, in the order of the school: front to back, or first what stands at the foot of stone. */
function patches({ commission, option, plantings }: Job): Patch[] {
  const byPlant = new Map<string, Patch>();
  for (const { id, plant, plugs, standingM2 } of plantings) {
    if (plugs === 0) continue;
    const region = option.plants.find((p) => p.id === id)?.region;
    const frontMm = region ? polygonBounds(region)[1] : Infinity;
    const known = byPlant.get(plant);
    byPlant.set(plant, {
      plant: plantOf(commission, plant),
      plugs: (known?.plugs ?? 0) + plugs,
      frontMm: Math.min(known?.frontMm ?? Infinity, frontMm),
      atFoot: (known?.atFoot ?? false) || standingM2 > 0,
    });
  }
  const transition = commission.brief.schools?.planting === 'transition';
  return [...byPlant.values()].sort(
    (a, b) => (transition ? Number(b.atFoot) - Number(a.atFoot) : 0) || a.frontMm - b.frontMm,
  );
}

function bedTasks(job: Job): Task[] {
  const rooted = patches(job).filter(({ plant }) => plant.roots === 'bed');
  const parts = rooted.map(({ plugs }) => {
    const shared = job.crew > 1 && plugs * RATES.plug > SHARED_FROM_MIN;
    return shared ? [Math.ceil(plugs / 2), Math.floor(plugs / 2)] : [plugs];
  });
  const ids = (at: number) => (parts[at] ?? []).map((_, i) => `plant-${rooted[at].plant.id}-${i}`);
  return rooted.flatMap(({ plant }, at) =>
    parts[at].map((count, i): Task => ({
      id: `plant-${plant.id}-${i}`,
      phase: 'planting',
      title:
        parts[at].length > 1
          ? say(i === 0 ? 'plant.title.left' : 'plant.title.right', { plant: plant.name })
          : plant.name,
      detail: say('plant.detail', { count, seconds: RATES.plug * 60 }),
      minutes: count * RATES.plug,
      people: 1,
      // The kind before it goes first; with more hands as many kinds as hands are under way.
      needs: [
        prepareIdOf(plant),
        ...HARDSCAPE,
        ...bedLayers(job),
        'wet-bed',
        ...(isFlooded(job) ? ['fill'] : []),
        ...ids(at - job.crew),
      ],
      caution: CAUTIONS.mist,
      workings: [step(say('step.plugs'), count, 'plug', each(RATES.plug))],
    })),
  );
}

function epiphyteTasks(job: Job): Task[] {
  const on = patches(job).filter(({ plant }) => plant.roots === 'epiphyte');
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
      needs: [...new Set(on.map(({ plant }) => prepareIdOf(plant))), 'wiggle', 'stones', 'wood', 'pockets'],
      caution: CAUTIONS.glue,
      workings: [step(say('step.portions'), count, 'portion', each(RATES.epiphyte))],
    },
  ];
}

/** Plants that float go in when there is water to float on. */
function floaterTasks(job: Job): Task[] {
  const on = patches(job).filter(({ plant }) => plant.roots === 'float');
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
      needs: ['fill', 'refloat', ...new Set(on.map(({ plant }) => prepareIdOf(plant)))],
      workings: [step(say('step.portions'), count, 'portion', each(RATES.floater))],
    },
  ];
}
