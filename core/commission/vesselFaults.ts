import { USUAL_WALL_MM } from './usual';
import { firstCrossing, polygonArea } from '../geometry/polygon';
import type { MessageKey, say } from '../words/text';
import { asWritten as mm, fault as faultAt, type Fault } from './fault';
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

function fault<K extends MessageKey>(field: string, ...said: Parameters<typeof say<K>>): Fault {
  return faultAt(`vessel.${field}`, ...said);
}

function lineFaults({ waterLineMm, innerMm }: Vessel): Fault[] {
  if (waterLineMm <= innerMm.height) return [];
  return [fault('waterLineMm', 'fault.above.height', { is: mm(waterLineMm), most: mm(innerMm.height) })];
}

function shapeFaults({ kind, innerMm, bowMm, corners }: Vessel): Fault[] {
  const { length, width } = innerMm;
  switch (kind) {
    case 'box':
    case 'hexagon':
      return [];
    case 'bow': {
      const most = Math.min(width, length / 2);
      if (bowMm === undefined) return [fault('bowMm', 'fault.no.bow')];
      if (bowMm < most) return [];
      const limit = width <= length / 2 ? 'fault.bow.width' : 'fault.bow.length';
      return [fault('bowMm', limit, { is: mm(bowMm), most: mm(most) })];
    }
    case 'cylinder':
      return width === length
        ? []
        : [fault('innerMm.width', 'fault.cylinder', { is: mm(width), wanted: mm(length) })];
    case 'half-cylinder':
      return Math.abs(width - length / 2) < 0.01
        ? []
        : [fault('innerMm.width', 'fault.half.cylinder', { is: mm(width), wanted: mm(length / 2) })];
    case 'polygon':
      return cornerFaults(corners, length, width);
    default:
      return kind satisfies never;
  }
}

function cornerFaults(corners: Vessel['corners'], length: number, width: number): Fault[] {
  if (!corners) return [fault('corners', 'fault.no.corners')];
  const crossing = firstCrossing(corners);
  if (crossing) return [fault('corners', 'fault.corners.cross', { a: crossing[0] + 1, b: crossing[1] + 1 })];
  if (polygonArea(corners) < 400) return [fault('corners', 'fault.corners.nothing')];
  const out = corners.findIndex(([x, y]) => x < -1e-6 || y < -1e-6 || x > length + 1e-6 || y > width + 1e-6);
  if (out < 0) return [];
  return [
    fault(`corners[${out}]`, 'fault.corner.outside', {
      at: mm(corners[out], 3, '×'),
      within: mm([length, width], 3, '×'),
    }),
  ];
}

function openingFaults({ innerMm, rimMm = 0, braces = [] }: Vessel): Fault[] {
  const narrowest = Math.min(innerMm.length, innerMm.width);
  if (rimMm > 0 && 2 * rimMm > narrowest - HAND_MM)
    return [
      fault('rimMm', 'fault.rim', {
        is: mm(rimMm),
        hand: mm(HAND_MM),
        most: mm((narrowest - HAND_MM) / 2),
      }),
    ];
  const faults = braces.flatMap(({ fromMm, toMm }, i) => {
    if (toMm <= fromMm)
      return [fault(`braces[${i}].toMm`, 'fault.brace.turned', { is: mm(toMm), from: mm(fromMm) })];
    return toMm > innerMm.length
      ? [fault(`braces[${i}].toMm`, 'fault.brace.long', { is: mm(toMm), most: mm(innerMm.length) })]
      : [];
  });
  if (faults.length > 0 || braces.length === 0) return faults;
  return widestGap(innerMm.length, rimMm, braces) >= HAND_MM
    ? []
    : [fault('braces', 'fault.braces', { hand: mm(HAND_MM) })];
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
  return chambers.flatMap(({ side, mm: deep, wallMm = USUAL_WALL_MM, waterLineMm }, i) => {
    const axis = side === 'back' ? 'y' : 'x';
    const most = axis === 'y' ? innerMm.width : innerMm.length;
    taken[axis] += deep + wallMm;
    const path = `chambers[${i}]`;
    if (taken[axis] > most - DISPLAY_MM)
      return [fault(`${path}.mm`, 'fault.chamber', { is: mm(deep), most: mm(most) })];
    return waterLineMm !== undefined && waterLineMm > innerMm.height
      ? [
          fault(`${path}.waterLineMm`, 'fault.above.height', {
            is: mm(waterLineMm),
            most: mm(innerMm.height),
          }),
        ]
      : [];
  });
}

/** What is said of a fixed part that is too long, too wide or too high. */
const FIXED = ['fault.fixed.length', 'fault.fixed.width', 'fault.fixed.height'] as const;

function fixedFaults({ innerMm, fixed = [] }: Vessel): Fault[] {
  return fixed.flatMap(({ at, sizeMm, zMm = 0 }, i) => {
    const ends = [at[0] + sizeMm[0], at[1] + sizeMm[1], zMm + sizeMm[2]];
    const most = [innerMm.length, innerMm.width, innerMm.height];
    const over = ends.findIndex((end, axis) => end > most[axis] + 1e-6);
    if (over < 0 && at[0] >= 0 && at[1] >= 0) return [];
    const axis = Math.max(0, over);
    return [
      fault(`fixed[${i}].sizeMm[${axis}]`, FIXED[axis], { reach: mm(ends[axis]), most: mm(most[axis]) }),
    ];
  });
}
