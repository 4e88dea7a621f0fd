import type { Plant } from '../commission/schema';

/** How high and how wide a plant of which nothing is known is taken to grow, mm (common practice: a plant of the middle). */
const USUAL_HEIGHT_MM = [30, 80] as const;
const USUAL_SPREAD_MM = 60;

/** Grown height from and to, mm: 30 to 80 where its entry does not say. */
export function grownHeightMm({ heightMm }: Pick<Plant, 'heightMm'>): readonly [number, number] {
  return heightMm ?? USUAL_HEIGHT_MM;
}

/** Grown width, mm: 60 where its entry does not say. */
export function grownSpreadMm({ spreadMm }: Pick<Plant, 'spreadMm'>): number {
  return spreadMm ?? USUAL_SPREAD_MM;
}
