import type { Vessel } from '../commission/schema';
import { scape } from './scape';

/** The vessel of the sketch, 600 × 360 × 400 mm with 8 mm glass, with some of it otherwise. */
export function vesselOf(part: Partial<Vessel>): Vessel {
  return { ...scape().vessel, ...part };
}
