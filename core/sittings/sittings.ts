import { daysFrom, type Day } from '../calendar/day';
import { say, type Said } from '../words/text';
import { startTimeOf } from '../commission/usual';
import type { Brief, Site, SittingKind } from '../commission/schema';
import { BUILD } from '../commission/sittingSchema';

/*
 * The sittings of a commission, in the order in which they are held: those of its list, and among them the build day, on
 * which the water goes in. Nothing else reads the list.
 */

export { BUILD };

/** A part of the work with a day of its own. */
export interface Sitting {
  id: string;
  kind: SittingKind | typeof BUILD;
  title?: string;
  day: Day;
  /** Days before the build day; negative after it. */
  aheadDays: number;
  start: string;
  crew: number;
  /** At the studio, and not where the tank is to stand. */
  isAway: boolean;
  /** When the house is open; the studio always is. */
  hours?: readonly [string, string];
  limitMin?: number;
  /** Tasks that were said to belong to it. */
  tasks: readonly string[];
  note?: string;
}

/** What the sittings are read from. */
export interface OfSittings {
  brief: Brief;
  site?: Pick<Site, 'hours'>;
}

/** Every thing of a scape asks for its sitting: made once for a brief. */
const made = new WeakMap<Brief, { hours: unknown; all: readonly Sitting[] }>();

/**
 * All of them, the soonest first, the build day in its place.
 * Valid for any brief: without a list it is the one day. Leaves out: visits that follow from things laid or planted later.
 * Test: sittings.test.ts, "are the build day alone where nobody said more".
 */
export function sittingsOf(of: OfSittings): readonly Sitting[] {
  const known = made.get(of.brief);
  if (known && known.hours === of.site?.hours) return known.all;
  const all = listed(of);
  made.set(of.brief, { hours: of.site?.hours, all });
  return all;
}

function listed({ brief, site }: OfSittings): Sitting[] {
  const { buildDay, crew, sittings = [], buildTasks = [] } = brief;
  const start = startTimeOf(brief);
  const house = site?.hours;
  const all: Sitting[] = [
    { id: BUILD, kind: BUILD, day: buildDay, aheadDays: 0, start, crew, isAway: false, ...(house ? { hours: house } : {}), tasks: buildTasks }, // prettier-ignore
    ...sittings.map((s): Sitting => {
      const isAway = s.place === 'studio';
      const hours = s.hours ?? (isAway ? undefined : house);
      return {
        id: s.id,
        kind: s.kind,
        ...(s.title ? { title: s.title } : {}),
        day: s.day,
        aheadDays: daysFrom(s.day, buildDay),
        start: s.start ?? start,
        crew: s.crew ?? crew,
        isAway,
        ...(hours ? { hours } : {}),
        ...(s.limitMin ? { limitMin: s.limitMin } : {}),
        tasks: s.tasks ?? [],
        ...(s.note ? { note: s.note } : {}),
      };
    }),
  ];
  return all.sort((a, b) => a.day.localeCompare(b.day) || rank(a) - rank(b) || a.start.localeCompare(b.start)); // prettier-ignore
}

/** On its day the build comes last: nothing is built after the water; an hour that is later clashes with it, and is said. */
const rank = ({ kind }: Sitting) => Number(kind === BUILD);

/** Those in which the scape is built: up to the build day and with it. */
export function buildingOf(of: OfSittings): Sitting[] {
  const all = sittingsOf(of);
  return all.slice(0, all.findIndex((s) => s.id === BUILD) + 1);
}

/** Those after it, on which more is done. */
export function afterwardsOf(of: OfSittings): Sitting[] {
  const all = sittingsOf(of);
  return all.slice(all.findIndex((s) => s.id === BUILD) + 1);
}

/** What a sitting is called: as the studio calls it, otherwise by its kind. */
export function sittingTitle({ kind, title }: Pick<Sitting, 'kind' | 'title'>): Said {
  return title ?? say(`sitting.${kind}`);
}
