import { say, type Text } from '../words/text';

/*
 * The order of work after the build day, beside that of the day itself (`buildDay/order.ts`) and of the days before it
 * (`beforehand/earlier.ts`): what has to be there, or to have been read, before what, how many days later, and why. The days
 * of the guide, and with it those of calendar and visits, are read from it.
 */

/** What happens after the build, or has to be so. */
export type LaterKind =
  // The filter carries animals; readings of zero; a reading that was not zero; the readings of the first days.
  | 'matured'
  | 'zeros'
  | 'held'
  | 'early'
  // Animals that come, and those that come back.
  | 'shrimps'
  | 'fish'
  | 'back'
  // Gear that comes, and what it does.
  | 'arrives'
  | 'gas'
  // What is laid and set, and what becomes of it.
  | 'laid'
  | 'set'
  | 'melts'
  | 'trimmed'
  | 'gaps'
  | 'closed'
  | 'tabs'
  // What is due however all the rest goes.
  | 'review'
  | 'occasion'
  | 'bacteria';

/** Something after the build that some things have in common. */
export interface LaterWork {
  kind: LaterKind;
  /** Ids of what it is about; two wait for each other only where they share one. */
  things: readonly string[];
  /** Days after the build before which it is not, whatever comes first: it arrives then, it has grown, it was wished for. */
  ownDay: number;
}

/** When it is: days after the build, and why not earlier where something else decides it. */
export interface Falls {
  day: number;
  because?: Text;
}

interface Rule {
  first: readonly LaterKind[];
  then: readonly LaterKind[];
  /** Days from the one to the other. */
  days: number;
  because: Text;
}
const rule = (first: readonly LaterKind[], then: readonly LaterKind[], days: number, because: Text): Rule => ({ first, then, days, because }); // prettier-ignore

/** Leaves that grew above water are lost so many days after planting (common practice). */
const MELT_DAYS = 10;
/** A month after planting, gaps in the carpet are replanted (common practice). */
const GAPS_DAYS = 30;

/** What comes first, what then, how long after, and why. */
const RULES: readonly Rule[] = [
  rule(['matured'], ['shrimps', 'fish'], 0, say('why.later.matured')),
  rule(['zeros'], ['shrimps', 'fish'], 1, say('why.later.zeros')),
  rule(['held'], ['shrimps', 'fish'], 1, say('why.later.held')),
  rule(['early'], ['back'], 1, say('why.later.early')),
  rule(['arrives'], ['gas'], 0, say('why.later.arrives')),
  rule(['set'], ['melts'], MELT_DAYS, say('why.later.set')),
  rule(['set'], ['gaps'], GAPS_DAYS, say('why.later.set')),
  rule(['set'], ['trimmed', 'closed'], 0, say('why.later.set')),
];

/**
 * Each work with its day: its own, or so many days after what comes before it. A new filter that carries fish from day 21, and
 * the second zero read on day 24, let them in on day 25.
 */
export function dated<T extends LaterWork>(works: readonly T[]): (T & Falls)[] {
  const known = new Map<T, Falls>();
  const falls = (work: T): Falls => {
    const there = known.get(work);
    if (there) return there;
    let latest: Falls = { day: work.ownDay };
    for (const first of works) {
      const found = ruleFor(first, work);
      if (!found) continue;
      const day = falls(first).day + found.days;
      if (day > latest.day) latest = { day, because: found.because };
    }
    known.set(work, latest);
    return latest;
  };
  return works.map((work) => ({ ...work, ...falls(work) }));
}

/** The rule by which one comes before another: they are about the same thing. */
function ruleFor(first: LaterWork, then: LaterWork): Rule | undefined {
  if (!first.things.some((id) => then.things.includes(id))) return undefined;
  return RULES.find((r) => r.first.includes(first.kind) && r.then.includes(then.kind));
}
