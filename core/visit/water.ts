import type { Resolved } from '../resolved/resolved';
import { materialOfKind } from '../commission/lookup';
import { bringing, recipeFor, tapOf, waterTarget, type TapWater, type WaterTarget } from '../filling/filling';
import { firstFill, type FirstFill } from '../filling/firstFill';
import { sharedRange } from '../livestock/checks';
import { keptOf } from '../resolved/kept';
import { PLANTS_MOST_C } from '../planting/warmth';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Recipe } from '../water/recipe';
import type { Finding } from '../words/finding';
import { inCelsius, inDegreesOfHardness, inLitres, inLitresAnHour } from '../words/measure';
import { PRACTICE, say } from '../words/text';

export interface WaterPlan {
  target: WaterTarget;
  /** The tap as it is at the build day's time of year. */
  tap: TapWater;
  /** New water of the first fill, and where the rest of it comes from. */
  first: Recipe;
  fill: FirstFill;
  fillMin: number;
  /** Cans carried for the first fill, when there is no hose. */
  cans?: number;
  findings: Finding[];
}

/** The first fill: what of, how warm, how long. */
export function waterPlan(commission: Resolved, survey: Survey): WaterPlan {
  const fill = firstFill(commission, survey);
  const litres = fill.newL;
  const first = recipeFor(commission, litres);
  const { minutes, cans } = bringing(commission, litres);
  const target = waterTarget(commission);
  const tap = tapOf(commission);
  return {
    target,
    tap,
    first,
    fill,
    fillMin: minutes,
    ...(cans ? { cans } : {}),
    findings: [
      ...hardFindings(commission, first, target, tap),
      ...tapFindings(commission),
      ...warmFindings(commission, target),
      ...storeFindings(commission, first.roL),
      ...hotFindings(commission, first.tapHotL),
    ],
  };
}

/** More than this over the target is worth saying, °d. */
const TOLERANCE_D = 1;

function hardFindings(commission: Resolved, first: Recipe, target: WaterTarget, tap: TapWater): Finding[] {
  if (commission.site?.ro || !tap.known) return [];
  const most = { gh: mostOf(commission, 'gh', target.gh), kh: mostOf(commission, 'kh', target.kh) };
  const over = Math.max(first.gh - most.gh, first.kh - most.kh);
  if (over <= TOLERANCE_D) return [];
  const gh = first.gh - most.gh >= first.kh - most.kh;
  const [has, wants] = gh ? [first.gh, most.gh] : [first.kh, most.kh];
  return [
    {
      id: 'water.hard',
      severity: 'warn',
      at: { field: 'site.ro' },
      measured: rounded(has, 1),
      limit: rounded(wants, 1),
      unit: '°d',
      says: say(gh ? 'water.hard.says.gh' : 'water.hard.says.kh', {
        has: inDegreesOfHardness(has),
        wanted: inDegreesOfHardness(wants),
      }),
      because: say('water.hard.because'),
      source: say('source.recipe'),
    },
  ];
}

/** The most that is wanted: as noted, else what all animals bear, else what is usual. */
function mostOf(commission: Resolved, measure: 'gh' | 'kh', target: number): number {
  if (commission.site?.target?.[measure] !== undefined) return target;
  const kept = keptOf(commission);
  const shared = kept.length > 0 ? sharedRange(kept, measure) : undefined;
  return Math.max(target, shared?.[1] ?? target);
}

/** Warmer than plants grow well in. */
function warmFindings(commission: Resolved, { celsius }: WaterTarget): Finding[] {
  const plants = [...commission.plantings.values()].map((p) => p.plant);
  const least = plants.reduce<{ name: string; most: number } | undefined>((found, { name, tempC }) => {
    const most = tempC?.[1] ?? PLANTS_MOST_C;
    return !found || most < found.most ? { name, most } : found;
  }, undefined);
  if (!least || celsius <= least.most + 1e-9) return [];
  return [
    {
      id: 'water.plants',
      severity: 'warn',
      at: { field: 'site.target' },
      measured: rounded(celsius, 1),
      limit: least.most,
      unit: '°C',
      says: say('water.plants.says', {
        wanted: inCelsius(celsius),
        plant: least.name,
        most: inCelsius(least.most),
      }),
      because: say('water.plants.because'),
      source: PRACTICE,
    },
  ];
}

/** RO water for the fill that no tank of the unit holds: it needs tubs, and hours. */
function storeFindings({ site }: Resolved, roL: number): Finding[] {
  const { ro } = site ?? {};
  if (!ro || roL <= ro.storageL + 0.5) return [];
  return [
    {
      id: 'water.store',
      severity: 'warn',
      at: { field: 'site.ro' },
      measured: rounded(ro.storageL, 0),
      limit: rounded(roL, 0),
      unit: 'L',
      says: say('water.store.says', { wanted: inLitres(roL, 0), has: inLitres(ro.storageL, 0) }),
      because: say('water.store.because', {
        more: inLitres(roL - ro.storageL, 0),
        hours: rounded((roL - ro.storageL) / ro.litresPerHour, 0),
        all: rounded(roL / ro.litresPerHour, 0),
        rate: inLitresAnHour(ro.litresPerHour),
      }),
      source: say('source.recipe'),
    },
  ];
}

/** More hot water for the fill than the boiler holds: it runs cold in the middle, and who stays in the water is chilled. */
function hotFindings({ site }: Resolved, hotL: number): Finding[] {
  const has = site?.tap?.hotL;
  if (has === undefined || hotL <= has + 0.5) return [];
  return [
    {
      id: 'water.hot',
      severity: 'warn',
      at: { field: 'site.tap' },
      measured: rounded(hotL, 0),
      limit: rounded(has, 0),
      unit: 'L',
      says: say('water.hot.says', { wanted: inLitres(hotL, 0), has: inLitres(has, 0) }),
      because: say('water.hot.because'),
      source: say('source.recipe'),
    },
  ];
}

function tapFindings(commission: Resolved): Finding[] {
  const tap = commission.site?.tap;
  const found: Finding[] = [];
  const base = { at: { field: 'site.tap' }, severity: 'warn' as const };
  if (tap?.nitrateMgL !== undefined && tap.nitrateMgL > 25)
    found.push({
      ...base,
      id: 'water.nitrate',
      measured: tap.nitrateMgL,
      limit: 25,
      unit: 'mg/L',
      says: say('water.nitrate.says', { has: tap.nitrateMgL }),
      because: say('water.nitrate.because'),
      source: say('source.nitrate'),
    });
  const { otherWaterL = 0, rescape } = commission.brief;
  if (otherWaterL > 0 && !rescape)
    found.push({
      ...base,
      severity: 'note',
      id: 'water.other',
      measured: otherWaterL,
      limit: 0,
      unit: 'L',
      says: say('water.other.says', { litres: inLitres(otherWaterL, 0) }),
      because: say('water.other.because'),
      source: PRACTICE,
    });
  const treated = tap?.disinfectant === 'chlorine' || tap?.disinfectant === 'chloramine';
  if (treated && !materialOfKind(commission, 'conditioner'))
    found.push({
      ...base,
      id: 'water.conditioner',
      measured: 0,
      limit: 1,
      unit: 'conditioners',
      says: say(
        tap.disinfectant === 'chlorine'
          ? 'water.conditioner.says.chlorine'
          : 'water.conditioner.says.chloramine',
      ),
      because: say('water.conditioner.because'),
      source: PRACTICE,
    });
  return found;
}
