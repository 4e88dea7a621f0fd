import { dayPlus, type Day } from '../calendar/day';
import { animalsOf, filterStateOf, waterSchoolOf } from '../commission/usual';
import type { Resolved } from '../resolved/resolved';
import { say, type Text } from '../words/text';
import { dated, type LaterWork } from './afterwards';
import { heldUntil, type NitrogenRead } from './nitrogen';

/** Days after the build from which a new filter carries them (common practice: two weeks; three or more). */
const CARRIES_AFTER = { shrimps: 14, fish: 21 } as const;
/** A seeded filter is as far in half the time (common practice). */
const SEEDED_SHARE = 0.5;
/** On a mature filter they come once a reading of the new water is zero (common practice). */
const MATURE_AFTER = 1;

type Newcomers = 'shrimps' | 'fish';
const NEWCOMERS: readonly Newcomers[] = ['shrimps', 'fish'];

/** Days from which animals may come: at once on a mature filter, sooner on a seeded one; and why not earlier. */
export interface Gates extends Record<Newcomers, number> {
  wanted: Record<Newcomers, boolean>;
  why: Partial<Record<Newcomers, Text>>;
}

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
  const kindOf = (species: string): Newcomers =>
    (commission.animals.get(species)?.kind ?? 'fish') === 'fish' ? 'fish' : 'shrimps';
  const held = heldUntil(commission, read, tests, zerosWanted(brief));
  const works = dated([
    ...filterWorks(filterStateOf(brief), tests, fishIn),
    ...(held > 0 ? [{ kind: 'held' as const, things: NEWCOMERS, ownDay: held - 1 }] : []),
    ...NEWCOMERS.map((kind) => ({
      kind,
      things: [kind],
      ownDay: Math.max(0, ...coming.filter((s) => kindOf(s.species) === kind).map((s) => s.laterDays ?? 0)),
    })),
  ]);
  const fallsOf = (kind: Newcomers) => works.find((w) => w.kind === kind)!;
  const isWanted = (kind: Newcomers) => stock.length === 0 || coming.some((s) => kindOf(s.species) === kind);
  const [shrimps, fish] = NEWCOMERS.map(fallsOf);
  return {
    shrimps: shrimps.day,
    fish: fish.day,
    wanted: { shrimps: isWanted('shrimps'), fish: isWanted('fish') },
    why: {
      ...(shrimps.because ? { shrimps: shrimps.because } : {}),
      ...(fish.because ? { fish: fish.because } : {}),
    },
  };
}

/** When animals that are to come may come, and on what condition. */
export interface StockGate {
  shrimpsFrom?: Day;
  fishFrom?: Day;
  says: Text;
  /** Why not earlier, each reason once. */
  why: Text[];
}

export function stockOf(
  brief: Resolved['brief'],
  { shrimps, fish, wanted, why }: Gates,
  { zeros }: NitrogenRead,
): StockGate {
  const [shrimpsFrom, fishFrom] = [dayPlus(brief.buildDay, shrimps), dayPlus(brief.buildDay, fish)];
  const condition = conditionOf(brief, zeros);
  const values = { shrimps: { day: shrimpsFrom }, fish: { day: fishFrom }, condition };
  return {
    ...(wanted.shrimps ? { shrimpsFrom } : {}),
    ...(wanted.fish ? { fishFrom } : {}),
    why: [...new Set(NEWCOMERS.flatMap((kind) => (wanted[kind] ? (why[kind] ?? []) : [])))],
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

/** What of the filter has to be there first: time to carry them, and for fish the second test from the second week on. */
function filterWorks(
  filter: ReturnType<typeof filterStateOf>,
  tests: readonly number[],
  fishIn: boolean,
): LaterWork[] {
  if (fishIn) return [];
  if (filter === 'mature') return [{ kind: 'matured', things: NEWCOMERS, ownDay: MATURE_AFTER }];
  const share = filter === 'new' ? 1 : SEEDED_SHARE;
  const second = tests.filter((d) => d > 7)[1];
  return [
    ...NEWCOMERS.map((kind) => ({ kind: 'matured' as const, things: [kind], ownDay: Math.ceil(CARRIES_AFTER[kind] * share) })), // prettier-ignore
    { kind: 'zeros', things: ['fish'], ownDay: Math.ceil((second + 1) * share) - 1 },
  ];
}
