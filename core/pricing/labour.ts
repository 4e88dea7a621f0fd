import type { BuildPlan } from '../buildDay/buildPlan';
import { visitPlan } from '../buildDay/visitPlan';
import type { Brief } from '../commission/schema';

/** Hands and days of the work: who is there is paid from the first task to the last, whether all hands are busy or not. */
export interface Labour {
  /** Hours of one pair of hands: taking another scape apart, all sittings up to the water, and the visits that the build asks for. */
  elsewhereHours: number;
  buildHours: number;
  visitHours: number;
  /** Days on which somebody drives there. */
  days: number;
}

const HOUR_MIN = 60;

/**
 * Hours and days that the plan takes: each sitting from its first task to its last, with its crew.
 * Valid for the plan of one option. Leaves out: drawing, buying, and what is done in the yard before.
 * Test: quote.test.ts, "hours are those of the crew from the first task to the last".
 */
export function labourOf(build: Pick<BuildPlan, 'doneMin' | 'crew' | 'earlier' | 'visits' | 'buildDay' | 'beforehand'>, brief: Brief, isAway: (sitting: string) => boolean): Labour {
  const minutes = (parts: readonly { doneMin: number; crew: readonly unknown[] }[]) => parts.reduce((sum, p) => sum + p.doneMin * p.crew.length, 0);
  const visits = build.visits.map((v) => visitPlan(v, brief));
  const elsewhere = build.beforehand.filter((b) => b.handMin !== undefined);
  const there = [build.buildDay, ...elsewhere.map((b) => b.day), ...build.earlier.filter((s) => !isAway(s.id)).map((s) => s.day), ...visits.map((v) => v.day)];
  return {
    elsewhereHours: elsewhere.reduce((sum, b) => sum + b.handMin!, 0) / HOUR_MIN,
    buildHours: minutes([...build.earlier, build]) / HOUR_MIN,
    visitHours: minutes(visits) / HOUR_MIN,
    days: new Set(there).size,
  };
} // prettier-ignore
