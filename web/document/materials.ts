import { computed } from 'vue';
import { withScape } from '../../core/commission/scapes';
import type { Commission, Material, Option, Plant, Supplier } from '../../core/commission/schema';
import { withEntries } from '../../core/edits/packs';
import { useCommission } from './commissionStore';
import { useStudio } from './studioStore';

/** What can be chosen from: the document’s materials, then the studio’s that it does not have. */
export function useMaterials() {
  const commission = useCommission();
  const studio = useStudio();
  return computed((): Material[] => {
    const own = commission.document?.catalogue.materials ?? [];
    const more = studio.studio?.catalogue.materials ?? [];
    return [...own, ...more.filter((m) => !own.some((o) => o.id === m.id))];
  });
}

/** Everybody who sells something: who the studio buys from. */
const sellers = (): readonly Supplier[] => useStudio().studio?.catalogue.suppliers ?? [];

/** A document with these materials too, and who sells them; one that it has already stays as the document has it. */
export function withMaterials(d: Commission, wanted: readonly (Material | undefined)[]): Commission {
  return withEntries(d, { materials: wanted.filter((m) => m !== undefined) }, sellers());
}

/** A document with this plant too, in the same way. */
export function withPlant(d: Commission, plant: Plant): Commission {
  return withEntries(d, { plants: [plant] }, sellers());
}

/** A document whose option was changed, with the materials that it names then. */
export function optionWith(
  d: Commission,
  optionId: string,
  wanted: readonly (Material | undefined)[],
  change: (o: Option) => Option,
): Commission {
  return withScape(withMaterials(d, wanted), optionId, change);
}

/** What a path is filled with where nobody said: a sand that is at hand, or else a gravel. */
export function sandAtHand(materials: readonly Material[]): Material | undefined {
  return ['sand', 'gravel'].flatMap((kind) => materials.find((m) => m.kind === kind) ?? [])[0];
}
