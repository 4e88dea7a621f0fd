import { Vector3 } from 'three';
import type { Plant } from '../../../core/commission/schema';
import type { Grown } from '../../../core/planted/grown';
import type { Spot } from './place';

/** Leaves of one plug, by habit: how many, how far they lean out, how wide they are against their length. */
const LEAVES: Record<string, readonly [count: number, lean: number, width: number]> = {
  rosette: [9, 0.8, 0.22],
  grass: [8, 0.25, 0.045],
  carpet: [9, 0.9, 0.4],
  creeper: [9, 1, 0.45],
  bulb: [7, 0.5, 0.1],
};
const USUAL_LEAVES = [7, 0.5, 0.14] as const;
/** How wide a leaf is against its length, by its shape. */
const WIDE: Record<NonNullable<Plant['leaf']>, number> = {
  lance: 0.24,
  round: 0.7,
  needle: 0.06,
  feather: 0.3,
  strap: 0.05,
  frond: 0.34,
  tuft: 0.2,
};
/** Blades of grasses stand close and upright, whatever they are planted as. */
const [BLADES, QUICK_BLADES] = [
  [24, 0.34],
  [14, 0.3],
] as const;
/** Narrower than this no leaf is drawn, mm. */
const [THIN_MM, QUICK_THIN_MM] = [0.8, 1.2];
/** No blade of those that run along the ground or stand as grass is wider, mm. */
const BLADE_MM = 6;
export const isBlade = ({ leaf, habit }: Plant) =>
  (leaf === 'strap' || leaf === 'needle') && (habit === 'carpet' || habit === 'grass' || habit === 'creeper');
/** What runs along the ground, how far out from its heart it stands as planted and at most, mm. */
const COVERS = new Set(['carpet', 'grass', 'creeper', 'moss']);
const [HEART_MM, MOST_OUT_MM] = [3.5, 22];
/** Leaves along a stem are so much wider than those of a tuft: they are short. */
const ALONG_STEM = 1.5;
/** A stem has its leaves along it, each at least so long, mm, and so many of them at most. */
const STEM_LEAF_MM = 18;
const MOST_STEM_LEAVES = 30;
/** Up close they are as small as they are, in pairs across each other, so far apart along the stem, mm. */
const [PAIR_LEAF_MM, PAIR_MM, MOST_PAIR_LEAVES] = [20, 12, 72];

/** One leaf as it is drawn: where it begins, which way it goes, how long and how wide. */
export interface Leaf {
  foot: Spot;
  way: Vector3;
  long: number;
  wide: number;
}

