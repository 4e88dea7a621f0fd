import { soldBy } from '../catalogue/materialFields';
import type { Commission, Material, Pack, Plant, Supplier } from '../commission/schema';
import { freshId } from './ids';

/*
 * What is bought comes into a commission with who sells it: a pack whose supplier is on no list would be refused with the
 * whole document. `sellers` is everybody who is known to sell something.
 */

type Entry = Material | Plant;

/** A commission with these materials and plants too; one that it has already stays as the document has it. */
export function withEntries(
  commission: Commission,
  { materials = [], plants = [] }: { materials?: readonly Material[]; plants?: readonly Plant[] },
  sellers: readonly Supplier[],
): Commission {
  const { catalogue } = commission;
  const known = new Set([...catalogue.suppliers, ...sellers].map((s) => s.id));
  const fresh = <T extends Entry>(own: readonly T[], wanted: readonly T[]): T[] =>
    [...new Map(wanted.map((entry) => [entry.id, entry])).values()]
      .filter((entry) => !own.some((o) => o.id === entry.id))
      .map((entry) => soldBySome(entry, known));
  const [newMaterials, newPlants] = [fresh(catalogue.materials, materials), fresh(catalogue.plants, plants)];
  if (newMaterials.length + newPlants.length === 0) return commission;
  const packs = [...newMaterials, ...newPlants].flatMap((entry) => entry.packs ?? []);
  return {
    ...commission,
    catalogue: {
      ...catalogue,
      materials: [...catalogue.materials, ...newMaterials],
      plants: [...catalogue.plants, ...newPlants],
      suppliers: withSellers(catalogue.suppliers, packs, sellers),
    },
  };
}

/** A pack of somebody who is no supplier any more cannot be bought. */
function soldBySome<T extends Entry>(entry: T, known: ReadonlySet<string>): T {
  const packs = entry.packs?.filter((p) => known.has(p.supplier));
  return packs?.length === entry.packs?.length ? entry : { ...entry, packs };
}

function withSellers(own: Supplier[], packs: readonly Pack[], sellers: readonly Supplier[]): Supplier[] {
  const has = new Set(own.map((s) => s.id));
  const named = new Set(packs.map((p) => p.supplier));
  return [...own, ...sellers.filter((s) => named.has(s.id) && !has.has(s.id))];
}

/** A commission in which a material or a plant is bought in these packs. */
export function withPacks(
  commission: Commission,
  id: string,
  packs: Pack[],
  sellers: readonly Supplier[],
): Commission {
  const { catalogue } = commission;
  const packed = <T extends Entry>(entry: T): T => (entry.id === id ? { ...entry, packs } : entry);
  return {
    ...commission,
    catalogue: {
      ...catalogue,
      materials: catalogue.materials.map(packed),
      plants: catalogue.plants.map(packed),
      suppliers: withSellers(catalogue.suppliers, packs, sellers),
    },
  };
}

/** Days that a supplier needs where nobody said (common practice). */
export const USUAL_LEAD_DAYS = 4;

/** A new pack of a material; what is not said of it is as usual for the kind. */
export function packOfMaterial(
  { id, kind, packs = [] }: Pick<Material, 'id' | 'kind' | 'packs'>,
  said: Pick<Pack, 'size' | 'priceMinor' | 'supplier'>,
): Pack {
  return {
    id: freshId(`${id}-pack`.slice(-70), packs),
    unit: soldBy(kind),
    leadDays: USUAL_LEAD_DAYS,
    ...said,
  };
}
