import { taskKind } from '../sittings/taskKinds';
import { taskOf } from './task';
import { daysFrom, type Day } from '../calendar/day';
import { clockOf, minuteOf } from '../calendar/clock';
import { comesGrown, formOf } from '../commission/usual';
import { cureMin } from '../hardscape/joining';
import { pieceOf, plantingOf } from '../resolved/resolved';
import { BUILD, buildingOf, sittingsOf, type Sitting } from '../sittings/sittings';
import type { Finding } from '../words/finding';
import { PRACTICE, say } from '../words/text';
import { isTooLate, taskNeeds, thingNeeds } from './betweenSittings';
import { LONG_CURE_MIN, type Job } from './job';
import { madeIn } from './jobIn';
import { holdsAnimals, isDone } from './leftStanding';
import { workOf } from './rescapeTasks';
import type { SittingPlan } from './sittingPlan';
import type { WholeWork } from './wholeWork';

/**
 * What is wrong between the sittings of a work: with their order, their hours, and what waits in the nights between. `whole`
 * is left out where all is done in one day; `after` are the sittings after the water.
 */
export function sittingFindings(
  job: Job,
  whole: WholeWork | undefined,
  plans: readonly SittingPlan[],
  after: readonly SittingPlan[],
): Finding[] {
  return [
    ...clashes([...plans, ...after]),
    ...(whole ? lateNeeds(job, whole) : []),
    ...cures(job, plans),
    // One day has no nights.
    ...(plans.length > 1 ? [...nights(job), ...dries(job), ...air(job)] : []),
    ...empty(plans),
    ...limits([...plans, ...after]),
  ];
}

const HOUR = 60;
const at = { field: 'brief.sittings' } as const;
const when = (day: Day) => ({ day });

/** Two sittings at one hour. */
function clashes(plans: readonly SittingPlan[]): Finding[] {
  return plans.slice(0, -1).flatMap((plan, i): Finding[] => {
    const next = plans[i + 1];
    const endMin = minuteOf(plan.startTime) + plan.doneMin;
    if (plan.day !== next.day || endMin <= minuteOf(next.startTime)) return [];
    const end = clockOf(plan.startTime, plan.doneMin);
    return [
      {
        id: 'sitting.clash',
        severity: 'stop',
        at,
        measured: endMin,
        limit: minuteOf(next.startTime),
        unit: 'min',
        says: say('sitting.clash.says', { day: when(plan.day), start: plan.startTime, next: next.startTime }),
        because: say('sitting.clash.because', { end }),
        source: say('source.brief'),
      },
    ];
  });
}

/** A task or a thing in a sitting before what it needs, each pair once. */
function lateNeeds(job: Job, whole: WholeWork): Finding[] {
  const all = sittingsOf(job.commission);
  const late = [...thingNeeds(job), ...taskNeeds(whole)].filter((n) => isTooLate(n, all));
  const seen = new Set<string>();
  return late.flatMap(({ first, then, firstIn, thenIn, because }): Finding[] => {
    const key = JSON.stringify([first, then]);
    if (seen.has(key)) return [];
    seen.add(key);
    const values = { first, then, day: when(thenIn.day), later: when(firstIn.day) };
    return [
      {
        id: 'sitting.needs',
        severity: 'stop',
        at,
        measured: daysFrom(thenIn.day, firstIn.day),
        limit: 0,
        unit: 'days',
        says: say('sitting.needs.says', values),
        because: say('sitting.needs.because', { ...values, because }),
        source: PRACTICE,
      },
    ];
  });
}

/** Glue that is not through when the next sitting begins, or when the water comes. */
function cures(job: Job, plans: readonly SittingPlan[]): Finding[] {
  const slow = job.joints.filter((j) => cureMin(j) > LONG_CURE_MIN);
  return plans.flatMap((plan, i): Finding[] => {
    const own = slow.filter((j) => madeIn(job, j).id === plan.id);
    if (own.length === 0) return [];
    const joints = own.map((j) => j.id);
    const cure = Math.max(...own.map(cureMin));
    const next = plans[i + 1];
    const made = plan.tasks.find((t) => t.id === 'joints')?.endMin ?? plan.doneMin;
    const gap = next ? minutesBetween(plan, next) - made : 0;
    if (next && gap >= cure) return [];
    const values = { joints, count: joints.length, hours: cure / HOUR, gap: Math.round(gap / HOUR) };
    return [
      {
        id: 'sitting.cures',
        severity: next ? 'warn' : 'stop',
        at: { field: 'brief.sittings', pieces: [...new Set(own.flatMap((j) => j.pieces))] },
        measured: Math.round(gap / HOUR),
        limit: cure / HOUR,
        unit: 'h',
        says: next ? say('sitting.cures.says', values) : say('sitting.cures.water.says', values),
        because: next ? say('sitting.cures.because') : say('sitting.cures.water.because'),
        source: PRACTICE,
      },
    ];
  });
}

function minutesBetween(one: SittingPlan, other: SittingPlan): number {
  return daysFrom(one.day, other.day) * 24 * HOUR + minuteOf(other.startTime) - minuteOf(one.startTime);
}

