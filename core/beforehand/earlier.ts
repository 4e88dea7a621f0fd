import { say, type Text } from '../words/text';

/*
 * The order of work before the build day, beside that of the day itself (`buildDay/order.ts`): what is done with a thing
 * before what else is done with it, and why. The days of run sheet, take-off, orders and calendar are read from it.
 */

/** What is done on an earlier day. */
export type EarlierKind = 'leak' | 'film' | 'ro' | 'media' | 'soak' | 'silicone' | 'reserve' | 'client' | 'brokenDown' | 'bring'; // prettier-ignore

/** Work on some things before the build day. */
export interface EarlierWork {
  kind: EarlierKind;
  /** Ids of pieces or devices; two works wait for each other only where they share one. */
  things: readonly string[];
  /** Days until whatever needs it may begin. */
  takesDays: number;
  /** Days before that on which it begins even where nothing waits for it. */
  usualDays?: number;
  /** Days before the build day on which what it is done for begins; on the day when left out. */
  aheadDays?: number;
}

/** When some work begins at the latest: days before the build, and why so early where other work waits for it. */
export interface Begins {
  days: number;
  because?: Text;
}

/** What comes first, what then, and why. */
const RULES: readonly (readonly [
  first: readonly EarlierKind[],
  then: readonly EarlierKind[],
  because: Text,
])[] = [
  [['leak'], ['film'], say('why.earlier.leak')],
  [['reserve', 'client', 'brokenDown'], ['silicone', 'soak', 'media'], say('why.earlier.aside')],
  [['silicone'], ['soak'], say('why.earlier.joined')],
];

/** Each work with the day on which it begins at the latest: its own days, and those of what waits for it. */
export function beginning<T extends EarlierWork>(works: readonly T[]): (T & Begins)[] {
  const known = new Map<T, Begins>();
  const begins = (work: T): Begins => {
    const there = known.get(work);
    if (there) return there;
    let latest: Begins = { days: Math.max(work.takesDays, work.usualDays ?? 0) + (work.aheadDays ?? 0) };
    for (const then of works) {
      const because = reasonFor(work, then);
      if (!because) continue;
      const days = work.takesDays + begins(then).days;
      if (days > latest.days) latest = { days, because };
    }
    known.set(work, latest);
    return latest;
  };
  return works.map((work) => ({ ...work, ...begins(work) }));
}

/** Why one work comes before another: a rule says so, and they are about the same thing. */
function reasonFor(work: EarlierWork, then: EarlierWork): Text | undefined {
  if (!then.things.some((id) => work.things.includes(id))) return undefined;
  return RULES.find(([f, t]) => f.includes(work.kind) && t.includes(then.kind))?.[2];
}
