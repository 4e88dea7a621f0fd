import { USUAL_WALL_MM } from './usual';
import { firstCrossing, polygonArea } from '../geometry/polygon';
import type { Fault } from './fault';
import type { Vessel } from './schema';

/** Least clear width of an opening that a hand passes through, mm (common practice). */
const HAND_MM = 80;

/** Vessels that cannot be: water over the rim, bows deeper than the tank, braces that leave no opening. */
export function vesselFaults(vessel: Vessel): Fault[] {
  return [
    ...lineFaults(vessel),
    ...shapeFaults(vessel),
    ...openingFaults(vessel),
    ...chamberFaults(vessel),
    ...fixedFaults(vessel),
  ];
}

function fault(field: string, says: string): Fault {
  return { path: `vessel.${field}`, says };
}

function lineFaults({ waterLineMm, innerMm }: Vessel): Fault[] {
  if (waterLineMm <= innerMm.height) return [];
  return [fault('waterLineMm', `is ${waterLineMm}, must be at most the inner height, ${innerMm.height}`)];
}

function shapeFaults({ kind, innerMm, bowMm, corners }: Vessel): Fault[] {
  const { length, width } = innerMm;
  switch (kind) {
    case 'box':
    case 'hexagon':
      return [];
    case 'bow': {
      const most = Math.min(width, length / 2);
      if (bowMm === undefined) return [fault('bowMm', 'is missing, must be how far the front stands out')];
      if (bowMm < most) return [];
      const limit = width <= length / 2 ? `the width, ${width}` : `half the length, ${length / 2}`;
      return [fault('bowMm', `is ${bowMm}, must be less than ${limit}: a bow cannot be deeper`)];
    }
    case 'cylinder':
      return width === length
        ? []
        : [fault('innerMm.width', `is ${width}, must be the diameter of the cylinder, ${length}`)];
    case 'half-cylinder':
      return Math.abs(width - length / 2) < 0.01
        ? []
        : [fault('innerMm.width', `is ${width}, must be half the diameter, ${length / 2}`)];
    case 'polygon':
      return cornerFaults(corners, length, width);
    default:
      return kind satisfies never;
  }
}

function cornerFaults(corners: Vessel['corners'], length: number, width: number): Fault[] {
  if (!corners) return [fault('corners', 'are missing, must be at least three points around the floor')];
  const crossing = firstCrossing(corners);
  if (crossing)
    return [
      fault(
        'corners',
        `cross: side ${crossing[0] + 1} meets side ${crossing[1] + 1}, must run around the floor once`,
      ),
    ];
  if (polygonArea(corners) < 400) return [fault('corners', 'enclose nothing, must go around the floor')];
  const out = corners.findIndex(([x, y]) => x < -1e-6 || y < -1e-6 || x > length + 1e-6 || y > width + 1e-6);
  if (out < 0) return [];
  return [fault(`corners[${out}]`, `is at ${corners[out].join(', ')}, must lie within ${length} × ${width}`)];
}

function openingFaults({ innerMm, rimMm = 0, braces = [] }: Vessel): Fault[] {
  const narrowest = Math.min(innerMm.length, innerMm.width);
  if (rimMm > 0 && 2 * rimMm > narrowest - HAND_MM)
    return [
      fault(
        'rimMm',
        `is ${rimMm}, must leave an opening of ${HAND_MM} mm: at most ${(narrowest - HAND_MM) / 2}`,
      ),
    ];
  const faults = braces.flatMap(({ fromMm, toMm }, i) => {
    if (toMm <= fromMm)
      return [fault(`braces[${i}].toMm`, `is ${toMm}, must be to the right of where it starts, ${fromMm}`)];
    return toMm > innerMm.length
      ? [fault(`braces[${i}].toMm`, `is ${toMm}, must be at most the inner length, ${innerMm.length}`)]
      : [];
  });
  if (faults.length > 0 || braces.length === 0) return faults;
  return widestGap(innerMm.length, rimMm, braces) >= HAND_MM
    ? []
    : [fault('braces', `leave no opening of ${HAND_MM} mm, must leave one that a hand passes through`)];
}

function widestGap(length: number, rim: number, braces: NonNullable<Vessel['braces']>): number {
  let at = rim;
  let widest = 0;
  for (const { fromMm, toMm } of [...braces].sort((a, b) => a.fromMm - b.fromMm)) {
    widest = Math.max(widest, fromMm - at);
    at = Math.max(at, toMm);
  }
  return Math.max(widest, length - rim - at);
}

/** Clear room that the display keeps beside its chambers, mm. */
const DISPLAY_MM = 20;

function chamberFaults({ innerMm, chambers = [] }: Vessel): Fault[] {
  const taken = { x: 0, y: 0 };
  return chambers.flatMap(({ side, mm, wallMm = USUAL_WALL_MM, waterLineMm }, i) => {
    const axis = side === 'back' ? 'y' : 'x';
    const most = axis === 'y' ? innerMm.width : innerMm.length;
    taken[axis] += mm + wallMm;
    const path = `chambers[${i}]`;
    if (taken[axis] > most - DISPLAY_MM)
      return [fault(`${path}.mm`, `is ${mm}, must leave room for the display within ${most}`)];
    return waterLineMm !== undefined && waterLineMm > innerMm.height
      ? [
          fault(
            `${path}.waterLineMm`,
            `is ${waterLineMm}, must be at most the inner height, ${innerMm.height}`,
          ),
        ]
      : [];
  });
}

function fixedFaults({ innerMm, fixed = [] }: Vessel): Fault[] {
  return fixed.flatMap(({ at, sizeMm, zMm = 0 }, i) => {
    const ends = [at[0] + sizeMm[0], at[1] + sizeMm[1], zMm + sizeMm[2]];
    const most = [innerMm.length, innerMm.width, innerMm.height];
    const over = ends.findIndex((end, axis) => end > most[axis] + 1e-6);
    if (over < 0 && at[0] >= 0 && at[1] >= 0) return [];
    const axis = Math.max(0, over);
    return [
      fault(
        `fixed[${i}].sizeMm[${axis}]`,
        `reaches ${ends[axis]}, must stay within the inner ${['length', 'width', 'height'][axis]}, ${most[axis]}`,
      ),
    ];
  });
}
