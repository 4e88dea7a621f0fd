import type { Joint } from '../commission/schema';

/*
 * Ways of joining pieces: how long each has to be held and to cure, and what may hang on it (common practice; the
 * glue's own label goes before it).
 */

/** Minutes for which somebody or a prop holds the pieces while a contact grabs. */
export const HOLD_MIN: Record<Joint['method'], number> = {
  'fibre-glue': 1,
  'gel-glue': 2,
  silicone: 10,
  impact: 5,
  tie: 0,
  wedge: 0,
};

/** Minutes until a contact may be loaded. Gel is set by bicarbonate and mist unless it is left alone for a day. */
export function cureMin({ method, accelerated = true }: Pick<Joint, 'method' | 'accelerated'>): number {
  switch (method) {
    case 'fibre-glue':
      return 1;
    case 'gel-glue':
      return accelerated ? 30 : DAY_MIN;
    case 'silicone':
    case 'impact':
      return DAY_MIN;
    case 'tie':
    case 'wedge':
      return 0;
    default:
      return method satisfies never;
  }
}

const DAY_MIN = 24 * 60;

/** Joints that take a day to cure are made outside beforehand and carried in as one. */
export function isMadeBefore(joint: Pick<Joint, 'method' | 'accelerated'>): boolean {
  return cureMin(joint) >= DAY_MIN;
}

/** Most that usually hangs on one contact with nothing under it, kg. */
export const HANGING_KG: Record<Joint['method'], number> = {
  'fibre-glue': 2,
  'gel-glue': 0.3,
  silicone: 5,
  impact: 3,
  tie: 1,
  wedge: 10,
};
