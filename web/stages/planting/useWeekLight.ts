import { computed, shallowRef, watch, type Ref } from 'vue';
import type { ScapeWork } from '../../frame/planKey';
import type { ShownPlanted } from '../../workers/planWorker';

/**
 * What plants live in, with the light on the bed as it is in the week that is looked at: under what has grown by then. Until
 * that is worked out it is as it was. Only the newest week waits while another is under way.
 */
export function useWeekLight(
  shown: Ref<ShownPlanted | undefined>,
  week: Ref<number>,
  wanted: Ref<boolean>,
  lightInWeek: ScapeWork['lightInWeek'],
) {
  const found = shallowRef<{ of: ShownPlanted; week: number; ppfd: Float32Array }>();
  let busy = false;
  async function ask(): Promise<void> {
    const [of, at] = [shown.value, week.value];
    if (busy || !wanted.value || !of?.living.lit || at === 0) return;
    busy = true;
    const ppfd = await lightInWeek(at).catch(() => undefined);
    busy = false;
    // A tank that changed meanwhile has other cells.
    const fits = of === shown.value && ppfd?.length === of.living.light.ppfd.length;
    if (ppfd && fits) found.value = { of, week: at, ppfd };
    if (of !== shown.value || at !== week.value) await ask();
  }
  watch([shown, week, wanted], () => void ask(), { immediate: true });

  const current = computed(() =>
    wanted.value && week.value > 0 && found.value?.of === shown.value ? found.value : undefined,
  );
  const living = computed((): ShownPlanted['living'] | undefined => {
    const as = shown.value?.living;
    return as && current.value ? { ...as, light: { ...as.light, ppfd: current.value.ppfd } } : as;
  });
  /** The week of that light. */
  const of = computed(() => current.value?.week ?? 0);
  return { living, of };
}
