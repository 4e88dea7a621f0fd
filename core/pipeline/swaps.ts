import type { Commission, Material, Supplier } from '../commission/schema';
import { withOtherMaterial } from '../edits/otherMaterial';
import type { TakeOffLine } from '../takeoff/line';
import { planChanges, type PlanChanges } from './planChanges';
import { plan, type Plan, type PlanAsk } from './plan';

/** A material in the place of another: the line that it would be, and what else is otherwise. */
export interface Swap extends PlanChanges {
  to: string;
  line?: Pick<TakeOffLine, 'needed' | 'packWords' | 'priceMinor'>;
}

/**
 * What each of some materials would change in the place of one that an option is built with: every scape planned, and held
 * against the one that is drawn.
 * Valid for materials of one kind. Leaves out: how it looks.
 * Test: swaps.test.ts, "says what a lighter stone and a coarser sand change".
 */
export function swapsFor(
  commission: Commission,
  from: string,
  others: readonly Material[],
  sellers: readonly Supplier[],
  ask: PlanAsk,
): Swap[] {
  const optionId = ask.optionId ?? commission.chosen;
  const planned = (doc: Commission): Plan => plan(doc, { ...ask, optionId, planted: 'later' });
  const was = planned(commission);
  return others.map((to): Swap => {
    const is = planned(withOtherMaterial(commission, optionId, from, to, sellers));
    const line = is.takeOff.lines.find((l) => l.id === to.id);
    return {
      to: to.id,
      ...(line ? { line: { needed: line.needed, packWords: line.packWords, priceMinor: line.priceMinor } } : {}), // prettier-ignore
      ...planChanges(was, is),
    };
  });
}
