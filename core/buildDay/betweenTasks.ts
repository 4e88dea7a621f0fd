import { GLASS_LIFT, peopleFor, recommendedKg } from '../site/lifting';
import { buildingOf, type Sitting } from '../sittings/sittings';
import { carriedScape } from '../visit/carried';
import { loadsOf, MOST_HANDS } from '../visit/carrying';
import { inKg } from '../words/measure';
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

/** A scape that was built at the studio comes to its place: the first thing on site. */
export function carryTasks({ commission, survey, size }: Job, sitting: Sitting): Step[] {
  const building = buildingOf(commission);
  const first = building.find((s, i) => !s.isAway && building[i - 1]?.isAway);
  const carried = first?.id === sitting.id ? carriedScape(commission, survey) : undefined;
  if (!carried) return [];
  const [tank] = loadsOf(commission, survey);
  const words = { mass: inKg(tank.massKg), scape: inKg(carried.kg), pieces: carried.pieces };
  return [
    {
      id: 'carry',
      phase: 'prepare',
      title: say('carry.title', words),
      short: say('carry.short'),
      detail: say(carried.isPlanted ? 'carry.detail.planted' : 'carry.detail', words),
      minutes: RATES.carry * size,
      people: Math.min(MOST_HANDS, peopleFor(tank.massKg, recommendedKg(GLASS_LIFT))),
      caution: say('caution.carry'),
      workings: [
        step(say('step.glass'), tank.massKg - carried.kg, 'kg'),
        step(say('step.bed.carried'), carried.bedKg, 'kg'),
        step(say('step.pieces.carried'), carried.piecesKg, 'kg'),
        ...(carried.poreKg > 0 ? [step(say('step.pores'), carried.poreKg, 'kg')] : []),
      ],
    },
  ];
}

/** A sitting of so many minutes of work for each of its crew is long enough for a break. */
const BREAK_FROM_MIN = 240;

/** Hands off between hardscape and planting, where the school has it and the sitting is long enough. */
export function breakTasks(job: Job, steps: readonly Step[]): Step[] {
  const { breakMin } = job.commission.brief.schools ?? {};
  const minutes = steps.reduce((sum, s) => sum + s.minutes * Math.min(s.people, job.crew), 0) / job.crew;
  if (breakMin === undefined || minutes < BREAK_FROM_MIN) return [];
  return [
    {
      id: 'break',
      phase: 'finish',
      title: say('break.title'),
      detail: say('break.detail'),
      minutes: breakMin,
      people: job.crew,
      workings: [step(say('step.school'), breakMin, 'min')],
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
