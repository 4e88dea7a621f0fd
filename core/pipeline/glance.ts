import { rotation, turned } from '../geometry/rotation';
import type { Point } from '../geometry/polygon';
import { dayPlus, type Day } from '../calendar/day';
import { gearOf, paidBeside } from '../gear/gear';
import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Piece } from '../commission/schema';
import { hullOf } from '../hardscape/planHull';
import { silhouette } from '../hardscape/silhouette';
import { solidMesh } from '../hardscape/solid';
import type { BedField } from '../substrate/bedField';
import { withoutPrice } from '../takeoff/cost';
import { careEndedFor } from '../regime/waterSchools';
import { bySeverity, toSettle } from '../words/finding';
import type { Said, Text } from '../words/text';
import type { Take } from '../stock/shelf';
import type { WeekDue } from '../staging/sorts';
import { comingUp, dueOf, isAhead } from './due';
import type { Plan } from './plan';
import type { Standing } from './listed';

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
  /** Where it stands, from the first line drawn to the last week of care. */
  standing: Standing;
  /** What has to be seen to next; an order that is late as long as it can be sent. */
  next?: Upcoming;
  /** For a closer look: the worst of what is to settle, what comes next, and how much of everything goes in. */
  worst: Text[];
  upcoming: Upcoming[];
  /** What is due in the coming weeks, and what is late; kept apart from the rest, for a week over all commissions. */
  dues: WeekDue[];
  /** What comes off the studio's shelf, kept apart too: others reckon with it. */
  takes: Take[];
  amounts: { what: 'water' | 'bed' | 'stone' | 'wood' | 'plugs'; value: number; unit: string }[];
}

/** How far ahead a week can be looked at, days, and how many of one commission are kept. */
export const WEEKS_AHEAD_DAYS = 28;
const MOST_DUES = 80;

export interface Upcoming {
  day: Day;
  what: Said;
}

/** How much a closer look shows of each. */
const LOOK = 5;

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
  const upcoming = comingUp(plan, commission, today).slice(0, LOOK).map(({ day, title }) => ({ day, what: title })); // prettier-ignore
  const open = bySeverity(toSettle(plan.findings));
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
    toSettle: open.length,
    costMinor: order.totalMinor + paidBeside({ brief: commission.brief, gear: gearOf(commission) }).all,
    currency: commission.currency,
    unpriced: withoutPrice(takeOff).length,
    toOrder: order.suppliers.filter((s) => s.lines.length > 0).length,
    confirmed: order.suppliers.filter((s) => s.lines.length === 0).length,
    standing: standingOf(commission, plan, today),
    ...(upcoming.length > 0 ? { next: upcoming[0] } : {}),
    worst: open.slice(0, LOOK).map((f) => f.says),
    upcoming,
    dues: duesOf(commission, plan, today),
    takes: plan.takes,
    amounts: amountsOf(commission, plan),
  };
}

/** What is due from today on for some weeks, and what is late, the soonest first. */
function duesOf(commission: Commission, plan: Plan, today: Day): WeekDue[] {
  const last = dayPlus(today, WEEKS_AHEAD_DAYS);
  return (
    dueOf(plan, commission)
      // What has begun and still holds a tub is not over; what is later may hold a place before.
      .filter(
        (d) =>
          (d.holds?.from ?? d.day) <= last &&
          (isAhead(d, plan, today) || (d.holds !== undefined && d.holds.until >= today)),
      )
      .sort((a, b) => a.day.localeCompare(b.day))
      .slice(0, MOST_DUES)
      .map(({ sort, day, title, hands, waits, holds }) => ({
        sort,
        day,
        what: title,
        ...(hands ? { hands } : {}),
        ...(waits ? { waits } : {}),
        ...(holds ? { holds } : {}),
      }))
  );
}

function standingOf({ brief }: Commission, { survey, order }: Plan, today: Day): Standing {
  const drawn = survey.pieces.length + survey.layers.length + survey.plantings.length > 0;
  if (!drawn) return 'begun';
  if (brief.buildDay <= careEndedFor(today)) return 'done';
  if (today > brief.buildDay) return 'in-care';
  const confirmed = order.suppliers.filter((s) => s.coming.length > 0).length;
  if (confirmed === 0) return 'drawn';
  return order.suppliers.some((s) => s.lines.length > 0) ? 'ordering' : 'ordered';
}

/** What goes in, of each kind in its unit; what there is none of is left out. */
function amountsOf(commission: Commission, { survey }: Plan): Glance['amounts'] {
  const kg = (kind: 'stone' | 'wood') => survey.pieces.filter((p) => materialOf(commission, p.material).kind === kind).reduce((sum, p) => sum + p.massKg, 0); // prettier-ignore
  const amounts: Glance['amounts'] = [
    { what: 'water', value: survey.freeWaterL, unit: 'L' },
    { what: 'bed', value: survey.layers.reduce((sum, l) => sum + l.volumeL, 0), unit: 'L' },
    { what: 'stone', value: kg('stone'), unit: 'kg' },
    { what: 'wood', value: kg('wood'), unit: 'kg' },
    { what: 'plugs', value: survey.plantings.reduce((sum, p) => sum + p.plugs, 0), unit: 'plug' },
  ];
  return amounts.filter((a) => a.value > 0);
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
