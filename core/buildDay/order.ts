import type { Brief } from '../commission/schema';
import type { Pour } from '../takeoff/pours';
import { say, type Text } from '../words/text';
import { bedHalves, isFlooded, type Job } from './job';
import { paced, paceStep } from './pace';
import { plantingOrder } from './plantTasks';
import type { Step, Task } from './task';

/*
 * The order of work, in one place: what has to be there before what, and why. Tasks are made elsewhere and know nothing of
 * each other. A school changes lines of this list and nothing else; run sheet, numbers and "why not earlier?" are read
 * from the graph that comes out of it.
 */

/** One task has to be done before another. */
export interface Edge {
  first: string;
  then: string;
  because: Text;
}

/** Work beside the tank. */
const OUTSIDE = ['arrive', 'carry', 'look', 'table', 'wash', 'rinse'];

/** Tasks by what they do; every other word of a rule is the id of one task. */
const GROUPS = {
  'after-arrival': (id) => id !== 'arrive',
  'before-leaving': (id) => id !== 'leave',
  /** Hands or water in the tank, or anything that is carried to it. */
  'in-tank': (id) =>
    ![...OUTSIDE, 'protect', 'unpack', 'leaving', 'holding', 'old-gear', 'drain', 'lift', 'strip'].includes(
      id,
    ),
  hardscape: (id) => ['floor-stones', 'stones', 'ware', 'wood', 'wiggle'].includes(id),
  poured: (id, of) => of.pours.has(id) || ['filler', 'soil'].includes(id),
  /** Everything that is planted in or stood on: what is only looked at is not of it. */
  bed: (id, of) =>
    (of.pours.has(id) && !of.lookedAt.has(id)) || ['soil', 'gaps', 'pockets', 'rubble'].includes(id),
  /** Layers that lie before anything is set, and those that come in around what stands. */
  below: (id, of) => of.below.has(id),
  above: (id, of) => of.above.has(id),
  'looked-at': (id, of) => of.lookedAt.has(id),
  carriers: (id, of) => of.carriers.has(id),
  prepared: (id) => id.startsWith('prepare-'),
  rooted: (id) => id.startsWith('plant-'),
  planted: (id) => id.startsWith('plant-') || id === 'epiphytes',
  /** Plants that are set once some of the water is in, and through all of it. */
  partly: (id) => id.startsWith('partly-'),
  submerged: (id) => id.startsWith('submerged-'),
} satisfies Record<string, (id: string, of: Layers) => boolean>;
type Group = keyof typeof GROUPS;
type Layers = ReturnType<typeof layersIn>;

/** What comes first, what then, and why; where a school has it otherwise, only under that school. */
type Rule = readonly [first: readonly string[], then: readonly string[], because: Text, when?: (s: Habits) => boolean]; // prettier-ignore

/** What of the schools changes the order of the day. */
interface Habits {
  /** Sand that is only looked at lies before the plants. */
  sandFirst: boolean;
  /** Plants are set through all the water. */
  flooded: boolean;
  /** Intake, outflow and heater go in before plants are out of their pots, after the last is set, or when hands are free. */
  gear: NonNullable<NonNullable<Brief['schools']>['gear']> | 'free';
}

/** It holds within a sitting alone: of another day nobody waits for it. */
const WITHIN = () => true;

