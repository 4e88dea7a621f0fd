import { materialOfKind } from '../commission/lookup';
import type { Commission } from '../commission/schema';

/** Conditioner when its entry does not say, mL for each 100 L (common practice; the label decides). */
const USUAL_DOSE_ML = 25;

/** Dose of the document's own conditioner, mL for each 100 L. */
export function conditionerDose(commission: Pick<Commission, 'catalogue'>): number {
  return materialOfKind(commission, 'conditioner')?.dosePer100L ?? USUAL_DOSE_ML;
}

/** Conditioner for an amount of tap water, mL: 120 L at 25 mL for each 100 L take 30 mL. */
export function conditionerMl(commission: Pick<Commission, 'catalogue'>, volumeL: number): number {
  return (volumeL * conditionerDose(commission)) / 100;
}
