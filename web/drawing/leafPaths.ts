import { seeded } from '../../core/geometry/seeded';
import type { Plant } from '../../core/commission/schema';
import type { Grown } from '../../core/planted/grown';

/** How many leaves a plug has, how far they lean out and how wide they are against their length. */
interface Look {
  leaves: number;
  lean: number;
  wide: number;
}
type Leaf = NonNullable<Plant['leaf']>;
const LOOKS: Record<Leaf, Look> = {
  lance: { leaves: 7, lean: 0.7, wide: 0.24 },
  round: { leaves: 8, lean: 0.9, wide: 0.7 },
  needle: { leaves: 10, lean: 0.5, wide: 0.07 },
  feather: { leaves: 8, lean: 0.6, wide: 0.3 },
  strap: { leaves: 7, lean: 0.4, wide: 0.07 },
  frond: { leaves: 6, lean: 0.7, wide: 0.34 },
  tuft: { leaves: 14, lean: 1.2, wide: 0.2 },
};
const USUAL: Look = { leaves: 7, lean: 0.6, wide: 0.25 };
/** Leaves of a stem stand along it, one pair for so much of it, mm; so many pairs at most, fewer where many stems stand. */
const PAIR_MM = 7.5;
const [FEWEST_PAIRS, MOST_PAIRS, ALL_PAIRS] = [4, 42, 8_000];
const pairsAtMost = (stems: number) => Math.max(FEWEST_PAIRS, Math.min(MOST_PAIRS, ALL_PAIRS / stems));

type Scale = (mm: number) => number;

/**
 * The leaves of one plug from the front as closed paths in tenths of a pixel, the same ones at every look: a stem has pairs along it, everything
 * else a tuft that leans out as far as its plug has spread.
 */
export function leavesOfPlug(
  { plant, heightMm, radiusMm, melted, spots }: Grown,
  x: number,
  z: number,
  mostMm: number,
  X: Scale,
  Z: Scale,
): string[] {
  const random = seeded(x * 131 + z * 17 + 7);
  const tall = Math.min(heightMm * (0.75 + 0.4 * random()), mostMm - z - 3);
  if (plant.habit === 'float') return floating(x, z, radiusMm, random, X, Z);
  if (tall < 2) return [];
  const look = LOOKS[plant.leaf ?? 'lance'] ?? USUAL;
  if (plant.habit === 'stem')
    return stem(x, z, tall, look, melted, pairsAtMost(spots.length / 3), random, X, Z);
  const count = Math.max(2, Math.round(look.leaves * (1 - melted)));
  const out = Math.max(radiusMm, 4);
  return Array.from({ length: count }, () => {
    const side = (random() - 0.5) * 2;
    const long = tall * (0.6 + 0.4 * random());
    const tip = side * Math.min(out * 1.3, long * look.lean * 1.4);
    const foot = side * out * 0.35;
    const rise = Math.sqrt(Math.max(0.12, 1 - (tip / Math.max(long * 1.2, 1)) ** 2)) * long;
    return leaf(
      x + foot,
      z - 1,
      x + foot + tip,
      z + rise,
      Math.max(1.4, long * look.wide),
      plant.leaf === 'round',
      X,
      Z,
    );
  });
}

function stem(
  x: number,
  z: number,
  tall: number,
  look: Look,
  melted: number,
  mostPairs: number,
  random: () => number,
  X: Scale,
  Z: Scale,
): string[] {
  const bend = (random() - 0.5) * tall * 0.16;
  const pairs = Math.round(Math.min(mostPairs, Math.max(3, tall / PAIR_MM)));
  const paths = [leaf(x, z - 1, x + bend, z + tall, 1.6, false, X, Z)];
  for (let i = 1; i <= pairs; i++) {
    const up = i / pairs;
    // Old leaves go first where it melts.
    if (up < melted) continue;
    const [cx, cz] = [x + bend * up * up, z + tall * up];
    const long = (10 + tall * 0.045) * (1.3 - 0.6 * up) * (0.8 + 0.4 * random());
    for (const side of [-1, 1]) {
      const turn = 0.45 + 0.55 * random();
      const [tx, tz] = [cx + side * turn * long * (0.95 - 0.3 * up), cz + long * (0.2 + 0.55 * up)];
      paths.push(leaf(cx, cz, tx, tz, Math.max(1.2, long * look.wide * 1.2), false, X, Z));
    }
  }
  return paths;
}

function floating(x: number, z: number, radius: number, random: () => number, X: Scale, Z: Scale): string[] {
  const r = Math.max(5, radius);
  return [-0.6, 0.1, 0.7].map((at) =>
    leaf(x + at * r - r * 0.5, z, x + at * r + r * 0.5, z + 1 + 2 * random(), 3, true, X, Z),
  );
}

/** Paths are in tenths of a pixel: whole figures are written several times as fast as ones with a digit behind the point. */
export const PER_PX = 10;

/** A leaf from its foot to its tip, widest in the middle, or round. */
function leaf(
  x0: number,
  z0: number,
  x1: number,
  z1: number,
  wide: number,
  round: boolean,
  X: Scale,
  Z: Scale,
): string {
  const [dx, dz] = [x1 - x0, z1 - z0];
  const long = Math.hypot(dx, dz) || 1;
  const [nx, nz] = [(-dz / long) * (wide / 2), (dx / long) * (wide / 2)];
  const at = round ? 0.75 : 0.45;
  const [mx, mz] = [x0 + dx * at, z0 + dz * at];
  const [footX, footZ] = [tenths(X(x0)), tenths(Z(z0))];
  const [tipX, tipZ] = [tenths(X(x1)) - footX, tenths(Z(z1)) - footZ];
  const [leftX, leftZ] = [tenths(X(mx + nx * 1.6)) - footX, tenths(Z(mz + nz * 1.6)) - footZ];
  const [rightX, rightZ] = [tenths(X(mx - nx * 1.6)) - footX, tenths(Z(mz - nz * 1.6)) - footZ];
  // From the foot over one edge to the tip, and over the other one back.
  return `M${footX} ${footZ}q${leftX} ${leftZ} ${tipX} ${tipZ}q${rightX - tipX} ${rightZ - tipZ} ${-tipX} ${-tipZ}z`;
}

const tenths = (px: number) => Math.round(px * PER_PX);
