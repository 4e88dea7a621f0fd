import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  InstancedMesh,
  Matrix4,
  Quaternion,
  Vector3,
  type Object3D,
} from 'three';
import type { Plant } from '../../../core/commission/schema';
import { seeded } from '../../../core/geometry/seeded';
import type { Grown } from '../../../core/planted/grown';
import { matte } from './grain';
import type { Place, Seen, Spot } from './place';

/** Plugs of a planting that are drawn at most. */
const MOST_PLUGS = 1_200;
const QUICK_PLUGS = 160;
/** Leaves of a planting that runs along the ground at most, and those that a plug of it has in any case. */
const [MOST_LEAVES, QUICK_LEAVES, FEWEST_LEAVES] = [16_000, 4_000, 8];
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
const BLADES = [14, 0.3] as const;
const isBlade = ({ leaf, habit }: Plant) =>
  (leaf === 'strap' || leaf === 'needle') && (habit === 'carpet' || habit === 'grass' || habit === 'creeper');
/** What runs along the ground, how far out from its heart it stands as planted and at most, mm. */
const COVERS = new Set(['carpet', 'grass', 'creeper', 'moss']);
const [HEART_MM, MOST_OUT_MM] = [3.5, 22];
/** Leaves along a stem are so much wider than those of a tuft: they are short. */
const ALONG_STEM = 1.5;
/** A stem has its leaves along it, each at least so long, mm, and so many of them at most. */
const STEM_LEAF_MM = 18;
const MOST_STEM_LEAVES = 30;

/** What is not looked at goes so far towards this. */
const [PALE, PALE_SHARE] = [new Color('#c9d2cd'), 0.75];

/** A leaf one long and one wide, pointed at its end and folded a little along its middle. */
function leaf(): BufferGeometry {
  const at = [0, 0, 0, -0.5, 0.42, 0.12, 0, 1, 0, 0, 0, 0, 0, 1, 0, 0.5, 0.42, 0.12];
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(at), 3));
  geometry.computeVertexNormals();
  return geometry;
}

/** One leaf as it is drawn: where it begins, which way it goes, how long and how wide. */
interface Leaf {
  foot: Spot;
  way: Vector3;
  long: number;
  wide: number;
}

/** The leaves of one plug of a plant, from a row of numbers that is always the same. */
function leavesOf(
  { plant, radiusMm }: Pick<Grown, 'plant' | 'radiusMm'>,
  [x, y, z]: Spot,
  tall: number,
  most: number,
  random: () => number,
): Leaf[] {
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
  const [least, lean] = isBlade(plant) ? BLADES : [usual, usualLean];
  const wide = plant.leaf ? WIDE[plant.leaf] : usualWide;
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
    return { foot, way, long: Math.max(4, size), wide: Math.max(1.2, size * wide) };
  });
}

/** Plants leaf by leaf as they have grown, the same ones at every look. */
export function plantLeaves(
  { vessel }: Seen,
  place: Place,
  { plants, chosen }: { plants: readonly Grown[]; chosen?: string },
  quick: boolean,
): Object3D[] {
  const upright = new Vector3(0, 1, 0);
  return plants.flatMap((grown) => {
    const { id, plant, spots, heightMm, melted } = grown;
    const count = spots.length / 3;
    const random = seeded(count + 17);
    const every = Math.max(1, Math.ceil(count / (quick ? QUICK_PLUGS : MOST_PLUGS)));
    const mostOfPlug = Math.max(
      FEWEST_LEAVES,
      (quick ? QUICK_LEAVES : MOST_LEAVES) / Math.ceil(count / every),
    );
    const leaves: Leaf[] = [];
    for (let i = 0; i < count; i += every) {
      const at: Spot = [spots[i * 3], spots[i * 3 + 1], spots[i * 3 + 2]];
      const most = plant.habit === 'emersed' ? Infinity : vessel.waterLineMm - at[2] - 4;
      const tall =
        plant.habit === 'float' ? Math.max(6, heightMm) : Math.min(heightMm * (0.65 + 0.6 * random()), most);
      if (tall <= 2) continue;
      const own = leavesOf(grown, at, tall, mostOfPlug, random);
      leaves.push(...own.slice(0, Math.ceil(own.length * (1 - melted))));
    }
    if (leaves.length === 0) return [];
    const mesh = new InstancedMesh(leaf(), matte(quick, { side: DoubleSide }), leaves.length);
    const green = new Color(plant.colour ?? '#4f7f4b');
    if (chosen !== undefined && id !== chosen) green.lerp(PALE, PALE_SHARE);
    const turn = new Quaternion();
    leaves.forEach(({ foot, way, long, wide }, i) => {
      turn.setFromUnitVectors(upright, way).multiply(new Quaternion().setFromAxisAngle(upright, i * 1.7));
      const scale = new Vector3(wide, long, wide);
      mesh.setMatrixAt(i, new Matrix4().compose(new Vector3(...place(...foot)), turn, scale));
      mesh.setColorAt(i, green.clone().multiplyScalar(0.65 + 0.6 * random()));
    });
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    return [mesh];
  });
}
