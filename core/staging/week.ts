import { dayPlus, type Day } from '../calendar/day';
import { roShort, standsOn, type Holding, type Kit, type KitClash } from './kit';
import type { WeekDue } from './sorts';

/** A commission with what is due in it. */
export interface Dated {
  id: string;
  title: string;
  client?: string;
  dues: readonly WeekDue[];
}

/** Something due, and in which commission. */
export type WeekItem = WeekDue & Pick<Dated, 'id' | 'title'>;

/** What cannot be on one day: one person in two places at an hour, more hands than the studio has, more of its kit. */
export type Clash =
  | { kind: 'person'; who: string; titles: string[] }
  | { kind: 'hands'; needs: number; has: number; titles: string[] }
  | KitClash;

/** Who works in the studio, and what it has of kit; left out what nobody said. */
export interface StudioHas extends Kit {
  people?: number;
}

export interface Week {
  /** What should have been seen to before today. */
  late: WeekItem[];
  days: { day: Day; items: WeekItem[]; clashes: Clash[] }[];
}

const DAYS = 7;

/**
 * Seven days over all commissions, from a day on: what is due on each, by the hour where it has one, and what clashes.
 * Valid for commissions that were planned on `today`. Leaves out: the way from one place to the other.
 * Test: week.test.ts, "has everything due on its day, once, and what is late above it".
 */
export function weekOf(all: readonly Dated[], from: Day, today: Day, has: StudioHas = {}): Week {
  const items = all.flatMap(({ id, title, dues }) => dues.map((d): WeekItem => ({ ...d, id, title })));
  const holdings = items.flatMap(({ title, day, holds }): Holding[] =>
    holds ? [{ title, day: holds.from ?? day, holds }] : [],
  );
  const short = roShort(holdings, today, has.ro);
  const days = Array.from({ length: DAYS }, (_, i) => dayPlus(from, i));
  const standing = days.map((day) => standsOn(day, holdings, has));
  // What stands somewhere stands there for days: what clashes is said on the first of them.
  const isNew = (clash: KitClash, i: number) =>
    !standing[i - 1]?.some((c) => JSON.stringify(c) === JSON.stringify(clash));
  return {
    late: items.filter((i) => i.waits && i.day < today).sort((a, b) => a.day.localeCompare(b.day)),
    days: days.map((day, i) => {
      const own = items.filter((i) => i.day === day && !(i.waits && day < today)).sort(byHour);
      return {
        day,
        items: own,
        clashes: [
          ...clashesOf(own, has.people),
          ...standing[i].filter((c) => isNew(c, i)),
          ...(short.get(day) ? [short.get(day)!] : []),
        ],
      };
    }),
  };
}

/** What has an hour in its order; before it what is done at the desk. */
function byHour(a: WeekItem, b: WeekItem): number {
  return (a.hands?.fromMin ?? -1) - (b.hands?.fromMin ?? -1) || a.title.localeCompare(b.title);
}

type Handed = WeekItem & { hands: NonNullable<WeekItem['hands']> };

function clashesOf(items: readonly WeekItem[], people: number | undefined): Clash[] {
  const handed = items.filter((i): i is Handed => i.hands !== undefined);
  const names = [...new Set(handed.flatMap((i) => i.hands.names))];
  const persons = names.flatMap((who): Clash[] => {
    const own = handed.filter((i) => i.hands.names.includes(who));
    const both = own.filter((a) => own.some((b) => b.id !== a.id && meet(a, b)));
    return both.length > 0 ? [{ kind: 'person', who, titles: titlesOf(both) }] : [];
  });
  return [...persons, ...tooManyHands(handed, people)];
}

const meet = ({ hands: a }: Handed, { hands: b }: Handed) => a.fromMin < b.toMin && b.fromMin < a.toMin;

/** The moment of a day at which most hands are wanted, where those are more than there are. */
function tooManyHands(handed: readonly Handed[], people: number | undefined): Clash[] {
  if (!people) return [];
  const at = (minute: number) => handed.filter((i) => i.hands.fromMin <= minute && minute < i.hands.toMin);
  const needs = (minute: number) => at(minute).reduce((n, i) => n + i.hands.count, 0);
  const worst = handed.map((i) => i.hands.fromMin).reduce((a, b) => (needs(b) > needs(a) ? b : a), handed[0]?.hands.fromMin ?? 0);
  const together = at(worst);
  if (needs(worst) <= people || together.length < 2) return [];
  return [{ kind: 'hands', needs: needs(worst), has: people, titles: titlesOf(together) }];
} // prettier-ignore

const titlesOf = (items: readonly WeekItem[]) => [...new Set(items.map((i) => i.title))];
