import type { Vessel } from '../commission/schema';
import { scape } from './scape';

/** The vessel of the sketch, 600 × 360 × 400 mm with 8 mm glass, with some of it otherwise. */
export function vesselOf(part: Partial<Vessel>): Vessel {
  return { ...scape().vessel, ...part };
}

/** A plain box of inner sizes, mm, in 8 mm glass. */
export function box(length: number, width: number, height: number): Vessel {
  return vesselOf({ innerMm: { length, width, height }, waterLineMm: height - 30 });
}