const RULES: readonly Rule[] = [
  // Every sitting.
  [['arrive'], ['after-arrival'], say('why.arrive'), WITHIN],
  [['before-leaving'], ['leave'], say('why.leave'), WITHIN],
  // The room, what lives in the tank, the old scape.
  [['protect'], ['in-tank', 'leaving', 'holding', 'old-gear', 'drain', 'lift', 'strip'], say('why.protect')],
  [['leaving'], ['holding', 'old-gear', 'drain', 'lift', 'strip'], say('why.leaving')],
  [['holding'], ['old-gear', 'drain', 'lift', 'strip'], say('why.holding')],
  [['old-gear'], ['unpack', 'drain', 'lift', 'strip', 'in-tank'], say('why.old-gear')],
  [['drain'], ['lift', 'strip', 'in-tank'], say('why.drain')],
  [['lift'], ['strip', 'in-tank'], say('why.lift')],
  [['strip'], ['in-tank'], say('why.strip')],
  [['carry'], ['in-tank'], say('why.carry'), WITHIN],
  // What is washed, rinsed, tried.
  [['table'], ['trial'], say('why.trial')],
  [['wash'], ['table', 'trial', 'floor-stones', 'stones', 'ware', 'wood'], say('why.wash'), WITHIN],
  [['rinse'], ['below', 'above', 'looked-at', 'soil', 'prepared', 'fill'], say('why.rinse')],
  [['table', 'trial'], ['poured', 'floor-stones', 'stones', 'ware', 'wood'], say('why.trial')],
  // The bed and what stands in it.
  [['move'], ['filler', 'soil', 'below', 'stones', 'ware', 'close', 'gaps', 'fill'], say('why.move')],
  [['floor-stones'], ['dam', 'below', 'soil', 'wood', 'joints'], say('why.floor-stones')],
  [['dam'], ['below', 'soil', 'close'], say('why.close')],
  [['filler', 'soil', 'carriers'], ['stones', 'ware', 'wood'], say('why.bed')],
  [['stones', 'ware'], ['wood', 'joints', 'close', 'gaps'], say('why.set')],
  [['wood'], ['joints', 'close', 'gaps'], say('why.set')],
  [['joints'], ['wiggle', 'pockets'], say('why.joints')],
  [['wiggle'], ['close', 'gaps', 'pockets'], say('why.wiggle')],
  [['close'], ['gaps'], say('why.close')],
  [['soil'], ['gaps', 'pockets', 'above'], say('why.bed')],
  [['gaps'], ['pockets', 'above'], say('why.bed')],
  [['hardscape'], ['pockets', 'above', 'looked-at', 'prepared', 'rooted'], say('why.set')],
  [['stones', 'ware', 'wood', 'wiggle', 'pockets'], ['epiphytes'], say('why.set')],
  [['hardscape', 'soil', 'close', 'gaps', 'below', 'above', 'pockets'], ['rubble'], say('why.rubble')],
  [['bed'], ['looked-at', 'prepared', 'rooted'], say('why.bed')],
  [['hardscape', 'bed'], ['break'], say('why.break'), WITHIN],
  [['break'], ['prepared', 'planted', 'partly', 'submerged', 'fill-part', 'fill'], say('why.break'), WITHIN],
  // Plants, and what a school has before or after them.
  [['unpack'], ['equipment', 'prepared'], say('why.unpack'), WITHIN],
  [['looked-at'], ['prepared', 'rooted'], say('why.school.sand-first'), (s) => s.sandFirst],
  [['rooted'], ['looked-at'], say('why.school.sand-last'), (s) => !s.sandFirst],
  [['hardscape', 'bed'], ['equipment', 'wet-bed'], say('why.equipment.last')],
  [['equipment'], ['prepared', 'planted'], say('why.equipment.first'), (s) => s.gear === 'before'],
  [['planted'], ['equipment'], say('why.school.gear-after'), (s) => s.gear === 'after'],
  [['wet-bed'], ['rooted'], say('why.wet-bed')],
  [['rooted'], ['tabs'], say('why.tabs')],
  [['tabs'], ['fill-part', 'fill'], say('why.dry'), (s) => !s.flooded],
  [['tabs'], ['refloat', 'start', 'photograph'], say('why.plant'), (s) => s.flooded],
  [['hardscape', 'bed', 'looked-at'], ['sprinkle'], say('why.sprinkle')],
  [['planted'], ['sprinkle'], say('why.sprinkle'), (s) => !s.flooded],
  [['sprinkle'], ['fill-part', 'fill'], say('why.dry')],
  [['planted'], ['fill'], say('why.plant.dry'), (s) => !s.flooded],
  [['fill'], ['rooted'], say('why.school.flooded'), (s) => s.flooded],
  [['planted'], ['refloat', 'start'], say('why.plant'), (s) => s.flooded],
  // Water, and everything on.
  [['hardscape', 'bed', 'looked-at'], ['fill-part'], say('why.dry')],
  [['planted'], ['fill-part'], say('why.plant.dry'), WITHIN],
  [['equipment'], ['fill-part'], say('why.equipment')],
  [['wet-bed'], ['fill-part'], say('why.wet-bed.fill')],
  [['fill-part'], ['partly', 'fill'], say('why.in-water')],
  [['partly'], ['fill'], say('why.in-water.part')],
  [['fill'], ['submerged'], say('why.in-water')],
  [['planted'], ['partly', 'submerged'], say('why.plant'), WITHIN],
  [['partly', 'submerged'], ['refloat', 'start', 'floaters', 'photograph', 'clear-up'], say('why.plant')],
  [['hardscape', 'bed', 'looked-at'], ['fill'], say('why.dry')],
  [['equipment'], ['fill', 'start'], say('why.equipment')],
  [['wet-bed'], ['fill'], say('why.wet-bed.fill')],
  [['fill'], ['refloat', 'start', 'floaters', 'photograph', 'clear-up'], say('why.fill')],
  [['refloat'], ['floaters', 'return', 'photograph'], say('why.refloat')],
  [['start'], ['return', 'photograph'], say('why.start')],
  [['planted', 'floaters'], ['photograph', 'clear-up'], say('why.plant')],
  [['return'], ['photograph', 'clear-up'], say('why.return')],
];

