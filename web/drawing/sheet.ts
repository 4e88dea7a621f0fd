import { scaleLinear } from 'd3-scale';
import { computed, type Ref } from 'vue';
import type { Vessel } from '../../core/commission/schema';

/** The views of a sheet. */
export const VIEWS = ['front', 'plan', 'section', 'seat'] as const;
export type View = (typeof VIEWS)[number];

/** Where a view lies on the sheet, px. */
export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** Where the views that are shown lie; the measured ones share one scale, so that a piece stands above itself. */
export interface Sheet extends Partial<Record<View, Box>> {
  /** Pixels a millimetre. */
  k: number;
  width: number;
  height: number;
}

/** How far one view is drawn up close, and by how much it is moved then, px. */
export interface Zoom {
  times: number;
  dx: number;
  dy: number;
}
export const NO_ZOOM: Zoom = { times: 1, dx: 0, dy: 0 };

const LEFT_WIDE = 62;
/** On a telephone the heights stand closer to the glass. */
const LEFT_NARROW = 44;
const TOP = 40;
const BETWEEN_X = 32;
const BETWEEN_Y = 60;
const RIGHT = 18;
const BOTTOM = 32;
/** Room for the line that names a view, above it. */
const CAPTION = 26;

/** Narrower than this, px, the section and the seat go below the plan. */
const NARROW = 560;
/** Between the plan’s axis and the name of the view from a seat, which stands on two lines there. */
const BELOW_AXIS = 82;

/**
 * The sheet that fits an area: front above plan, section beside the front, the seat in what is left beside the plan.
 * What is not shown leaves its room to the others.
 */
export function useSheet(
  vessel: Ref<Vessel>,
  area: { width: Ref<number>; height: Ref<number> },
  shown: Ref<readonly View[]>,
  zoom: Ref<Zoom>,
  /** Length of the cut, mm, where it is known; as deep as the vessel otherwise. */
  cutMm?: Readonly<Ref<number | undefined>>,
) {
  return computed((): Sheet => {
    const [across, down] = [area.width.value, area.height.value];
    const all = shown.value.length === VIEWS.length;
    if (across < NARROW && all) return narrow(vessel.value, across, down);
    const sheet = wide(vessel.value, across, down, new Set(shown.value), cutMm?.value);
    return all ? seatBelow(vessel.value, sheet) : close(sheet, zoom.value);
  });
}

/** Front and plan of a tank that is high for its length would each be narrower on a telephone than this share of its width. */
const WORTH_LOOKING_AT = 0.5;

/** True where front and plan are looked at one by one: on a telephone, of a cube say, both together would be too small. */
export function oneByOne({ innerMm: { length, width, height } }: Vessel, across: number, down: number): boolean {
  if (across === 0 || across >= NARROW) return false;
  const k = (down - TOP - BETWEEN_Y - BOTTOM) / (height + width);
  return length * k < WORTH_LOOKING_AT * (across - LEFT_NARROW - RIGHT);
} // prettier-ignore

/** A tank from a seat that is narrower than this, px, is a sliver; how far the other views give way for it at most. */
const SEEN_PX = 260;
const GIVES_WAY = [1, 0.93, 0.86, 0.8];
/** Between the plan’s axis and the name of the view from a seat, which stands on one line there. */
const BELOW_LINE = 66;

/** A long tank leaves a sliver beside its plan: then the view from the seat lies below, as wide as the plan. */
function seatBelow({ innerMm }: Vessel, sheet: Sheet): Sheet {
  const { front, section, plan, seat } = sheet;
  if (!front || !section || !plan || !seat) return sheet;
  const seenIn = ({ w, h }: Box) => Math.min(w, (h * innerMm.length) / innerMm.height);
  if (seenIn(seat) >= SEEN_PX) return sheet;
  const below = GIVES_WAY.map((share): Sheet => {
    const scaled = ({ w, h }: Box) => ({ w: w * share, h: h * share });
    const high = front.h * share;
    const planY = TOP + high + BETWEEN_Y;
    const y = planY + plan.h * share + BELOW_LINE;
    const w = sheet.width - RIGHT - front.x;
    return {
      ...sheet,
      k: sheet.k * share,
      front: { ...front, ...scaled(front) },
      section: { ...scaled(section), x: front.x + front.w * share + BETWEEN_X, y: TOP },
      plan: { x: front.x, y: planY, ...scaled(plan) },
      seat: { x: front.x, y, w, h: sheet.height - y - 8 },
    };
  });
  const roomy = below.find((s) => seenIn(s.seat!) >= SEEN_PX) ?? below.at(-1)!;
  return seenIn(roomy.seat!) > seenIn(seat) ? roomy : sheet;
}

