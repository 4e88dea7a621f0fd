import { unrefElement, useResizeObserver, type MaybeComputedElementRef } from '@vueuse/core';
import { onMounted, onScopeDispose, ref } from 'vue';

/**
 * Width and height of an element's content, px, as of the last frame. What is drawn by them may change the
 * element's own size; told within the same frame, the browser would report a loop of observations.
 */
export function useSteadySize(target: MaybeComputedElementRef) {
  const width = ref(0);
  const height = ref(0);
  let frame = 0;
  // At once what is known already: nothing is drawn at no width first and then moves under a finger.
  onMounted(() => {
    const el = unrefElement(target);
    if (!el) return;
    const { paddingLeft, paddingRight, paddingTop, paddingBottom } = getComputedStyle(el);
    width.value = el.clientWidth - parseFloat(paddingLeft) - parseFloat(paddingRight);
    height.value = el.clientHeight - parseFloat(paddingTop) - parseFloat(paddingBottom);
  });
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
