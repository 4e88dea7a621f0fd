import { bicarbonateG, gypsumG } from './hardness';
import { missingCelsius, mixedCelsius } from './mixing';

/** What comes from the wall, and what is wanted; °d and °C. */
export interface RecipeAsk {
  litres: number;
  tap: { gh: number; kh: number; coldC: number; hotC: number };
  /** Reverse-osmosis water at hand, at this temperature; left out where there is none. */
  roC?: number;
  target: { gh: number; kh: number; celsius: number };
}

/** One filling: litres of each, minerals to add, and what comes of it. */
export interface Recipe {
  litres: number;
  tapColdL: number;
  tapHotL: number;
  roL: number;
  /** Temperature to which the RO water is warmed before it is used, when hot tap water cannot do it. */
  warmRoToC?: number;
  gypsumG: number;
  bicarbonateG: number;
  /** What the mix has before minerals, and after. */
  ghBefore: number;
  khBefore: number;
  gh: number;
  kh: number;
  celsius: number;
}

/** Taken to have no hardness of its own (common practice). */
const RO_HARDNESS = 0;

/**
 * Parts of tap, RO and hot water for a target hardness and temperature. As much tap water as neither
 * hardness forbids; the rest RO; what is then missing comes as minerals. Without RO it is all tap water and
 * may stay too hard. Hot water is taken of the tap's part; when that is not enough the RO water is warmed.
 * Valid for hardness as measured, mixed as volumes. Leaves out: what stone and soil take and give later.
 * Test: water.test.ts, "adds up to the litres asked for and never misses a target it can reach".
 */
export function waterRecipe({ litres, tap, roC, target }: RecipeAsk): Recipe {
  const share = roC === undefined ? 1 : tapShare(tap, target);
  const tapL = litres * share;
  const roL = litres - tapL;
  const hot = hotLitres(tapL, { litres: roL, celsius: roC ?? 0 }, tap, target.celsius);
  const batches = [
    { litres: tapL - hot, celsius: tap.coldC },
    { litres: hot, celsius: tap.hotC },
  ];
  const mixed = mixedCelsius([...batches, { litres: roL, celsius: roC ?? 0 }]);
  // No water has no warmth; what is wanted of it stands.
  const asItIs = Number.isNaN(mixed) ? target.celsius : mixed;
  const tooCold = roL > 0 && asItIs < target.celsius - 0.05;
  const warmRoToC = tooCold ? missingCelsius(target.celsius, roL, batches) : undefined;
  const before = { gh: share * tap.gh + (1 - share) * RO_HARDNESS, kh: share * tap.kh };
  const add = { gh: Math.max(0, target.gh - before.gh), kh: Math.max(0, target.kh - before.kh) };
  return {
    litres,
    tapColdL: tapL - hot,
    tapHotL: hot,
    roL,
    ...(warmRoToC === undefined ? {} : { warmRoToC }),
    gypsumG: gypsumG(add.gh, litres),
    bicarbonateG: bicarbonateG(add.kh, litres),
    ghBefore: before.gh,
    khBefore: before.kh,
    gh: before.gh + add.gh,
    kh: before.kh + add.kh,
    celsius: warmRoToC === undefined ? asItIs : target.celsius,
  };
}

/** Largest share of tap water that lifts neither hardness above its target. */
function tapShare(tap: { gh: number; kh: number }, target: { gh: number; kh: number }): number {
  const of = (want: number, has: number) => (has <= want || has === 0 ? 1 : want / has);
  return Math.min(1, of(target.gh, tap.gh), of(target.kh, tap.kh));
}

/** Hot water out of the tap's part that brings the whole to the temperature, as far as there is that much. */
function hotLitres(
  tapL: number,
  ro: { litres: number; celsius: number },
  tap: { coldC: number; hotC: number },
  wanted: number,
): number {
  if (tap.hotC <= tap.coldC) return 0;
  const short = wanted * (tapL + ro.litres) - tapL * tap.coldC - ro.litres * ro.celsius;
  return Math.min(tapL, Math.max(0, short / (tap.hotC - tap.coldC)));
}
