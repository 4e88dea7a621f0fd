import { dayPlus, daysFrom, type Day } from '../calendar/day';
import { dliOf } from '../catalogue/knownPlants';
import { plantOf } from '../catalogue/entries';
import { materialOf, optionOf } from '../commission/lookup';
import { plantingOrigin } from '../commission/origin';
import type { Commission, Plant } from '../commission/schema';
import { bacteriaDays, bacteriaMlADay } from '../filling/bacteria';
import { gasFromDay, lateDevices } from '../gear/gear';
import { growthOf, trimDays } from '../growth/growth';
import type { Survey } from '../survey/survey';
import { halfFill, laterLayers } from '../takeoff/later';
import { rootTabs, TABS_LAST_DAYS } from '../takeoff/rootTabs';
import { inLitres, inMl, inMm } from '../words/measure';
import { say, type Text } from '../words/text';
import type { Gates } from './gates';
import { CARE_DAYS } from './waterSchools';

/** Animals are let into the new water drop by drop, min (common practice). */
const DRIP_MIN = { fish: 45, shrimps: 90 } as const;
/** Leaves that grew above water are lost about then (common practice). */
const MELT_AFTER = 10;
/** The three-month review, and how far ahead the plan looks. */
const REVIEW_AFTER = 90;
const LAST_DAY = 365;
/** A month after planting, gaps in the carpet are replanted. */
const GAPS_AFTER = 30;

/** Days to the first trim by habit, when the plant's entry does not say (common practice). */
const TRIM_AFTER: Partial<Record<NonNullable<Plant['habit']>, number>> = {
  stem: 21,
  carpet: 28,
  creeper: 28,
  grass: 35,
  moss: 42,
};

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
  commission: Commission,
  survey: Survey,
  gates: Gates | undefined,
): Map<number, Text[]> {
  const due: Event[] = [
    ...animalEvents(gates),
    ...waterEvents(commission, survey),
    ...gearEvents(commission, survey),
    ...plantEvents(commission, survey),
    ...stageEvents(commission, survey),
    { after: REVIEW_AFTER, what: say('event.review') },
  ];
  const events = new Map<number, Text[]>();
  for (const { after, what } of due) events.set(after, [...(events.get(after) ?? []), what]);
  return events;
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

/** Bacteria on the days after the build on which they are dosed. */
function waterEvents(commission: Commission, survey: Survey): Event[] {
  const dose = inMl(bacteriaMlADay(commission, survey.freeWaterL));
  const days = bacteriaDays(commission).filter((after) => after > 0);
  return days.map((after) => ({ after, what: say('event.bacteria', { dose }) }));
}

/** Gas that starts later, gear that comes late, root tabs that are used up. */
function gearEvents(commission: Commission, survey: Survey): Event[] {
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

/** First trims, gaps and melting leaves of what is new: what grows there already was cut before and will be again. */
function plantEvents(commission: Commission, survey: Survey): Event[] {
  const { plants } = optionOf(commission, survey.optionId);
  const fresh = plants.filter((p) => !p.laterDays && plantingOrigin(commission.brief, p) !== 'here');
  const kinds = [...new Set(fresh.map((p) => p.plant))].map((id) => plantOf(commission, id));
  const trims = kinds.flatMap((plant) => firstTrim(plant, commission.brief.co2));
  const emersed = fresh.filter((p) => p.form === 'emersed').map((p) => plantOf(commission, p.plant).name);
  const melting = [...new Set(emersed)];
  return [
    ...trims,
    ...(melting.length > 0 ? [{ after: MELT_AFTER, what: say('event.melt', { plants: melting }) }] : []),
    ...(kinds.some((k) => k.habit === 'carpet') ? [{ after: GAPS_AFTER, what: say('event.gaps') }] : []),
  ];
}

/** The first trim in the light that the plant wants, with the gas that there is: light at its spot is not asked here. */
function firstTrim(plant: Plant, co2: boolean): Event[] {
  const firstTrimDays = plant.firstTrimDays ?? (plant.habit && TRIM_AFTER[plant.habit]);
  const growth = growthOf(plant, { dli: dliOf(plant)[1], co2 });
  const [after] = trimDays({ ...plant, firstTrimDays }, growth, LAST_DAY);
  return after === undefined ? [] : [{ after, what: say('event.trim', { plant: plant.name }) }];
}

/** Layers and plants that were put off on purpose. */
function stageEvents(commission: Commission, survey: Survey): Event[] {
  const later = laterLayers(commission, survey);
  const { mm, outL } = later.length > 0 ? halfFill(commission, survey) : { mm: 0, outL: 0 };
  const layers = later.map(({ afterDays, litres, layer }) => ({
    after: afterDays,
    what: say('event.layer', {
      material: materialOf(commission, layer.material).name,
      litres: inLitres(litres),
      out: inLitres(outL, 0),
      height: inMm(mm),
    }),
  }));
  const { plants } = optionOf(commission, survey.optionId);
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
