import { useEventListener } from '@vueuse/core';
import { ref } from 'vue';

/** A task that is being carried: where it came from, where the pointer is, and over which day. */
export interface Carried {
  key: string;
  from: string;
  x: number;
  y: number;
  over?: string;
}

/** Pixels after which a press is a drag. */
const FAR_PX = 5;

/**
 * Carries a task from one day to another by pointer: mouse, pen or finger. `drop` is told where it was let go; Escape
 * and a place that is no day put it back.
 */
export function useTaskDrag(drop: (key: string, from: string, to: string) => void) {
  const carried = ref<Carried>();
  let pressed: { key: string; from: string; x: number; y: number } | undefined;

  function press(event: PointerEvent, key: string, from: string): void {
    if (event.button !== 0) return;
    pressed = { key, from, x: event.clientX, y: event.clientY };
  }
  function dayUnder(event: PointerEvent): string | undefined {
    const under = document.elementFromPoint(event.clientX, event.clientY);
    return under?.closest<HTMLElement>('[data-sitting]')?.dataset.sitting;
  }
  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    if (!pressed) return;
    const far = Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y);
    if (!carried.value && far < FAR_PX) return;
    carried.value = { key: pressed.key, from: pressed.from, x: event.clientX, y: event.clientY, over: dayUnder(event) };
  }); // prettier-ignore
  useEventListener(window, 'pointerup', (event: PointerEvent) => {
    const was = carried.value;
    const to = was && dayUnder(event);
    pressed = undefined;
    carried.value = undefined;
    if (was && to !== undefined && to !== was.from) drop(was.key, was.from, to);
  });
  useEventListener(window, 'pointercancel', putBack);
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key === 'Escape') putBack();
  });
  function putBack(): void {
    pressed = undefined;
    carried.value = undefined;
  }
  return { carried, press };
}
