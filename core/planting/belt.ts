import { EndType, FillRule, inflatePathsD, intersectD, JoinType, unionD } from 'clipper2-ts';
import type { Point, Polygon } from '../geometry/polygon';
import { smooth, type PathLine } from '../substrate/path';
import { soundRing } from './soundRing';

/** Digits that outlines keep, mm. */
const DIGITS = 1;

/**
 * A belt around the foot of a piece: its outline on the floor grown by a width, within the floor. What the piece itself
 * covers is in it; nothing is planted there, since it stands there.
 * Valid for outlines without holes. Leaves out: nothing, to rounding.
 * Test: belt.test.ts, "covers a frame of its width around a stone".
 */
export function beltAround(foot: Polygon, widthMm: number, floor: Polygon): Point[] {
  const grown = inflatePathsD(unionD([pathOf(foot)], [], FillRule.NonZero, DIGITS), widthMm, JoinType.Round, EndType.Polygon, 2, DIGITS); // prettier-ignore
  return soundRing(intersectD(grown, [pathOf(floor)], FillRule.NonZero, DIGITS));
}

/**
 * A belt along one edge of a path, from its front to its back: between the edge and a line so far beside it.
 * Valid for paths that bend less than they are wide. Leaves out: the rounds at their ends.
 * Test: belt.test.ts, "runs along one edge of a path".
 */
export function beltAlong(
  { line, widthMm: [from, to] }: Pick<PathLine, 'line' | 'widthMm'>,
  widthMm: number,
  side: 'left' | 'right',
  floor: Polygon,
): Point[] {
  const curve = smooth(line);
  const sign = side === 'left' ? 1 : -1;
  const beside = (more: number) =>
    curve.map(([x, y], i): Point => {
      const [a, b] = [curve[Math.max(0, i - 1)], curve[Math.min(curve.length - 1, i + 1)]];
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const off = sign * ((from + ((to - from) * i) / Math.max(1, curve.length - 1)) / 2 + more);
      return [x - ((b[1] - a[1]) / long) * off, y + ((b[0] - a[0]) / long) * off];
    });
  const ring = [...beside(0), ...beside(widthMm).reverse()];
  return soundRing(intersectD(unionD([pathOf(ring)], [], FillRule.NonZero, DIGITS), [pathOf(floor)], FillRule.NonZero, DIGITS)); // prettier-ignore
}

const pathOf = (ring: Polygon) => ring.map(([x, y]) => ({ x, y }));
