import { computed } from 'vue';
import type { Commission, Material, Option } from '../../core/commission/schema';
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

/** A document with these materials too; one that it has already stays as the document has it. */
export function withMaterials(d: Commission, wanted: readonly (Material | undefined)[]): Commission {
  const has = new Set(d.catalogue.materials.map((m) => m.id));
  const missing = new Map(wanted.flatMap((m) => (m && !has.has(m.id) ? [[m.id, m]] : [])));
  if (missing.size === 0) return d;
  return { ...d, catalogue: { ...d.catalogue, materials: [...d.catalogue.materials, ...missing.values()] } };
}

/** A document whose option was changed, with the materials that it names then. */
export function optionWith(
  d: Commission,
  optionId: string,
  wanted: readonly (Material | undefined)[],
  change: (o: Option) => Option,
): Commission {
  return { ...withMaterials(d, wanted), options: d.options.map((o) => (o.id === optionId ? change(o) : o)) };
}

/** What a path is filled with where nobody said: a sand that is at hand, or else a gravel. */
export function sandAtHand(materials: readonly Material[]): Material | undefined {
  return ['sand', 'gravel'].flatMap((kind) => materials.find((m) => m.kind === kind) ?? [])[0];
}
