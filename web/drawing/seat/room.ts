import {
  AmbientLight,
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  Color,
  DataTexture,
  DirectionalLight,
  DoubleSide,
  HemisphereLight,
  LinearFilter,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  PlaneGeometry,
  SRGBColorSpace,
  type Texture,
  Vector3,
  type ColorRepresentation,
  type Object3D,
} from 'three';
import { footprint } from '../../../core/vessel/footprint';
import type { Seen } from './place';
import { matte } from './relief';
import type { Pass } from './samples';
import type { SeatLook } from './seatScene';

const [LAMP_NAME, LAMP_COLOUR, ROOM_COLOUR] = ['lamp', '#fff6e6', '#eff5f8'];
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
    return [lamp, lamp.target, new HemisphereLight('#eef6f8', '#8a7a63', gives.sky * 0.3), new AmbientLight('#ffffff', gives.all * 0.6)]; // prettier-ignore
  const { length, width, height } = vessel.innerMm;
  lamp.intensity = gives.lamp;
  lamp.position.set(length * 0.36, height * 3, width * 0.35);
  const sky = new HemisphereLight('#f4fbff', '#8a7a63', gives.sky);
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

/** The surface of the water, and the lit pane behind it. */
export function water({ vessel }: Seen, { light }: SeatLook): Object3D[] {
  const { length, width, height } = vessel.innerMm;
  const top = new Mesh(
    new PlaneGeometry(length, width),
    new MeshBasicMaterial({ color: '#bfe0e4', transparent: true, opacity: 0.22, side: DoubleSide, depthWrite: false, fog: false }), // prettier-ignore
  );
  top.rotation.x = -Math.PI / 2;
  top.position.set(length / 2, vessel.waterLineMm, -width / 2);
  const film = vessel.background?.sides.includes('back') ? vessel.background.colour : undefined;
  const behind = light === 'backlit' ? '#f7fbff' : film ? named(film) : undefined;
  if (!behind) return [top];
  const pane = new Mesh(
    new PlaneGeometry(length, height),
    new MeshBasicMaterial({ color: behind, fog: false, side: DoubleSide }),
  );
  pane.position.set(length / 2, height / 2, -width - 2);
  return [top, pane];
}

/** A film's colour as it was said; what is no colour of a screen is taken for black. */
function named(colour: string): ColorRepresentation {
  const known = new Color();
  const plain = colour.trim().toLowerCase();
  return plain in Color.NAMES || plain.startsWith('#')
    ? known.set(plain)
    : plain === 'frosted'
      ? '#e8eef0'
      : '#16181a';
}

/** The panes' edges: the footprint at the bottom and at the rim, and an upright at every sharp corner. */
export function glass({ vessel }: Seen): LineSegments {
  const { height } = vessel.innerMm;
  const ring = footprint(vessel);
  const lines: number[] = [];
  ring.forEach(([x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length];
    for (const z of [0, height]) lines.push(x, z, -y, u, z, -v);
    if (ring.length < 20 || i % 30 === 0) lines.push(x, 0, -y, x, height, -y);
  });
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(lines), 3));
  return new LineSegments(geometry, new LineBasicMaterial({ color: '#8fb0b8', transparent: true, opacity: 0.75, fog: false })); // prettier-ignore
}

/** The panes as they are seen: clear in front of the eye, their edges green with the depth of the glass that is looked along. */
export function panes({ vessel }: Seen): Object3D[] {
  const { height, length, width } = vessel.innerMm;
  if (vessel.kind !== 'box') return [glass({ vessel } as Seen)];
  const t = Math.max(4, vessel.glassMm);
  const edge = new MeshBasicMaterial({ color: '#9dc3bf', transparent: true, opacity: 0.38, depthWrite: false, fog: false }); // prettier-ignore
  const bar = (x: number, y: number, z: number, wide: number, high: number, deep: number) => {
    const mesh = new Mesh(new BoxGeometry(wide, high, deep), edge);
    mesh.position.set(x, y, z);
    return mesh;
  };
  const uprights = [-t / 2, length + t / 2].flatMap((x) => [t / 2, -width - t / 2].map((z) => bar(x, height / 2, z, t, height, t))); // prettier-ignore
  const along = [t / 2, -width - t / 2].map((z) => bar(length / 2, height - 1, z, length, 2, t));
  const across = [-t / 2, length + t / 2].map((x) => bar(x, height - 1, -width / 2, t, 2, width));
  const floor = bar(length / 2, -t / 2, -width / 2, length + 2 * t, t, width + 2 * t);
  return [...uprights, ...along, ...across, floor];
}

/** What it stands on: a mat, and a cabinet as wide as the tank that goes out of the picture; drawn quickly a plain top. */
export function furniture({ vessel }: Seen, { light, quick = false }: SeatLook): Mesh[] {
  const { length, width } = vessel.innerMm;
  const wood = light === 'day' ? '#cfc6b8' : '#3a3733';
  const t = quick ? 0 : Math.max(4, vessel.glassMm);
  const under = (wide: number, high: number, topMm: number, color: string) => {
    const mesh = new Mesh(new BoxGeometry(wide, high, width + wide - length), matte(quick, { color, fog: false })); // prettier-ignore
    mesh.position.set(length / 2, topMm - high / 2, -width / 2);
    mesh.receiveShadow = true;
    return mesh;
  };
  if (quick) return [under(length + 60, 28, -2, wood)];
  return [under(length + 2 * t, MAT_MM, -t, '#2a2c2c'), under(length + 2 * t + 4, CABINET_MM, -t - MAT_MM, wood)]; // prettier-ignore
}
const [MAT_MM, CABINET_MM] = [6, 900];

/** The wall behind: lit in its middle, darker to its corners; drawn quickly of one colour. */
export function wall({ light, quick = false }: SeatLook): Color | Texture {
  return quick ? new Color(ROOM[light]) : (walls[light] ??= fadingFrom(ROOM[light], light === 'day' ? 0.16 : 0.5)); // prettier-ignore
}
const ROOM: Record<SeatLook['light'], string> = { day: '#e9ebe7', night: '#1a1e20', backlit: '#2c3134' };
const walls: Partial<Record<SeatLook['light'], Texture>> = {};

/** A colour that fades so far to the corners, as a texture over the whole picture. */
function fadingFrom(of: string, fades: number): Texture {
  const side = 64;
  const c = new Color(of).convertLinearToSRGB();
  const data = new Uint8Array(side * side * 4);
  for (let i = 0; i < side * side; i++) {
    const [x, y] = [(i % side) / side - 0.5, Math.floor(i / side) / side - 0.55];
    const by = Math.min(1.06, 1.06 - fades * 2 * (x * x + y * y));
    data.set(
      [c.r, c.g, c.b].map((v) => Math.min(255, 255 * v * by)),
      i * 4,
    );
    data[i * 4 + 3] = 255;
  }
  const map = new DataTexture(data, side, side);
  map.colorSpace = SRGBColorSpace;
  map.magFilter = LinearFilter;
  map.needsUpdate = true;
  return map;
}
