import type { Standing } from '../hardscape/settle';
import { surfaceAt, onFloor, type BedField } from '../substrate/bedField';
import { potentialFlow, speeds, type Slice } from './potentialFlow';

/** Where water comes in and goes out, seen from above, mm. */
export interface Ports {
  outflow: readonly [number, number];
  intake: readonly [number, number];
}

/** A pump that stirs and filters nothing: it takes in where it hangs, and blows out a hand's breadth before it. */
export interface Pump {
  at: readonly [number, number];
  zMm: number;
  /** 0 to the right, 90 to the back. */
  towardsDeg: number;
  litresPerHour: number;
}

/** How far before a pump its jet has become a flow, mm (common practice). */
const JET_MM = 80;

/** Water at one height: speed in each cell, mm/s; −1 where there is no water. */
export interface FlowLayer {
  zMm: number;
  columns: number;
  rows: number;
  dxMm: number;
  dyMm: number;
  vx: Float32Array;
  vy: Float32Array;
  speed: Float32Array;
}

/** Water that moves less than this share of the mean hardly moves: mulm lies there, and leaves of epiphytes gather it (common practice). */
export const DEAD_SHARE = 1 / 3;
const CELL_MM = 10;
/** Heights at which the flow is looked at, shares of the water above the glass. */
const HEIGHTS = [0.3, 0.7] as const;
const MM3_PER_L = 1e6;
const S_PER_H = 3600;
/** Outflow and intake are spread over so much around their spot, mm. */
const PORT_MM = 25;

/**
 * The flow from outflow to intake around what stands in the tank, at two heights that share it evenly; what pumps stir is at the
 * height that is nearer to them.
 * Valid for slow water, as `potentialFlow` is. Leaves out: what plants slow down, the jet of the outflow and how far a pump's
 * carries.
 * Test: flow.test.ts, "in a tank: what comes in goes out, a wall makes a dead corner behind it".
 */
export function tankFlow(
  field: BedField,
  standing: readonly Standing[],
  sizeMm: readonly [number, number, number],
  waterMm: number,
  litresPerHour: number,
  ports: Ports,
  pumps: readonly Pump[] = [],
): FlowLayer[] {
  return HEIGHTS.map((share, height) => {
    const zMm = share * waterMm;
    const slice = sliceAt(field, standing, sizeMm, zMm);
    // Each height has half of the flow, over half of the water.
    const perMm = (litresPerHour * MM3_PER_L) / S_PER_H / waterMm;
    port(slice, ports.outflow, perMm);
    port(slice, ports.intake, -perMm);
    for (const pump of pumps) if (heightOf(pump, waterMm) === height) stir(slice, pump, waterMm);
    const { vx, vy } = speeds(slice, potentialFlow(slice));
    const speed = vx.map((v, c) => (slice.open[c] ? Math.hypot(v, vy[c]) : -1));
    const { columns, rows, dxMm, dyMm } = slice;
    return { zMm, columns, rows, dxMm, dyMm, vx, vy, speed };
  });
}

/** The height at which a pump stirs. */
function heightOf({ zMm }: Pump, waterMm: number): number {
  const apart = HEIGHTS.map((share) => Math.abs(share * waterMm - zMm));
  return apart.indexOf(Math.min(...apart));
}

/** What a pump takes in and blows out; one height stands for half of the water. */
function stir(slice: Slice, { at: [x, y], towardsDeg, litresPerHour }: Pump, waterMm: number): void {
  const perMm = (litresPerHour * MM3_PER_L) / S_PER_H / (waterMm / HEIGHTS.length);
  const angle = (towardsDeg * Math.PI) / 180;
  port(slice, [x, y], -perMm);
  port(slice, [x + JET_MM * Math.cos(angle), y + JET_MM * Math.sin(angle)], perMm);
}

/** Open water at a height: inside the glass, above the bed, beside pieces. */
function sliceAt(
  field: BedField,
  standing: readonly Standing[],
  [length, width]: readonly [number, number, number],
  zMm: number,
): Slice {
  const [columns, rows] = [
    Math.max(2, Math.round(length / CELL_MM)),
    Math.max(2, Math.round(width / CELL_MM)),
  ];
  const [dxMm, dyMm] = [length / columns, width / rows];
  const open = new Uint8Array(columns * rows);
  for (let j = 0, c = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, c++) {
      const [x, y] = [(i + 0.5) * dxMm, (j + 0.5) * dyMm];
      if (onFloor(field, x, y) && surfaceAt(field, x, y) < zMm) open[c] = 1;
    }
  for (const { columns: k, xMm, yMm, zMm: base } of standing)
    for (let j = 0, c = 0; j < rows; j++)
      for (let i = 0; i < columns; i++, c++) {
        const u = Math.round(((i + 0.5) * dxMm - xMm - k.x0) / k.dxMm);
        const w = Math.round(((j + 0.5) * dyMm - yMm - k.y0) / k.dyMm);
        if (!open[c] || u < 0 || w < 0 || u >= k.columns || w >= k.rows) continue;
        const cell = w * k.columns + u;
        for (let n = k.first[cell]; n < k.first[cell + 1]; n++)
          if (zMm > k.lo[n] + base && zMm < k.hi[n] + base) open[c] = 0;
      }
  return { columns, rows, dxMm, dyMm, open, source: new Float64Array(columns * rows) };
}

/** Adds a source to the open cells around a spot, or to the nearest that is open. */
function port(
  { columns, dxMm, dyMm, open, source }: Slice,
  [x, y]: readonly [number, number],
  much: number,
): void {
  const far = (c: number) =>
    Math.hypot(((c % columns) + 0.5) * dxMm - x, (Math.floor(c / columns) + 0.5) * dyMm - y);
  let near: number[] = [];
  let nearest = -1;
  for (let c = 0; c < open.length; c++) {
    if (!open[c]) continue;
    const d = far(c);
    if (d <= PORT_MM) near.push(c);
    if (nearest < 0 || d < far(nearest)) nearest = c;
  }
  if (near.length === 0 && nearest >= 0) near = [nearest];
  for (const c of near) source[c] += much / near.length;
}

/** Speed at a spot of a layer, mm/s; undefined where there is no water. */
export function speedAt(layer: FlowLayer, x: number, y: number): number | undefined {
  const i = Math.min(layer.columns - 1, Math.max(0, Math.floor(x / layer.dxMm)));
  const j = Math.min(layer.rows - 1, Math.max(0, Math.floor(y / layer.dyMm)));
  const speed = layer.speed[j * layer.columns + i];
  return speed < 0 ? undefined : speed;
}

/** Mean speed of the open water at a height, mm/s. */
export function meanSpeed({ speed }: Pick<FlowLayer, 'speed'>): number {
  let [sum, open] = [0, 0];
  for (const v of speed) {
    if (v < 0) continue;
    sum += v;
    open++;
  }
  return open === 0 ? 0 : sum / open;
}

/** The speed below which water hardly moves at a height, mm/s: jets stir more than this flow knows, so it is relative. */
export const deadBelow = (layer: Pick<FlowLayer, 'speed'>): number => meanSpeed(layer) * DEAD_SHARE;

/** Share of the open water at a height that hardly moves. */
export function deadShare(layer: Pick<FlowLayer, 'speed'>): number {
  const least = deadBelow(layer);
  let [open, dead] = [0, 0];
  for (const v of layer.speed) {
    if (v < 0) continue;
    open++;
    if (v < least) dead++;
  }
  return open === 0 ? 0 : dead / open;
}
