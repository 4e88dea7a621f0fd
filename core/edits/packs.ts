import type { Commission, Pack, Supplier } from '../commission/schema';

/**
 * A commission in which a material is bought in these packs; who sells them comes into its list where it is not there.
 *
 * @param sellers everybody who is known to sell something
 */
export function withPacks(
  commission: Commission,
  material: string,
  packs: Pack[],
  sellers: readonly Supplier[],
): Commission {
  const { catalogue } = commission;
  const known = new Set(catalogue.suppliers.map((s) => s.id));
  const named = new Set(packs.map((p) => p.supplier));
  return {
    ...commission,
    catalogue: {
      ...catalogue,
      materials: catalogue.materials.map((m) => (m.id === material ? { ...m, packs } : m)),
      suppliers: [...catalogue.suppliers, ...sellers.filter((s) => named.has(s.id) && !known.has(s.id))],
    },
  };
}
