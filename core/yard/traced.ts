import { polygonArea, type Point } from '../geometry/polygon';

/** A picture as brightness, 0 to 255, row after row from the top. */
export interface Grey {
  widthPx: number;
  heightPx: number;
  bright: Uint8Array;
}

/** Corners that an outline has at most: more cannot be taken hold of. */
const MOST_CORNERS = 160;

/**
 * The brightness that parts a picture best into two, by the largest variance between them (N. Otsu, "A threshold
 * selection method from gray-level histograms", IEEE Trans. SMC 9, 1979).
 * Valid for one thing on a plain ground. Leaves out: shadows, ground of several colours.
 * Test: traced.test.ts, "parts two brightnesses between them".
 *
 * @returns 0 to 255; what is as bright or darker is of the darker part
 */
export function partingBrightness({ bright }: Pick<Grey, 'bright'>): number {
  const count = new Float64Array(256);
  for (const b of bright) count[b]++;
  const whole = count.reduce((sum, n, b) => sum + n * b, 0);
  let [below, sumBelow, best] = [0, 0, -1];
  // Between two far brightnesses every one parts alike: the middle of those is taken.
  let [from, to] = [127, 127];
  for (let t = 0; t < 256; t++) {
    below += count[t];
    sumBelow += count[t] * t;
    const above = bright.length - below;
    if (below === 0 || above === 0) continue;
    const apart = sumBelow / below - (whole - sumBelow) / above;
    const between = below * above * apart * apart;
    if (between > best * (1 + 1e-9)) [best, from, to] = [between, t, t];
    else if (between >= best * (1 - 1e-9)) to = t;
  }
  return Math.round((from + to) / 2);
}

/**
 * The outline of the largest thing in a picture that is darker (or brighter) than its ground: along the edges of its
 * pixels, then with as few corners as follow it within a share of its size. Holes in it are filled.
 * Valid for one thing that does not touch the edge of the picture. Leaves out: what is inside.
 * Test: traced.test.ts, "follows a disc and a block within a pixel".
 *
 * @returns corners in pixels from the top left; undefined where nothing of a size is there
 */
export function traced(grey: Grey, threshold: number, darker = true): Point[] | undefined {
  const thing = largestThing(grey, threshold, darker);
  if (!thing) return undefined;
  const ring = edgeOf(thing.mask, grey.widthPx, thing.first);
  let within = 0.75;
  let simple = simplified(ring, within);
  while (simple.length > MOST_CORNERS) simple = simplified(ring, (within *= 1.4));
  return simple.length >= 3 && polygonArea(simple) > 0 ? simple : undefined;
}

/** Pixels that hang together, the most of them; and the first of them from the top left. */
function largestThing(
  { widthPx: w, heightPx: h, bright }: Grey,
  threshold: number,
  darker: boolean,
): { mask: Uint8Array; first: number } | undefined {
  const label = new Int32Array(w * h);
  const isIn = (i: number) => bright[i] <= threshold === darker;
  let [most, mostLabel, first, next] = [0, 0, -1, 0];
  const stack: number[] = [];
  for (let start = 0; start < w * h; start++) {
    if (label[start] !== 0 || !isIn(start)) continue;
    next++;
    let count = 0;
    label[start] = next;
    stack.push(start);
    while (stack.length > 0) {
      const i = stack.pop()!;
      count++;
      const x = i % w;
      for (const n of [x > 0 ? i - 1 : -1, x < w - 1 ? i + 1 : -1, i - w, i + w])
        if (n >= 0 && n < w * h && label[n] === 0 && isIn(n)) {
          label[n] = next;
          stack.push(n);
        }
    }
    if (count > most) [most, mostLabel, first] = [count, next, start];
  }
  // A thing of less than one in a thousand of the picture is dust.
  if (most < (w * h) / 1000) return undefined;
  return { mask: Uint8Array.from(label, (l) => (l === mostLabel ? 1 : 0)), first };
}

/** Ways along the edges of pixels: right, down, left, up; and the pixels before each, to its left and its right hand. */
const WAYS: readonly Point[] = [[1, 0], [0, 1], [-1, 0], [0, -1]]; // prettier-ignore
const LEFT_HAND: readonly Point[] = [[0, -1], [0, 0], [-1, 0], [-1, -1]]; // prettier-ignore
const RIGHT_HAND: readonly Point[] = [[0, 0], [-1, 0], [-1, -1], [0, -1]]; // prettier-ignore

/** Round the outer edge with the thing at the right hand, from its first pixel back to it. */
function edgeOf(mask: Uint8Array, w: number, first: number): Point[] {
  const h = mask.length / w;
  const has = (x: number, y: number) => x >= 0 && y >= 0 && x < w && y < h && mask[y * w + x] === 1;
  const [x0, y0] = [first % w, Math.floor(first / w)];
  let [x, y, way] = [x0, y0, 0];
  const ring: Point[] = [];
  do {
    ring.push([x, y]);
    x += WAYS[way][0];
    y += WAYS[way][1];
    const ahead = (hand: Point) => has(x + hand[0], y + hand[1]);
    if (ahead(LEFT_HAND[way])) way = (way + 3) % 4;
    else if (!ahead(RIGHT_HAND[way])) way = (way + 1) % 4;
  } while (x !== x0 || y !== y0);
  return ring;
}

/**
 * A ring with as few corners as keep it within a distance (D. Douglas and T. Peucker, "Algorithms for the reduction of
 * the number of points required to represent a digitized line", Cartographica 10, 1973).
 */
function simplified(ring: readonly Point[], within: number): Point[] {
  const [a] = ring;
  const far = ring.reduce((best, p, i) => (apart(p, a) > apart(ring[best], a) ? i : best), 0);
  const half = (line: readonly Point[]) => thinned(line, within).slice(0, -1);
  return [...half(ring.slice(0, far + 1)), ...half([...ring.slice(far), a])];
}

function thinned(line: readonly Point[], within: number): Point[] {
  const keep = new Uint8Array(line.length);
  keep[0] = keep[line.length - 1] = 1;
  const spans: [number, number][] = [[0, line.length - 1]];
  while (spans.length > 0) {
    const [from, to] = spans.pop()!;
    let [most, at] = [within, -1];
    for (let i = from + 1; i < to; i++) {
      const off = fromLine(line[i], line[from], line[to]);
      if (off > most) [most, at] = [off, i];
    }
    if (at < 0) continue;
    keep[at] = 1;
    spans.push([from, at], [at, to]);
  }
  return line.filter((_, i) => keep[i] === 1);
}

const apart = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]);
function fromLine(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const long = Math.hypot(dx, dy);
  return long === 0 ? apart(p, a) : Math.abs(dx * (a[1] - p[1]) - dy * (a[0] - p[0])) / long;
}

/** An outline in mm, upwards, by a length in the same picture that is known. */
export function outlineInMm(
  ring: readonly Point[],
  [a, b]: readonly [Point, Point],
  longMm: number,
): Point[] {
  const mm = longMm / Math.max(apart(a, b), 1e-6);
  return ring.map(([x, y]): Point => [x * mm, -y * mm]);
}
