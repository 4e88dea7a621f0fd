import type { Commission } from '../commission/schema';
import { bringing, recipeFor, tapOf, waterTarget, type TapWater, type WaterTarget } from '../filling/filling';
import type { Survey } from '../survey/survey';
import { rounded } from '../units/quantity';
import type { Recipe } from '../water/recipe';
import type { Finding } from '../words/finding';
import { inDegreesOfHardness } from '../words/measure';
import { PRACTICE, say } from '../words/text';

export interface WaterPlan {
  target: WaterTarget;
  /** The tap as it is at the build day's time of year. */
  tap: TapWater;
  first: Recipe;
  fillMin: number;
  /** Cans carried for the first fill, when there is no hose. */
  cans?: number;
  findings: Finding[];
}

/** The first fill: what of, how warm, how long. */
export function waterPlan(commission: Commission, survey: Survey): WaterPlan {
  const litres = survey.freeWaterL + survey.poreWaterL;
  const first = recipeFor(commission, litres);
  const { minutes, cans } = bringing(commission, litres);
  const target = waterTarget(commission);
  const tap = tapOf(commission);
  return {
    target,
    tap,
    first,
    fillMin: minutes,
    ...(cans ? { cans } : {}),
    findings: [...hardFindings(commission, first, target, tap), ...tapFindings(commission)],
  };
}

/** More than this over the target is worth saying, °d. */
const TOLERANCE_D = 1;

function hardFindings({ site }: Commission, first: Recipe, target: WaterTarget, tap: TapWater): Finding[] {
  if (site?.ro || !tap.known) return [];
  const over = Math.max(first.gh - target.gh, first.kh - target.kh);
  if (over <= TOLERANCE_D) return [];
  const gh = first.gh - target.gh >= first.kh - target.kh;
  const [has, wants] = gh ? [first.gh, target.gh] : [first.kh, target.kh];
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

function tapFindings({ site, catalogue }: Commission): Finding[] {
  const tap = site?.tap;
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
  const treated = tap?.disinfectant === 'chlorine' || tap?.disinfectant === 'chloramine';
  if (treated && !catalogue.materials.some((m) => m.kind === 'conditioner'))
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
