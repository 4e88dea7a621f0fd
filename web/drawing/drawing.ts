import type { Material, Option, Vessel } from '../../core/commission/schema';
import type { FieldView, ShownPlan } from '../workers/planWorker';

/** What every drawing view is given: the scape, what was measured of it, and the scale. */
export interface Drawing {
  vessel: Vessel;
  option: Option;
  materials: Material[];
  field: FieldView;
  survey: ShownPlan['survey'];
  /** Pixels a millimetre. */
  k: number;
}
