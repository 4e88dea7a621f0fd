import { say, type Text } from '../words/text';
import { readyAfter, type Scheduled } from './schedule';

/** Why a task begins when it does, and the tasks that it then waited for. */
export interface WhyNot {
  says: Text;
  because?: Text;
  waitedFor: string[];
}

/**
 * Why a task does not begin earlier: what it needs is only then done, or has only then cured; or no hands are free. Read
 * from the graph by which the day was laid out (`order.ts`), whose lines have their reasons.
 */
export function whyNotEarlier(task: Scheduled, all: readonly Scheduled[]): WhyNot {
  if (task.startMin === 0) return { says: say('why.first'), waitedFor: [] };
  const readyAt = (t: Scheduled) => readyAfter(t, task);
  const needed = all.filter((t) => t.id in task.needs && readyAt(t) === task.startMin);
  if (needed.length > 0) {
    const tasks = needed.map((t) => t.short ?? t.title);
    const clearing = task.wantsClear ? needed.find((t) => t.clears) : undefined;
    if (clearing) return { says: say('why.clears', { minutes: clearing.clears! }), waitedFor: [clearing.id] };
    const curing = needed.find((t) => t.cure);
    return {
      says: curing ? say('why.cures', { tasks, minutes: curing.cure!.minutes }) : say('why.needs', { tasks }),
      because: task.needs[needed[0].id],
      waitedFor: needed.map((t) => t.id),
    };
  }
  const busy = all.filter((t) => t.endMin === task.startMin && t.crew.some((p) => task.crew.includes(p)));
  const tasks = busy.map((t) => t.short ?? t.title);
  return { says: say('why.hands', { tasks }), waitedFor: busy.map((t) => t.id) };
}
