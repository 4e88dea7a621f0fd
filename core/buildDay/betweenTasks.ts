import { buildingOf, type Sitting } from '../sittings/sittings';
import { PRACTICE, say } from '../words/text';
import { step, type Job } from './job';
import { leftAfter } from './leftStanding';
import { RATES } from './rates';
import type { Step } from './task';

/** What every sitting but the first begins with: nobody builds on what has moved meanwhile. */
export function arrivingTasks({ size }: Job): Step[] {
  return [
    {
      id: 'arrive',
      phase: 'prepare',
      title: say('arrive.title'),
      short: say('arrive.short'),
      detail: say('arrive.detail'),
      minutes: RATES.arrive * size,
      people: 1,
      workings: [step(say('step.whole'), RATES.arrive, 'min', PRACTICE)],
    },
  ];
}

/** What every sitting but the last ends with: the tank made ready to be left, and how. */
export function leavingOverTasks(job: Job, sitting: Sitting): Step[] {
  const left = leftAfter(job, sitting);
  if (!left) return [];
  const { nights, until, says, never } = left;
  return [
    {
      id: 'leave',
      phase: 'finish',
      title: nights > 0 ? say('leave.title', { nights }) : say('leave.title.day', { time: until.start }),
      short: say('leave.short'),
      detail: say('leave.detail', { left: says }),
      minutes: RATES.leave * job.size,
      people: 1,
      caution: never,
      workings: [step(say('step.whole'), RATES.leave, 'min', PRACTICE)],
    },
  ];
}

/** True for the sitting with which the work begins. */
export function isFirst({ commission }: Job, sitting: Sitting): boolean {
  return buildingOf(commission)[0].id === sitting.id;
}
