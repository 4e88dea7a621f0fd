import type { Commission, Plant, Planting } from '../commission/schema';
import { polygonBounds, type Polygon } from '../geometry/polygon';

/** Distances between plugs to begin with, mm (common practice: dense 20 to 30, economical 40 to 50). */
const BY_HABIT: Partial<Record<NonNullable<Plant['habit']>, number>> = {
  carpet: 25,
  grass: 30,
  creeper: 35,
  rosette: 55,
  stem: 28,
  bulb: 60,
};
const USUAL_MM = 30;

/** The economical school sets plugs so much farther apart: 25 mm become 43 (common practice: 40 to 50 instead of 20 to 30). */
const ECONOMICAL = 1.7;

/** How far apart plugs of a plant are set when nobody has said: as its entry says, or by its habit and the studio’s school, mm. */
export function usualSpacingMm(
  { spacingMm, habit = 'carpet' }: Pick<Plant, 'spacingMm' | 'habit'>,
  school: 'dense' | 'economical' = 'dense',
): number {
  const dense = BY_HABIT[habit] ?? USUAL_MM;
  return spacingMm ?? (school === 'dense' ? dense : Math.round(dense * ECONOMICAL));
}

/** How far apart the plugs of a planting stand: as it says, else as is usual; undefined for what is counted without a region, mm. */
export function spacingOf(
  { brief }: Pick<Commission, 'brief'>,
  { region, spacingMm }: Pick<Planting, 'region' | 'spacingMm'>,
  plant: Pick<Plant, 'spacingMm' | 'habit'>,
): number | undefined {
  return region ? (spacingMm ?? usualSpacingMm(plant, brief.schools?.spacing)) : undefined;
}

/** How far apart plugs of a region may be at most, mm: with more no two of them stand in it. */
export function mostSpacingMm(region: Polygon): number {
  const [left, front, right, back] = polygonBounds(region);
  return Math.max(right - left, back - front);
}

/** What holds on to stone and wood, or floats, is counted; how many portions to begin with (common practice). */
export const FIRST_PORTIONS = 6;