/** The leaves of one plug of a plant, from a row of numbers that is always the same. */
export function leavesOf(
  { plant, radiusMm }: Pick<Grown, 'plant' | 'radiusMm'>,
  [x, y, z]: Spot,
  tall: number,
  most: number,
  random: () => number,
  quick: boolean,
): Leaf[] {
  if (plant.habit === 'stem' && !quick) return pairsOf(plant, [x, y, z], tall, random);
  if (plant.habit === 'stem') {
    const count = Math.min(MOST_STEM_LEAVES, Math.max(5, Math.round(tall / 9)));
    const bend = (random() - 0.5) * tall * 0.2;
    const upright = new Vector3(bend * 0.6, tall, 0).normalize();
    const itself: Leaf = { foot: [x, y, z - 2], way: upright, long: tall, wide: 2.4 };
    const leaves = Array.from({ length: count }, (_, i): Leaf => {
      const up = (i + 1) / count;
      const around = i * 2.4 + random();
      const way = new Vector3(Math.cos(around), 0.5 + 0.6 * up, Math.sin(around)).normalize();
      const long = (STEM_LEAF_MM + tall * 0.09) * (1.25 - 0.5 * up);
      return {
        foot: [x + bend * up * up, y, z + tall * up * 0.92],
        way,
        long,
        wide: long * ALONG_STEM * (plant.leaf ? WIDE[plant.leaf] : 0.28),
      };
    });
    return [itself, ...leaves];
  }
  const [usual, usualLean, usualWide] = LEAVES[plant.habit ?? ''] ?? USUAL_LEAVES;
  const [least, lean] = isBlade(plant) ? (quick ? QUICK_BLADES : BLADES) : [usual, usualLean];
  const wide = plant.leaf ? WIDE[plant.leaf] : usualWide;
  const widest = quick || !isBlade(plant) ? Infinity : BLADE_MM;
  const thin = quick ? QUICK_THIN_MM : THIN_MM;
  // What runs along the ground stands as far out as it has spread, and denser the more of it there is.
  const runs = COVERS.has(plant.habit ?? '');
  const out = runs ? Math.min(MOST_OUT_MM, Math.max(HEART_MM, radiusMm * 0.85)) : HEART_MM;
  const count = runs ? Math.round(Math.min(most, Math.max(least, (least * out) / 7))) : least;
  return Array.from({ length: count }, (): Leaf => {
    const [around, leans, size] = [
      random() * 2 * Math.PI,
      lean * (0.3 + random()),
      tall * (0.65 + 0.5 * random()),
    ];
    const way = new Vector3(Math.cos(around) * leans, 1, Math.sin(around) * leans).normalize();
    const foot: Spot = [x + (random() - 0.5) * 2 * out, y + (random() - 0.5) * 2 * out, z - 1];
    return { foot, way, long: Math.max(4, size), wide: Math.min(widest, Math.max(thin, size * wide)) };
  });
}

/** A leaf within the glass: one that would grow through it stands up along it. */
export function withinGlass(leaf: Leaf, { length, width }: { length: number; width: number }): Leaf {
  const { foot, way, long } = leaf;
  const kept = (at: number, by: number, most: number) => Math.min(most, Math.max(0, at + by * long)) - at;
  const x = kept(foot[0], way.x, length) / long;
  // In the scene z comes towards the eye, in the document y goes to the back.
  const z = -kept(foot[1], -way.z, width) / long;
  if (x === way.x && z === way.z) return leaf;
  const up = Math.sqrt(Math.max(0, 1 - x * x - z * z));
  return { ...leaf, way: new Vector3(x, up * (Math.sign(way.y) || 1), z).normalize() };
}

/** A stem with its leaves in pairs, each across the one below, the young ones at the top smaller. */
function pairsOf(plant: Plant, [x, y, z]: Spot, tall: number, random: () => number): Leaf[] {
  const count = Math.min(MOST_PAIR_LEAVES, Math.max(6, 2 * Math.round(tall / PAIR_MM)));
  const [bend, lean, first] = [(random() - 0.5) * tall * 0.22, (random() - 0.5) * tall * 0.12, random() * 6];
  const at = (up: number): Spot => [x + bend * up * up, y + lean * up, z - 2 + tall * up];
  const itself = [0, 0.34, 0.67].map((up): Leaf => {
    const [a, b] = [at(up), at(up + 0.34)];
    return { foot: a, way: new Vector3(b[0] - a[0], b[2] - a[2], a[1] - b[1]).normalize(), long: tall * 0.36, wide: 2.2 }; // prettier-ignore
  });
  const leaves = Array.from({ length: count }, (_, i): Leaf => {
    const up = Math.min(1, ((i >> 1) + 1 + 0.3 * random()) / (count / 2));
    const around = first + (i >> 1) * (Math.PI / 2) + (i % 2) * Math.PI + (random() - 0.5) * 0.7;
    const rises = 0.55 + 0.9 * up * up + 0.3 * random();
    const way = new Vector3(Math.cos(around), rises, Math.sin(around)).normalize();
    const long = (PAIR_LEAF_MM + tall * 0.04) * (1.1 - 0.45 * up * up) * (0.8 + 0.4 * random());
    return {
      foot: at(up * 0.97),
      way,
      long,
      wide: long * (plant.leaf ? WIDE[plant.leaf] * ALONG_STEM : 0.3),
    };
  });
  return [...itself, ...leaves];
}