/** What lives and waits over night: animals in tubs, media without flow, pieces out of a running tank. */
function nights(job: Job): Finding[] {
  const { commission } = job;
  const building = buildingOf(commission);
  const build = building.at(-1)!;
  const waits = (kind: 'animals' | 'media' | 'living', from: Sitting, pieces: string[] = []): Finding[] => {
    const count = daysFrom(from.day, build.day);
    if (count < 1) return [];
    const values = { nights: count, day: when(from.day), pieces, count: pieces.length };
    return [
      {
        id: 'sitting.night',
        severity: 'warn',
        at: { field: 'brief.sittings', ...(pieces.length > 0 ? { pieces } : {}) },
        measured: count,
        limit: 0,
        unit: 'nights',
        says: say(`sitting.night.${kind}.says`, values),
        because: say(`sitting.night.${kind}.because`),
        source: PRACTICE,
      },
    ];
  };
  const held = building.findIndex((_, i) => holdsAnimals(job, building, i));
  const drained = building.findIndex((_, i) => isDone(commission, building, i, 'drain'));
  const { rescape } = commission.brief;
  const stops = rescape?.filterKept && workOf(job).drained && !workOf(job).held && job.fill.remainsL < 0.5;
  const living = job.living.map((p) => ({ id: p.id, in: building.findIndex((s) => s.id === pieceOf(commission, p.id).sitting) })); // prettier-ignore
  const out = job.wet ? [] : living.filter((p) => p.in >= 0 && building[p.in].id !== BUILD);
  return [
    ...(held >= 0 ? waits('animals', building[held]) : []),
    ...(stops && drained >= 0 ? waits('media', building[drained]) : []),
    ...(out.length > 0 ? waits('living', building[Math.min(...out.map((p) => p.in))], out.map((p) => p.id)) : []), // prettier-ignore
  ];
}

/** Nights after which wood that has soaked floats again (common practice). */
const DRIES_NIGHTS = 2;

/** Wood that soaked, and then stands dry. */
function dries(job: Job): Finding[] {
  const { commission } = job;
  if (job.wet) return [];
  const soaked = job.wood.filter((p) => pieceOf(commission, p.id).soakDays > 0 && -pieceOf(commission, p.id).onDay >= DRIES_NIGHTS); // prettier-ignore
  if (soaked.length === 0) return [];
  const pieces = soaked.map((p) => p.id);
  const count = Math.max(...pieces.map((id) => -pieceOf(commission, id).onDay));
  return [
    {
      id: 'sitting.dries',
      severity: 'warn',
      at: { field: 'brief.sittings', pieces },
      measured: count,
      limit: DRIES_NIGHTS,
      unit: 'nights',
      says: say('sitting.dries.says', { pieces, count: pieces.length, nights: count }),
      because: say('sitting.dries.because'),
      source: PRACTICE,
    },
  ];
}

/** Plants whose leaves grew under water, in air for a night. */
function air(job: Job): Finding[] {
  const { commission } = job;
  if (job.wet) return [];
  const own = job.plantings.map((p) => plantingOf(commission, p.id)).filter((p) => formOf(p.planting, p.origin) === 'running' && !comesGrown(p.planting) && p.onDay < 0); // prettier-ignore
  if (own.length === 0) return [];
  const count = Math.max(...own.map((p) => -p.onDay));
  return [
    {
      id: 'sitting.air',
      severity: 'warn',
      at: { field: 'brief.sittings' },
      measured: count,
      limit: 0,
      unit: 'nights',
      says: say('sitting.air.says', { plants: [...new Set(own.map((p) => p.plant.name))], nights: count }),
      because: say('sitting.air.because'),
      source: PRACTICE,
    },
  ];
}

/** A sitting that lasts longer than was set for it. */
function limits(plans: readonly SittingPlan[]): Finding[] {
  return plans.flatMap(({ kind, limitMin, doneMin, day }): Finding[] =>
    limitMin === undefined || kind === 'rebuild' || doneMin <= limitMin
      ? []
      : [
          {
            id: 'sitting.limit',
            severity: 'warn',
            at,
            measured: doneMin,
            limit: limitMin,
            unit: 'min',
            says: say('sitting.limit.says', { day: when(day), minutes: doneMin, limit: limitMin }),
            because: say('sitting.limit.because'),
            source: say('source.brief'),
          },
        ],
  );
}

/** A sitting before the water in which nothing is done: the school has it elsewhere, or all of it was carried away. */
function empty(plans: readonly SittingPlan[]): Finding[] {
  return plans
    .filter((p) => p.id !== BUILD && p.tasks.every((t) => taskKind(taskOf(t)).isFrame))
    .map(({ day, kind }) => ({
      id: 'sitting.empty',
      severity: 'note',
      at,
      measured: 0,
      limit: 1,
      unit: 'piece',
      says: say('sitting.empty.says', { day: when(day) }),
      because: say(kind === 'planting' ? 'sitting.empty.because.planting' : 'sitting.empty.because'),
      source: say('source.brief'),
    }));
}

/** Sittings whose day is over while the build is still to come: held or not, nobody but the studio knows. */
export function pastSittings(plans: readonly Pick<SittingPlan, 'day'>[], today: Day): Finding[] {
  return plans
    .filter((p) => p.day < today)
    .map(({ day }) => ({
      id: 'sitting.past',
      severity: 'note',
      at,
      measured: daysFrom(day, today),
      limit: 0,
      unit: 'days',
      says: say('sitting.past.says', { day: when(day), days: daysFrom(day, today) }),
      because: say('sitting.past.because'),
      source: say('source.brief'),
    }));
}