/** The tasks with what each has to wait for, in whole minutes: what this job does not have nobody waits for. */
export function inOrder(steps: readonly Step[], job: Job): Task[] {
  const ids = steps.map((s) => s.id);
  const edges = [...layerEdges(job), ...plantEdges(job), ...ruleEdges(ids, layersIn(job), habitsOf(job))];
  const needs = needsOf(ids, edges);
  const { brief } = job.commission;
  return steps.map((step) => ({
    ...step,
    minutes: Math.max(1, Math.round(paced(step, brief).minutes)),
    workings: [...step.workings, ...paceStep(step.id, brief)],
    needs: needs.get(step.id)!,
  }));
}

/**
 * What is done on a later visit, one after the other by the same rules, otherwise as it is listed. The water is at half
 * then, whatever the school of planting; `lookedAt` are the tasks that lay what is only looked at, `laid` all that lay.
 */
export function oneByOne<T extends { id: string }>(
  steps: readonly T[],
  job: Job,
  laid: { lookedAt: ReadonlySet<string>; laid: ReadonlySet<string> },
): T[] {
  const ids = steps.map((s) => s.id);
  const none = new Set<string>();
  const layers: Layers = { pours: new Set(laid.laid), lookedAt: new Set(laid.lookedAt), below: none, above: none, carriers: none }; // prettier-ignore
  const needs = needsOf(ids, ruleEdges(ids, layers, { ...habitsOf(job), flooded: false }));
  const open = [...steps];
  const done: T[] = [];
  while (open.length > 0) {
    const next = open.findIndex(({ id }) => open.every((o) => o.id === id || !(o.id in needs.get(id)!)));
    if (next < 0) throw new RangeError('tasks need each other in a ring');
    done.push(...open.splice(next, 1));
  }
  return done;
}

/** What each of some tasks waits for, of those that there are, with the first reason for it. */
function needsOf(ids: readonly string[], edges: readonly Edge[]): Map<string, Record<string, Text>> {
  const needs = new Map<string, Record<string, Text>>(ids.map((id) => [id, {}]));
  for (const { first, then, because } of edges)
    if (needs.has(first) && needs.has(then) && first !== then) needs.get(then)![first] ??= because;
  return needs;
}

function ruleEdges(ids: readonly string[], of: Layers, habits: Habits, rules = RULES): Edge[] {
  const tasks = (names: readonly string[]) =>
    names.flatMap((name) => (name in GROUPS ? ids.filter((id) => GROUPS[name as Group](id, of)) : [name]));
  return rules
    .filter(([, , , when]) => !when || when(habits))
    .flatMap(([first, then, because]) =>
      tasks(first).flatMap((f) => tasks(then).map((t): Edge => ({ first: f, then: t, because }))),
    );
}

/**
 * What holds between sittings as it does within one: a task of another day has to be done before. Customs of a school, and
 * what is only a matter of free hands, hold within a day alone.
 */
export function edgesAcross(steps: readonly Pick<Step, 'id'>[], job: Job): Edge[] {
  const ids = steps.map((s) => s.id);
  const there = new Set(ids);
  const rules = RULES.filter(([, , , when]) => !when);
  const prepared = plantingOrder(job).rooted.flatMap((k) => pairs(k.preparedBy, k.ids, say('why.prepare')));
  return [...layerEdges(job), ...prepared, ...ruleEdges(ids, layersIn(job), habitsOf(job), rules)].filter(
    (e) => e.first !== e.then && there.has(e.first) && there.has(e.then) && !LAST.includes(e.then),
  );
}

