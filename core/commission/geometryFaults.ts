import { areCorners, firstCrossing, polygonBounds, type Polygon } from '../geometry/polygon';
import { solidFault } from '../geometry/mesh';
import { briefFaults } from './briefFaults';
import { BUDGETS } from './budgets';
import type { Text } from '../words/text';
import { fault, type Fault } from './fault';
import { facesOf, verticesOf } from './meshArrays';
import type { Commission, Option, Shape } from './schema';
import { vesselFaults } from './vesselFaults';

/** Regions that cross themselves, surfaces that enclose nothing, water above the rim and the like. */
export function geometryFaults(commission: Commission): Fault[] {
  return [
    ...vesselFaults(commission.vessel),
    ...briefFaults(commission),
    ...placed(commission).flatMap(([o, path]) => [
      ...optionFaults(o, path),
      ...floorsFaults(o, commission.vessel.innerMm, `${path}.plants`),
    ]),
  ];
}

/** Every scape with where it stands in the document. */
function placed({ options, now }: Commission): [Scape, string][] {
  return [...options.map((o, i): [Scape, string] => [o, `options[${i}]`]), ...(now ? [[now, 'now'] as [Scape, string]] : [])];
} // prettier-ignore
type Scape = Pick<Option, 'bed' | 'pieces' | 'plants' | 'underlays'>;

function optionFaults(option: Scape, path: string): Fault[] {
  return [
    ...option.bed.flatMap((layer, i) => [
      ...regionFaults(layer.region, `${path}.bed[${i}].region`),
      ...gridFaults(layer.top, `${path}.bed[${i}].top.mm`),
    ]),
    ...option.plants.flatMap((planting, i) => [
      ...regionFaults(planting.region, `${path}.plants[${i}].region`),
      ...plantingFaults(planting, `${path}.plants[${i}]`),
    ]),
    ...(option.underlays ?? []).flatMap(({ corners }, i) =>
      areCorners(corners) ? [] : [fault(`${path}.underlays[${i}].corners`, 'fault.no.rectangle')],
    ),
    ...option.pieces.flatMap((piece, i) => shapeFaults(piece.shape, `${path}.pieces[${i}].shape`)),
  ];
}

/** Rings that have been looked at, each with the edges that meet. They are replaced, never changed in place. */
const rings = new WeakMap<Polygon, [number, number] | false>();

function regionFaults(region: Polygon | undefined, path: string): Fault[] {
  if (!region) return [];
  const crossing = rings.get(region) ?? firstCrossing(region) ?? false;
  rings.set(region, crossing);
  if (!crossing) return [];
  const [a, b] = crossing;
  return [fault(path, 'fault.crosses', { a, b })];
}

/** Regions are asked for at every cell of the floor that they may cover: many over each other take long, and are no plan. */
function floorsFaults({ plants }: Scape, { length, width }: { length: number; width: number }, path: string): Fault[] {
  const within = (lo: number, hi: number, most: number) => Math.max(0, Math.min(hi, most) - Math.max(lo, 0));
  const boxes = plants.flatMap(({ region }) => (region ? [polygonBounds(region)] : []));
  const floors = boxes.reduce((n, [left, front, right, back]) => n + (within(left, right, length) / length) * (within(front, back, width) / width), 0);
  if (floors <= BUDGETS.plantedFloors) return [];
  return [fault(path, 'fault.floors', { count: Math.round(floors), most: BUDGETS.plantedFloors })];
} // prettier-ignore

function gridFaults(top: Option['bed'][number]['top'], path: string): Fault[] {
  if (top.kind !== 'grid' || top.mm.length === top.columns * top.rows) return [];
  return [fault(path, 'fault.grid', { has: top.mm.length, wanted: top.columns * top.rows })];
}

function plantingFaults(planting: Option['plants'][number], path: string): Fault[] {
  // How far apart is as usual for the plant and by the studio's school where nobody says.
  if (planting.count !== undefined || planting.region) return [];
  return [fault(`${path}.region`, 'fault.no.region')];
}

/** Surfaces that have been looked at. Shapes are replaced, never changed in place. */
const surfaces = new WeakMap<Shape, Text | false>();

function shapeFaults(shape: Shape, path: string): Fault[] {
  const says = surfaces.get(shape) ?? surfaceFault(shape);
  surfaces.set(shape, says);
  return says ? [{ path: `${path}.faces`, says }] : [];
}

function surfaceFault(shape: Shape): Text | false {
  if (shape.kind !== 'mesh') return false;
  return solidFault({ vertices: verticesOf(shape), faces: facesOf(shape) }) ?? false;
}
