import { useIntersectionObserver, type UseIntersectionObserverOptions } from '@vueuse/core';
import type { Ref } from 'vue';

/**
 * Tells when an element comes into view and when it leaves it, until it is stopped. A page that was busy is told of several
 * frames at once, the first one first: how it stands is in the last.
 */
export function useInView(
  el: Ref<HTMLElement | undefined>,
  tell: (isInView: boolean) => void,
  options?: UseIntersectionObserverOptions,
): { stop(): void } {
  return useIntersectionObserver(el, (entries) => tell(entries.at(-1)?.isIntersecting ?? false), options);
}
