import { dayPlus, daysFrom, type Day } from '../calendar/day';
import { plantingOf, type Resolved } from '../resolved/resolved';
import { bacteriaDays, bacteriaMlADay } from '../regime/bacteria';
import { lateDevices } from '../gear/gear';
import { dated, type LaterWork } from '../regime/afterwards';
import { gasFrom } from '../regime/gas';
import type { Survey } from '../survey/survey';
import { halfFill, laterLayers } from '../takeoff/later';
import { rootTabs, TABS_LAST_DAYS } from '../takeoff/rootTabs';
import { inLitres, inMl, inMm } from '../words/measure';
import { waitingAnimals } from '../visit/waiting';
import { say, type Text } from '../words/text';
import type { Growing } from './carePlan';
import type { Gates } from '../regime/gates';
import { backWork } from '../regime/back';
import { CARE_DAYS } from '../regime/waterSchools';

/** Animals are let into the new water drop by drop, min (common practice). */
const DRIP_MIN = { fish: 45, shrimps: 90 } as const;
/** The three-month review, and how far ahead the plan looks. */
const REVIEW_AFTER = 90;
const LAST_DAY = 365;

/** Something that is due once; what only has to be there first has no words. */
interface Event extends LaterWork {
  what?: Text;
}

/** Something that is due after the weeks that are shown day by day. */
export interface LaterEvent {
  day: Day;
  afterDays: number;
  what: Text;
}

/** Everything that happens once, by the day after the build on which it is due. */
export function eventsOf(
  commission: Resolved,
  survey: Survey,
  gates: Gates | undefined,
  parts: readonly Growing[],
): Map<number, Text[]> {
  const due = dated([
    ...animalEvents(gates),
    ...backEvents(commission, survey),
    ...waterEvents(commission, survey),
    ...gearEvents(commission, survey),
    ...plantEvents(commission, parts),
    ...stageEvents(commission, survey),
    once('review', REVIEW_AFTER, say('event.review')),
    ...occasionEvents(commission),
  ]);
  const events = new Map<number, Text[]>();
  for (const { day, what } of due) if (what) events.set(day, [...(events.get(day) ?? []), what]);
  return events;
}

/** What is due on a day of its own. */
function once(kind: Event['kind'], ownDay: number, what: Text): Event {
  return { kind, things: [], ownDay, what };
}

/** The day for which it is all made, where it lies after the build. */
function occasionEvents({ brief: { occasion, buildDay } }: Resolved): Event[] {
  if (!occasion?.day) return [];
  const after = daysFrom(buildDay, occasion.day);
  const kind = say(`occasion.${occasion.kind}`);
  const what = occasion.note ? say('occasion.noted', { kind, note: occasion.note }) : kind;
  return after > 0 && after <= LAST_DAY ? [once('occasion', after, say('event.occasion', { what }))] : [];
}

/** Animals that are to come; on the build day itself nothing is said twice. */
function animalEvents(gates: Gates | undefined): Event[] {
  if (!gates) return [];
  const { shrimps, fish, wanted } = gates;
  const all = [
    {
      wanted: wanted.shrimps,
      event: once('shrimps', shrimps, say('event.shrimps', { minutes: DRIP_MIN.shrimps })),
    },
    { wanted: wanted.fish, event: once('fish', fish, say('event.fish', { minutes: DRIP_MIN.fish })) },
  ];
  return all.filter((e) => e.wanted && e.event.ownDay > 0).map((e) => e.event);
}

/** Animals that were elsewhere come back the day after the early readings. */
function backEvents(commission: Resolved, survey: Survey): Event[] {
  const waiting = waitingAnimals(commission, survey);
  if (waiting?.where !== 'elsewhere') return [];
  const [early, back] = backWork();
  return [early, { ...back, what: say('event.back', { count: waiting.animals }) }];
}

/** Bacteria on the days after the build on which they are dosed. */
function waterEvents(commission: Resolved, survey: Survey): Event[] {
  const dose = inMl(bacteriaMlADay(commission, survey.freeWaterL));
  const days = bacteriaDays(commission).filter((after) => after > 0);
  return days.map((after) => once('bacteria', after, say('event.bacteria', { dose })));
}

/** A device that comes on a visit, in another's place where it was said. */
function comesWords({ gear }: Resolved, device: string, replaces: string | undefined): Text {
  const old = gear.find((g) => g.id === replaces);
  return old ? say('event.gear.swap', { device, old: old.name }) : say('event.gear', { device });
}

/** Gas that starts later, gear that comes late, root tabs that are used up. */
function gearEvents(commission: Resolved, survey: Survey): Event[] {
  const { brief } = commission;
  const gas = gasFrom(commission)?.day ?? 0;
  const tabs = rootTabs(commission, survey);
  const renewals = tabs > 0 ? Math.floor(LAST_DAY / TABS_LAST_DAYS) : 0;
  return [
    ...(gas > 0 ? [once('gas', gas, say('event.gas'))] : []),
    ...lateDevices(commission).map(({ name, device }) =>
      once(
        'arrives',
        daysFrom(brief.buildDay, device.arrives!),
        comesWords(commission, name, device.replaces),
      ),
    ),
    ...Array.from({ length: renewals }, (_, i) =>
      once('tabs', (i + 1) * TABS_LAST_DAYS, say('event.tabs', { count: tabs })),
    ),
  ];
}

