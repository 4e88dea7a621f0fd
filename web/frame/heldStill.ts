import { useEventListener } from '@vueuse/core';
import { nextTick, onBeforeUnmount, watch, type Ref, type WatchSource } from 'vue';

/**
 * What is under the pointer, or under the finger that touched last, stays where it is while an answer above it comes or
 * goes: the page is scrolled by as much as it moved. Nothing is held while somebody scrolls by themselves.
 * @param scrolled what scrolls, by its element.
 * @param answers what changes the page without a hand: plans and findings.
 */
export function useHeldStill(scrolled: Ref<HTMLElement | undefined>, answers: WatchSource<unknown>[]): void {
  let pointer: [x: number, y: number] | undefined;
  const seen = (event: PointerEvent) => (pointer = [event.clientX, event.clientY]);
  useEventListener('pointermove', seen, { passive: true, capture: true });
  useEventListener('pointerdown', seen, { passive: true, capture: true });

  /** The innermost thing under the pointer that scrolls along, else what has the keyboard, else what is uppermost. */
  function held(): Element | undefined {
    const box = scrolled.value;
    if (!box) return undefined;
    const { left, top, width } = box.getBoundingClientRect();
    const under = pointer && document.elementFromPoint(...pointer);
    const uppermost = document.elementFromPoint(left + width / 2, top + 1);
    return [under, document.activeElement, uppermost].find((el) => el && el !== box && box.contains(el)) ?? undefined; // prettier-ignore
  }

  let gone = false;
  onBeforeUnmount(() => (gone = true));
  // Before the page shows the answer, and once it does.
  watch(
    answers,
    () => {
      const [el, box] = [held(), scrolled.value];
      if (!el || !box) return;
      const [top, at] = [el.getBoundingClientRect().top, box.scrollTop];
      void nextTick(() => {
        if (gone || !el.isConnected || box.scrollTop !== at) return;
        const moved = el.getBoundingClientRect().top - top;
        if (Math.abs(moved) >= 1) box.scrollTop = at + moved;
      });
    },
    { flush: 'pre' },
  );
}
