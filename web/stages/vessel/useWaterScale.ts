import { onScopeDispose, shallowRef, watch } from 'vue';
import type { WaterHeight } from '../../../core/survey/waterByHeight';
import { useFrame } from '../../frame/planKey';

/** The scape is asked when it has come to rest for so long. */
const REST_MS = 350;

/** Free water by height of the scape as it is, from the glass to the rim; asked again when it has changed. */
export function useWaterScale() {
  const { plan, waterScale } = useFrame();
  const scale = shallowRef<WaterHeight[]>([]);
  let waiting: ReturnType<typeof setTimeout> | undefined;

  /** Nothing comes back when the scape changed meanwhile: its own plan asks again. */
  async function renew(): Promise<void> {
    const found = await waterScale();
    if (found.length > 0) scale.value = found;
  }
  watch(
    plan,
    () => {
      clearTimeout(waiting);
      waiting = setTimeout(() => void renew(), REST_MS);
    },
    { immediate: true },
  );
  onScopeDispose(() => clearTimeout(waiting));
  return scale;
}
