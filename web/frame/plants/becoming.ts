import type { Ref } from 'vue';
import { withScape } from '../../../core/commission/scapes';
import type { Plant, Planting } from '../../../core/commission/schema';
import { usualSpacingMm } from '../../../core/planting/spacing';
import { useCommission } from '../../document/commissionStore';
import { withPlant } from '../../document/materials';

/** Gives a planting another of the plants that can be planted, in the same place; its spacing is that of the new one. */
export function useBecoming(plants: Readonly<Ref<readonly Plant[]>>) {
  const commission = useCommission();
  const spacingOf = (plant: Plant) => usualSpacingMm(plant, commission.document!.brief.schools?.spacing);

  return (id: string, to: string): void => {
    const plant = plants.value.find((p) => p.id === to);
    if (!plant) return;
    commission.endStep();
    // Another plant is none that was there.
    const other = ({ now: _now, ...p }: Planting): Planting => ({ ...p, plant: to, ...(p.region ? { spacingMm: spacingOf(plant) } : {}) }); // prettier-ignore
    commission.edit(`become ${id}`, (d) =>
      withScape(withPlant(d, plant), commission.optionId, (o) => ({
        ...o,
        plants: o.plants.map((p) => (p.id === id ? other(p) : p)),
      })),
    );
  };
}