function wide(
  { innerMm }: Vessel,
  across: number,
  down: number,
  has: ReadonlySet<View>,
  cutMm?: number,
): Sheet {
  const { length, width, height } = innerMm;
  // By itself the section has all the room; beside others it is as wide as the vessel is deep.
  const deep = has.size === 1 ? (cutMm ?? width) : width;
  const margin = across < NARROW ? LEFT_NARROW : LEFT_WIDE;
  if (has.size === 1 && has.has('seat'))
    return { k: 1, width: across, height: down, seat: { x: margin, y: TOP, w: across - margin - RIGHT, h: down - TOP - RIGHT } }; // prettier-ignore
  const left = has.has('front') || has.has('plan');
  const right = has.has('section') || has.has('seat');
  const top = has.has('front') || has.has('section');
  const both = top && has.has('plan');
  const wideMm = (left ? length : 0) + (right ? deep : 0);
  const highMm = (top ? height : 0) + (has.has('plan') ? width : 0);
  const k = Math.max(
    0.12,
    Math.min(
      (across - margin - RIGHT - (left && right ? BETWEEN_X : 0)) / wideMm,
      (down - TOP - BOTTOM - (both ? BETWEEN_Y : 0)) / highMm,
    ),
  );
  const [w, d, h] = [length * k, width * k, height * k];
  // One view by itself stands in the middle.
  const x = has.size === 1 ? Math.max(margin, (across - (left ? w : deep * k)) / 2) : margin;
  const beside = left ? x + w + BETWEEN_X : x;
  const below = top ? TOP + h + BETWEEN_Y : TOP;
  const seatY = has.has('section') ? below : TOP;
  return {
    k,
    width: across,
    height: down,
    ...(has.has('front') ? { front: { x, y: TOP, w, h } } : {}),
    ...(has.has('plan') ? { plan: { x, y: below, w, h: d } } : {}),
    ...(has.has('section') ? { section: { x: beside, y: TOP, w: deep * k, h } } : {}),
    ...(has.has('seat')
      ? {
          seat: {
            x: beside,
            y: seatY,
            w: Math.max(d, across - RIGHT - beside),
            h: Math.max(60, down - seatY - 8),
          },
        }
      : {}),
  };
}

/** One measured view alone can be looked at up close: it grows about the middle of what is seen, and is moved. */
function close(sheet: Sheet, { times, dx, dy }: Zoom): Sheet {
  const [only, ...more] = VIEWS.filter((v) => sheet[v]);
  const box = only && sheet[only];
  if (!box || more.length > 0 || only === 'seat' || (times === 1 && dx === 0 && dy === 0)) return sheet;
  const [cx, cy] = [sheet.width / 2, sheet.height / 2];
  const about = (v: number, c: number, by: number) => c + (v - c) * times + by;
  return {
    ...sheet,
    k: sheet.k * times,
    [only]: { x: about(box.x, cx, dx), y: about(box.y, cy, dy), w: box.w * times, h: box.h * times },
  };
}

/** On a telephone: front, plan, and below them section and seat side by side. */
function narrow({ innerMm: { length, width, height } }: Vessel, across: number, down: number): Sheet {
  const k = Math.max(
    0.05,
    Math.min(
      (across - LEFT_NARROW - RIGHT) / length,
      (across - LEFT_NARROW - BETWEEN_X - RIGHT) / (2 * width),
      (down - TOP - BETWEEN_Y - BELOW_AXIS - BOTTOM) / (height + width + Math.max(height, width)),
    ),
  );
  const [w, d, h] = [length * k, width * k, height * k];
  const front = { x: LEFT_NARROW, y: TOP, w, h };
  const plan = { x: LEFT_NARROW, y: TOP + h + BETWEEN_Y, w, h: d };
  const below = plan.y + d + BELOW_AXIS;
  const section = { x: LEFT_NARROW, y: below, w: d, h };
  const seat = { x: LEFT_NARROW + d + BETWEEN_X, y: below, w: d, h: d };
  return { k, front, plan, section, seat, width: across, height: below + Math.max(h, d) + BOTTOM };
}

export { CAPTION as CAPTION_PX };

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
