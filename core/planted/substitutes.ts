import { grownHeightMm } from '../catalogue/sizes';
import { dliOf, isUnnamed } from '../catalogue/knownPlants';
import type { Plant } from '../commission/schema';
import { coverDays, growthOf } from '../growth/growth';
import { closesLike } from '../planting/arranged';
import { plugsFor } from '../planting/plugs';
import { usualSpacingMm } from '../planting/spacing';
import { packsForPlugs } from '../takeoff/plants';
import { reasonsAgainst, type Spot } from './livesHere';
import type { Planted } from './planted';

/** A plant that could stand in another's place, and what that changes. */
export interface Substitute {
  plant: Plant;
  spacingMm?: number;
  plugs: number;
  /** Packs and their price; left out where nobody sells it. */
  packs?: number;
  priceMinor?: number;
  /** Days after the build until it has closed. */
  coverDays?: number;
  /** How much higher it grows than what it stands for, mm; lower where negative. */
  higherMm: number;
}

/** How the studio plants: how close, and which part more plugs it buys. */
interface Asked {
  school?: 'dense' | 'economical';
  spare?: number;
}

/** Heights that read as one: the lower at least so much of the higher (common practice). */
const ALIKE = 0.6;
const MOST = 5;

/**
 * Plants of the same habit and height that live where a planting stands, each with the plugs, packs, price and cover day that it
 * would have there; those that somebody sells first, then the nearest in height.
 * Valid for what has been planted on paper. Leaves out: leaf and colour, which are the designer's to judge.
 * Test: substitutes.test.ts, "have the habit and about the height, live there, and say what they change".
 */
export function substitutesFor(
  part: Planted,
  candidates: readonly Plant[],
  spot: Spot,
  { school, spare = 0 }: Asked = {},
): Substitute[] {
  const [, high] = grownHeightMm(part.plant);
  const suits = (p: Plant) => {
    const [, other] = grownHeightMm(p);
    const isAlike = Math.min(high, other) >= ALIKE * Math.max(high, other);
    return p.id !== part.plant.id && !isUnnamed(p) && p.habit === part.plant.habit && p.roots === part.plant.roots && isAlike && reasonsAgainst(p, spot).length === 0; // prettier-ignore
  };
  return candidates
    .filter(suits)
    .map((p) => substitute(part, p, spot, high, { school, spare }))
    .sort(
      (a, b) =>
        Number(a.packs === undefined) - Number(b.packs === undefined) ||
        Math.abs(a.higherMm) - Math.abs(b.higherMm),
    ) // prettier-ignore
    .slice(0, MOST);
}

function substitute(
  part: Planted,
  plant: Plant,
  { dli, co2 }: Spot,
  high: number,
  { school, spare }: Required<Pick<Asked, 'spare'>> & Asked,
): Substitute {
  const spacingMm = part.spacingMm === undefined ? undefined : usualSpacingMm(plant, school);
  const plugs = spacingMm === undefined ? part.count : plugsFor(part.netM2 * 1e6, spacingMm);
  const growth = growthOf(plant, { dli: dli > 0 ? dli : dliOf(plant)[1], co2, form: part.planting.form });
  const closes = spacingMm === undefined ? undefined : coverDays(plant, closesLike(part.planting.set, spacingMm), growth); // prettier-ignore
  return {
    plant,
    ...(spacingMm === undefined ? {} : { spacingMm }),
    plugs,
    ...packsForPlugs(plant, plugs, spare),
    ...(closes ? { coverDays: Math.round(closes.days) } : {}),
    higherMm: Math.round(grownHeightMm(plant)[1] - high),
  };
}
