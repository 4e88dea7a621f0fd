import { ref, type Ref } from 'vue';
import { usePointerDrag } from '../../drawing/usePointerDrag';

/** A pointer that goes no farther than this has pressed, not drawn, px. */
const FAR_PX = 8;

/** With a brush a press is a corner and a stroke a whole drift; a cut is a stroke too. */
export function useDrift(
  area: Readonly<Ref<HTMLElement | undefined>>,
  isDrawing: Readonly<Ref<boolean>>,
  toFloor: (event: MouseEvent) => [number, number],
  done: (stroke: [number, number][]) => void,
) {
  const drifting = ref<[number, number][]>([]);
  let was = false;
  const drag = usePointerDrag<true>({
    start: (event) => {
      was = false;
      drifting.value = [];
      if (!isDrawing.value || (event.target as Element).closest('[data-region-corner]')) return undefined;
      // The keys close and take back corners: they go where the hand is.
      area.value?.focus({ preventScroll: true });
      return true;
    },
    move: (_, { dx, dy, event }) => {
      if (Math.hypot(dx, dy) < FAR_PX && drifting.value.length === 0) return;
      drifting.value = [...drifting.value, toFloor(event)];
    },
    end: () => {
      was = drifting.value.length > 2;
      if (was) done(drifting.value);
      drifting.value = [];
    },
  });
  /** Whether the press that ends now was a stroke; asked once. */
  const drew = (): boolean => {
    const stroke = was;
    was = false;
    return stroke;
  };
  return { drifting, drag, drew };
}
