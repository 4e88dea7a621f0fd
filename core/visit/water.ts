import type { Commission } from '../commission/schema';
import { sharedRange, type Kept } from '../livestock/checks';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { inDegreesOfHardness } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { rounded } from '../units/quantity';
import { waterRecipe, type Recipe } from '../water/recipe';
import { keptOf } from './kept';

export interface WaterTarget {
  celsius: number;
  gh: number;
  kh: number;
  /** Where the temperature comes from, in words. */
  because: Text;
}

export interface WaterPlan {
  target: WaterTarget;
  /** The tap as it is at the build day's time of year. */
  tap: { gh: number; kh: number; coldC: number; hotC: number; known: boolean };
  first: Recipe;
  fillMin: number;
  /** Cans carried for the first fill, when there is no hose. */
  cans?: number;
  findings: Finding[];
}

/** Planted tanks that nobody has asked anything else of (common practice). */
const USUAL_TARGET = { celsius: 24, gh: 6, kh: 4 };
/** Tap water of which nothing is known: middling, and as cold as a winter's main (common practice). */
const USUAL_TAP = { gh: 10, kh: 7, coldC: 10, hotC: 55 };
/** RO water stands in the room (common practice). */
const USUAL_ROOM_C = 19;
/** Litres a minute: a hose at a gentle fill; a can carried and poured. */
export const HOSE_L_PER_MIN = 3;
export const CAN_L = 10;
const CAN_MIN = 1.5;
/** A loaded walk, m a minute, there and back. */
const WALK_M_PER_MIN = 50;

/** The water that is wanted: as noted, else what all animals share, else what is usual. */
export function waterTarget(commission: Commission): WaterTarget {
  const noted = commission.site?.target;
  const kept = keptOf(commission);
  const middle = (range: 'tempC' | 'gh' | 'kh', usual: number) => within(kept, range, usual);
  return {
    celsius: noted?.tempC ?? middle('tempC', USUAL_TARGET.celsius),
    gh: noted?.gh ?? middle('gh', USUAL_TARGET.gh),
    kh: noted?.kh ?? middle('kh', USUAL_TARGET.kh),
    because:
      noted?.tempC !== undefined ? say('target.noted') : kept.length > 0 ? say('target.animals') : PRACTICE,
  };
}

/** The usual figure, moved as little as it takes to suit every animal; the usual where none can. */
function within(kept: readonly Kept[], range: 'tempC' | 'gh' | 'kh', usual: number): number {
  const shared = sharedRange(kept, range);
  return shared ? Math.min(Math.max(usual, shared[0]), shared[1]) : usual;
}

/** Cold water of the build day's month: winter's, summer's, or between. */
export function tapCelsius(commission: Commission): number {
  const { winterC, summerC } = commission.site?.tap ?? {};
  const month = Number(commission.brief.buildDay.slice(5, 7));
  if (winterC === undefined && summerC === undefined) return USUAL_TAP.coldC;
  const [cold, warm] = [winterC ?? summerC!, summerC ?? winterC!];
  if ([12, 1, 2].includes(month)) return cold;
  return [6, 7, 8].includes(month) ? warm : (cold + warm) / 2;
}

function tapOf(commission: Commission): WaterPlan['tap'] {
  const tap = commission.site?.tap;
  return {
    gh: tap?.gh ?? USUAL_TAP.gh,
    kh: tap?.kh ?? USUAL_TAP.kh,
    coldC: tapCelsius(commission),
    hotC: tap?.hotC ?? USUAL_TAP.hotC,
    known: tap?.gh !== undefined && tap.kh !== undefined,
  };
}

/** The recipe for an amount of water on this site. */
export function recipeFor(commission: Commission, litres: number): Recipe {
  return waterRecipe({
    litres,
    tap: tapOf(commission),
    ...(commission.site?.ro ? { roC: commission.site.roomC?.[0] ?? USUAL_ROOM_C } : {}),
    target: waterTarget(commission),
  });
}

/** How long an amount takes to bring to the tank, min, and in how many cans when there is no hose. */
export function bringing({ site }: Commission, litres: number): { minutes: number; cans?: number } {
  if (site?.carry !== 'cans') return { minutes: litres / HOSE_L_PER_MIN };
  return { cans: Math.ceil(litres / CAN_L), minutes: canMinutes(litres, site.tapM) };
}

/** Distance to tap or drain when it was not measured, m (common practice). */
const USUAL_WALK_M = 10;

/** Minutes of carrying an amount in cans over a distance, one way full and one way empty. */
export function canMinutes(litres: number, metres = USUAL_WALK_M): number {
  return Math.ceil(litres / CAN_L) * (CAN_MIN + (2 * metres) / WALK_M_PER_MIN);
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

function hardFindings(
  { site }: Commission,
  first: Recipe,
  target: WaterTarget,
  tap: WaterPlan['tap'],
): Finding[] {
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
