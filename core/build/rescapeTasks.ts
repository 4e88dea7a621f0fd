import { counted, step, type Job } from './job';
import { RATES } from './rates';
import type { Task } from './task';

/** What a running tank adds: animals out first, everything that stays kept in tank water. */
export function strippingTasks({ commission, survey }: Job): Task[] {
  const { rescape } = commission.brief;
  if (!rescape) return [];
  const animals = presentAnimals(commission.brief);
  const keeps =
    rescape.stays.length > 0 ? `${rescape.stays.join(', ')} kept in tank water` : 'nothing is kept';
  const holding: Task = {
    id: 'holding',
    phase: 'prepare',
    title: `${counted(animals, 'animal')} into their own water`,
    detail: rescape.filterKept
      ? 'filter running on the tub, not cleaned today; covered'
      : 'aired and covered',
    minutes: RATES.holding + animals * RATES.perAnimal,
    people: 1,
    needs: ['protect'],
    caution: 'Local animal-welfare law applies. Match temperature; never release animals outdoors.',
    workings: [step('animals', animals, 'animal'), step('each', RATES.perAnimal, 'min', 'common practice')],
  };
  return [
    ...(animals > 0 ? [holding] : []),
    {
      id: 'strip',
      phase: 'prepare',
      title: 'Take the old scape out',
      detail: `${keeps}; sand by siphon without its wide end`,
      minutes: RATES.strip + survey.waterLineL * RATES.stripPerL,
      people: 1,
      needs: ['protect', 'holding'],
      caution: 'Everything off the mains first, hands dry. Start the siphon without swallowing.',
      workings: [
        step('old water', survey.waterLineL, 'L'),
        step('each litre', RATES.stripPerL, 'min', 'common practice'),
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
      title: 'Animals back, dimmed light',
      detail: 'temperature matched, little by little; test tomorrow and the day after',
      minutes: RATES.holding,
      people: 1,
      needs: ['start', 'refloat'],
      caution:
        'A reading of 1 to 2 mg/L ammonia means act at once: binder, water change, bacteria, less food.',
      workings: [step('as a whole', RATES.holding, 'min', 'common practice')],
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
