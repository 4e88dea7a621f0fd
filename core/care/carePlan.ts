import { dayPlus, type Day } from '../calendar/day';
import { optionOf, plantOf } from '../commission/lookup';
import { dosingSchoolOf, waterSchoolOf } from '../commission/usual';
import type { Commission, DosingSchool, Plant, WaterSchool } from '../commission/schema';
import type { Survey } from '../survey/survey';
import { conditionerMl } from '../filling/conditioner';
import type { Finding } from '../words/finding';
import { inLitres } from '../words/measure';
import { say, type Text } from '../words/text';
import { rounded } from '../units/quantity';
import { DOSING_RULES, dosesOf, NOTHING_TO_FEED } from './dosing';
import { recipeFor } from '../filling/filling';
import type { Recipe } from '../water/recipe';
import { roSchedule, type RoSchedule } from '../water/roSchedule';
import { CO2_AHEAD_HOURS, lightOf, LIGHTS_ON_HOUR, type LightWeek } from './light';
import type { CareDay } from './careDay';
import { upkeepOf, type UpkeepPart } from './upkeep';
import { CARE_DAYS, SCHOOLS, type Change } from './waterSchools';

export interface CareWeek extends LightWeek {
  week: number;
  days: CareDay[];
  /** What the week asks of the client, min: as a whole, and part by part. */
  minutes: number;
  upkeep: UpkeepPart[];
  /** Minutes beyond what the keeper promised; 0 where nothing was promised. */
  overMin: number;
}

export interface CarePlan {
  buildDay: Day;
  until: Day;
  water: {
    school: WaterSchool;
    title: Text;
    rule: Text;
    /** The usual change, and the first, which one school makes larger. */
    litres: number;
    share: number;
    conditionerMl: number;
    /** What the usual change is mixed of on this site. */
    recipe: Recipe;
    first: { litres: number; share: number };
  };
  dosing: { school: DosingSchool; rule: Text; forLitres: number };
  light: { on: string; off: string; co2On?: string };
  stock: { shrimpsFrom: Day; fishFrom: Day; condition: Text };
  /** RO water: how the unit keeps up with the fill and every change; without a unit left out. */
  ro?: RoSchedule;
  weeks: CareWeek[];
  findings: Finding[];
}

/** Earliest days for animals, after the build (common practice: two weeks; three or more). */
const SHRIMPS_AFTER = 14;
const FISH_AFTER = 21;
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

/** The first eight weeks: dated water changes, light, dosing, tests, animals, trims, and what it asks. */
export function carePlan(commission: Commission, survey: Survey): CarePlan {
  const { brief } = commission;
  const school = waterSchoolOf(brief);
  const dosing = dosingSchoolOf(brief);
  const planted = optionOf(commission, survey.optionId).plants.length > 0;
  const changes = SCHOOLS[school].changes();
  // Plant food without plants feeds algae.
  const dosed = planted ? dosesOf(dosing, changes, CARE_DAYS) : [];
  const doses = new Map(dosed.map((d) => [d.afterDays, d.doses]));
  const tests = testDays(changes);
  const fishIn = school === 'fish-in';
  const events = eventsOf(commission, survey, tests, fishIn);
  const day = (afterDays: number): CareDay => {
    const change = changes.find((c) => c.afterDays === afterDays);
    return {
      day: dayPlus(brief.buildDay, afterDays),
      afterDays,
      ...(change ? { change: { litres: change.share * survey.freeWaterL, share: change.share } } : {}),
      doses: doses.get(afterDays) ?? 0,
      test: tests.includes(afterDays),
      events: events.get(afterDays) ?? [],
    };
  };
  const weeks = Array.from({ length: CARE_DAYS / 7 }, (_, i): CareWeek => {
    const days = Array.from({ length: 7 }, (_, d) => day(i * 7 + d + 1));
    const upkeep = upkeepOf(commission, survey, days, i + 1);
    const minutes = Math.round(upkeep.reduce((sum, p) => sum + p.minutes, 0));
    const overMin = Math.max(0, minutes - (brief.minutesAWeek ?? Infinity));
    return { week: i + 1, ...lightOf(commission, i + 1), days, minutes, upkeep, overMin };
  });
  const usual = changes[changes.length - 1];
  const ro = roOf(commission, survey, changes);
  const recipe = recipeFor(commission, usual.share * survey.freeWaterL);
  return {
    buildDay: brief.buildDay,
    until: dayPlus(brief.buildDay, CARE_DAYS),
    water: {
      school,
      title: SCHOOLS[school].title,
      rule: SCHOOLS[school].rule,
      share: usual.share,
      litres: usual.share * survey.freeWaterL,
      conditionerMl: conditionerMl(commission, tapOf(recipe)),
      recipe,
      first: { share: changes[0].share, litres: changes[0].share * survey.freeWaterL },
    },
    dosing: {
      school: dosing,
      rule: planted ? DOSING_RULES[dosing] : NOTHING_TO_FEED,
      forLitres: survey.freeWaterL,
    },
    light: hours(commission),
    stock: {
      shrimpsFrom: dayPlus(brief.buildDay, fishIn ? 0 : SHRIMPS_AFTER),
      fishFrom: dayPlus(brief.buildDay, fishIn ? 0 : fishGate(tests)),
      condition: say('stock.condition'),
    },
    ...(ro ? { ro } : {}),
    weeks,
    findings: [...minuteFindings(commission, weeks), ...roFindings(commission, ro)],
  };
}

