import type { Material, Option, Vessel } from '../../core/commission/schema';
import type { FieldView, ShownPlan } from '../workers/planWorker';

/** A device inside the vessel as it is drawn. */
export interface GearBody {
  id: string;
  name: string;
  sizeMm: readonly [number, number, number];
  at: readonly [number, number];
  zMm: number;
}

/** What every drawing view is given: the scape, what was measured of it, and the scale. */
export interface Drawing {
  vessel: Vessel;
  option: Option;
  materials: Material[];
  field: FieldView;
  survey: ShownPlan['survey'];
  /** Pieces that are in the tank now, where that is known. */
  stays?: ReadonlySet<string>;
  /** Gear inside the vessel: what it takes up, the corner nearest to the front and left, height above the glass. */
  gear?: readonly GearBody[];
  /** Pixels a millimetre. */
  k: number;
}
