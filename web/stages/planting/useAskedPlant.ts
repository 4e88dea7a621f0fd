import { watch, type Ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Plant } from '../../../core/commission/schema';

/** A plant that was asked for by name from anywhere (`?plant=`): it is handed on once, when the list of plants is there. */
export function useAskedPlant(plants: Readonly<Ref<readonly Plant[]>>, take: (plant: Plant) => void): void {
  const [route, router] = [useRoute(), useRouter()];
  watch(
    [() => route.query.plant, () => plants.value.length],
    async ([id]) => {
      const plant = plants.value.find((p) => p.id === id);
      if (!plant) return;
      await router.replace({ query: {} });
      take(plant);
    },
    { immediate: true, flush: 'post' },
  );
}
