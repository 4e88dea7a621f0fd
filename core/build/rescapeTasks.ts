import { everythingStays, STAYING_PARTS } from '../commission/usual';
import { inLitres, inMm } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import { perLitre, step, type Job } from './job';
import { RATES } from './rates';
import type { Task } from './task';

/** What kinds of work a job has at all: what stays as it is takes none. */
export interface Work {
  /** Gear that is unpacked and put in: all of it, a CO2 set for a tank that runs, or none. */
  gear: 'all' | 'gas' | 'none';
  /** Water goes in: the tank was dry, or it was drained. */
  drained: boolean;
  /** Something of the old scape is taken out. */
  stripped: boolean;
  /** Animals wait in tubs. */
  held: boolean;
}

export function workOf({ commission, fill }: Job): Work {
  const { rescape } = commission.brief;
  if (!rescape) return { gear: 'all', drained: true, stripped: false, held: false };
  const stripped = !everythingStays({ rescape });
  const where = rescape.animals ?? (stripped && !rescape.stays.includes('substrate') ? 'tubs' : 'stay');
  return {
    gear: !rescape.filterKept ? 'all' : buysGas(commission.brief) ? 'gas' : 'none',
    drained: fill.drainedL > 0.5,
    stripped,
    held: presentAnimals(commission.brief) > 0 && where === 'tubs',
  };
}

/** A CO2 set that is bought for a running tank has to be put together like any other. */
function buysGas({ co2, co2CostMinor }: Job['commission']['brief']): boolean {
  return co2 && co2CostMinor !== undefined;
}

/** What a running tank adds: animals out where they wait in tubs, water down, what goes taken out. */
export function strippingTasks(job: Job): Task[] {
  const { commission } = job;
  const { rescape } = commission.brief;
  if (!rescape) return [];
  const work = workOf(job);
  const animals = presentAnimals(commission.brief);
  const minutes = RATES.holding * job.size + animals * RATES.perAnimal;
  const holding: Task = {
    id: 'holding',
    phase: 'prepare',
    title: say('holding.title', { count: animals }),
    detail: say(rescape.filterKept ? 'holding.detail.filter' : 'holding.detail'),
    minutes,
    people: 1,
    needs: ['protect'],
    caution: CAUTIONS.welfare,
    workings: [
      step(say('step.animals'), animals, 'animal'),
      step(say('step.each'), RATES.perAnimal, 'min', PRACTICE),
    ],
  };
  return [
    ...(work.held ? [holding] : []),
    ...(work.drained ? [drain(job)] : []),
    ...(work.stripped ? [strip(job)] : []),
  ];
}

/** Water down to a height; what is kept of it into tubs. */
function drain({ fill, size }: Job): Task {
  const { drainedL, drainToMm, keptL, tubs, tubL } = fill;
  const values = { height: inMm(drainToMm), litres: inLitres(keptL, 0), count: tubs, tub: inLitres(tubL, 0) };
  return {
    id: 'drain',
    phase: 'prepare',
    title: say('drain.title', { litres: inLitres(drainedL, 0) }),
    short: say('drain.short'),
    detail: drainWords(keptL > 0.05, drainToMm > 0, values),
    minutes: RATES.drain * size + drainedL * RATES.stripPerL,
    people: 1,
    needs: ['protect', 'holding'],
    caution: CAUTIONS.strip,
    workings: [
      step(say('step.old'), drainedL, 'L'),
      ...(keptL > 0.05 ? [step(say('step.kept'), keptL, 'L')] : []),
      step(say('step.each.litre'), RATES.stripPerL, 'min', PRACTICE),
    ],
  };
}

type DrainValues = Record<'height' | 'litres' | 'tub', ReturnType<typeof inMm>> & { count: number };

function drainWords(kept: boolean, partly: boolean, values: DrainValues): Text {
  if (partly) return kept ? say('drain.detail.partly.kept', values) : say('drain.detail.partly', values);
  return kept ? say('drain.detail.kept', values) : say('drain.detail');
}

/** The old scape, or what of it goes. */
function strip({ commission, survey, size }: Job): Task {
  const { stays } = commission.brief.rescape!;
  const parts = STAYING_PARTS.filter((p) => stays.includes(p));
  const goes = STAYING_PARTS.filter((p) => !stays.includes(p));
  const usual = RATES.strip * size * (goes.length / STAYING_PARTS.length);
  // The old bed is taken to have been as much as the new one.
  const bedL = goes.includes('substrate') ? survey.bedL : 0;
  const minutes = usual + bedL * RATES.siphonBedPerL;
  return {
    id: 'strip',
    phase: 'prepare',
    title: parts.length > 0 ? say('strip.title.parts', { goes: goes.map((p) => say(`stays.${p}`)) }) : say('strip.title'), // prettier-ignore
    detail:
      parts.length > 0
        ? say('strip.detail.kept', { stays: parts.map((p) => say(`stays.${p}`)) })
        : say('strip.detail'),
    minutes,
    people: 1,
    needs: ['protect', 'holding', 'drain'],
    caution: CAUTIONS.strip,
    workings: [
      step(say('step.whole'), usual, 'min', PRACTICE),
      ...(bedL > 0 ? [step(say('step.old.bed'), bedL, 'L', perLitre(RATES.siphonBedPerL))] : []),
    ],
  };
}

/** Animals back once the filter runs and the temperature matches. */
export function returningTasks(job: Job): Task[] {
  if (!workOf(job).held) return [];
  const minutes = RATES.holding * job.size;
  return [
    {
      id: 'return',
      phase: 'finish',
      title: say('return.title'),
      short: say('return.short'),
      detail: say('return.detail'),
      minutes,
      people: 1,
      needs: ['start', 'refloat'],
      caution: CAUTIONS.ammonia,
      workings: [step(say('step.whole'), minutes, 'min', PRACTICE)],
    },
  ];
}

function presentAnimals({ livestock = [] }: Job['commission']['brief']): number {
  return livestock.filter((s) => s.present).reduce((sum, s) => sum + s.count, 0);
}

/** In a rescape whatever is done in the tank waits until the water is down and what goes is out. */
export function afterStripping(tasks: readonly Task[]): Task[] {
  const before = ['protect', 'unpack', 'holding', 'drain', 'strip', 'wash', 'rinse'];
  const out = ['drain', 'strip'].filter((id) => tasks.some((t) => t.id === id));
  return tasks.map((t) => (before.includes(t.id) ? t : { ...t, needs: [...t.needs, ...out] }));
}
