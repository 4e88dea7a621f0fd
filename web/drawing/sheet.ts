import { scaleLinear } from 'd3-scale';
import { computed, type Ref } from 'vue';
import type { Vessel } from '../../core/commission/schema';

/** Where the three views lie on the sheet, px; all share one scale, so that a piece stands above itself. */
export interface Sheet {
  /** Pixels a millimetre. */
  k: number;
  width: number;
  height: number;
  front: { x: number; y: number; w: number; h: number };
  plan: { x: number; y: number; w: number; h: number };
  section: { x: number; y: number; w: number; h: number };
  seat: { x: number; y: number; w: number; h: number };
}

const LEFT = 66;
const TOP = 44;
const BETWEEN_X = 32;
const BETWEEN_Y = 58;
const RIGHT = 18;
const BOTTOM = 30;

/** Narrower than this, px, the section and the seat go below the plan. */
const NARROW = 560;
/** Between the plan’s axis and the name of the view from a seat, which stands on two lines there. */
const BELOW_AXIS = 82;

/** The sheet that fits an area: front above plan, section beside the front, the seat below it. */
export function useSheet(vessel: Ref<Vessel>, area: { width: Ref<number>; height: Ref<number> }) {
  return computed((): Sheet => {
    if (area.width.value < NARROW) return narrow(vessel.value, area.width.value, area.height.value);
    const { length, width, height } = vessel.value.innerMm;
    const k = Math.max(
      0.12,
      Math.min(
        (area.width.value - LEFT - BETWEEN_X - RIGHT) / (length + width),
        (area.height.value - TOP - BETWEEN_Y - BOTTOM) / (height + width),
      ),
    );
    const [w, d, h] = [length * k, width * k, height * k];
    // What is left over beside a small sheet goes half to its left.
    const spare = Math.max(0, area.width.value - LEFT - BETWEEN_X - RIGHT - w - d) / 2;
    const x = LEFT + spare;
    const front = { x, y: TOP, w, h };
    const plan = { x, y: TOP + h + BETWEEN_Y, w, h: d };
    const section = { x: x + w + BETWEEN_X, y: TOP, w: d, h };
    const seat = { x: section.x, y: plan.y, w: d, h: d };
    return { k, front, plan, section, seat, width: section.x + d + RIGHT, height: plan.y + d + BOTTOM };
  });
}

/** On a telephone: front, plan, and below them section and seat side by side. */
function narrow({ innerMm: { length, width, height } }: Vessel, across: number, down: number): Sheet {
  const k = Math.max(
    0.05,
    Math.min(
      (across - LEFT - RIGHT) / length,
      (across - LEFT - BETWEEN_X - RIGHT) / (2 * width),
      (down - TOP - BETWEEN_Y - BELOW_AXIS - BOTTOM) / (height + width + Math.max(height, width)),
    ),
  );
  const [w, d, h] = [length * k, width * k, height * k];
  const front = { x: LEFT, y: TOP, w, h };
  const plan = { x: LEFT, y: TOP + h + BETWEEN_Y, w, h: d };
  const below = plan.y + d + BELOW_AXIS;
  const section = { x: LEFT, y: below, w: d, h };
  const seat = { x: LEFT + d + BETWEEN_X, y: below, w: d, h: d };
  return { k, front, plan, section, seat, width: across, height: below + Math.max(h, d) + BOTTOM };
}

/** Marks of an axis stand at least so far apart, px. */
const APART_PX = 24;

/** Round distances for the marks of an axis, mm, as close as their words allow. */
export function marks(lengthMm: number, pxPerMm: number, apartPx = APART_PX): number[] {
  const axis = scaleLinear().domain([0, lengthMm]);
  // The scale takes the number of marks as a wish: fewer are wished for until they stand far enough apart.
  for (let count = Math.floor((lengthMm * pxPerMm) / apartPx); count > 1; count--) {
    const ticks = axis.ticks(count);
    if ((ticks[1] - ticks[0]) * pxPerMm >= apartPx) return ticks;
  }
  return [0, lengthMm];
}
