import { useResizeObserver, type MaybeComputedElementRef } from '@vueuse/core';
import { onScopeDispose, ref } from 'vue';

/**
 * Width and height of an element's content, px, as of the last frame. What is drawn by them may change the
 * element's own size; told within the same frame, the browser would report a loop of observations.
 */
export function useSteadySize(target: MaybeComputedElementRef) {
  const width = ref(0);
  const height = ref(0);
  let frame = 0;
  useResizeObserver(target, ([{ contentRect }]) => {
    cancelAnimationFrame(frame);
    frame = requestAnimationFrame(() => {
      width.value = contentRect.width;
      height.value = contentRect.height;
    });
  });
  onScopeDispose(() => cancelAnimationFrame(frame));
  return { width, height };
}
