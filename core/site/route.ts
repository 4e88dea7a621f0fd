import type { Waypoint } from '../commission/schema';

/** Something carried in: sizes as it stands, mm (a tank is carried base down), and its mass, kg. */
export interface Load {
  what: 'tank' | 'stone' | 'stand' | 'cylinder';
  /** A piece's own name. */
  name?: string;
  sizeMm: readonly [number, number, number];
  massKg: number;
  /** A tank stays level; a stone or a cylinder may be turned. */
  upright: boolean;
}

/** Room for a hand at each side, mm (common practice). */
export const HAND_MM = 30;
/** People who ride along in a lift, and what one is taken to weigh, kg (EN 81-20 counts 75, from memory). */
export const RIDER_KG = 75;

export interface Trouble {
  waypoint: Waypoint;
  load: Load;
  kind: 'width' | 'height' | 'depth' | 'turn' | 'mass';
  /** What it has and what there is, mm or kg. */
  measured: number;
  limit: number;
}

/** Everything that does not pass a point of the way; sizes that were not taken are not judged. */
export function troubleAt(waypoint: Waypoint, load: Load, riders = 1): Trouble[] {
  switch (waypoint.kind) {
    case 'door':
    case 'stairs':
      return gap(waypoint, load);
    case 'lift':
      return lift(waypoint, load, riders);
    case 'turn':
      return corner(waypoint, load);
    default:
      return waypoint.kind satisfies never;
  }
}

/** The load's sizes as it is carried: two across, the longest along the way. */
function carried({ sizeMm, upright }: Load): { across: number; high: number; along: number } {
  const [l, w, h] = sizeMm;
  if (upright) return { across: Math.min(l, w), high: h, along: Math.max(l, w) };
  const [a, b, c] = [l, w, h].sort((p, q) => p - q);
  return { across: a, high: b, along: c };
}

function gap(waypoint: Waypoint, load: Load): Trouble[] {
  const { across, high } = carried(load);
  const trouble: Trouble[] = [];
  const wide = waypoint.widthMm;
  if (wide !== undefined && across + 2 * HAND_MM > wide)
    trouble.push({ waypoint, load, kind: 'width', measured: across + 2 * HAND_MM, limit: wide });
  if (waypoint.heightMm !== undefined && high > waypoint.heightMm)
    trouble.push({ waypoint, load, kind: 'height', measured: high, limit: waypoint.heightMm });
  return trouble;
}

function lift(waypoint: Waypoint, load: Load, riders: number): Trouble[] {
  const { widthMm = Infinity, depthMm = Infinity, heightMm = Infinity, loadKg = Infinity } = waypoint;
  const { across, high, along } = carried(load);
  const trouble: Trouble[] = [];
  const [short, long] = [Math.min(widthMm, depthMm), Math.max(widthMm, depthMm)];
  if (!standsIn(along, across, long, short)) {
    const byDepth = along > long;
    trouble.push({
      waypoint,
      load,
      kind: byDepth ? 'depth' : 'width',
      measured: byDepth ? along : across,
      limit: byDepth ? long : short,
    });
  }
  if (high > heightMm) trouble.push({ waypoint, load, kind: 'height', measured: high, limit: heightMm });
  const mass = load.massKg + riders * RIDER_KG;
  if (mass > loadKg) trouble.push({ waypoint, load, kind: 'mass', measured: mass, limit: loadKg });
  return trouble;
}

/**
 * Whether a rectangle stands in another, turned any way (Carver, Amer. Math. Monthly 64, 1957, from memory):
 * p × q, p ≥ q, in a × b, a ≥ b, when straight, or when b ≥ (2pqa + (p² − q²)·√(p² + q² − a²)) / (p² + q²).
 */
export function standsIn(p: number, q: number, a: number, b: number): boolean {
  if (p <= a && q <= b) return true;
  if (q > b || a === Infinity) return false;
  const under = p * p + q * q - a * a;
  return p > a && under >= 0 && b >= (2 * p * q * a + (p * p - q * q) * Math.sqrt(under)) / (p * p + q * q);
}

/** Angles at which a load is held against a corner. */
const ANGLES = 180;

/**
 * Longest thing of a width that goes level round a right-angled corner between two passages, mm: the least
 * over all angles of (a·cos θ + b·sin θ − w) / (sin θ·cos θ). Two passages of 1 m take a pole of 2√2 m.
 * Valid for level carrying round one right angle. Leaves out: tilting the load upright, rounded corners.
 * Test: site.test.ts, "takes a pole of 2√2 m round the corner of two passages of 1 m".
 */
export function longestRound(widthMm: number, firstMm: number, secondMm: number): number {
  let least = Infinity;
  for (let i = 1; i < ANGLES; i++) {
    const angle = (i * Math.PI) / 2 / ANGLES;
    const [s, c] = [Math.sin(angle), Math.cos(angle)];
    least = Math.min(least, (firstMm * c + secondMm * s - widthMm) / (s * c));
  }
  return Math.max(0, least);
}

function corner(waypoint: Waypoint, load: Load): Trouble[] {
  const { widthMm, depthMm = widthMm } = waypoint;
  if (widthMm === undefined || depthMm === undefined) return [];
  const { across, along } = carried(load);
  const longest = longestRound(across + 2 * HAND_MM, widthMm, depthMm);
  // A short thing is not swung round: it passes where it passes the two doors.
  if (along <= longest || (along <= Math.min(widthMm, depthMm) && across <= Math.min(widthMm, depthMm)))
    return [];
  return [{ waypoint, load, kind: 'turn', measured: along, limit: longest }];
}
