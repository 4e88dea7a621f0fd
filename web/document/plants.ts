import { computed } from 'vue';
import { KNOWN_PLANTS, withKnown } from '../../core/catalogue/knownPlants';
import type { Plant } from '../../core/commission/schema';
import { useCommission } from './commissionStore';
import { useStudio } from './studioStore';

/** Plants that can be planted: the document's, then the studio's, then those that everybody has, each once. */
export function usePlants() {
  const commission = useCommission();
  const studio = useStudio();
  /** Plugs a pack as the studio’s own crews counted them, once they have. */
  const plugsOf = (id: string): Partial<Plant> => {
    const { plugsAPack } = studio.recorded[id] ?? {};
    return plugsAPack ? { plugsAPack } : {};
  };
  return computed((): Plant[] => {
    const own = commission.document?.catalogue.plants ?? [];
    const byId = new Map(own.map((p) => [p.id, withKnown(p)]));
    for (const plant of [...(studio.studio?.catalogue.plants ?? []), ...KNOWN_PLANTS])
      if (!byId.has(plant.id)) byId.set(plant.id, { ...withKnown(plant), ...plugsOf(plant.id) });
    return [...byId.values()];
  });
}
