import type { Brief } from '../commission/schema';
import { startTimeOf } from '../commission/usual';
import { crewNamesOf } from './crewNames';
import type { Scheduled } from './schedule';
import type { SittingPlan } from './sittingPlan';
import type { Task } from './task';
import type { LaterVisit } from './visits';

/** Whoever comes on a visit works through it: one thing after the other, the first of them at it. */
export function visitPlan(visit: LaterVisit, brief: Brief): SittingPlan {
  let min = 0;
  const tasks = visit.tasks.map(({ id: of, title, detail, minutes, caution }, i): Scheduled => {
    // Several kinds may be one task of the work: here each is one.
    const id = visit.tasks.findIndex((t) => t.id === of) === i ? of : `${of} ${i}`;
    const startMin = min;
    min += minutes;
    return { id, title, detail, minutes: Math.round(minutes), ...(caution ? { caution } : {}), phase: visitPhase(of), people: 1, workings: [], needs: {}, startMin, endMin: min, crew: [0] }; // prettier-ignore
  });
  return {
    id: visit.sitting ?? `visit ${visit.afterDays}`,
    kind: 'detail',
    ...(typeof visit.title === 'string' ? { title: visit.title } : {}),
    day: visit.day,
    startTime: visit.startTime ?? startTimeOf(brief),
    crew: crewNamesOf(brief, visit.crew ?? 1),
    tasks,
    lanes: [],
    chain: tasks.map((t) => t.id),
    doneMin: visit.minutes,
    ...(visit.note ? { note: visit.note } : {}),
  };
}

/** By what a visit's tasks are called: what is poured, set and planted has its clay there too. */
export function visitPhase(id: string): Task['phase'] {
  if (id === 'drain' || id === 'fill') return 'water';
  if (id.startsWith('later-')) return 'substrate';
  if (/^(stones|wood|out)-/.test(id)) return 'hardscape';
  return id.startsWith('plant-') || id === 'epiphytes' || id === 'floaters' ? 'planting' : 'finish';
}
