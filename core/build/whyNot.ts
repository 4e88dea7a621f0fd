import { say, type Text } from '../words/text';
import type { Scheduled } from './schedule';

/** Why a task begins when it does, and the tasks that it then waited for. */
export interface WhyNot {
  says: Text;
  because?: Text;
  waitedFor: string[];
}

/** What each task has to leave behind before anything builds on it; of those of many names by how they begin. */
const BECAUSE: readonly (readonly [id: string, because: Text])[] = [
  ['protect', say('why.protect')],
  ['unpack', say('why.unpack')],
  ['holding', say('why.holding')],
  ['drain', say('why.drain')],
  ['strip', say('why.strip')],
  ['wash', say('why.wash')],
  ['rinse', say('why.rinse')],
  ['trial', say('why.trial')],
  ['move', say('why.move')],
  ['floor-stones', say('why.floor-stones')],
  ['dam', say('why.close')],
  ['close', say('why.close')],
  ['filler', say('why.bed')],
  ['soil', say('why.bed')],
  ['sand', say('why.bed')],
  ['layer-', say('why.bed')],
  ['gaps', say('why.bed')],
  ['pockets', say('why.bed')],
  ['stones', say('why.set')],
  ['wood', say('why.set')],
  ['joints', say('why.joints')],
  ['wiggle', say('why.wiggle')],
  ['prepare-', say('why.prepare')],
  ['plant-', say('why.plant')],
  ['epiphytes', say('why.plant')],
  ['floaters', say('why.plant')],
  ['wet-bed', say('why.wet-bed')],
  ['equipment', say('why.equipment')],
  ['fill', say('why.fill')],
  ['refloat', say('why.refloat')],
  ['start', say('why.start')],
  ['return', say('why.return')],
];

/**
 * Why a task does not begin earlier: what it needs is only then done, or has only then cured; or no hands are free. Read
 * from the same needs by which the day was laid out.
 */
export function whyNotEarlier(task: Scheduled, all: readonly Scheduled[]): WhyNot {
  if (task.startMin === 0) return { says: say('why.first'), waitedFor: [] };
  const readyAt = (t: Scheduled) => t.endMin + (t.cure?.minutes ?? 0);
  const needed = all.filter((t) => task.needs.includes(t.id) && readyAt(t) === task.startMin);
  if (needed.length > 0) {
    const tasks = needed.map((t) => t.short ?? t.title);
    const curing = needed.find((t) => t.cure);
    return {
      says: curing ? say('why.cures', { tasks, minutes: curing.cure!.minutes }) : say('why.needs', { tasks }),
      ...becauseOf(needed),
      waitedFor: needed.map((t) => t.id),
    };
  }
  const busy = all.filter((t) => t.endMin === task.startMin && t.crew.some((p) => task.crew.includes(p)));
  const tasks = busy.map((t) => t.short ?? t.title);
  return { says: say('why.hands', { tasks }), waitedFor: busy.map((t) => t.id) };
}

/** The reason of the first of them that has one. */
function becauseOf(needed: readonly Scheduled[]): Pick<WhyNot, 'because'> {
  for (const { id } of needed) {
    const found = BECAUSE.find(([known]) => (known.endsWith('-') ? id.startsWith(known) : id === known));
    if (found) return { because: found[1] };
  }
  return {};
}