/**
 * First trims, gaps, closing and melting leaves of what is new, as planting has worked them out: what grows there already was
 * cut before and will be again.
 */
function plantEvents(commission: Resolved, parts: readonly Growing[]): Event[] {
  const fresh = parts.filter((p) => p.count > 0 && plantingOf(commission, p.id).origin !== 'here');
  const set = fresh.map((p) => ({
    kind: 'set' as const,
    things: [p.id],
    ownDay: plantingOf(commission, p.id).laterDays,
  }));
  return [...set, ...trimEvents(fresh), ...meltEvents(set, fresh), ...carpetEvents(set, fresh)];
}

/** The first trim of each plant, of the planting that asks for it soonest. */
function trimEvents(fresh: readonly Growing[]): Event[] {
  const firsts = new Map<string, Event>();
  for (const { id, plant, trims } of fresh) {
    const [after] = trims;
    if (after === undefined || after >= (firsts.get(plant.id)?.ownDay ?? Infinity)) continue;
    firsts.set(plant.id, {
      kind: 'trimmed',
      things: [id],
      ownDay: after,
      what: say('event.trim', { plant: plant.name }),
    });
  }
  return [...firsts.values()];
}

/** Leaves that grew above water and change: those that would only melt are cut off before planting. What is set together melts together. */
function meltEvents(set: readonly Event[], fresh: readonly Growing[]): Event[] {
  const melting = fresh.filter(
    ({ plant, planting }) => planting.form === 'emersed' && plant.emersedLeaves === 'change',
  );
  return setTogether(set, melting).map((together) => ({
    kind: 'melts',
    things: together.map((p) => p.id),
    ownDay: 0,
    what: say('event.melt', { plants: [...new Set(together.map((p) => p.plant.name))] }),
  }));
}

/** Gaps of a carpet that has not closed by then, and the day on which it has; plantings of one plant that close together are one. */
function carpetEvents(set: readonly Event[], fresh: readonly Growing[]): Event[] {
  const carpets = fresh.filter((p) => p.plant.habit === 'carpet' && p.cover);
  const last = (p: Growing) => Math.round(p.cover!.days);
  const gaps = (p: readonly Growing[]): Event => ({ kind: 'gaps', things: p.map((c) => c.id), ownDay: 0 });
  const gapsOn = (p: Growing) => dated([...set, gaps([p])]).at(-1)!.day;
  const open = carpets.filter((p) => last(p) > gapsOn(p));
  const closing = new Map(
    carpets
      .filter((p) => last(p) > 0 && last(p) <= LAST_DAY)
      .map((p): [string, Event] => [
        `${last(p)} ${p.plant.id}`,
        {
          kind: 'closed',
          things: [p.id],
          ownDay: last(p),
          what: say('event.cover', { plant: p.plant.name }),
        },
      ]),
  );
  return [
    ...setTogether(set, open).map((together) => ({ ...gaps(together), what: say('event.gaps') })),
    ...closing.values(),
  ];
}

/** Some plantings by the day on which they are set. */
function setTogether(set: readonly Event[], plantings: readonly Growing[]): Growing[][] {
  const dayOf = (p: Growing) => set.find((s) => s.things.includes(p.id))!.ownDay;
  const days = [...new Set(plantings.map(dayOf))];
  return days.map((day) => plantings.filter((p) => dayOf(p) === day));
}

/** Layers and plants that were put off on purpose. */
function stageEvents(commission: Resolved, survey: Survey): Event[] {
  const later = laterLayers(commission, survey);
  const { mm, outL } = later.length > 0 ? halfFill(commission, survey) : { mm: 0, outL: 0 };
  const layers = later.map(({ laterDays, litres, name }) => {
    const amounts = { litres: inLitres(litres), out: inLitres(outL, 0), height: inMm(mm) };
    return once('laid', laterDays, say('event.layer', { material: name, ...amounts }));
  });
  const planted = [...commission.plantings.values()].flatMap(({ plant, laterDays }) =>
    laterDays > 0 ? [once('set', laterDays, say('event.plant', { plant: plant.name }))] : [],
  );
  return [...layers, ...planted];
}

/** What comes after the weeks that are shown day by day. */
export function laterOf(buildDay: Day, events: ReadonlyMap<number, Text[]>): LaterEvent[] {
  return [...events]
    .filter(([afterDays]) => afterDays > CARE_DAYS)
    .sort(([a], [b]) => a - b)
    .flatMap(([afterDays, whats]) =>
      whats.map((what) => ({ day: dayPlus(buildDay, afterDays), afterDays, what })),
    );
}
