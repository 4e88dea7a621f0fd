import { grownHeightMm, grownSpreadMm } from '../catalogue/sizes';
import { dliOf } from '../catalogue/knownPlants';
import type { Plant } from '../commission/schema';

/** What a plant has at its spot. */
export interface Conditions {
  /** Light of a day, mol/m². */
  dli: number;
  co2: boolean;
  /** As it comes: what was grown above water stands still while it changes its leaves. */
  form?: 'tissue' | 'emersed' | 'running';
  /** Days that it stands in damp air before the water comes: a dry start. */
  dryDays?: number;
}

/** How a plant grows at its spot. */
export interface Growth {
  /** Against what it does with all that it wants: 0 starves, 1 is as well as it can. */
  factor: number;
  /** Days until it begins to grow. */
  restsDays: number;
  /** What the radius of a plug has gained in damp air by the day from which days are counted, mm. */
  grownMm: number;
  /** How fast the radius of a plug and the height grow, mm a week. */
  spreadMmAWeek: number;
  heightMmAWeek: number;
}

type Rate = NonNullable<Plant['growth']>;
type Habit = NonNullable<Plant['habit']>;
/** Radius and height that plants gain in a week with all they want, mm (common practice, from the weeks that carpets and stems usually take). */
const SPREAD: Record<Rate, number> = { slow: 1.6, medium: 3.2, fast: 6 };
const TALLER: Record<Rate, number> = { slow: 8, medium: 22, fast: 55 };
/** Of that what grows upright rather than along the ground, and the other way round. */
const UPRIGHT: Partial<Record<Habit, number>> = {
  carpet: 0.25,
  creeper: 0.35,
  moss: 0.25,
  float: 0.1,
  epiphyte: 0.5,
  rosette: 0.6,
};
const SPREADING: Partial<Record<Habit, number>> = {
  stem: 0.7,
  bulb: 0.8,
  rosette: 0.9,
  epiphyte: 0.5,
  moss: 0.8,
  float: 1.6,
};
/** Days of rest after planting (common practice). */
const RESTS: Record<NonNullable<Conditions['form']>, number> = { tissue: 7, emersed: 12, running: 4 };
/** What is left of growth without CO2 for what needs it and for what is helped by it (common practice). */
const WITHOUT = { needed: 0.2, helped: 0.6 } as const;
/** At the light with which it lives a plant grows by so much of what it can. */
const AT_LEAST_LIGHT = 0.3;
/** Weeks that growers see vary by so much around what is said here, share. */
export const VARIES = 0.3;

/**
 * How a plant grows with the light and gas of its spot: nothing below half of the light with which it lives, three
 * tenths there, all with which it grows well, in straight lines between (a stated simplification of saturating light
 * curves). In the weeks of a dry start it rests and spreads as it does with all the gas it wants: air is not short of it.
 * Valid for plants within their temperature and hardness, with enough food. Leaves out: algae, shade by neighbours, leaves
 * that are lost when the water comes.
 * Test: growth.test.ts, "grows by its light and gas".
 */
export function growthOf(plant: Plant, { dli, co2, form = 'tissue', dryDays = 0 }: Conditions): Growth {
  const [least, good] = dliOf(plant);
  const light =
    dli <= least / 2
      ? 0
      : dli < least
        ? (AT_LEAST_LIGHT * (dli - least / 2)) / (least / 2)
        : Math.min(1, AT_LEAST_LIGHT + ((1 - AT_LEAST_LIGHT) * (dli - least)) / (good - least));
  const factor = light * gasOf(plant, co2);
  const [rate, habit] = [plant.growth ?? 'medium', plant.habit ?? 'carpet'];
  const rests = RESTS[form];
  const spreads = SPREAD[rate] * (SPREADING[habit] ?? 1);
  return {
    factor,
    restsDays: Math.max(0, rests - dryDays),
    grownMm: (spreads * light * Math.max(0, dryDays - rests)) / 7,
    spreadMmAWeek: spreads * factor,
    heightMmAWeek: TALLER[rate] * (UPRIGHT[habit] ?? 1) * factor,
  };
}

/** What is left of growth with the gas that a plant has, 0 to 1. */
const gasOf = (plant: Plant, co2: boolean) =>
  co2 ? 1 : plant.needsCo2 ? WITHOUT.needed : plant.helpedByCo2 ? WITHOUT.helped : 1;

/**
 * Light of a day with which a plant grows by a share of what it can, mol/m²: `growthOf` the other way round, from the light
 * with which it lives on.
 * Valid for all but starved plants. Leaves out: less light than it lives with.
 * Test: growth.test.ts, "says the light that a growth takes".
 *
 * @returns undefined where no light is enough with the gas it has
 */
export function dliForFactor(plant: Plant, factor: number, co2: boolean): number | undefined {
  const light = factor / gasOf(plant, co2);
  if (light > 1 + 1e-9) return undefined;
  const [least, good] = dliOf(plant);
  return least + (Math.max(0, light - AT_LEAST_LIGHT) / (1 - AT_LEAST_LIGHT)) * (good - least);
}

/** Radius of a plug as it is planted, mm (common practice). */
const PLUG_MM: Partial<Record<Habit, number>> = {
  carpet: 5,
  grass: 5,
  creeper: 8,
  rosette: 14,
  stem: 7,
  bulb: 15,
  moss: 10,
  float: 8,
};
export const plugRadiusMm = ({ habit }: Pick<Plant, 'habit'>): number => PLUG_MM[habit ?? 'carpet'] ?? 10;

/** Corners between four plugs are half of the diagonal away: then nothing is left bare. */
const MEET = Math.SQRT1_2;

