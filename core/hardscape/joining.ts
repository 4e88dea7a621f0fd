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

type Held = Pick<Joint, 'method' | 'also' | 'accelerated'>;

/** Everything by which a joint is held, each once. */
export function meansOf({ method, also = [] }: Pick<Joint, 'method' | 'also'>): Joint['method'][] {
  return [...new Set([method, ...also])];
}

/** Minutes until a contact may be loaded: what takes longest has set. */
export function cureMin(joint: Held): number {
  return Math.max(...meansOf(joint).map((means) => cureOf(means, joint.accelerated)));
}

/** Gel is set by bicarbonate and mist unless it is left alone for a day. */
function cureOf(method: Joint['method'], accelerated = true): number {
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
export function isMadeBefore(joint: Held): boolean {
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

/** What may hang on a joint: on each of its contacts what the best of its means bears, kg. */
export function hangingKg(joint: Pick<Joint, 'method' | 'also' | 'pieces'>): number {
  return Math.max(...meansOf(joint).map((means) => HANGING_KG[means])) * (joint.pieces.length - 1);
}
