import { AmbientLight, DirectionalLight, HemisphereLight, Vector3, type Object3D } from 'three';
import type { Seen } from './place';
import type { Pass } from './samples';
import type { SeatLook } from './seatScene';

const [LAMP_NAME, LAMP_COLOUR, ROOM_COLOUR] = ['lamp', '#fff6e6', '#eff5f8'];
const [SKY_COLOUR, GROUND_COLOUR] = ['#f4fbff', '#8a7a63'];
/** Where the room shines from many places, so much of its even light is left: what comes back from everything lit. */
const REST = 0.4;
/** What the lamp, the room and what comes from the front give, by how it is lit. */
const GIVES = {
  day: { lamp: 3.1, sky: 1.5, front: 0.7, all: 0.35, above: 4.2, around: 2.5 },
  night: { lamp: 3.1, sky: 0.7, front: 0.15, all: 0.12, above: 4, around: 0.8 },
  backlit: { lamp: 1.2, sky: 0.7, front: 0.15, all: 0.12, above: 1.4, around: 3 },
};

/** A lamp above, a little to the left, the sky of the room, and what comes from the front; up close one that is each of them in turn. */
export function lights({ vessel }: Seen, { light, quick = false }: SeatLook): Object3D[] {
  const gives = GIVES[light];
  const lamp = shining(vessel, !quick);
  if (!quick)
    return [lamp, lamp.target, new HemisphereLight(SKY_COLOUR, GROUND_COLOUR, gives.sky * REST), new AmbientLight('#ffffff', gives.all * REST)]; // prettier-ignore
  const { length, width, height } = vessel.innerMm;
  lamp.intensity = gives.lamp;
  lamp.position.set(length * 0.36, height * 3, width * 0.35);
  const sky = new HemisphereLight(SKY_COLOUR, GROUND_COLOUR, gives.sky);
  const fill = new DirectionalLight('#dfeaf2', gives.front);
  fill.position.set(-length, height, width * 4);
  return [lamp, lamp.target, sky, fill, new AmbientLight('#ffffff', gives.all)];
}

/** A light that throws shadows over the whole tank. */
function shining({ innerMm }: Seen['vessel'], casts: boolean): DirectionalLight {
  const { length, width, height } = innerMm;
  const light = new DirectionalLight(LAMP_COLOUR);
  light.name = LAMP_NAME;
  light.target.position.set(length * 0.5, 0, -width * 0.55);
  light.castShadow = casts;
  light.shadow.mapSize.set(1024, 1024);
  light.shadow.radius = 3;
  light.shadow.bias = -0.0006;
  light.shadow.normalBias = 2;
  const reach = Math.hypot(length, width, height) * 0.62;
  Object.assign(light.shadow.camera, { left: -reach, right: reach, top: reach, bottom: -reach, near: 10, far: reach * 8 }); // prettier-ignore
  return light;
}

/** How far a lamp is wide and deep, against the way from it to the bed. */
const LAMP = [0.9, 0.35] as const;
/** Light from everywhere comes from above and from the room in front; lit from behind, half of it from the pane there. */
const FRONT_TILT = 0.75;

/** Sets the light of one picture of many: the lamp at a spot of itself, or what comes from everywhere from one direction. */
export function aim(
  among: readonly Object3D[],
  { innerMm: { length, width, height } }: Seen['vessel'],
  light: SeatLook['light'],
  { shines, at: [u, v] }: Pass,
): void {
  const lamp = among.find((o): o is DirectionalLight => o.name === LAMP_NAME);
  if (!lamp) return;
  const way = shines === 'lamp' ? onLamp(u, v) : fromRoom(u, v, light);
  const reach = Math.hypot(length, width, height) * 3;
  lamp.position.set(length * 0.5, 0, -width * 0.55).addScaledVector(way.normalize(), reach);
  lamp.color.set(shines === 'lamp' ? LAMP_COLOUR : ROOM_COLOUR);
  // Half of the pictures have the one, half the other.
  lamp.intensity = 2 * (shines === 'lamp' ? GIVES[light].above : GIVES[light].around);
}

const onLamp = (u: number, v: number) => new Vector3((u - 0.5) * LAMP[0] - 0.12, 1, (v - 0.5) * LAMP[1] + 0.22); // prettier-ignore

/** Evenly out of the half above, as much as falls on level ground from there. */
function fromRoom(u: number, v: number, light: SeatLook['light']): Vector3 {
  const [far, turn] = [Math.sqrt(v), u * 2 * Math.PI];
  const way = new Vector3(far * Math.cos(turn), Math.sqrt(1 - v), far * Math.sin(turn));
  const behind = light === 'backlit' && u > 0.5;
  way.applyAxisAngle(new Vector3(1, 0, 0), behind ? -FRONT_TILT * 1.4 : FRONT_TILT);
  way.y = Math.max(0.05, way.y);
  return way;
}
