import type { SupplyKind } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import { conditionerMl } from '../filling/conditioner';
import { recipeFor } from '../filling/filling';
import { firstFill } from '../filling/firstFill';
import type { Survey } from '../survey/survey';
import type { Recipe } from '../water/recipe';
import { say, type Text } from '../words/text';
import { bacteriaDays, bacteriaMlADay } from './bacteria';
import { plantFoodMl } from './dosing';
import { regimeOf, type Regime } from './regime';
import { CARE_DAYS } from './waterSchools';

/** Something that is used up while the tank is filled and kept. */
export interface UsedUp {
  kind: SupplyKind;
  unit: 'mL' | 'g' | 'piece';
  /** What goes on the build day and on each day of the eight weeks after it. */
  days: Float64Array;
  /** The client has it and buys it. */
  isClients: boolean;
}

/** What each is called where the document has no article of it. */
export const SUPPLY_NAMES: Readonly<Record<SupplyKind, Text>> = {
  conditioner: say('consumable.conditioner'),
  'plant-food': say('consumable.plant-food'),
  bacteria: say('consumable.bacteria'),
  gypsum: say('consumable.gypsum'),
  bicarbonate: say('consumable.bicarbonate'),
  test: say('consumable.test'),
};

/** The weeks at the end of the guide after which it goes on as in them. */
const STEADY_DAYS = 28;

/**
 * What the build day and the eight weeks after it use up, day by day: conditioner for tap water, minerals that the recipe
 * adds, plant food and bacteria by their doses, readings of ammonia and nitrite. What none is used of is left out.
 */
export function usedUp(commission: Resolved, survey: Survey, regime = regimeOf(commission)): UsedUp[] {
  const recipes = new Map<number, Recipe>();
  const poured = (afterDays: number, litres: number) => {
    const known = recipes.get(litres) ?? recipeFor(commission, litres);
    recipes.set(litres, known);
    return { afterDays, recipe: known };
  };
  const water = [
    poured(0, firstFill(commission, survey).newL),
    ...regime.changes.map((c) => poured(c.afterDays, c.share * survey.freeWaterL)),
  ];
  const ofWater = (of: (recipe: Recipe) => number) => water.map((w) => [w.afterDays, of(w.recipe)] as const);
  const food = plantFoodMl(commission, survey.freeWaterL);
  const bacteria = bacteriaMlADay(commission, survey.freeWaterL);
  const own = new Set(commission.brief.care?.clientHas ?? []);
  const used = (kind: SupplyKind, unit: UsedUp['unit'], rows: Rows): UsedUp => {
    const days = new Float64Array(CARE_DAYS + 1);
    for (const [day, amount] of rows) days[day] += amount;
    return { kind, unit, days, isClients: own.has(kind) };
  };
  return [
    used('conditioner', 'mL', ofWater((r) => conditionerMl(commission, r.tapColdL + r.tapHotL))),
    used('gypsum', 'g', ofWater((r) => r.gypsumG)),
    used('bicarbonate', 'g', ofWater((r) => r.bicarbonateG)),
    used('plant-food', 'mL', foodRows(regime, food)),
    used('bacteria', 'mL', bacteriaDays(commission).map((day) => [day, bacteria] as const)),
    used('test', 'piece', regime.tests.map((day) => [day, 1] as const)),
  ].filter((u) => amountOf(u) > 0);
} // prettier-ignore

type Rows = readonly (readonly [day: number, amount: number])[];

function foodRows({ doses }: Regime, mlADose: number): Rows {
  return doses.map((d) => [d.afterDays, d.doses * mlADose] as const);
}

/** All of it, over the whole span. */
export function amountOf({ days }: UsedUp): number {
  return days.reduce((sum, amount) => sum + amount, 0);
}

/**
 * Whole weeks after the build for which an amount lasts, going on after the eight weeks as in the last four of them;
 * undefined where none is used any more by then. 500 mL of which 40 go at once and 20 each week last 23 weeks.
 */
export function lastsWeeks({ days }: UsedUp, amount: number): number | undefined {
  const aDay = days.slice(-STEADY_DAYS).reduce((sum, a) => sum + a, 0) / STEADY_DAYS;
  let left = amount;
  for (let day = 0; day < days.length; day++) {
    left -= days[day];
    if (left < -1e-9) return Math.floor(day / 7);
  }
  return aDay > 0 ? Math.floor((CARE_DAYS + left / aDay) / 7) : undefined;
}
