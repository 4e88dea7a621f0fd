import { differenceD, EndType, FillRule, inflatePathsD, intersectD, JoinType, unionD, type PathsD } from 'clipper2-ts'; // prettier-ignore
import { pathOf } from '../geometry/paths';
import { polygonBounds, type Point, type Polygon } from '../geometry/polygon';
import { pathRegion, smooth, type PathLine } from '../substrate/path';
import { soundRing } from './soundRing';

/** Digits that outlines keep, mm. */
const DIGITS = 1;
/** Nothing is planted into the very edge of a path: there is no soil under it, mm (common practice: a finger off). */
const OFF_EDGE_MM = 10;

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
 * A belt along one edge of a path, from its front to its back, a finger off the edge and so wide from there.
 * Valid for paths that bend less than they are wide. Leaves out: the rounds at their ends.
 * Test: belt.test.ts, "runs along one edge of a path".
 */
export function beltAlong(
  { line, widthMm: [from, to] }: Pick<PathLine, 'line' | 'widthMm'>,
  widthMm: number,
  side: 'left' | 'right',
  floor: Polygon,
): Point[] {
  const strip = differenceD(
    [pathOf(wider(line, [from, to], OFF_EDGE_MM + widthMm, floor))],
    [pathOf(wider(line, [from, to], OFF_EDGE_MM, floor))],
    FillRule.NonZero,
    DIGITS,
  );
  const reach = Math.max(from, to) / 2 + OFF_EDGE_MM + widthMm + 1;
  return soundRing(intersectD(intersectD(strip, besideLine(smooth(line), side, reach), FillRule.NonZero, DIGITS), [pathOf(floor)], FillRule.NonZero, DIGITS)); // prettier-ignore
}

/** The floor of a path that is wider by so much on both sides. */
function wider(
  line: PathLine['line'],
  [from, to]: PathLine['widthMm'],
  byMm: number,
  floor: Polygon,
): Point[] {
  const [, , length, width] = polygonBounds(floor);
  const innerMm = { length, width, height: 1 };
  return pathRegion({ line, widthMm: [from + 2 * byMm, to + 2 * byMm] }, { innerMm });
}

/** Everything on one side of a line within reach: piece by piece, so that bends lay nothing across itself. */
function besideLine(curve: readonly Point[], side: 'left' | 'right', reach: number): PathsD {
  const sign = side === 'left' ? 1 : -1;
  const off = curve.map((p, i): Point => {
    const [a, b] = [curve[Math.max(0, i - 1)], curve[Math.min(curve.length - 1, i + 1)]];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    return [p[0] - (sign * reach * (b[1] - a[1])) / long, p[1] + (sign * reach * (b[0] - a[0])) / long];
  });
  const pieces = curve.slice(1).map((p, i) => [curve[i], p, off[i + 1], off[i]]);
  return unionD(pieces.map(pathOf), [], FillRule.NonZero, DIGITS);
}
