import { contours } from 'd3-contour';
import type { CutRun } from '../../core/view/cut';
import type { FieldView } from '../workers/planWorker';

/*
 * The bed's height field as paths for the sheet. Each view has its own scale: X and Y turn millimetres into
 * pixels of the view.
 */

type Scale = (mm: number) => number;
const px = (v: number) => v.toFixed(1);

/** Whether a corner of the field lies inside the glass. */
const isInside = (field: FieldView, corner: number) => field.inside?.[corner] !== 0;

/** Stretches of a line of corners that satisfy something: first and last number of each. */
function stretches(count: number, holds: (i: number) => boolean): [number, number][] {
  const found: [number, number][] = [];
  for (let i = 0; i < count; i++) {
    if (!holds(i)) continue;
    const from = i;
    while (i + 1 < count && holds(i + 1)) i++;
    found.push([from, i]);
  }
  return found;
}

/** The bed's skyline along one row of corners, closed along the glass. Every second corner is enough. */
export function ridge(field: FieldView, row: number, X: Scale, Z: Scale): string {
  const n = field.columns + 1;
  const x = (c: number) => px(X(c * field.dxMm));
  const at = (c: number) => `L${x(c)} ${px(Z(field.cornerMm[row * n + c]))}`;
  return stretches(n, (c) => isInside(field, row * n + c))
    .map(([from, to]) => {
      let d = `M${x(from)} ${px(Z(0))}`;
      for (let c = from; c < to; c += 2) d += at(c);
      return `${d}${at(to)}L${x(to)} ${px(Z(0))}Z`;
    })
    .join('');
}

/** Stretches of a row in which one layer is uppermost, from its surface down to the glass. */
export function topRuns(field: FieldView, row: number, layer: number, X: Scale, Z: Scale): string {
  const n = field.columns + 1;
  const x = (c: number) => px(X(c * field.dxMm));
  return stretches(n, (c) => field.cornerLayer[row * n + c] === layer && isInside(field, row * n + c))
    .map(([from, to]) => {
      let d = `M${x(from)} ${px(Z(0))}`;
      for (let c = from; c <= to; c++) d += `L${x(c)} ${px(Z(field.cornerMm[row * n + c]))}`;
      return `${d}L${x(to)} ${px(Z(0))}Z`;
    })
    .join('');
}

/** Corners of the field with the share that each has in a spot. */
type Spot = readonly (readonly [corner: number, share: number])[];

/** A line through the field: where its steps lie, none where there is no floor, and how far along each is, mm. */
interface Line {
  spots: (Spot | undefined)[];
  mm: (i: number) => number;
}

/** The corners just behind the front glass, from left to right, whatever shape it has. */
function frontLine(field: FieldView): Line {
  const n = field.columns + 1;
  const spots = Array.from({ length: n }, (_, c): Spot | undefined => {
    for (let row = 0; row <= field.rows; row++) if (isInside(field, row * n + c)) return [[row * n + c, 1]];
    return undefined;
  });
  return { spots, mm: (i) => i * field.dxMm };
}

/** A straight line over the floor, in steps of a cell. */
function straightLine(field: FieldView, { from, way, lengthMm }: CutRun): Line {
  const steps = Math.max(1, Math.ceil(lengthMm / Math.min(field.dxMm, field.dyMm)));
  const mm = (i: number) => (i / steps) * lengthMm;
  const at = (i: number) => spotAt(field, from[0] + mm(i) * way[0], from[1] + mm(i) * way[1]);
  return { spots: Array.from({ length: steps + 1 }, (_, i) => at(i)), mm };
}

/** The corners around a spot; beside a pane that is not straight those inside of it. */
function spotAt(field: FieldView, xMm: number, yMm: number): Spot | undefined {
  const u = Math.min(Math.max(xMm / field.dxMm, 0), field.columns);
  const v = Math.min(Math.max(yMm / field.dyMm, 0), field.rows);
  const [i, j] = [Math.min(field.columns - 1, Math.floor(u)), Math.min(field.rows - 1, Math.floor(v))];
  const k = j * (field.columns + 1) + i;
  const [p, q] = [u - i, v - j];
  const around: [number, number][] = [
    [k, (1 - p) * (1 - q)],
    [k + 1, p * (1 - q)],
    [k + field.columns + 1, (1 - p) * q],
    [k + field.columns + 2, p * q],
  ];
  const inside = around.filter(([corner, share]) => share > 0 && isInside(field, corner));
  const whole = inside.reduce((sum, [, share]) => sum + share, 0);
  return whole > 0 ? inside.map(([corner, share]) => [corner, share / whole]) : undefined;
}

const heightOf = (mm: ArrayLike<number>, spot: Spot) =>
  spot.reduce((sum, [corner, share]) => sum + share * mm[corner], 0);

