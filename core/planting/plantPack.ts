import type { Pack, Plant } from '../commission/schema';
import { splitsOf } from '../catalogue/entries';

/** What plants are sold as; each has its words in one and in many. */
export const SOLD_AS = ['cup', 'pot', 'bunch', 'mat', 'box', 'portion'] as const;
export type SoldAs = (typeof SOLD_AS)[number];

/** Days that a supplier of plants needs where nobody said (common practice: ordered by the middle of the week before). */
const USUAL_LEAD_DAYS = 5;

/** The pack that a plant is bought in, by what it is sold as, what that costs and who has it; it holds what it is usually split into. */
export function packOfPlant(
  plant: Plant,
  { name, priceMinor, supplier }: { name: SoldAs; priceMinor: number; supplier: string },
): Pack {
  const known = plant.packs?.[0];
  return {
    leadDays: USUAL_LEAD_DAYS,
    ...known,
    id: known?.id ?? `${plant.id}-${name}`.slice(0, 80),
    name,
    size: splitsOf({ ...plant, packs: undefined })[1],
    unit: 'plug',
    priceMinor,
    supplier,
  };
}
