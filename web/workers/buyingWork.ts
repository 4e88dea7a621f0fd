import { materialOf } from '../../core/commission/lookup';
import type { Candidate, Commission, Material, Supplier } from '../../core/commission/schema';
import { offersOf, waysToBuy, type Offer, type Way } from '../../core/ordering/bought';
import type { PlanAsk } from '../../core/pipeline/plan';
import { swapsFor, type Swap } from '../../core/pipeline/swaps';
import { trialOf, type Trial } from '../../core/pipeline/trial';
import { resolve } from '../../core/resolved/resolved';
import { newMemo } from '../../core/survey/memo';
import type { Survey } from '../../core/survey/survey';
import { takeOff } from '../../core/takeoff/takeOff';
import type { Said } from '../../core/words/text';

/* What is asked of the scape that was last measured when something is bought. */

/** A scape as it was measured, and how. */
export interface Measured {
  survey: Survey;
  commission: Commission;
  ask: PlanAsk;
}

/** Ways to buy what is still to be ordered, and of each line that several have who asks what for it. */
export interface Buying {
  ways: Way[];
  lines: { id: string; name: Said; offers: Offer[] }[];
}
export function buyingOf({ survey, commission, ask }: Measured): Buying {
  const job = resolve(commission, survey);
  const taken = takeOff(job, survey);
  const lines = taken.lines.map((l) => ({ id: l.id, name: l.name, offers: l.held > 0 ? offersOf(job, l, ask.today) : [] })); // prettier-ignore
  return { ways: waysToBuy(job, taken, ask.today, ask.placed), lines: lines.filter((l) => l.offers.length > 1) }; // prettier-ignore
}

/** Beside what is being drawn: what is kept of that stays as it is. */
const beside = ({ ask, survey }: Measured): PlanAsk => ({
  ...ask,
  optionId: survey.optionId,
  memo: { ...newMemo(), ...(ask.memo ? { columns: ask.memo.columns } : {}) },
});

/** An actual piece in the place of a drawn one: what that changes. */
export function trialIn(measured: Measured, candidate: Candidate): Trial | undefined {
  const { commission } = measured;
  return trialOf(commission, candidate, materialOf(commission, candidate.material), beside(measured));
}

/** What each of some materials would change in the place of one that the scape is built with. */
export function swapsIn(measured: Measured, from: string, others: Material[], sellers: Supplier[]): Swap[] {
  return swapsFor(measured.commission, from, others, sellers, beside(measured));
}
