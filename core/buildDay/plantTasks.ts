import { heldBy } from '../commission/usual';
import type { Plant, Planting } from '../commission/schema';
import { preparedOf } from '../planting/preparation';
import { plantingSequence, type Turn } from '../planted/plantingSequence';
import { TAB_EVERY_MM, tabbed, type Tabbed } from '../takeoff/rootTabs';
import { inMm } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import { each, inWater, step, type Job } from './job';
import { taskOfPlant } from '../sittings/homes';
import { RATES } from './rates';
import type { Step } from './task';

/** A plant takes longer than this: its patches are shared between two. */
const SHARED_FROM_MIN = 40;

/** Plants made ready, then set in the bed, then those that hold on to stone and wood, and those that float. */
export function plantTasks(job: Job): Step[] {
  return [...prepareTasks(job), ...bedTasks(job), ...tabTasks(job), ...epiphyteTasks(job), ...inWaterTasks(job), ...floaterTasks(job)]; // prettier-ignore
}

/** The tasks of what is set in one go, and which tasks make it ready. */
interface Kind {
  ids: string[];
  preparedBy: string[];
}

/** In which order plants are set: each kind that roots in the bed, what holds on to stone and wood, what floats; and what is set in water. */
export function plantingOrder(job: Job): { rooted: Kind[]; kinds: Kind[]; inWater: Kind[] } {
  const rooted = rootedKinds(job).map(({ parts, preparedBy }) => ({
    ids: parts.map((p) => p.id),
    preparedBy,
  }));
  const together = (id: string, roots: Plant['roots']): Kind[] => {
    const own = patches(job).filter((p) => p.plant.roots === roots && !p.wet);
    return own.length > 0 ? [{ ids: [id], preparedBy: own.flatMap((p) => p.preparedBy) }] : [];
  };
  return {
    rooted,
    kinds: [...rooted, ...together('epiphytes', 'epiphyte'), ...together('floaters', 'float')],
    inWater: wetKinds(job).map(({ id, preparedBy }) => ({ ids: [id], preparedBy })),
  };
}

