import { tryOnScopeDispose, useEventListener, type Fn } from '@vueuse/core';

/** Movement since the pointer went down, px, and where it is now. */
export interface Drag {
  dx: number;
  dy: number;
  event: PointerEvent;
}

/**
 * Follows a pointer from where it goes down until it goes up, whatever it passes over meanwhile. Returns a
 * handler for `pointerdown`; `end` is called once, also when the system takes the pointer away, and when what
 * was dragged goes with the component that drew it.
 */
export function usePointerDrag<T>(on: {
  start: (event: PointerEvent) => T | undefined;
  move: (from: T, drag: Drag) => void;
  end?: () => void;
}) {
  /** One for each finger that drags. */
  const underWay = new Set<() => void>();
  tryOnScopeDispose(() => underWay.forEach((letGo) => letGo()));

  return (down: PointerEvent): void => {
    if (down.button !== 0) return;
    const from = on.start(down);
    if (from === undefined) return;
    down.preventDefault();
    down.stopPropagation();
    const listening: Fn[] = [];
    const letGo = () => {
      underWay.delete(letGo);
      listening.forEach((stop) => stop());
      on.end?.();
    };
    underWay.add(letGo);
    const ofThis = (work: (event: PointerEvent) => void) => (event: PointerEvent) => {
      if (event.pointerId === down.pointerId) work(event);
    };
    const move = ofThis((event) =>
      on.move(from, { dx: event.clientX - down.clientX, dy: event.clientY - down.clientY, event }),
    );
    captured(down);
    listening.push(
      useEventListener(window, 'pointermove', move),
      useEventListener(window, ['pointerup', 'pointercancel'], ofThis(letGo)),
    );
  };
}

/** The pointer stays with what it went down on, over frames and outside of the window too. */
function captured({ currentTarget, pointerId }: PointerEvent): void {
  try {
    (currentTarget as Element | null)?.setPointerCapture(pointerId);
  } catch {
    // Gone already: a touch that was lifted before it was heard of.
  }
}
