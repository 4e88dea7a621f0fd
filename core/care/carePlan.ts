import { DRY_START_NIGHTS } from '../buildDay/leftStanding';
import type { Planted } from '../planted/planted';
import { dayPlus, type Day } from '../calendar/day';
import { everythingStays } from '../commission/usual';
import { firstFill } from '../filling/firstFill';
import type { DosingSchool, WaterSchool } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { conditionerMl } from '../filling/conditioner';
import type { Finding } from '../words/finding';
import { inLitres, measure } from '../words/measure';
import { materialOfKind } from '../commission/lookup';
import { PRACTICE, say, type Text } from '../words/text';
import { rounded } from '../units/quantity';
import { plantFoodMl } from '../regime/dosing';
import { gasBegins } from '../regime/gas';
import { recipeFor } from '../filling/filling';
import type { Recipe } from '../water/recipe';
import { roSchedule, type RoSchedule } from '../water/roSchedule';
import { clocksOf, lightOf, MOST_LIGHT_HOURS, type LightWeek } from '../light/photoperiod';
import type { CareDay } from './careDay';
import { datesKept, guideWords, type DateKept, type GuideWords } from './guide';
import { eventsOf, laterOf, type LaterEvent } from './events';
import { stockOf, type StockGate } from '../regime/gates';
import { readingFindings } from '../regime/nitrogen';
import { regimeOf } from '../regime/regime';
import { amountOf, SUPPLY_NAMES, usedUp, type UsedUp } from '../regime/usedUp';
import { upkeepOf, type UpkeepPart } from './upkeep';
import { CARE_DAYS, SCHOOLS, type Change } from '../regime/waterSchools';

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
  /** Since when it stands planted and damp, where that is weeks before the water. */
  dryFrom?: Day;
  until: Day;
  /** How young it is, and what it wants for that. */
  says: Text;
  /** What else the guide says of this tank. */
  guide: GuideWords;
  /** What is to be done once, or on some days in a row. */
  dates: DateKept[];
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
  /** `mlADose` where plants are fed at all. */
  dosing: { school: DosingSchool; rule: Text; forLitres: number; mlADose?: number };
  /** `co2From` where gas comes days after the build. */
  light: { on: string; off: string; co2On?: string; co2From?: Day };
  /** What the build day and the eight weeks use up, and whose it is. */
  supplies: { kind: UsedUp['kind']; value: number; unit: UsedUp['unit']; isClients: boolean; says: Text }[];
  /** When animals that are to come may come; nothing where all that are wished for live there. */
  stock?: StockGate;
  /** RO water: how the unit keeps up with the fill and every change; without a unit left out. */
  ro?: RoSchedule;
  weeks: CareWeek[];
  /** What is due after the eight weeks, in order. */
  later: LaterEvent[];
  findings: Finding[];
}

/** What the guide asks of each planting: what it is, when it closes and when it is trimmed. */
export type Growing = Pick<Planted, 'id' | 'plant' | 'planting' | 'count' | 'netM2' | 'cover' | 'trims'>;

/** The day on which the first plants are set, where they stand damp until the water comes. */
function dryStart({ plantings, brief }: Resolved): Pick<CarePlan, 'dryFrom'> {
  const first = Math.min(0, ...[...plantings.values()].map((p) => p.onDay));
  return -first >= DRY_START_NIGHTS ? { dryFrom: dayPlus(brief.buildDay, first) } : {};
}

