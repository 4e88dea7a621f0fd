import { dayPlus, type Day } from '../calendar/day';
import { gearThere } from '../gear/gear';
import { isLeftStanding, type Resolved } from '../resolved/resolved';
import { say, type Text } from '../words/text';
import type { CareDay } from './careDay';

/** Sentences of the guide that depend on what is in the tank. */
export interface GuideWords {
  /** What is switched off before a hand goes in, what is refilled over, and what passes by itself. */
  unplug: Text;
  refill: Text;
  passes: Text;
}

/**
 * What the client reads of their own tank: no slime on wood where there is none, no heater where none hangs.
 * Valid for what is planned for the build day. Leaves out: what comes weeks later.
 * Test: guide.test.ts, "speaks of what is there alone".
 */
export function guideWords(commission: Resolved): GuideWords {
  const pieces = [...commission.pieces.values()];
  const of = (kind: 'stone' | 'wood') => pieces.filter((p) => p.material.kind === kind);
  const newWood = of('wood').some((p) => !isLeftStanding(p) && p.stateOnDay !== 'living');
  // What grew here already has the leaves that it keeps.
  const isPlanted = [...commission.plantings.values()].some((p) => p.origin !== 'here');
  const passing = [
    ...(newWood ? [say('guide.passes.slime')] : []),
    ...(isPlanted ? [say('guide.passes.leaves')] : []),
    say(of('stone').length > 0 ? 'guide.passes.dust.stones' : 'guide.passes.dust.glass'),
  ];
  return {
    unplug: unplugged(commission),
    refill: say(of('stone').length > 0 ? 'guide.refill.stone' : 'guide.refill.plate'),
    passes: say('guide.passes', { what: passing }),
  };
}

/** Heater and what moves water; both are named where nobody noted what runs there. */
function unplugged(commission: Resolved): Text {
  const heater = gearThere(commission, 'heater').length > 0;
  const pump = gearThere(commission, 'filter', 'pump').length > 0;
  if (heater === pump) return say(heater || commission.gear.length === 0 ? 'guide.unplug.both' : 'guide.unplug.all');
  return say(heater ? 'guide.unplug.heater' : 'guide.unplug.pump');
} // prettier-ignore

/** Something to be done on a day, or on each from one to another. */
export interface DateKept {
  from: Day;
  to: Day;
  what: Text;
}

/** What is due in the weeks day by day, the same on days that follow each other said once. */
export function datesKept(days: readonly Pick<CareDay, 'day' | 'events'>[]): DateKept[] {
  const kept: DateKept[] = [];
  for (const { day, events } of days)
    for (const what of events) {
      const words = JSON.stringify(what);
      const before = kept.find((k) => JSON.stringify(k.what) === words && dayPlus(k.to, 1) === day);
      if (before) before.to = day;
      else kept.push({ from: day, to: day, what });
    }
  return kept;
}
