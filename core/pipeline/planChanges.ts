import { toSettle, type Finding } from '../words/finding';
import type { Plan } from './plan';

/** A figure before and after. */
export interface Was {
  was: number;
  is: number;
}

/** What one plan has otherwise than another of the same job. */
export interface PlanChanges {
  freeWaterL: Was;
  /** Everything on the floor. */
  floorKg: Was;
  /** All of the material, minor units. */
  costMinor: Was;
  /** What would have to be settled besides, and what would not any more. */
  fresh: Finding[];
  gone: Finding[];
}

/** Two plans held against each other: figures that a client or a floor feels, and findings of the same kind at the same place. */
export function planChanges(was: Plan, is: Plan): PlanChanges {
  const both = (of: (p: Plan) => number): Was => ({ was: of(was), is: of(is) });
  return {
    freeWaterL: both((p) => p.survey.freeWaterL),
    floorKg: both((p) => p.survey.floorKg),
    costMinor: both((p) => p.order.totalMinor),
    fresh: without(is.findings, was.findings),
    gone: without(was.findings, is.findings),
  };
}

/** What asks for something in one list and not in the other. */
function without(all: readonly Finding[], others: readonly Finding[]): Finding[] {
  const keyOf = (f: Finding) => JSON.stringify([f.id, f.at]);
  const known = new Set(toSettle(others).map(keyOf));
  return toSettle(all).filter((f) => !known.has(keyOf(f)));
}