/**
 * Days until plugs of a spacing have closed: when each has grown to half of the diagonal between four of them.
 * Valid for even spacing. Leaves out: trims on the way; what is beyond its reach never closes.
 * Test: growth.test.ts, "closes when circles meet at the corners of their squares".
 *
 * @returns undefined where it does not close
 */
export function coverDays(
  plant: Plant,
  spacingMm: number,
  growth: Growth,
): { days: number; from: number; to: number } | undefined {
  const wanted = spacingMm * MEET - plugRadiusMm(plant) - growth.grownMm;
  if (spacingMm * MEET > reachMm(plant) + 1e-9) return undefined;
  if (wanted <= 0) return { days: 0, from: 0, to: 0 };
  if (growth.spreadMmAWeek <= 0) return undefined;
  const grows = (wanted / growth.spreadMmAWeek) * 7;
  const days = growth.restsDays + grows;
  return { days, from: growth.restsDays + grows * (1 - VARIES), to: growth.restsDays + grows * (1 + VARIES) };
}

/**
 * How far apart plugs may be to close within some days, mm: `coverDays` the other way round.
 * Valid for even spacing. Leaves out: what `coverDays` leaves out.
 * Test: growth.test.ts, "closes in time at the spacing that is said for it".
 *
 * @returns undefined where they do not grow in that time
 */
export function spacingToCover(plant: Plant, growth: Growth, days: number): number | undefined {
  const gained = (Math.max(0, days - growth.restsDays) / 7) * growth.spreadMmAWeek + growth.grownMm;
  if (gained <= 0) return undefined;
  const radius = plugRadiusMm(plant) + gained;
  return Math.min(radius, reachMm(plant)) / MEET;
}

/** Runners close what lies between them up to this distance; further apart they stay islands for months, mm (common practice). */
const RUNS_MM = 100;

/** Stems branch where they are cut: they close up to so many times their own spread (common practice). */
const BRANCHES = 1.2;

/** How far a plug grows sideways, mm: what runs on as far as runners meet, stems as far as they branch, a clump to half of its spread. */
function reachMm(plant: Plant): number {
  if (isClump(plant)) return Math.max(plugRadiusMm(plant), grownSpreadMm(plant) / 2);
  return MEET * (plant.habit === 'stem' ? BRANCHES * grownSpreadMm(plant) : RUNS_MM);
}

/** What grows from one heart, in one clump. */
export const isClump = ({ habit }: Pick<Plant, 'habit'>) =>
  habit === 'rosette' || habit === 'bulb' || habit === 'epiphyte';

/**
 * Share of the ground that plugs of a spacing cover after some days: the area of their circles until these touch, at π/4, from
 * there on in proportion to their radius, and all of it from the day on which they close.
 * Valid for even spacing. Leaves out: trims.
 * Test: growth.test.ts, "covers more every day, and all when it closes".
 */
export function coverShare(plant: Plant, spacingMm: number, growth: Growth, day: number): number {
  const radius = radiusMm(plant, growth, day);
  if (radius >= spacingMm * MEET - 1e-9) return 1;
  // Below touching circles add up; in between the uncovered corners shrink to nothing.
  const plain = (Math.PI * radius * radius) / (spacingMm * spacingMm);
  if (radius <= spacingMm / 2) return plain;
  const touching = Math.PI / 4;
  const on = (radius - spacingMm / 2) / (spacingMm * (MEET - 0.5));
  return touching + (1 - touching) * on;
}

/** Radius of a plug after some days, mm; it stops where it reaches no further. */
export function radiusMm(plant: Plant, growth: Growth, day: number): number {
  const grown =
    plugRadiusMm(plant) + growth.grownMm + (growth.spreadMmAWeek * Math.max(0, day - growth.restsDays)) / 7;
  return Math.min(grown, reachMm(plant));
}

/** Share of its grown height that a trim leaves (common practice: by half, carpets by a third). */
const TRIMMED_TO = 0.5;

/** Days on which a planting is trimmed until a day: first when it is due, later for what grows more slowly than it can. */
export function trimDays(plant: Plant, growth: Growth, until: number): number[] {
  if (growth.factor <= 0.05 || plant.firstTrimDays === undefined) return [];
  const first = plant.firstTrimDays / Math.max(0.35, growth.factor);
  const every = (plant.trimEveryDays ?? plant.firstTrimDays) / Math.max(0.35, growth.factor);
  const days: number[] = [];
  for (let day = first; day <= until; day += every) days.push(Math.round(day));
  return days;
}

/** Height at which it is planted, by the lower of its grown heights, mm (common practice). */
const plantedMm = (low: number) => Math.min(low * 0.6, 40);

/** Height of a plant after some days, mm: from a plug’s on, up to its grown height, cut by each trim. */
export function heightMm(plant: Plant, growth: Growth, day: number): number {
  const [low, high] = grownHeightMm(plant);
  let tall = plantedMm(low);
  let since = growth.restsDays;
  for (const trim of [...trimDays(plant, growth, day), day]) {
    tall = Math.min(high, tall + (growth.heightMmAWeek * Math.max(0, trim - Math.max(since, 0))) / 7);
    since = Math.max(since, trim);
    if (trim < day) tall = Math.max(low * 0.6, Math.min(tall, high * TRIMMED_TO + low * 0.2));
  }
  return tall;
}

/** Days until a plant that is not trimmed has grown so high; undefined where it never does. */
export function reachDays(plant: Plant, growth: Growth, mm: number): number | undefined {
  const [low, high] = grownHeightMm(plant);
  if (high < mm || growth.heightMmAWeek <= 0) return undefined;
  return growth.restsDays + (Math.max(0, mm - plantedMm(low)) / growth.heightMmAWeek) * 7;
}
