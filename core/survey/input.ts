import type { Commission, Material, Option, Vessel } from '../commission/schema';
import type { Displaced } from '../hardscape/displace';
import type { Standing } from '../hardscape/settle';
import type { BedField } from '../substrate/bedField';

/** What the parts of a survey are measured from: the option, its bed as a field, its pieces as they stand. */
export interface SurveyInput {
  commission: Commission;
  option: Option;
  vessel: Vessel;
  field: BedField;
  /** The bed's materials, from the bottom up. */
  bedMaterials: Material[];
  standing: Standing[];
  /** What each standing piece takes up, in the same order. */
  displaced: Displaced[];
}
