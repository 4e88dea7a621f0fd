import { layerName } from '../commission/origin';
import { dayPlus, daysFrom, type Day } from '../calendar/day';
import { plantOf } from '../catalogue/entries';
import { plantingOf, type Resolved } from '../resolved/resolved';
import { bacteriaDays, bacteriaMlADay } from '../regime/bacteria';
import { gasFromDay, lateDevices } from '../gear/gear';
import type { Survey } from '../survey/survey';
import { halfFill, laterLayers } from '../takeoff/later';
import { rootTabs, TABS_LAST_DAYS } from '../takeoff/rootTabs';
import { inLitres, inMl, inMm } from '../words/measure';
import { waitingAnimals } from '../visit/waiting';
import { say, type Text } from '../words/text';
import type { Growing } from './carePlan';
import type { Gates } from '../regime/gates';
import { earlyTests } from '../regime/testDays';
import { CARE_DAYS } from '../regime/waterSchools';

/** Animals are let into the new water drop by drop, min (common practice). */
const DRIP_MIN = { fish: 45, shrimps: 90 } as const;
/** Leaves that grew above water are lost about then (common practice). */
const MELT_AFTER = 10;
/** The three-month review, and how far ahead the plan looks. */
const REVIEW_AFTER = 90;
const LAST_DAY = 365;
/** A month after planting, gaps in the carpet are replanted. */
const GAPS_AFTER = 30;

/** Something that is due once, days after the build. */
interface Event {
  after: number;
  what: Text;
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
  const due: Event[] = [
    ...animalEvents(gates),
    ...backEvents(commission, survey),
    ...waterEvents(commission, survey),
    ...gearEvents(commission, survey),
    ...plantEvents(commission, parts),
    ...stageEvents(commission, survey),
    { after: REVIEW_AFTER, what: say('event.review') },
    ...occasionEvents(commission),
  ];
  const events = new Map<number, Text[]>();
  for (const { after, what } of due) events.set(after, [...(events.get(after) ?? []), what]);
  return events;
}

/** The day for which it is all made, where it lies after the build. */
function occasionEvents({ brief: { occasion, buildDay } }: Resolved): Event[] {
  if (!occasion?.day) return [];
  const after = daysFrom(buildDay, occasion.day);
  const kind = say(`occasion.${occasion.kind}`);
  const what = occasion.note ? say('occasion.noted', { kind, note: occasion.note }) : kind;
  return after > 0 && after <= LAST_DAY ? [{ after, what: say('event.occasion', { what }) }] : [];
}

/** Animals that are to come; on the build day itself nothing is said twice. */
function animalEvents(gates: Gates | undefined): Event[] {
  if (!gates) return [];
  const { shrimps, fish, wanted } = gates;
  const all = [
    { wanted: wanted.shrimps, after: shrimps, what: say('event.shrimps', { minutes: DRIP_MIN.shrimps }) },
    { wanted: wanted.fish, after: fish, what: say('event.fish', { minutes: DRIP_MIN.fish }) },
  ];
  return all.filter((e) => e.wanted && e.after > 0);
}

/** Animals that were elsewhere come back the day after the early readings. */
function backEvents(commission: Resolved, survey: Survey): Event[] {
  const waiting = waitingAnimals(commission, survey);
  if (waiting?.where !== 'elsewhere') return [];
  return [
    { after: Math.max(...earlyTests(commission)) + 1, what: say('event.back', { count: waiting.animals }) },
  ];
}

/** Bacteria on the days after the build on which they are dosed. */
function waterEvents(commission: Resolved, survey: Survey): Event[] {
  const dose = inMl(bacteriaMlADay(commission, survey.freeWaterL));
  const days = bacteriaDays(commission).filter((after) => after > 0);
  return days.map((after) => ({ after, what: say('event.bacteria', { dose }) }));
}

