import { materialOfKind } from '../commission/lookup';
import type { Resolved } from '../resolved/resolved';

/** Conditioner when its entry does not say, mL for each 100 L (common practice; the label decides). */
const USUAL_DOSE_ML = 25;

/** Dose of the document's own conditioner, mL for each 100 L. */
export function conditionerDose(commission: Pick<Resolved, 'catalogue'>): number {
  return materialOfKind(commission, 'conditioner')?.dosePer100L ?? USUAL_DOSE_ML;
}

/** Conditioner for an amount of tap water, mL: 120 L at 25 mL for each 100 L take 30 mL. */
export function conditionerMl(commission: Pick<Resolved, 'catalogue'>, volumeL: number): number {
  return (volumeL * conditionerDose(commission)) / 100;
}
