import { rotation, turned } from '../geometry/rotation';
import type { Point } from '../geometry/polygon';
import type { Day } from '../calendar/day';
import { gasCostOf } from '../gear/gear';
import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Piece } from '../commission/schema';
import { hullOf } from '../hardscape/planHull';
import { silhouette } from '../hardscape/silhouette';
import { solidMesh } from '../hardscape/solid';
import type { BedField } from '../substrate/bedField';
import { withoutPrice } from '../takeoff/cost';
import { toSettle } from '../words/finding';
import type { Said } from '../words/text';
import { nextDue } from './due';
import type { Plan } from './plan';

/** A commission as a list shows it: the scape from the front in a few lines, what is open, what is due. */
export interface Glance {
  /** Height of the bed, left to right, mm: its highest behind, and at the front glass; the material on top of it. */
  ridgeMm: number[];
  frontMm: number[];
  bed?: string;
  /** Outlines of the pieces from the front, the hindmost first, mm from the lower left corner. */
  pieces: { material: string; rings: Point[][] }[];
  toSettle: number;
  costMinor: number;
  currency: string;
  /** Lines that nobody has priced. */
  unpriced: number;
  /** Suppliers of whom something is still to be ordered, and those that have confirmed all. */
  toOrder: number;
  confirmed: number;
  /** What has to be seen to next; an order that is late as long as it can be sent. */
  next?: { day: Day; what: Said };
}

/** Points along the ridge, and how finely outlines are kept, mm. */
const RIDGE_POINTS = 48;
const GRAIN_MM = 1;

/**
 * What a list shows of a commission, from its plan.
 * Valid for the option that was planned. Leaves out: plants, and whatever lies behind a ridge.
 */
export function glanceOf(commission: Commission, plan: Plan, today: Day): Glance {
  const { survey, order, takeOff } = plan;
  const option = optionOf(commission, survey.optionId);
  const next = nextDue(plan, today);
  const top = option.bed.findLast((l) => !l.cuts);
  return {
    ridgeMm: top ? ridgeOf(survey.field) : [],
    frontMm: top ? ridgeOf({ ...survey.field, rows: 0 }) : [],
    ...(top ? { bed: top.material } : {}),
    pieces: [...option.pieces]
      .sort((a, b) => b.at[1] - a.at[1])
      .map((p) => ({
        material: p.material,
        rings: outlineOf(
          p,
          survey.pieces.find((s) => s.id === p.id)?.zMm ?? 0,
          materialOf(commission, p.material).kind === 'wood',
        ),
      })),
    toSettle: toSettle(plan.findings).length,
    costMinor: order.totalMinor + gasCostOf(commission),
    currency: commission.currency,
    unpriced: withoutPrice(takeOff).length,
    toOrder: order.suppliers.filter((s) => s.lines.length > 0).length,
    confirmed: order.suppliers.filter((s) => s.lines.length === 0).length,
    ...(next ? { next: { day: next.day, what: next.title } } : {}),
  };
}

/** The highest of the bed at so many places across, over so many rows from the front. */
function ridgeOf({ columns, rows, cornerMm }: Pick<BedField, 'columns' | 'rows' | 'cornerMm'>): number[] {
  const across = columns + 1;
  return Array.from({ length: RIDGE_POINTS }, (_, n) => {
    const i = Math.round((n / (RIDGE_POINTS - 1)) * columns);
    let highest = 0;
    for (let j = 0; j <= rows; j++) highest = Math.max(highest, cornerMm[j * across + i]);
    return Math.round(highest);
  });
}

/** The outline of a piece as it is seen from the front; of a stone the ring round it, which is as good from far off. */
function outlineOf({ shape, turnDeg, tiltDeg, at }: Piece, zMm: number, isWood: boolean): Point[][] {
  const [mesh, turn] = [solidMesh(shape), rotation(turnDeg, tiltDeg)];
  const rings = isWood ? silhouette(mesh, turn, 'front') : [hullOf(fromFront(turned(mesh.vertices, turn)))];
  return rings.map((ring) =>
    ring
      .map(([x, z]): Point => [snapped(at[0] + x), snapped(zMm + z)])
      .filter((p, i, all) => i === 0 || p[0] !== all[i - 1][0] || p[1] !== all[i - 1][1]),
  );
}

function fromFront(vertices: Float64Array): Point[] {
  return Array.from({ length: vertices.length / 3 }, (_, i): Point => [vertices[i * 3], vertices[i * 3 + 2]]);
}

const snapped = (mm: number) => Math.round(mm / GRAIN_MM) * GRAIN_MM;
