import type { Point } from '../geometry/polygon';

/** Corners of a rectangle as a picture shows them: top left, top right, bottom right, bottom left. */
export type Corners = readonly [Point, Point, Point, Point];

/** A picture as bytes of red, green, blue and opacity, row after row from the top. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/**
 * Where a spot of a rectangle is in a picture of it: the projective map of a square onto four corners (P. Heckbert,
 * "Fundamentals of Texture Mapping and Image Warping", 1989, section 2.2.3).
 * Valid for lenses that draw straight lines straight. Leaves out: what stands above the rectangle.
 * Test: squaredUp.test.ts, "maps known points of a photographed plane".
 *
 * @returns for u from the left and v from the top, 0 to 1, the spot in the picture
 */
export function squaringUp([p0, p1, p2, p3]: Corners): (u: number, v: number) => Point {
  const [dx1, dx2, sx] = [p1[0] - p2[0], p3[0] - p2[0], p0[0] - p1[0] + p2[0] - p3[0]];
  const [dy1, dy2, sy] = [p1[1] - p2[1], p3[1] - p2[1], p0[1] - p1[1] + p2[1] - p3[1]];
  const by = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / by;
  const h = (dx1 * sy - sx * dy1) / by;
  const [a, b] = [p1[0] - p0[0] + g * p1[0], p3[0] - p0[0] + h * p3[0]];
  const [d, e] = [p1[1] - p0[1] + g * p1[1], p3[1] - p0[1] + h * p3[1]];
  return (u, v) => {
    const w = g * u + h * v + 1;
    return [(a * u + b * v + p0[0]) / w, (d * u + e * v + p0[1]) / w];
  };
}

/**
 * A rectangle of a picture as if it had been photographed squarely, each pixel mixed from the four around its spot;
 * what lies outside of the picture stays clear.
 */
export function squaredUp(picture: Pixels, corners: Corners, width: number, height: number): Pixels {
  const at = squaringUp(corners);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) {
      const [x, y] = at((i + 0.5) / width, (j + 0.5) / height);
      mix(picture, x - 0.5, y - 0.5, data, (j * width + i) * 4);
    }
  return { width, height, data };
}

function mix(
  { width, height, data }: Pixels,
  x: number,
  y: number,
  into: Uint8ClampedArray,
  to: number,
): void {
  if (x < -0.5 || y < -0.5 || x > width - 0.5 || y > height - 0.5) return;
  const [x0, y0] = [
    Math.min(Math.max(Math.floor(x), 0), width - 1),
    Math.min(Math.max(Math.floor(y), 0), height - 1),
  ];
  const [x1, y1] = [Math.min(x0 + 1, width - 1), Math.min(y0 + 1, height - 1)];
  const [fx, fy] = [Math.min(Math.max(x - x0, 0), 1), Math.min(Math.max(y - y0, 0), 1)];
  for (let k = 0; k < 4; k++) {
    const upper = data[(y0 * width + x0) * 4 + k] * (1 - fx) + data[(y0 * width + x1) * 4 + k] * fx;
    const lower = data[(y1 * width + x0) * 4 + k] * (1 - fx) + data[(y1 * width + x1) * 4 + k] * fx;
    into[to + k] = upper * (1 - fy) + lower * fy;
  }
}
