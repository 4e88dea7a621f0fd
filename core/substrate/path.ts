import { FillRule, intersectD, simplifyPathD, unionD, type PathsD } from 'clipper2-ts';
import type { Layer, Vessel } from '../commission/schema';
import { polygonArea, type Point } from '../geometry/polygon';

/** A path as it is drawn: points from the front on, and its width at both ends, mm; it narrows evenly along the way. */
export type PathLine = NonNullable<Layer['path']>;

/** Pieces of the curve between two drawn points, and corners of the round at each of its points. */
const ALONG = 8;
const ROUND = 16;
/** Digits that the outlines keep, mm. */
const DIGITS = 1;
/** Outlines are thinned to this, mm: a grain. */
const THIN_MM = 0.5;

/**
 * The floor that a path takes: its line drawn as a smooth curve through its points, with a width that changes evenly
 * along its length, within the vessel. Empty where nothing of it lies on the floor.
 * Valid for widths that change slowly against the length. Leaves out: grains that roll over its edge.
 * Test: path.test.ts, "covers the mean of its widths times its length, and half a round at its ends".
 */
export function pathRegion(
  { line, widthMm: [from, to] }: Pick<PathLine, 'line' | 'widthMm'>,
  vessel: Pick<Vessel, 'innerMm'>,
): Point[] {
  const curve = smooth(line);
  const along = lengths(curve);
  const whole = along.at(-1) || 1;
  const radius = (i: number) => (from + ((to - from) * along[i]) / whole) / 2;
  const parts: PathsD = curve.map((p, i) => disc(p, radius(i)));
  for (let i = 1; i < curve.length; i++) {
    const stretch = band(curve[i - 1], curve[i], radius(i - 1), radius(i));
    if (stretch.length > 0) parts.push(stretch);
  }
  const { length, width } = vessel.innerMm;
  const floor = [[0, 0], [length, 0], [length, width], [0, width]].map(([x, y]) => ({ x, y })); // prettier-ignore
  const joined = unionD(parts, [], FillRule.NonZero, DIGITS);
  return ringOf(intersectD(joined, [floor], FillRule.NonZero, DIGITS));
}

/** The largest of several rings with as few corners as show it; what thinning lays across itself is joined again. */
function ringOf(rings: PathsD): Point[] {
  const thin = rings.map((ring) => simplifyPathD(ring, THIN_MM));
  const whole = unionD(thin, [], FillRule.NonZero, DIGITS).map((ring) =>
    ring.map(({ x, y }): Point => [x, y]),
  );
  return whole.sort((a, b) => polygonArea(b) - polygonArea(a))[0] ?? [];
}

/** A curve through all points (Catmull and Rom's spline, centripetal enough for drawn points). */
export function smooth(line: readonly Point[]): Point[] {
  if (line.length < 3) return [...line];
  const curve: Point[] = [line[0]];
  for (let i = 0; i + 1 < line.length; i++) {
    const [a, b, c, d] = [
      line[Math.max(0, i - 1)],
      line[i],
      line[i + 1],
      line[Math.min(line.length - 1, i + 2)],
    ];
    for (let n = 1; n <= ALONG; n++) {
      const t = n / ALONG;
      const at = (k: 0 | 1) =>
        0.5 * (2 * b[k] + (c[k] - a[k]) * t + (2 * a[k] - 5 * b[k] + 4 * c[k] - d[k]) * t * t + (3 * b[k] - a[k] - 3 * c[k] + d[k]) * t ** 3); // prettier-ignore
      curve.push([at(0), at(1)]);
    }
  }
  return curve;
}

function lengths(curve: readonly Point[]): number[] {
  let sum = 0;
  return curve.map((p, i) =>
    i === 0 ? 0 : (sum += Math.hypot(p[0] - curve[i - 1][0], p[1] - curve[i - 1][1])),
  );
}

function disc([x, y]: Point, r: number): { x: number; y: number }[] {
  return Array.from({ length: ROUND }, (_, i) => {
    const a = (2 * Math.PI * i) / ROUND;
    return { x: x + r * Math.cos(a), y: y + r * Math.sin(a) };
  });
}

/** The stretch between two points of the curve, as wide at each as it is there. */
function band(a: Point, b: Point, ra: number, rb: number): { x: number; y: number }[] {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length < 1e-9) return [];
  const [nx, ny] = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
  const at = (p: Point, r: number) => ({ x: p[0] + nx * r, y: p[1] + ny * r });
  return [at(a, -ra), at(b, -rb), at(b, rb), at(a, ra)];
}

/** Sand of a fresh path is so high in front and at the back, mm (common practice). */
const PATH_TOP = { kind: 'ramp', frontMm: 20, backMm: 40 } as const;

/** A bed with one path more, cut into what lies there down to the glass. */
export function withNewPath(
  bed: readonly Layer[],
  id: string,
  material: string,
  path: Pick<PathLine, 'line' | 'widthMm'>,
  vessel: Vessel,
): Layer[] {
  const fresh: Layer = { id, material, cuts: true, floorMm: 0, top: { ...PATH_TOP }, path };
  return withPath([...bed, fresh], id, path, vessel);
}

/** A bed in which one path runs along another line: its own layer, and the bands of gravel at its edges. */
export function withPath(
  bed: readonly Layer[],
  id: string,
  path: Pick<PathLine, 'line' | 'widthMm'>,
  vessel: Vessel,
): Layer[] {
  return bed.map((layer) => {
    const isEdge = layer.path?.edgeOf === id;
    if (layer.id !== id && !isEdge) return layer;
    const wider = isEdge ? 2 * (layer.path?.bandMm ?? 0) : 0;
    const widthMm: [number, number] = [path.widthMm[0] + wider, path.widthMm[1] + wider];
    const region = pathRegion({ line: path.line, widthMm }, vessel);
    const own = isEdge ? { ...layer.path!, line: path.line } : { ...layer.path, ...path };
    return region.length > 2 ? { ...layer, path: own, region: region as [number, number][] } : layer;
  });
}