function hours(commission: Commission): CarePlan['light'] {
  const clock = (h: number) => `${String(h).padStart(2, '0')}:00`;
  const off = LIGHTS_ON_HOUR + lightOf(commission, 1).hours;
  return {
    on: clock(LIGHTS_ON_HOUR),
    off: clock(off),
    ...(commission.brief.co2 ? { co2On: clock(LIGHTS_ON_HOUR - CO2_AHEAD_HOURS) } : {}),
  };
}

/** One test a week: the day furthest after a change, so that the reading is not that of fresh water. */
function testDays(changes: readonly Change[]): number[] {
  return Array.from({ length: CARE_DAYS / 7 }, (_, week) => {
    let best = { day: week * 7 + 4, since: -1 };
    for (let day = week * 7 + 1; day <= week * 7 + 7; day++) {
      if (changes.some((c) => c.afterDays === day)) continue;
      const last = Math.max(0, ...changes.map((c) => c.afterDays).filter((d) => d < day));
      if (day - last > best.since) best = { day, since: day - last };
    }
    return best.day;
  });
}

/** The day after the second test of those from the second week on, not before three weeks. */
function fishGate(tests: readonly number[]): number {
  const second = tests.filter((d) => d > 7)[1];
  return Math.max(FISH_AFTER, second + 1);
}

function eventsOf(
  commission: Commission,
  survey: Survey,
  tests: readonly number[],
  fishIn: boolean,
): Map<number, Text[]> {
  const events = new Map<number, Text[]>();
  const add = (afterDays: number, what: Text) => {
    if (afterDays <= CARE_DAYS) events.set(afterDays, [...(events.get(afterDays) ?? []), what]);
  };
  if (!fishIn) {
    add(SHRIMPS_AFTER, say('event.shrimps'));
    add(fishGate(tests), say('event.fish'));
  }
  const plants = new Set(optionOf(commission, survey.optionId).plants.map((p) => p.plant));
  for (const id of plants) {
    const plant = plantOf(commission, id);
    const after = plant.firstTrimDays ?? (plant.habit && TRIM_AFTER[plant.habit]);
    if (after !== undefined) add(after, say('event.trim', { plant: plant.name }));
  }
  if ([...plants].some((id) => plantOf(commission, id).habit === 'carpet'))
    add(GAPS_AFTER, say('event.gaps'));
  return events;
}

/** Tap water in a recipe, L: RO water needs no conditioner. */
function tapOf({ tapColdL, tapHotL }: Recipe): number {
  return tapColdL + tapHotL;
}

/** RO water of the first fill and of every change, by the water recipe. */
function roOf(commission: Commission, survey: Survey, changes: readonly Change[]): RoSchedule | undefined {
  const { ro } = commission.site ?? {};
  if (!ro) return undefined;
  const roL = (litres: number) => recipeFor(commission, litres).roL;
  const demands = [
    { afterDays: 0, litres: roL(survey.freeWaterL + survey.poreWaterL) },
    ...changes.map((c) => ({ afterDays: c.afterDays, litres: roL(c.share * survey.freeWaterL) })),
  ];
  return roSchedule(demands, ro.litresPerHour, ro.storageL);
}

function roFindings({ site }: Commission, ro: RoSchedule | undefined): Finding[] {
  const short = ro?.days.filter((d) => d.shortL > 0.5) ?? [];
  if (!ro || short.length === 0) return [];
  const [first] = short;
  const values = {
    day: first.afterDays,
    asked: inLitres(first.litres, 0),
    there: inLitres(first.storedL, 0),
  };
  return [
    {
      id: 'water.ro',
      severity: 'warn',
      at: { field: 'site.ro' },
      measured: rounded(first.storedL, 0),
      limit: rounded(first.litres, 0),
      unit: 'L',
      says:
        short.length === 1
          ? say('water.ro.says.one', values)
          : say('water.ro.says.many', { ...values, days: short.length }),
      because: say('water.ro.because', {
        needed: inLitres(ro.storeNeededL, 0),
        room: inLitres(site?.ro?.storageL ?? 0, 0),
      }),
      source: say('source.ro', { perDay: inLitres(ro.perDayL, 0) }),
    },
  ];
}

function minuteFindings({ brief }: Commission, weeks: readonly CareWeek[]): Finding[] {
  const promised = brief.minutesAWeek;
  const most = weeks.reduce((a, b) => (b.minutes > a.minutes ? b : a));
  if (promised === undefined || most.minutes <= promised) return [];
  return [
    {
      id: 'care.minutes',
      severity: 'warn',
      at: { field: 'brief.minutesAWeek' },
      measured: most.minutes,
      limit: rounded(promised, 0),
      unit: 'min',
      says: say('care.minutes.says', {
        minutes: most.minutes,
        week: most.week,
        promised: rounded(promised, 0),
      }),
      because: say('care.minutes.because'),
      source: say('source.brief'),
    },
  ];
}