/** Every layer as it is cut along a line, bottom up. */
function cutAlong(field: FieldView, { spots, mm }: Line, U: Scale, Z: Scale): string[] {
  const below = new Float64Array(spots.length);
  const runs = stretches(spots.length, (i) => spots[i] !== undefined);
  return field.cornerThicknessMm.map((thickness) =>
    runs
      .map(([from, to]) => {
        let up = '';
        let back = '';
        let any = false;
        for (let i = from; i <= to; i++) {
          const u = px(U(mm(i)));
          const foot = below[i];
          below[i] += heightOf(thickness, spots[i]!);
          if (below[i] > foot) any = true;
          up += `${i === from ? 'M' : 'L'}${u} ${px(Z(below[i]))}`;
          back = `L${u} ${px(Z(foot))}${back}`;
        }
        return any ? `${up}${back}Z` : '';
      })
      .join(''),
  );
}

/** Every layer as the front glass shows it, bottom up. */
export function frontLayers(field: FieldView, U: Scale, Z: Scale): string[] {
  return cutAlong(field, frontLine(field), U, Z);
}

/** Every layer as it is cut, bottom up; along the cut from where it begins. */
export function cutLayers(field: FieldView, run: CutRun, U: Scale, Z: Scale): string[] {
  return cutAlong(field, straightLine(field, run), U, Z);
}

export interface Contour {
  mm: number;
  d: string;
}

/** Bands of equal bed height, shallow to deep, in steps of about ten bands. */
export function bedContours(field: FieldView, X: Scale, Y: Scale): Contour[] {
  const n = field.columns + 1;
  let deepest = 0;
  let shallowest = Infinity;
  for (const mm of field.cornerMm) {
    deepest = Math.max(deepest, mm);
    shallowest = Math.min(shallowest, mm);
  }
  const step = [5, 10, 20, 25, 50, 100].find((s) => (deepest - shallowest) / s <= 10) ?? 100;
  const levels = [];
  for (let mm = Math.ceil((shallowest + 0.01) / step) * step; mm < deepest; mm += step) levels.push(mm);
  return contours()
    .size([n, field.rows + 1])
    .thresholds(levels)(Array.from(field.cornerMm))
    .map(({ value, coordinates }) => ({ mm: value, d: pathOf(coordinates, field, X, Y) }));
}

/** Rings over the corners of a field as a path; the package counts corners from a half. */
function pathOf(polygons: number[][][][], field: FieldView, X: Scale, Y: Scale): string {
  const at = ([u, v]: number[]) => `${px(X((u - 0.5) * field.dxMm))} ${px(Y((v - 0.5) * field.dyMm))}`;
  return polygons.map((polygon) => polygon.map((ring) => `M${ring.map(at).join('L')}Z`).join('')).join('');
}

/** Height of the bed's surface at a spot, mm, between the corners around it. */
export function drawnSurfaceAt(field: FieldView, xMm: number, yMm: number): number {
  const u = Math.min(Math.max(xMm / field.dxMm, 0), field.columns);
  const v = Math.min(Math.max(yMm / field.dyMm, 0), field.rows);
  const [i, j] = [Math.min(field.columns - 1, Math.floor(u)), Math.min(field.rows - 1, Math.floor(v))];
  const k = j * (field.columns + 1) + i;
  const z = field.cornerMm;
  const near = z[k] + (z[k + 1] - z[k]) * (u - i);
  const far = z[k + field.columns + 1] + (z[k + field.columns + 2] - z[k + field.columns + 1]) * (u - i);
  return near + (far - near) * (v - j);
}

/** Thickness of every layer at a spot, at the nearest corner, mm. */
export function thicknessAt(field: FieldView, xMm: number, yMm: number): number[] {
  const c = Math.round(Math.min(Math.max(xMm / field.dxMm, 0), field.columns));
  const r = Math.round(Math.min(Math.max(yMm / field.dyMm, 0), field.rows));
  return field.cornerThicknessMm.map((t) => t[r * (field.columns + 1) + c]);
}

/** Steps of the slope that are drawn, degrees: level enough for sand, usual, at what grain holds, beyond it. */
const SLOPES = [5, 15, 25, 32, 38] as const;

/** Bands of equal slope of the bed, gentle to steep; where a layer ends in a step there is none. */
export function slopeContours(field: FieldView, X: Scale, Y: Scale): { deg: number; d: string }[] {
  const { columns, rows, dxMm, dyMm, cornerMm } = field;
  const n = columns + 1;
  const slope = new Float64Array(n * (rows + 1));
  for (let row = 0; row <= rows; row++)
    for (let c = 0; c < n; c++) {
      const [l, r] = [Math.max(0, c - 1), Math.min(columns, c + 1)];
      const [f, b] = [Math.max(0, row - 1), Math.min(rows, row + 1)];
      const k = row * n;
      const gx = (cornerMm[k + r] - cornerMm[k + l]) / ((r - l) * dxMm);
      const gy = (cornerMm[b * n + c] - cornerMm[f * n + c]) / ((b - f) * dyMm);
      slope[k + c] = (Math.atan(Math.hypot(gx, gy)) * 180) / Math.PI;
    }
  return contours()
    .size([n, rows + 1])
    .thresholds([...SLOPES])(Array.from(slope))
    .map((band) => ({ deg: band.value, d: pathOf(band.coordinates, field, X, Y) }));
}
