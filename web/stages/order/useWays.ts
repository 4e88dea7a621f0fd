import { ref, shallowRef, watch } from 'vue';
import { useFrame } from '../../frame/planKey';
import type { Buying } from '../../workers/buyingWork';

/** The ways to buy what is still to be ordered, worked out anew with every plan; `isKnown` once there was an answer. */
export function useWays() {
  const { plan, scapeWork } = useFrame();
  const buying = shallowRef<Buying>();
  const isKnown = ref(false);
  watch(
    plan,
    async (now) => {
      if (!now) return;
      const found = await scapeWork.buying().catch(() => undefined);
      if (plan.value !== now) return;
      buying.value = found;
      isKnown.value = true;
    },
    { immediate: true },
  );
  return { buying, isKnown };
}