/** The first eight weeks: dated water changes, light, dosing, tests, animals, trims, and what it asks. */
export function carePlan(
  commission: Resolved,
  survey: Survey,
  parts: readonly Growing[],
  /** Days after the build on which a visit drains: that is the change of the day. */
  drainedOn: readonly number[] = [],
): CarePlan {
  const { brief } = commission;
  const regime = regimeOf(commission);
  const { water, changes, dosing, feeding, doses: dosed, tests, gates, read } = regime;
  const doses = new Map(dosed.map((d) => [d.afterDays, d.doses]));
  const events = eventsOf(commission, survey, gates, parts);
  const day = (afterDays: number): CareDay => {
    const change = drainedOn.includes(afterDays) ? undefined : changes.find((c) => c.afterDays === afterDays);
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
    const upkeep = upkeepOf(commission, parts, days);
    const minutes = Math.round(upkeep.reduce((sum, p) => sum + p.minutes, 0));
    const overMin = Math.max(0, minutes - (brief.minutesAWeek ?? Infinity));
    return { week: i + 1, ...lightOf(commission, i + 1), days, minutes, upkeep, overMin };
  });
  const last = changes[changes.length - 1];
  const ro = roOf(commission, survey, changes);
  const co2From = gasBegins(commission);
  const recipe = recipeFor(commission, last.share * survey.freeWaterL);
  return {
    buildDay: brief.buildDay,
    ...dryStart(commission),
    until: dayPlus(brief.buildDay, CARE_DAYS),
    says: say(everythingStays(brief) ? 'guide.grown' : brief.rescape ? 'guide.rescape' : 'guide.young', {
      day: { day: dayPlus(brief.buildDay, CARE_DAYS) },
    }),
    guide: guideWords(commission),
    dates: datesKept(weeks.flatMap((w) => w.days)),
    water: {
      school: water,
      title: SCHOOLS[water].title,
      rule: SCHOOLS[water].rule,
      share: last.share,
      litres: last.share * survey.freeWaterL,
      conditionerMl: conditionerMl(commission, tapOf(recipe)),
      recipe,
      first: { share: changes[0].share, litres: changes[0].share * survey.freeWaterL },
    },
    dosing: {
      school: dosing,
      rule: feeding,
      forLitres: survey.freeWaterL,
      ...(dosed.length > 0 ? { mlADose: plantFoodMl(commission, survey.freeWaterL) } : {}),
    },
    light: { ...clocksOf(commission), ...(co2From ? { co2From } : {}) },
    supplies: usedUp(commission, survey, regime).map((u) => supplyOf(commission, u)),
    ...(gates ? { stock: stockOf(brief, gates, read) } : {}),
    ...(ro ? { ro } : {}),
    weeks,
    later: laterOf(brief.buildDay, events),
    findings: [
      ...readingFindings(commission, read),
      ...minuteFindings(commission, weeks),
      ...lightFindings(weeks),
      ...roFindings(commission, ro),
    ],
  };
}

/** One of the things that are used up, as the client reads it. */
function supplyOf(commission: Resolved, used: UsedUp): CarePlan['supplies'][number] {
  const { kind, unit, isClients } = used;
  const value = amountOf(used);
  const what = materialOfKind(commission, kind)?.name ?? SUPPLY_NAMES[kind];
  const amount = unit === 'piece' ? rounded(value, 0) : measure(unit, 0)(value);
  return {
    kind,
    value,
    unit,
    isClients,
    says: say(isClients ? 'supply.clients' : 'supply.takes', { what, amount }),
  };
}

/** Tap water in a recipe, L: RO water needs no conditioner. */
function tapOf({ tapColdL, tapHotL }: Recipe): number {
  return tapColdL + tapHotL;
}

/** RO water of the first fill and of every change, by the water recipe. */
function roOf(commission: Resolved, survey: Survey, changes: readonly Change[]): RoSchedule | undefined {
  const { ro } = commission.site ?? {};
  if (!ro) return undefined;
  const roL = (litres: number) => recipeFor(commission, litres).roL;
  const demands = [
    { afterDays: 0, litres: roL(firstFill(commission, survey).newL) },
    ...changes.map((c) => ({ afterDays: c.afterDays, litres: roL(c.share * survey.freeWaterL) })),
  ];
  return roSchedule(demands, ro.litresPerHour, ro.storageL);
}

function roFindings({ site }: Resolved, ro: RoSchedule | undefined): Finding[] {
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

/** More light than the first months bear. */
function lightFindings(weeks: readonly CareWeek[]): Finding[] {
  const hours = Math.max(...weeks.map((w) => w.hours));
  if (hours <= MOST_LIGHT_HOURS) return [];
  return [
    {
      id: 'care.light',
      severity: 'warn',
      at: { field: 'brief.care' },
      measured: rounded(hours, 1),
      limit: MOST_LIGHT_HOURS,
      unit: 'h',
      says: say('care.light.says', { hours: rounded(hours, 1) }),
      because: say('care.light.because', { most: MOST_LIGHT_HOURS }),
      source: PRACTICE,
    },
  ];
}

function minuteFindings({ brief }: Resolved, weeks: readonly CareWeek[]): Finding[] {
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
