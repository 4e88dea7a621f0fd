import { BoxGeometry, Mesh } from 'three';
import { chamberFloors, type ChamberFloor } from '../../../core/vessel/display';
import { polygonBounds } from '../../../core/geometry/polygon';
import type { Place, Seen } from './place';
import { matte } from './relief';

/** A wall of a chamber as it is drawn, mm: a film makes it opaque. */
const WALL_MM = 6;
const COLOURS = { wall: '#1c2022', fixed: '#6d6a63', gear: '#2b2f31' };

type Box = readonly [left: number, front: number, low: number, wide: number, deep: number, high: number];

/** Walls of chambers, what is fixed in the tank, and the bodies of gear. */
export function fixtures({ vessel, gear }: Seen, quick: boolean, place: Place): Mesh[] {
  const { height } = vessel.innerMm;
  const walls = chamberFloors(vessel).map((c) => wallOf(c, height));
  const fixed = (vessel.fixed ?? []).map(({ at, sizeMm, zMm = 0 }): Box => [...at, zMm, ...sizeMm]);
  const bodies = (gear ?? []).map(({ at, sizeMm, zMm }): Box => [...at, zMm, ...sizeMm]);
  return [
    ...walls.map((b) => block(b, COLOURS.wall, quick, place)),
    ...fixed.map((b) => block(b, COLOURS.fixed, quick, place)),
    ...bodies.map((b) => block(b, COLOURS.gear, quick, place)),
  ];
}

/** The side of a chamber towards the tank. */
function wallOf({ chamber: { side }, outline }: ChamberFloor, height: number): Box {
  const [l, f, r, b] = polygonBounds(outline);
  if (side === 'back') return [l, f - WALL_MM, 0, r - l, WALL_MM, height];
  return [side === 'left' ? r : l - WALL_MM, f, 0, WALL_MM, b - f, height];
}

/** A block with edges enough for a pane to bend it. */
function block([x, y, z, wide, deep, high]: Box, color: string, quick: boolean, place: Place): Mesh {
  const box = new BoxGeometry(wide, deep, high, 10, 4, 8);
  const p = box.getAttribute('position');
  for (let i = 0; i < p.count; i++)
    p.setXYZ(i, ...place(x + wide / 2 + p.getX(i), y + deep / 2 + p.getY(i), z + high / 2 + p.getZ(i)));
  box.computeVertexNormals();
  const mesh = new Mesh(box, matte(quick, { color }));
  mesh.castShadow = mesh.receiveShadow = true;
  return mesh;
}