/** Gas that starts later, gear that comes late, root tabs that are used up. */
function gearEvents(commission: Resolved, survey: Survey): Event[] {
  const { brief } = commission;
  const gas = gasFromDay(commission) ?? 0;
  const tabs = rootTabs(commission, survey);
  const renewals = tabs > 0 ? Math.floor(LAST_DAY / TABS_LAST_DAYS) : 0;
  return [
    ...(gas > 0 ? [{ after: gas, what: say('event.gas') }] : []),
    ...lateDevices(commission).map(({ name, device }) => ({
      after: daysFrom(brief.buildDay, device.arrives!),
      what: say('event.gear', { device: name }),
    })),
    ...Array.from({ length: renewals }, (_, i) => ({
      after: (i + 1) * TABS_LAST_DAYS,
      what: say('event.tabs', { count: tabs }),
    })),
  ];
}

/**
 * First trims, gaps, closing and melting leaves of what is new, as planting has worked them out: what grows there already was
 * cut before and will be again.
 */
function plantEvents(commission: Resolved, parts: readonly Growing[]): Event[] {
  const fresh = parts.filter((p) => p.count > 0 && plantingOf(commission, p.id).origin !== 'here');
  const firsts = new Map<string, Event>();
  for (const { plant, trims } of fresh) {
    const [after] = trims;
    if (after === undefined || after >= (firsts.get(plant.id)?.after ?? Infinity)) continue;
    firsts.set(plant.id, { after, what: say('event.trim', { plant: plant.name }) });
  }
  return [...firsts.values(), ...meltEvents(fresh), ...carpetEvents(fresh)];
}

/** Leaves that grew above water and change: those that would only melt are cut off before planting. */
function meltEvents(fresh: readonly Growing[]): Event[] {
  const melting = fresh.filter(
    ({ plant, planting }) => planting.form === 'emersed' && plant.emersedLeaves === 'change',
  );
  const days = [...new Set(melting.map((p) => p.planting.laterDays ?? 0))];
  return days.map((later) => {
    const plants = melting.filter((p) => (p.planting.laterDays ?? 0) === later).map((p) => p.plant.name);
    return { after: later + MELT_AFTER, what: say('event.melt', { plants: [...new Set(plants)] }) };
  });
}

/** Gaps of a carpet that has not closed by then, and the day on which it has; plantings of one plant that close together are one. */
function carpetEvents(fresh: readonly Growing[]): Event[] {
  const carpets = fresh.filter((p) => p.plant.habit === 'carpet' && p.cover);
  const last = (p: Growing) => Math.round(p.cover!.days);
  const gapsOn = (p: Growing) => GAPS_AFTER + (p.planting.laterDays ?? 0);
  const open = carpets.filter((p) => last(p) > gapsOn(p));
  const closing = new Map(
    carpets
      .filter((p) => last(p) > 0 && last(p) <= LAST_DAY)
      .map((p) => [
        `${last(p)} ${p.plant.id}`,
        { after: last(p), what: say('event.cover', { plant: p.plant.name }) },
      ]),
  );
  return [
    ...[...new Set(open.map(gapsOn))].map((after) => ({ after, what: say('event.gaps') })),
    ...closing.values(),
  ];
}

/** Layers and plants that were put off on purpose. */
function stageEvents(commission: Resolved, survey: Survey): Event[] {
  const later = laterLayers(commission, survey);
  const { mm, outL } = later.length > 0 ? halfFill(commission, survey) : { mm: 0, outL: 0 };
  const layers = later.map(({ afterDays, litres, layer }) => ({
    after: afterDays,
    what: say('event.layer', {
      material: layerName(commission, layer),
      litres: inLitres(litres),
      out: inLitres(outL, 0),
      height: inMm(mm),
    }),
  }));
  const { plants } = commission.option;
  const planted = plants.flatMap(({ plant, laterDays }) =>
    laterDays
      ? [{ after: laterDays, what: say('event.plant', { plant: plantOf(commission, plant).name }) }]
      : [],
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
