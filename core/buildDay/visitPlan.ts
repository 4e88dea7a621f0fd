import type { Brief } from '../commission/schema';
import { startTimeOf } from '../commission/usual';
import { crewNamesOf } from './crewNames';
import type { Scheduled } from './schedule';
import type { SittingPlan } from './sittingPlan';
import type { LaterVisit } from './visits';

/** A visit on a clock: whoever comes works through it, one thing after the other, as many at it as it takes. */
export function visitPlan(visit: LaterVisit, brief: Brief): SittingPlan {
  const { sitting } = visit;
  const crew = crewNamesOf(brief, sitting?.crew ?? 1);
  let min = 0;
  const tasks = visit.tasks.map(({ id: of, task, phase, title, detail, minutes, people = 1, caution }, i): Scheduled => {
    // Several kinds may be one task of the work: here each is one.
    const id = visit.tasks.findIndex((t) => t.id === of) === i ? of : `${of} ${i}`;
    const startMin = min;
    min += minutes;
    const hands = crew.slice(0, people).map((_, person) => person);
    return { id, ...(task ? { task } : {}), phase, title, detail, minutes: Math.round(minutes), ...(caution ? { caution } : {}), people, workings: [], needs: {}, startMin, endMin: min, crew: hands }; // prettier-ignore
  });
  return {
    id: sitting?.id ?? `day ${visit.afterDays}`,
    kind: sitting?.kind ?? 'detail',
    ...(sitting?.title ? { title: sitting.title } : {}),
    day: visit.day,
    startTime: sitting?.start ?? startTimeOf(brief),
    crew,
    tasks,
    lanes: [],
    chain: tasks.map((t) => t.id),
    doneMin: visit.minutes,
    ...(sitting?.limitMin ? { limitMin: sitting.limitMin } : {}),
    ...(sitting?.note ? { note: sitting.note } : {}),
  };
} // prettier-ignore
