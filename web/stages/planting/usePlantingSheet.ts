import { computed, type Ref } from 'vue';
import type { Vessel } from '../../../core/commission/schema';

/** Around the drawings, px: to their left, above the plan for its caption. */
export const [LEFT, TOP] = [14, 22];
/** Between them stand the names of the lower view, which fingers press. */
export const BETWEEN = matchMedia('(pointer: coarse)').matches ? 46 : 26;
/** Below the lower drawing, for two lines of words. */
const FOOT = 34;
const AROUND = TOP + BETWEEN + FOOT;
/** So deep is the plan at most where the page is scrolled, px: all of it is seen at once. */
const MOST_DEEP = 420;
/** What stands beside the drawings is never narrower than this, nor wider. */
const [LEAST_SIDE, MOST_SIDE] = [292, 460];
/** Where there is no room for both, they stand one above the other. */
const NARROW = 600;

/** The scale of plan and front, one above the other: as large as both fit, and what that leaves for the side. */
export function usePlantingSheet(
  vessel: Readonly<Ref<Vessel>>,
  room: { width: Ref<number>; height: Ref<number> },
  area: Readonly<Ref<HTMLElement | undefined>>,
) {
  const isNarrow = computed(() => room.width.value <= NARROW);
  const k = computed(() => {
    const { length, width, height: high } = vessel.value.innerMm;
    const wide = room.width.value - (isNarrow.value ? 0 : LEAST_SIDE) - 2 * LEFT;
    // A page that is scrolled has the plan as large as it is wide: a finger paints on it.
    const deep = isNarrow.value ? MOST_DEEP / width : (room.height.value - AROUND) / (width + high);
    return Math.max(0.1, Math.min(wide / length, deep));
  });
  const height = computed(() => {
    const { width, height: high } = vessel.value.innerMm;
    return isNarrow.value ? AROUND + (width + high) * k.value : room.height.value;
  });
  const X = (mm: number) => mm * k.value;
  const Y = (mm: number) => (vessel.value.innerMm.width - mm) * k.value;
  const sideWidth = computed(() =>
    isNarrow.value
      ? room.width.value
      : Math.min(MOST_SIDE, room.width.value - Math.round(X(vessel.value.innerMm.length)) - 2 * LEFT),
  );
  const areaWidth = computed(() => (isNarrow.value ? room.width.value : room.width.value - sideWidth.value));
  const inArea = (event: MouseEvent) => {
    const box = area.value!.getBoundingClientRect();
    return [event.clientX - box.left - LEFT, event.clientY - box.top - TOP] as const;
  };
  /** Where a pointer is on the floor, and on the front below it, mm. */
  const toFloor = (event: MouseEvent): [number, number] => {
    const [x, y] = inArea(event);
    return [x / k.value, vessel.value.innerMm.width - y / k.value];
  };
  const toFront = (event: MouseEvent): [number, number] => {
    const [x, y] = inArea(event);
    return [x / k.value, vessel.value.innerMm.height - (y - Y(0) - BETWEEN) / k.value];
  };
  return { isNarrow, k, X, Y, height, sideWidth, areaWidth, toFloor, toFront };
}
