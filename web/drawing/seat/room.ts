import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  PlaneGeometry,
  type ColorRepresentation,
  type Object3D,
} from 'three';
import { footprint } from '../../../core/vessel/footprint';
import type { Seen } from './place';
import { matte } from './relief';
import type { SeatLook } from './seatScene';

/** What is lit or coloured behind the water; nothing where one looks through. */
export function behind({ vessel }: Seen, { light }: SeatLook): Object3D[] {
  const { length, width, height } = vessel.innerMm;
  const film = vessel.background?.sides.includes('back') ? vessel.background.colour : undefined;
  const colour = light === 'backlit' ? '#f7fbff' : film ? named(film) : undefined;
  if (!colour) return [];
  const pane = new Mesh(
    new PlaneGeometry(length, height),
    new MeshBasicMaterial({ color: colour, fog: false, side: DoubleSide }),
  );
  pane.position.set(length / 2, height / 2, -width - 2);
  return [pane];
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

/** Thinner than this no edge of glass is drawn, mm. */
const THIN_MM = 4;
/** The panes as they are seen: clear in front of the eye, their edges green with the depth of the glass that is looked along. */
export function panes(seen: Seen): Object3D[] {
  const { vessel } = seen;
  const { height, length, width } = vessel.innerMm;
  if (vessel.kind !== 'box') return [glass(seen)];
  const t = Math.max(THIN_MM, vessel.glassMm);
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

const [MAT_MM, CABINET_MM] = [6, 900];
/** What it stands on: a mat, and a cabinet as wide as the tank that goes out of the picture; drawn quickly a plain top. */
export function furniture({ vessel }: Seen, { light, quick = false }: SeatLook): Mesh[] {
  const { length, width } = vessel.innerMm;
  const wood = light === 'day' ? '#cfc6b8' : '#3a3733';
  const t = quick ? 0 : Math.max(THIN_MM, vessel.glassMm);
  const under = (wide: number, high: number, topMm: number, color: string) => {
    const mesh = new Mesh(new BoxGeometry(wide, high, width + wide - length), matte(quick, { color, fog: false })); // prettier-ignore
    mesh.position.set(length / 2, topMm - high / 2, -width / 2);
    mesh.receiveShadow = true;
    return mesh;
  };
  if (quick) return [under(length + 60, 28, -2, wood)];
  return [under(length + 2 * t, MAT_MM, -t, '#2a2c2c'), under(length + 2 * t + 4, CABINET_MM, -t - MAT_MM, wood)]; // prettier-ignore
}
