import {
  AmbientLight,
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  HemisphereLight,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  PlaneGeometry,
  type ColorRepresentation,
  type Object3D,
} from 'three';
import { footprint } from '../../../core/vessel/footprint';
import { matte } from './grain';
import type { Seen } from './place';
import type { SeatLook } from './seatScene';

/** A lamp above, a little to the left, the sky of the room, and what comes from the front. */
export function lights({ vessel }: Seen, { light, quick }: SeatLook): Object3D[] {
  const { length, width, height } = vessel.innerMm;
  const dark = light !== 'day';
  const lamp = new DirectionalLight('#fff6e6', light === 'backlit' ? 1.2 : 3.1);
  lamp.position.set(length * 0.36, height * 3, width * 0.35);
  lamp.target.position.set(length * 0.5, 0, -width * 0.55);
  lamp.castShadow = !quick;
  lamp.shadow.mapSize.set(1024, 1024);
  lamp.shadow.radius = 5;
  lamp.shadow.bias = -0.0006;
  lamp.shadow.normalBias = 2;
  const reach = Math.hypot(length, width, height) * 0.62;
  Object.assign(lamp.shadow.camera, { left: -reach, right: reach, top: reach, bottom: -reach, near: 10, far: height * 6 }); // prettier-ignore
  const sky = new HemisphereLight('#f4fbff', '#8a7a63', dark ? 0.7 : 1.5);
  const fill = new DirectionalLight('#dfeaf2', dark ? 0.15 : 0.7);
  fill.position.set(-length, height, width * 4);
  return [lamp, lamp.target, sky, fill, new AmbientLight('#ffffff', dark ? 0.12 : 0.35)];
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

/** What it stands on: a plain top, so that the tank does not hang in the air. */
export function furniture({ vessel }: Seen, { light, quick = false }: SeatLook): Mesh[] {
  const { length, width } = vessel.innerMm;
  const top = new Mesh(
    new BoxGeometry(length + 60, 28, width + 60),
    matte(quick, { color: light === 'day' ? '#cfc6b8' : '#3a3733', fog: false }),
  );
  top.position.set(length / 2, -16, -width / 2);
  top.receiveShadow = true;
  return [top];
}
