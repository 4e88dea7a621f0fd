import type { Pocket } from '../commission/schema';
import { rotation } from '../geometry/rotation';
import { MM3_PER_L } from '../units/volume';
import type { Standing } from './settle';

/** A heap on top of a piece as it was measured. */
export interface PocketSurvey {
  id: string;
  on: string;
  material: string;
  /** Settled, as it lies. */
  litres: number;
  /** How steep its sides are by themselves, degrees. */
  slopeDeg: number;
  /** Share of its floor under which there is no stone or wood: what lies there runs down. */
  overEdge: number;
  /** Its middle: from the left, from the front, and the top of what carries it above the glass, mm. */
  at: readonly [number, number, number];
  radiusMm: number;
  heightMm: number;
}

/** Spots along the radius at which a heap is read. */
const RINGS = 40;
const AROUND = 72;
const DEG = 180 / Math.PI;

/**
 * A heap on a piece: a cone of its radius and height that follows the tops of what stands there, πR²H/3 where all of it
 * is carried. Pieces beside it carry it too where their tops are within its radius of the height in its middle.
 * Valid for tops that are nearly level. Leaves out: what the surface's own slope adds to the heap's, water in its pores.
 * Test: pocket.test.ts, "on a level top holds a cone".
 *
 * @returns undefined where its piece does not stand
 */
export function measurePocket(pocket: Pocket, standing: readonly Standing[]): PocketSurvey | undefined {
  const own = standing.find((s) => s.piece.id === pocket.on);
  if (!own) return undefined;
  const m = rotation(own.piece.turnDeg);
  const [ox, oy] = pocket.offsetMm;
  const [x, y] = [own.xMm + m[0] * ox + m[1] * oy, own.yMm + m[3] * ox + m[4] * oy];
  const middle = topAt(own, x, y) ?? own.zMm + own.columns.extent.hi[2];
  const near = standing.filter((s) => s === own || meets(s, x, y, pocket.radiusMm));
  const { radiusMm, heightMm } = pocket;
  let [carried, whole, mm3] = [0, 0, 0];
  for (let ring = 0; ring < RINGS; ring++) {
    const r = ((ring + 0.5) / RINGS) * radiusMm;
    const cell = (2 * Math.PI * r * (radiusMm / RINGS)) / AROUND;
    for (let k = 0; k < AROUND; k++) {
      const a = (k / AROUND) * 2 * Math.PI;
      whole += cell;
      if (!isCarried(near, x + r * Math.cos(a), y + r * Math.sin(a), middle, radiusMm)) continue;
      carried += cell;
      mm3 += cell * heightMm * (1 - r / radiusMm);
    }
  }
  return {
    id: pocket.id,
    on: pocket.on,
    material: pocket.material,
    litres: mm3 / MM3_PER_L,
    slopeDeg: Math.atan2(heightMm, radiusMm) * DEG,
    overEdge: 1 - carried / whole,
    at: [x, y, middle],
    radiusMm,
    heightMm,
  };
}

function isCarried(near: readonly Standing[], x: number, y: number, middle: number, within: number): boolean {
  return near.some((s) => {
    const top = topAt(s, x, y);
    return top !== undefined && Math.abs(top - middle) <= within;
  });
}

function meets({ xMm, yMm, columns: { extent } }: Standing, x: number, y: number, r: number): boolean {
  const apart = (v: number, from: number, to: number) => Math.max(from - v, v - to, 0);
  return Math.hypot(apart(x - xMm, extent.lo[0], extent.hi[0]), apart(y - yMm, extent.lo[1], extent.hi[1])) <= r; // prettier-ignore
}

/** Height of a standing piece's top at a spot, mm; undefined beside it. */
export function topAt({ xMm, yMm, zMm, columns: c }: Standing, x: number, y: number): number | undefined {
  const [u, v] = [Math.round((x - xMm - c.x0) / c.dxMm), Math.round((y - yMm - c.y0) / c.dyMm)];
  if (u < 0 || v < 0 || u >= c.columns || v >= c.rows) return undefined;
  const cell = v * c.columns + u;
  return c.first[cell] === c.first[cell + 1] ? undefined : zMm + c.hi[c.first[cell + 1] - 1];
}