/** What each kind of pack asks for is a job of its own, for as many people: in gel, in wool, as bunches, from a tank. */
function prepareTasks(job: Job): Step[] {
  const today = turnsOf(job).map((turn) => ({ turn, prepared: preparedOf(turn) }));
  const kinds = [...new Set(today.map((t) => t.prepared.comesAs))];
  return kinds.flatMap((kind): Step[] => {
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

/** Root tabs, pushed in between the plants that they feed. */
function tabTasks({ commission, survey, plantings }: Job): Step[] {
  const here = new Set(plantings.map((p) => p.id));
  const fed = tabbed(commission, survey).filter((t) => here.has(t.planting));
  return fed.length > 0 ? [tabStep(fed)] : [];
}

/** Root tabs of some plantings, by the kind that they feed. */
export function tabStep(fed: readonly Tabbed[]): Step {
  const count = fed.reduce((sum, t) => sum + t.count, 0);
  const kinds = new Map<string, number>();
  for (const t of fed) kinds.set(t.plant.name, (kinds.get(t.plant.name) ?? 0) + t.count);
  return {
    id: 'tabs',
    phase: 'planting',
    title: say('tabs.title', { count }),
    short: say('tabs.short'),
    detail: say('tabs.detail', {
      side: inMm(TAB_EVERY_MM),
      plants: [...kinds].map(([plant, n]) => say('tabs.among', { count: n, plant })),
    }),
    minutes: count * RATES.tab,
    people: 1,
    workings: [step(say('step.tabs'), count, 'piece', each(RATES.tab))],
  };
}

/** Each thing to do once, in the order in which it is first said. */
function once(texts: readonly Text[]): Text[] {
  return [...new Map(texts.map((t) => [JSON.stringify(t), t])).values()];
}

interface Patch {
  plant: Plant;
  /** Those at hand: what packs do not give is not set. */
  plugs: number;
  /** Ids of the tasks that make it ready. */
  preparedBy: string[];
  /** Of an epiphyte: plugs by how they are held. */
  held: Partial<Record<NonNullable<Planting['held']>, number>>;
  /** Set in water that is still to come: once some of it is in, or through all. */
  wet?: 'partly' | 'submerged';
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
    const wet = turn.plant.roots === 'float' ? undefined : inWater(job, turn.planting);
    const key = `${wet} ${turn.plant.id}`;
    const known = byPlant.get(key) ?? { plant: turn.plant, plugs: 0, preparedBy: [], held: {}, ...(wet ? { wet } : {}) }; // prettier-ignore
    const by = heldBy(turn.planting);
    const preparedBy = [...new Set([...known.preparedBy, `prepare-${comesAs}`])];
    const held = { ...known.held, [by]: (known.held[by] ?? 0) + plugs };
    byPlant.set(key, { ...known, plugs: known.plugs + plugs, preparedBy, held });
  }
  return [...byPlant.values()];
}

/** A kind that goes into the bed, and its tasks: one, or two halves where it is long and hands are there for both. */
interface Rooted extends Patch {
  parts: { id: string; plugs: number }[];
}

function rootedKinds(job: Job): Rooted[] {
  return patches(job)
    .filter(({ plant, wet }) => plant.roots === 'bed' && !wet)
    .map((patch) => {
      const { plant, plugs } = patch;
      const shared = job.crew > 1 && plugs * RATES.plug > SHARED_FROM_MIN;
      const counts = shared ? [Math.ceil(plugs / 2), Math.floor(plugs / 2)] : [plugs];
      return { ...patch, parts: counts.map((count, i) => ({ id: `plant-${plant.id}-${i}`, plugs: count })) };
    });
}

function bedTasks(job: Job): Step[] {
  const kinds = rootedKinds(job);
  return kinds.flatMap(({ plant, parts }) =>
    parts.map(({ id, plugs }, i): Step => ({
      id,
      task: taskOfPlant(plant),
      phase: 'planting',
      title:
        parts.length > 1
          ? say(i === 0 ? 'plant.title.left' : 'plant.title.right', { plant: plant.name })
          : plant.name,
      ...(parts.length > 1 ? { short: plant.name } : {}),
      detail: say('plant.detail', { count: plugs, seconds: RATES.plug * 60 }),
      minutes: plugs * RATES.plug,
      people: 1,
      caution: CAUTIONS.mist,
      workings: [step(say('step.plugs'), plugs, 'plug', each(RATES.plug))],
    })),
  );
}

function epiphyteTasks(job: Job): Step[] {
  const on = patches(job).filter(({ plant, wet }) => plant.roots === 'epiphyte' && !wet);
  const count = on.reduce((sum, p) => sum + p.plugs, 0);
  if (count === 0) return [];
  return [
    {
      id: 'epiphytes',
      phase: 'planting',
      title: say('epiphytes.title'),
      detail: say('epiphytes.detail', { count, plants: on.map((p) => p.plant.name), ways: heldWords(on) }),
      minutes: count * RATES.epiphyte,
      people: 1,
      ...(on.some((p) => p.held.glue) ? { caution: CAUTIONS.glue } : {}),
      workings: [step(say('step.portions'), count, 'portion', each(RATES.epiphyte))],
    },
  ];
}

/** Kinds that are set in water, each a task. */
function wetKinds(job: Job): (Patch & { id: string })[] {
  return patches(job).flatMap((p) => (p.wet ? [{ ...p, id: `${p.wet}-${p.plant.id}` }] : []));
}

function inWaterTasks(job: Job): Step[] {
  return wetKinds(job).map(({ id, plant, plugs, wet }): Step => {
    const each1 = plant.roots === 'epiphyte' ? RATES.epiphyte : RATES.plug;
    return {
      id,
      phase: 'planting',
      title: plant.name,
      detail: say(wet === 'partly' ? 'plant.in-water.part' : 'plant.in-water', { count: plugs }),
      minutes: plugs * each1 * RATES.underWater,
      people: 1,
      workings: [
        step(say('step.plugs'), plugs, 'plug', each(each1)),
        step(say('step.under-water'), RATES.underWater, '×'),
      ],
    };
  });
}

/** “6 by dots of gel, 2 wedged into gaps”. */
function heldWords(on: readonly Patch[]): Text[] {
  return (['glue', 'tie', 'wedge'] as const).flatMap((way) => {
    const count = on.reduce((sum, p) => sum + (p.held[way] ?? 0), 0);
    return count > 0 ? [say(`held.${way}`, { count })] : [];
  });
}

/** Plants that float go in when there is water to float on. */
function floaterTasks(job: Job): Step[] {
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
      workings: [step(say('step.portions'), count, 'portion', each(RATES.floater))],
    },
  ];
}
