import { isUnheated } from '../gear/gear';
import type { Resolved } from '../resolved/resolved';
import { sharedRange, type Kept } from '../livestock/checks';
import { keptOf } from '../resolved/kept';
import { waterRecipe, type Recipe } from '../water/recipe';
import { PRACTICE, say, type Text } from '../words/text';

/* The water of a commission: what is wanted of it, what comes from its tap, what a filling is mixed of. */

export interface WaterTarget {
  celsius: number;
  gh: number;
  kh: number;
  /** Where the temperature comes from, in words. */
  because: Text;
}

/** What comes from the tap. */
export interface TapWater {
  gh: number;
  kh: number;
  coldC: number;
  hotC: number;
  /** Whether its hardness was measured. */
  known: boolean;
}

/** Planted tanks that nobody has asked anything else of (common practice). */
const USUAL_TARGET = { celsius: 24, gh: 6, kh: 4 };
/** Tap water of which nothing is known: middling, and as cold as a winter's main (common practice). */
const USUAL_TAP = { gh: 10, kh: 7, coldC: 10, hotC: 55 };
/** Litres a minute: a hose at a gentle fill; a can carried and poured. */
export const HOSE_L_PER_MIN = 3;
export const CAN_L = 10;
const CAN_MIN = 1.5;
/** A loaded walk, m a minute, there and back. */
const WALK_M_PER_MIN = 50;

/** The water that is wanted: as noted, else what all animals share, else what is usual. */
export function waterTarget(commission: Resolved): WaterTarget {
  const noted = commission.site?.target;
  const kept = keptOf(commission);
  const middle = (range: 'tempC' | 'gh' | 'kh', usual: number) => within(kept, range, usual);
  const { roomC } = commission.limits;
  const unheated = isUnheated(commission);
  return {
    // Nobody mixes it warmer than it is a day later.
    celsius: noted?.tempC ?? (unheated ? (roomC[0] + roomC[1]) / 2 : middle('tempC', USUAL_TARGET.celsius)),
    gh: noted?.gh ?? middle('gh', USUAL_TARGET.gh),
    kh: noted?.kh ?? middle('kh', USUAL_TARGET.kh),
    because: becauseOf(noted?.tempC !== undefined, unheated, kept.length > 0),
  };
}

function becauseOf(isNoted: boolean, unheated: boolean, hasAnimals: boolean): Text {
  if (isNoted) return say('target.noted');
  if (unheated) return say('target.unheated');
  return hasAnimals ? say('target.animals') : PRACTICE;
}

/** The usual figure, moved as little as it takes to suit every animal; the usual where none can. */
function within(kept: readonly Kept[], range: 'tempC' | 'gh' | 'kh', usual: number): number {
  const shared = sharedRange(kept, range);
  return shared ? Math.min(Math.max(usual, shared[0]), shared[1]) : usual;
}

/** Cold water of the build day's month: winter's, summer's, or between. */
export function tapCelsius(commission: Resolved): number {
  const { winterC, summerC } = commission.site?.tap ?? {};
  const month = Number(commission.brief.buildDay.slice(5, 7));
  if (winterC === undefined && summerC === undefined) return USUAL_TAP.coldC;
  const [cold, warm] = [winterC ?? summerC!, summerC ?? winterC!];
  if ([12, 1, 2].includes(month)) return cold;
  return [6, 7, 8].includes(month) ? warm : (cold + warm) / 2;
}

/** The tap as it is at the build day's time of year; what was not measured is as usual. */
export function tapOf(commission: Resolved): TapWater {
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
export function recipeFor(commission: Resolved, litres: number): Recipe {
  return waterRecipe({
    litres,
    tap: tapOf(commission),
    // RO water stands in the room, in the coldest of it.
    ...(commission.site?.ro ? { roC: commission.limits.roomC[0] } : {}),
    target: waterTarget(commission),
  });
}

/** How long an amount takes to bring to the tank, min, and in how many cans when there is no hose. */
export function bringing({ site }: Resolved, litres: number): { minutes: number; cans?: number } {
  if (site?.carry !== 'cans') return { minutes: litres / HOSE_L_PER_MIN };
  return { cans: Math.ceil(litres / CAN_L), minutes: canMinutes(litres, site.tapM) };
}

/** Distance to tap or drain when it was not measured, m (common practice). */
const USUAL_WALK_M = 10;

/** Minutes of carrying an amount in cans over a distance, one way full and one way empty. */
export function canMinutes(litres: number, metres = USUAL_WALK_M): number {
  return Math.ceil(litres / CAN_L) * (CAN_MIN + (2 * metres) / WALK_M_PER_MIN);
}
