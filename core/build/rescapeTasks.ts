import { PRACTICE, say } from '../words/text';
import { CAUTIONS } from './cautions';
import { step, type Job } from './job';
import { RATES } from './rates';
import type { Task } from './task';

/** What a running tank adds: animals out first, everything that stays kept in tank water. */
export function strippingTasks({ commission, survey }: Job): Task[] {
  const { rescape } = commission.brief;
  if (!rescape) return [];
  const animals = presentAnimals(commission.brief);
  const holding: Task = {
    id: 'holding',
    phase: 'prepare',
    title: say('holding.title', { count: animals }),
    detail: say(rescape.filterKept ? 'holding.detail.filter' : 'holding.detail'),
    minutes: RATES.holding + animals * RATES.perAnimal,
    people: 1,
    needs: ['protect'],
    caution: CAUTIONS.welfare,
    workings: [
      step(say('step.animals'), animals, 'animal'),
      step(say('step.each'), RATES.perAnimal, 'min', PRACTICE),
    ],
  };
  return [
    ...(animals > 0 ? [holding] : []),
    {
      id: 'strip',
      phase: 'prepare',
      title: say('strip.title'),
      detail:
        rescape.stays.length > 0
          ? say('strip.detail.kept', { stays: rescape.stays.map((s) => say(`stays.${s}`)) })
          : say('strip.detail'),
      minutes: RATES.strip + survey.waterLineL * RATES.stripPerL,
      people: 1,
      needs: ['protect', 'holding'],
      caution: CAUTIONS.strip,
      workings: [
        step(say('step.old'), survey.waterLineL, 'L'),
        step(say('step.each.litre'), RATES.stripPerL, 'min', PRACTICE),
      ],
    },
  ];
}

/** Animals back once the filter runs and the temperature matches. */
export function returningTasks({ commission }: Job): Task[] {
  if (!commission.brief.rescape || presentAnimals(commission.brief) === 0) return [];
  return [
    {
      id: 'return',
      phase: 'finish',
      title: say('return.title'),
      short: say('return.short'),
      detail: say('return.detail'),
      minutes: RATES.holding,
      people: 1,
      needs: ['start', 'refloat'],
      caution: CAUTIONS.ammonia,
      workings: [step(say('step.whole'), RATES.holding, 'min', PRACTICE)],
    },
  ];
}

function presentAnimals({ livestock = [] }: Job['commission']['brief']): number {
  return livestock.filter((s) => s.present).reduce((sum, s) => sum + s.count, 0);
}

/** In a rescape whatever is done in the tank waits until the old scape is out. */
export function afterStripping(tasks: readonly Task[]): Task[] {
  if (!tasks.some((t) => t.id === 'strip')) return [...tasks];
  const before = ['protect', 'unpack', 'holding', 'strip'];
  return tasks.map((t) => (before.includes(t.id) ? t : { ...t, needs: [...t.needs, 'strip'] }));
}
