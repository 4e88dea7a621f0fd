import {
  DataTexture,
  LinearFilter,
  LinearMipmapLinearFilter,
  RepeatWrapping,
  RGFormat,
  UnsignedByteType,
} from 'three';
import { seeded } from '../../../core/geometry/seeded';
import { noise } from './grain';

/** How a surface is made up close: grains beside each other, broken stone, streaks along the wood. */
export type ReliefMap = 'grains' | 'broken' | 'streaks';

const SIDE = 256;
/** Grains along the side of a map. */
export const GRAINS = 20;
const SEED = 4_711;

/** Height and tone from 0 to 1 at a spot of a map, whose opposite sides meet. */
type Spots = (u: number, v: number) => readonly [height: number, tone: number];

const MAKES: Record<ReliefMap, () => Spots> = { grains, broken, streaks };
const made = new Map<ReliefMap, DataTexture>();

/** The map of a relief, made once: red is how high a spot is, green how light. */
export function reliefMap(of: ReliefMap): DataTexture {
  const known = made.get(of);
  if (known) return known;
  const spot = MAKES[of]();
  const data = new Uint8Array(SIDE * SIDE * 2);
  for (let i = 0; i < SIDE * SIDE; i++) {
    const [height, tone] = spot((i % SIDE) / SIDE, Math.floor(i / SIDE) / SIDE);
    data[i * 2] = 255 * Math.min(1, Math.max(0, height));
    data[i * 2 + 1] = 255 * Math.min(1, Math.max(0, tone));
  }
  const map = new DataTexture(data, SIDE, SIDE, RGFormat, UnsignedByteType);
  map.wrapS = map.wrapT = RepeatWrapping;
  map.minFilter = LinearMipmapLinearFilter;
  map.magFilter = LinearFilter;
  map.generateMipmaps = true;
  map.needsUpdate = true;
  made.set(of, map);
  return map;
}

/** Rounded grains, none like the other: a spot belongs to the grain whose middle is nearest. */
function grains(): Spots {
  const random = seeded(SEED);
  const cells = Array.from({ length: GRAINS * GRAINS }, () => [random(), random(), random(), 0.75 + 0.5 * random()]); // prettier-ignore
  return (u, v) => {
    const [x, y] = [u * GRAINS, v * GRAINS];
    let [nearest, tone] = [Infinity, 0];
    for (let r = Math.floor(y) - 1; r <= Math.floor(y) + 1; r++)
      for (let c = Math.floor(x) - 1; c <= Math.floor(x) + 1; c++) {
        const [dx, dy, t, size] = cells[((r + GRAINS) % GRAINS) * GRAINS + ((c + GRAINS) % GRAINS)];
        const far = Math.hypot(c + dx - x, r + dy - y) / size;
        if (far < nearest) [nearest, tone] = [far, t];
      }
    return [Math.sqrt(Math.max(0, 1 - nearest * nearest)), tone];
  };
}

/** Noise on a ring in each direction, so that the sides of the map meet. */
function around(u: number, v: number, acrossU: number, acrossV: number): number {
  const [a, b] = [u * 2 * Math.PI, v * 2 * Math.PI];
  return noise.noise4d(Math.cos(a) * acrossU, Math.sin(a) * acrossU, Math.cos(b) * acrossV + 7, Math.sin(b) * acrossV); // prettier-ignore
}

/** Broken faces with edges and pits at three sizes. */
function broken(): Spots {
  return (u, v) => {
    const large = 1 - Math.abs(around(u, v, 0.5, 0.5));
    const middle = 1 - Math.abs(around(u, v, 1.4, 1.4));
    const small = around(u, v, 4.5, 4.5);
    return [0.5 * large + 0.3 * middle + 0.16 * small, 0.5 + 0.22 * around(u, v, 0.9, 0.9) + 0.3 * small];
  };
}

/** Streaks that run along u. */
function streaks(): Spots {
  return (u, v) => {
    const wide = around(u, v, 0.18, 1.6);
    const narrow = 1 - Math.abs(around(u, v, 0.3, 4));
    return [0.4 + 0.2 * wide + 0.4 * narrow, 0.5 + 0.3 * wide + 0.25 * around(u, v, 0.8, 6)];
  };
}
