import { centred, type Mesh } from '../geometry/mesh';
import { crossingsAt, polygonArea, polygonBounds, type Point, type Polygon } from '../geometry/polygon';
import { rounded } from '../units/quantity';
import { MM3_PER_L } from '../units/volume';
import { inLitres, inMm } from '../words/measure';
import { say, type Text } from '../words/text';

/** A piece as two photographs show it: outlines seen from its front and from its right side, mm, y of a point upwards. */
export interface TwoOutlines {
  front: Polygon;
  side: Polygon;
}

/** A solid that fits both, and what does not fit together. */
export interface FromOutlines {
  mesh: Mesh;
  doubts: Text[];
}

/** Levels at which the solid is cut, and corners of each cut. */
const LEVELS = 48;
const AROUND = 32;
/** Exponents |x|ᵖ + |y|ᵖ = 1 of a cut: nearly a diamond, an ellipse at 2, nearly a rectangle. */
const [SHARP, SQUARE] = [1, 16];
/** Heights of the two photographs that lie further apart than this share are asked about (common practice). */
const HEIGHTS_APART = 0.06;
/** Outline that its own hull along each level leaves out, share: more of it is a fork or an arch. */
const FORKED = 0.12;

/** Sides of an outline at least, mm: a grain of sand. */
const LEAST_MM = 1;

/** What keeps two outlines from being those of a piece, or undefined: one of a single point encloses nothing. */
export function outlineFault(outlines: TwoOutlines): Text | undefined {
  for (const view of ['front', 'side'] as const) {
    const [x0, y0, x1, y1] = polygonBounds(outlines[view]);
    if (x1 - x0 < LEAST_MM || y1 - y0 < LEAST_MM || Math.abs(polygonArea(outlines[view])) < LEAST_MM ** 2)
      return say(`outline.${view}.nothing`);
  }
  return undefined;
}

/**
 * A solid that fits two outlines: at each height as wide as the front shows and as deep as the side shows, its cuts
 * rounded so far that it has the litres asked for; ellipses where none are asked.
 * Valid for pieces without forks. Leaves out: what neither photograph shows, hollows.
 * Test: twoOutlines.test.ts, "fits both outlines and has the litres asked for".
 *
 * @param wantedL its litres where they are known, by its mass or by displaced water
 */
export function solidOfOutlines({ front, side }: TwoOutlines, wantedL?: number): FromOutlines {
  const [, frontLow, , frontTop] = polygonBounds(front);
  const [, sideLow, , sideTop] = polygonBounds(side);
  const [highF, highS] = [frontTop - frontLow, sideTop - sideLow];
  const high = (highF + highS) / 2;
  const doubts: Text[] = [];
  if (Math.abs(highF - highS) > HEIGHTS_APART * high)
    doubts.push(say('yard.heights', { front: inMm(rounded(highF, 0)), side: inMm(rounded(highS, 0)) }));
  const spans = Array.from({ length: LEVELS + 1 }, (_, i) => {
    // A hair inside at both ends: a point has no width there.
    const share = Math.min(Math.max(i / LEVELS, 0.004), 0.996);
    return {
      z: (i / LEVELS) * high,
      x: spanAt(front, frontLow + share * highF),
      y: spanAt(side, sideLow + share * highS),
    };
  });
  const boxes = spans.map(({ x, y }) => (x[1] - x[0]) * (y[1] - y[0]));
  const hullMm2 = spans.reduce((sum, { x }, i) => sum + weight(i) * (x[1] - x[0]), 0) * (high / LEVELS);
  if (hullMm2 > polygonArea(front) * (1 + FORKED) * (high / highF)) doubts.push(say('yard.forked'));
  const boxMm3 = boxes.reduce((sum, mm2, i) => sum + weight(i) * mm2, 0) * (high / LEVELS);
  const share = wantedL === undefined ? undefined : (wantedL * MM3_PER_L) / boxMm3;
  const [least, most] = [cutShare(SHARP), cutShare(SQUARE)];
  if (share !== undefined && (share < least || share > most))
    doubts.push(
      say(share > most ? 'yard.outline-heavy' : 'yard.outline-light', {
        litres: inLitres(wantedL!, 2),
        least: inLitres((boxMm3 * least) / MM3_PER_L, 2),
        most: inLitres((boxMm3 * most) / MM3_PER_L, 2),
      }),
    );
  return { mesh: centred(stacked(spans, exponentFor(share))), doubts };
}

/** The ends of a level count half (trapezoids). */
const weight = (i: number) => (i === 0 || i === LEVELS ? 0.5 : 1);

/** From the first to the last crossing of an outline with a level. */
function spanAt(outline: Polygon, z: number): [number, number] {
  const xs = crossingsAt(outline, z);
  return xs.length === 0 ? [0, 0] : [Math.min(...xs), Math.max(...xs)];
}

/** Area of |x|ᵖ + |y|ᵖ ≤ 1 with the corners that a cut has, as share of the square around it. */
function cutShare(p: number): number {
  const ring = ringOf(p);
  return polygonArea(ring) / 4;
}

/** One cut from -1 to 1, anticlockwise. */
function ringOf(p: number): Point[] {
  return Array.from({ length: AROUND }, (_, i): Point => {
    const a = (i / AROUND) * 2 * Math.PI;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    const r = (Math.abs(c) ** p + Math.abs(s) ** p) ** (-1 / p);
    return [c * r, s * r];
  });
}

/** The exponent whose cuts fill a share of the boxes around them: the fuller, the higher. */
function exponentFor(share: number | undefined): number {
  if (share === undefined) return 2;
  let [low, high] = [SHARP, SQUARE];
  for (let n = 0; n < 50; n++) {
    const middle = (low + high) / 2;
    if (cutShare(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

interface Span {
  z: number;
  x: [number, number];
  y: [number, number];
}

/** Cuts over each other joined by triangles, closed at both ends. */
function stacked(spans: readonly Span[], p: number): Mesh {
  const ring = ringOf(p);
  const v: number[] = [];
  for (const { x, y, z } of spans)
    for (const [c, s] of ring)
      v.push((x[0] + x[1]) / 2 + (c * (x[1] - x[0])) / 2, (y[0] + y[1]) / 2 + (s * (y[1] - y[0])) / 2, z);
  const faces: number[] = [];
  for (let l = 0; l < spans.length - 1; l++)
    for (let i = 0; i < AROUND; i++) {
      const [a, b] = [l * AROUND + i, l * AROUND + ((i + 1) % AROUND)];
      faces.push(a, b, b + AROUND, a, b + AROUND, a + AROUND);
    }
  const last = (spans.length - 1) * AROUND;
  for (let i = 1; i < AROUND - 1; i++) faces.push(0, i + 1, i, last, last + i, last + i + 1);
  return { vertices: Float64Array.from(v), faces: Uint32Array.from(faces) };
}
