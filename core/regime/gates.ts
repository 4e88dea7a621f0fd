import { dayPlus, type Day } from '../calendar/day';
import { animalsOf, filterStateOf, waterSchoolOf } from '../commission/usual';
import type { Resolved } from '../resolved/resolved';
import { say, type Text } from '../words/text';
import { heldUntil, type NitrogenRead } from './nitrogen';

/** Earliest days for animals, after the build (common practice: two weeks; three or more). */
const SHRIMPS_AFTER = 14;
const FISH_AFTER = 21;
/** Days from which animals may come: at once on a mature filter, sooner on a seeded one. */
export interface Gates {
  shrimps: number;
  fish: number;
  wanted: { shrimps: boolean; fish: boolean };
}

/** A seeded filter is as far in half the time (common practice). */
const SEEDED_SHARE = 0.5;
/** On a mature filter they come once a reading of the new water is zero (common practice). */
const MATURE_AFTER = 1;

/** Zero readings that are asked for before animals come. */
const zerosWanted = (brief: Resolved['brief']) => (filterStateOf(brief) === 'mature' ? 1 : 2);

/**
 * Nothing where every animal of the brief lives in it already. A brief without any asks for the guide's usual days.
 * A reading of the log that is not zero puts them off until as many are.
 */
export function gatesOf(
  commission: Resolved,
  tests: readonly number[],
  fishIn: boolean,
  read: NitrogenRead,
): Gates | undefined {
  const { brief } = commission;
  const { coming } = animalsOf(brief);
  // Of whom nobody has said anything it is said when they could come; those that leave say that somebody did.
  const stock = brief.livestock ?? [];
  if (stock.length > 0 && coming.length === 0) return undefined;
  const kindOf = (species: string) => commission.animals.get(species)?.kind ?? 'fish';
  const kinds = coming.map((s) => kindOf(s.species));
  const wanted = {
    shrimps: stock.length === 0 || kinds.some((k) => k !== 'fish'),
    fish: stock.length === 0 || kinds.includes('fish'),
  };
  const later = (kind: 'fish' | 'other') =>
    Math.max(0, ...coming.filter((s) => (kindOf(s.species) === 'fish') === (kind === 'fish')).map((s) => s.laterDays ?? 0)); // prettier-ignore
  const least = leastDays(filterStateOf(brief), tests, fishIn);
  const held = heldUntil(commission, read, tests, zerosWanted(brief));
  return {
    shrimps: Math.max(least.shrimps, held, later('other')),
    fish: Math.max(least.fish, held, later('fish')),
    wanted,
  };
}

/** When animals that are to come may come, and on what condition. */
export interface StockGate {
  shrimpsFrom?: Day;
  fishFrom?: Day;
  says: Text;
}

export function stockOf(
  brief: Resolved['brief'],
  { shrimps, fish, wanted }: Gates,
  { zeros }: NitrogenRead,
): StockGate {
  const [shrimpsFrom, fishFrom] = [dayPlus(brief.buildDay, shrimps), dayPlus(brief.buildDay, fish)];
  const condition = conditionOf(brief, zeros);
  const values = { shrimps: { day: shrimpsFrom }, fish: { day: fishFrom }, condition };
  return {
    ...(wanted.shrimps ? { shrimpsFrom } : {}),
    ...(wanted.fish ? { fishFrom } : {}),
    says:
      wanted.shrimps && wanted.fish
        ? say('stock.both', values)
        : wanted.fish
          ? say('stock.fish', values)
          : say('stock.shrimps', values),
  };
}

/** What has to be read first, or when it was. */
function conditionOf(brief: Resolved['brief'], zeros: readonly Day[]): Text {
  // With fish in from the first day nothing is waited for: what is read says what is done.
  if (waterSchoolOf(brief) === 'fish-in') return say('stock.condition.fish-in');
  const mature = filterStateOf(brief) === 'mature';
  const [before, last] = [zeros.at(-2), zeros.at(-1)];
  if (mature) return last ? say('stock.read.once', { day: { day: last } }) : say('stock.condition.mature');
  return before && last
    ? say('stock.read.twice', { first: { day: before }, second: { day: last } })
    : say('stock.condition');
}

function leastDays(
  filter: ReturnType<typeof filterStateOf>,
  tests: readonly number[],
  fishIn: boolean,
): { shrimps: number; fish: number } {
  if (fishIn) return { shrimps: 0, fish: 0 };
  if (filter === 'mature') return { shrimps: MATURE_AFTER, fish: MATURE_AFTER };
  const fish = fishGate(tests);
  if (filter === 'new') return { shrimps: SHRIMPS_AFTER, fish };
  return { shrimps: Math.ceil(SHRIMPS_AFTER * SEEDED_SHARE), fish: Math.ceil(fish * SEEDED_SHARE) };
}

/** The day after the second test of those from the second week on, not before three weeks. */
function fishGate(tests: readonly number[]): number {
  const second = tests.filter((d) => d > 7)[1];
  return Math.max(FISH_AFTER, second + 1);
}