/** What is last on its day waits for nothing of another. */
const LAST = ['photograph', 'clear-up'];

function habitsOf(job: Job): Habits {
  const { schools = {} } = job.commission.brief;
  const flooded = isFlooded(job);
  return {
    flooded,
    // Through all the water no sand is laid around plants, and nothing is filled before the pipes are in.
    sandFirst: flooded || schools.sand === 'before',
    // Whoever is alone would leave plants out meanwhile; with two, one does it beside the other.
    gear: flooded ? 'before' : (schools.gear ?? (job.crew > 1 ? 'free' : 'before')),
  };
}

/** The tasks that pour, by where they lie. */
function layersIn(job: Job) {
  const [before, after] = bedHalves(job);
  const ids = (pours: readonly Pour[]) => new Set(pours.map((p) => p.task));
  return {
    pours: ids(job.pours),
    below: ids(before),
    above: ids(after),
    lookedAt: ids(job.pours.filter((p) => p.role === 'cosmetic')),
    carriers: ids(job.pours.filter((p) => p.carries)),
  };
}

/** What is poured when the glue has set waits for the wiggle test: grain in an open joint keeps it open. */
function gluedEdges({ pours }: Job): Edge[] {
  const task = ({ role, task }: Pour) => (role === 'soil' ? 'gaps' : task);
  return pours
    .filter((p) => p.poured === 'glued')
    .flatMap((p) => ['joints', 'wiggle'].map((first): Edge => ({ first, then: task(p), because: say('why.glued') })));
} // prettier-ignore

/** A layer lies on what is below it: each of those that come together after the one before, filler too. */
function layerEdges(job: Job): Edge[] {
  const because = say('why.bed');
  const [before, after] = bedHalves(job);
  const at = (role: Pour['role']) => job.pours.findIndex((p) => p.role === role);
  const chain = (pours: readonly Pour[]) => pours.slice(1).map((p, i): Edge => ({ first: pours[i].task, then: p.task, because })); // prettier-ignore
  const [filler, soil] = [at('filler'), at('soil')];
  // All of the soil may come in around what stands, or a part of it.
  const pouredBy = (p: Pour) => (p.role === 'soil' ? ['soil', 'gaps'] : [p.task]);
  const over = (p: Pour, lower: number) => lower >= 0 && job.pours.indexOf(p) > lower;
  return [
    ...gluedEdges(job),
    ...chain(before),
    ...chain(after),
    ...chain(job.pours.filter((p) => p.role === 'cosmetic')),
    ...job.pours.slice(0, Math.max(0, filler)).map((p): Edge => ({ first: p.task, then: 'filler', because })),
    ...[...before, ...after, ...job.pours.filter((p) => p.role === 'soil')]
      .filter((p) => over(p, filler))
      .flatMap((p) => pouredBy(p).map((then): Edge => ({ first: 'filler', then, because }))),
    ...job.pours.slice(0, Math.max(0, soil)).filter((p) => p.role === 'bed').flatMap((p) => ['soil', 'gaps'].map((then): Edge => ({ first: p.task, then, because }))), // prettier-ignore
    ...before
      .filter((p) => over(p, soil))
      .flatMap((p) => ['soil', 'gaps'].map((first): Edge => ({ first, then: p.task, because }))),
  ];
}

/** Plants are made ready before they are set, and set in the order of planting, as many kinds at once as there are hands. */
function plantEdges(job: Job): Edge[] {
  const { kinds, inWater } = plantingOrder(job);
  const inTurn = kinds.flatMap(({ ids }, turn) =>
    kinds
      .slice(0, Math.max(0, turn - job.crew + 1))
      .flatMap((earlier) => pairs(earlier.ids, ids, say('why.plant'))),
  );
  return [
    ...[...kinds, ...inWater].flatMap((k) => pairs(k.preparedBy, k.ids, say('why.prepare'))),
    ...inTurn,
  ];
}

const pairs = (before: readonly string[], after: readonly string[], because: Text): Edge[] =>
  before.flatMap((first) => after.map((then) => ({ first, then, because })));
