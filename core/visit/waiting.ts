import type { Resolved } from '../resolved/resolved';
import { animalsOf, everythingStays, waitingOf, type WaitWhere } from '../commission/usual';
import { firstFill } from '../filling/firstFill';
import { waterTarget } from '../filling/filling';
import { gearThere, isBought } from '../gear/gear';
import { grownFishMm } from '../livestock/checks';
import { keptOf } from '../resolved/kept';
import { hoursToLose } from '../site/cooling';
import { GLASS_U, OPEN_U } from '../site/heat';
import type { Survey } from '../survey/survey';
import { perimeter } from '../geometry/offset';
import { polygonArea } from '../geometry/polygon';
import { footprint } from '../vessel/footprint';

/** Tub for animals that wait, L for each centimetre of grown fish (common practice: half the usual). */
const HOLDING_L_PER_CM = 0.5;
/** A tub is not smaller than this, L: shrimps and snails ask for little, and it cools the sooner (common practice). */
const LEAST_TUB_L = 10;
/** A tub with animals in it is carried, and jumped out of: it is filled so far, share (common practice). */
const TUB_FILLED = 0.8;
/** Tubs are sold in steps of this, L. */
const TUB_STEP_L = 5;
const roundTubL = (litres: number) => Math.ceil(litres / TUB_STEP_L - 1e-9) * TUB_STEP_L;
/** What fish and shrimps bear to lose in the hours of such a day, °C (common practice: two). */
const BEARS_C = 2;

/** Animals that live in the tank while it is worked on. */
export interface Waiting {
  where: WaitWhere;
  /** Nobody has said so: it is what follows from what stays. */
  isSupposed: boolean;
  animals: number;
  /** Water that they wait in: in tubs what was said, otherwise what is wanted; in the tank what is left in it, L. */
  litres: number;
  wantedL: number;
  tubs: number;
  tubL: number;
  /** A heater runs there already: it warms the tub meanwhile, or is in what is left of the water. */
  hasHeater: boolean;
  /** Minutes until that water has lost what they bear, in the coldest of the room; Infinity where it never does. */
  limitMin: number;
}

/** Where the animals of a running tank are while it is worked on; undefined where there is no such tank, or nobody lives in it. */
export function waitingAnimals(commission: Resolved, survey: Survey): Waiting | undefined {
  const { brief } = commission;
  const { rescape } = brief;
  const where = waitingOf(brief);
  if (!rescape || !where) return undefined;
  const fill = firstFill(commission, survey);
  if (everythingStays(brief) && fill.drainedL < 0.5) return undefined;
  const present = animalsOf(brief).here;
  const fishCm = grownFishMm(keptOf(commission, (s) => s.present === true)) / 10;
  const wantedL = Math.max(LEAST_TUB_L, fishCm * HOLDING_L_PER_CM);
  const litres = where === 'tubs' ? (rescape.holdingL ?? wantedL) : where === 'stay' ? fill.remainsL : 0;
  const tubs = where === 'tubs' ? Math.ceil(litres / (TUB_FILLED * fill.tubL) - 1e-9) : 0;
  const tubL = Math.min(fill.tubL, roundTubL(litres / Math.max(1, tubs) / TUB_FILLED));
  const hasHeater = gearThere(commission, 'heater').some((g) => !isBought(g));
  const wattsPerK = where === 'stay' ? inTankWPerK(commission, fill.drainToMm) : tubs * tubWPerK(litres / Math.max(1, tubs)); // prettier-ignore
  const [roomC] = commission.limits.roomC;
  const hours = litres > 0 ? hoursToLose({ litres, wattsPerK }, waterTarget(commission).celsius, roomC, BEARS_C) : Infinity; // prettier-ignore
  return {
    where,
    isSupposed: rescape.animals === undefined,
    animals: present.reduce((sum, s) => sum + s.count, 0),
    litres,
    wantedL,
    tubs,
    tubL,
    hasHeater,
    limitMin: where === 'tubs' && hasHeater ? Infinity : Math.floor(hours * 60),
  };
}

/** A covered tub as a cube full to the brim: thin plastic lets through what a pane does. */
function tubWPerK(litres: number): number {
  const sideM = Math.cbrt(litres / 1000);
  return GLASS_U * 6 * sideM ** 2;
}

/** What is left in the tank: floor and panes up to it, and the open surface. */
function inTankWPerK({ vessel }: Resolved, heightMm: number): number {
  const floor = footprint(vessel);
  const floorM2 = polygonArea(floor) / 1e6;
  return GLASS_U * (floorM2 + (perimeter(floor) * heightMm) / 1e6) + OPEN_U * floorM2;
}
