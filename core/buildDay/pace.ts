import { paceOf } from '../commission/usual';
import type { Brief } from '../commission/schema';
import { say } from '../words/text';
import type { Working } from '../words/working';

/** What takes as long as the hose does, whoever holds it; and a break. */
const BY_THE_HOSE: ReadonlySet<string> = new Set(['drain', 'wet-bed', 'fill-part', 'fill', 'break']);

/** A task in the minutes that this crew takes: the usual ones by its pace, but for water. */
export function paced<T extends { id: string; minutes: number }>(task: T, brief: Pick<Brief, 'pace'>): T {
  const pace = paceOf(brief);
  return pace === 1 || BY_THE_HOSE.has(task.id) ? task : { ...task, minutes: task.minutes * pace };
}

/** The step of a working that says so; none at the usual pace. */
export function paceStep(id: string, brief: Pick<Brief, 'pace'>): Working[] {
  const pace = paceOf(brief);
  if (pace === 1 || BY_THE_HOSE.has(id)) return [];
  return [{ step: say('step.pace'), value: pace, unit: '×', note: say('step.pace.note') }];
}
