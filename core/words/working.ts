import type { Quantity } from '../units/quantity';
import type { Said } from './text';

/**
 * One named step on the way from the drawing to the pack. A line of the take-off carries them in order, so
 * that every figure on a screen can be followed back to what was measured.
 */
export interface Working extends Quantity {
  step: Said;
  /** Where the step's factor comes from, e.g. "settles 7 % on flooding, material". */
  note?: Said;
}
