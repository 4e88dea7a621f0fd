import { computed, ref, shallowRef } from 'vue';
import { arrowStep } from '../../drawing/arrowStep';
import { driftRegion } from '../../../core/planting/drift';
import { wording } from '../../words/wording';

type Corner = [number, number];

/** Near enough to the first corner to close the region, mm. */
const CLOSE_MM = 14;
/** An arrow moves the cross by so much, mm; with Shift five times as far. */
const KEY_MM = 10;
/** Corners this near to a wall are set on it, mm. */
const WALL_MM = 8;

/**
 * Painting a region corner by corner. `done` takes the finished ring and answers with what is wrong with it,
 * if anything; the corners then stay, so that they can be mended.
 */
export function usePainting(on: {
  size: () => { length: number; width: number };
  done: (region: Corner[]) => string | undefined;
}) {
  // Shallow: what is painted goes into the document as it is.
  const corners = shallowRef<Corner[]>([]);
  const pointer = shallowRef<Corner>();
  const fault = ref('');
  const path = computed(() =>
    pointer.value && corners.value.length ? [...corners.value, pointer.value] : corners.value,
  );

  function begin(): void {
    corners.value = [];
    pointer.value = undefined;
    fault.value = '';
  }

  function onFloor([x, y]: Corner): Corner {
    const { length, width } = on.size();
    const to = (v: number, most: number) => Math.round(v < WALL_MM ? 0 : v > most - WALL_MM ? most : v);
    return [to(x, length), to(y, width)];
  }

  function corner(at: Corner): void {
    const [x, y] = onFloor(at);
    const first = corners.value[0];
    if (corners.value.length > 2 && Math.hypot(x - first[0], y - first[1]) < CLOSE_MM) return close();
    corners.value = [...corners.value, [x, y]];
    fault.value = '';
  }

  /** A stroke that a hand drew without letting go: it becomes the region at once. */
  function stroke(points: readonly Corner[]): void {
    const { length, width } = on.size();
    const floor: Corner[] = [[0, 0], [length, 0], [length, width], [0, width]]; // prettier-ignore
    const ring = driftRegion(points, floor).map(([x, y]): Corner => [x, y]);
    if (ring.length < 3) return;
    const says = on.done(ring);
    if (says) fault.value = wording('usePainting.drift', { fault: says });
    else begin();
  }

  function close(): void {
    if (corners.value.length < 3) return void (fault.value = wording('usePainting.threeCorners'));
    const says = on.done(corners.value);
    if (says) fault.value = wording('usePainting.region', { fault: says });
    else begin();
  }

  /** Keys: arrows move a cross over the floor, Space sets a corner there, Enter closes the ring. */
  function key(event: KeyboardEvent, leave: () => void): void {
    const step = arrowStep(event, KEY_MM, 5 * KEY_MM);
    const { length, width } = on.size();
    const at = pointer.value ?? [length / 2, width / 2];
    if (step) pointer.value = onFloor([at[0] + step[0], at[1] + step[1]]);
    else if (event.key === ' ') corner(at);
    else if (event.key === 'Enter') close();
    else if (event.key === 'Backspace') corners.value = corners.value.slice(0, -1);
    else if (event.key === 'Escape') {
      begin();
      leave();
    } else return;
    event.preventDefault();
  }

  return {
    corners,
    path,
    fault,
    begin,
    corner,
    stroke,
    close,
    key,
    hover: (at: Corner) => (pointer.value = onFloor(at)),
  };
}
