/** Movement since the pointer went down, px, and where it is now. */
export interface Drag {
  dx: number;
  dy: number;
  event: PointerEvent;
}

/**
 * Follows a pointer from where it goes down until it goes up, whatever it passes over meanwhile. Returns a
 * handler for `pointerdown`; `end` is called once, also when the system takes the pointer away.
 */
export function usePointerDrag<T>(on: {
  start: (event: PointerEvent) => T | undefined;
  move: (from: T, drag: Drag) => void;
  end?: () => void;
}) {
  return (down: PointerEvent): void => {
    if (down.button !== 0) return;
    const from = on.start(down);
    if (from === undefined) return;
    down.preventDefault();
    down.stopPropagation();
    const move = (event: PointerEvent) => {
      if (event.pointerId !== down.pointerId) return;
      on.move(from, { dx: event.clientX - down.clientX, dy: event.clientY - down.clientY, event });
    };
    const end = (event: PointerEvent) => {
      if (event.pointerId !== down.pointerId) return;
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', end);
      on.end?.();
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', end);
  };
}
