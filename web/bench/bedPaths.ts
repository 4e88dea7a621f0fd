import { contours } from 'd3-contour';
import type { FieldView } from '../workers/planWorker';

/*
 * The bed's height field as paths for the sheet. Each view has its own scale: X and Y turn millimetres into
 * pixels of the view.
 */

type Scale = (mm: number) => number;
const px = (v: number) => v.toFixed(1);

/** The bed's skyline along one row of corners, closed along the glass. Every second corner is enough. */
export function ridge(field: FieldView, row: number, X: Scale, Z: Scale): string {
  const n = field.columns + 1;
  let d = `M${px(X(0))} ${px(Z(0))}`;
  for (let c = 0; c < n; c += c === n - 2 ? 1 : 2)
    d += `L${px(X(c * field.dxMm))} ${px(Z(field.cornerMm[row * n + c]))}`;
  if (n % 2 === 0) d += `L${px(X((n - 1) * field.dxMm))} ${px(Z(field.cornerMm[row * n + n - 1]))}`;
  return `${d}L${px(X(field.columns * field.dxMm))} ${px(Z(0))}Z`;
}

/** Stretches of a row in which one layer is uppermost, from its surface down to the glass. */
export function topRuns(field: FieldView, row: number, layer: number, X: Scale, Z: Scale): string {
  const n = field.columns + 1;
  let d = '';
  let open = false;
  for (let c = 0; c <= n; c++) {
    const on = c < n && field.cornerLayer[row * n + c] === layer;
    const x = px(X(Math.min(c, n - 1) * field.dxMm));
    if (on && !open) d += `M${x} ${px(Z(0))}`;
    if (on) d += `L${x} ${px(Z(field.cornerMm[row * n + c]))}`;
    if (!on && open) d += `L${px(X((c - 1) * field.dxMm))} ${px(Z(0))}Z`;
    open = on;
  }
  return d;
}

/** Every layer as it is cut along a row (from the left) or a column (from the front), bottom up. */
export function layerCuts(
  field: FieldView,
  along: 'row' | 'column',
  index: number,
  U: Scale,
  Z: Scale,
): string[] {
  const n = field.columns + 1;
  const count = along === 'row' ? n : field.rows + 1;
  const corner = (i: number) => (along === 'row' ? index * n + i : i * n + index);
  const step = along === 'row' ? field.dxMm : field.dyMm;
  const below = new Float64Array(count);
  return field.cornerThicknessMm.map((thickness) => {
    let up = '';
    let back = '';
    let any = false;
    for (let i = 0; i < count; i++) {
      const u = px(U(i * step));
      const from = below[i];
      below[i] += thickness[corner(i)];
      if (below[i] > from) any = true;
      up += `${i === 0 ? 'M' : 'L'}${u} ${px(Z(below[i]))}`;
      back = `L${u} ${px(Z(from))}${back}`;
    }
    return any ? `${up}${back}Z` : '';
  });
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
  const at = ([u, v]: number[]) => `${px(X((u - 0.5) * field.dxMm))} ${px(Y((v - 0.5) * field.dyMm))}`;
  return contours()
    .size([n, field.rows + 1])
    .thresholds(levels)(Array.from(field.cornerMm))
    .map(({ value, coordinates }) => ({
      mm: value,
      d: coordinates.map((polygon) => polygon.map((ring) => `M${ring.map(at).join('L')}Z`).join('')).join(''),
    }));
}

/** Height of the bed's surface at a spot, mm, between the corners around it. */
export function surfaceAt(field: FieldView, xMm: number, yMm: number): number {
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
