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
/** Leaves of one plug, by habit: how many, how far they lean out, how wide they are against their length. */
const LEAVES: Record<string, readonly [count: number, lean: number, width: number]> = {
  rosette: [9, 0.8, 0.22],
  grass: [8, 0.25, 0.045],
  carpet: [9, 0.9, 0.4],
  creeper: [9, 1, 0.45],
  bulb: [7, 0.5, 0.1],
};
const USUAL_LEAVES = [7, 0.5, 0.14] as const;
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
function leavesOf(plant: Plant, [x, y, z]: Spot, tall: number, random: () => number): Leaf[] {
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
      return { foot: [x + bend * up * up, y, z + tall * up * 0.92], way, long, wide: long * 0.42 };
    });
    return [itself, ...leaves];
  }
  const [count, lean, wide] = LEAVES[plant.habit ?? ''] ?? USUAL_LEAVES;
  return Array.from({ length: count }, (): Leaf => {
    const [around, out, size] = [
      random() * 2 * Math.PI,
      lean * (0.3 + random()),
      tall * (0.65 + 0.5 * random()),
    ];
    const way = new Vector3(Math.cos(around) * out, 1, Math.sin(around) * out).normalize();
    const foot: Spot = [x + (random() - 0.5) * 7, y + (random() - 0.5) * 7, z - 1];
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
  return plants.flatMap(({ id, plant, spots, heightMm, melted }) => {
    const count = spots.length / 3;
    const random = seeded(count + 17);
    const every = Math.max(1, Math.ceil(count / (quick ? QUICK_PLUGS : MOST_PLUGS)));
    const leaves: Leaf[] = [];
    for (let i = 0; i < count; i += every) {
      const at: Spot = [spots[i * 3], spots[i * 3 + 1], spots[i * 3 + 2]];
      const most = plant.habit === 'emersed' ? Infinity : vessel.waterLineMm - at[2] - 4;
      const tall =
        plant.habit === 'float' ? Math.max(6, heightMm) : Math.min(heightMm * (0.65 + 0.6 * random()), most);
      if (tall <= 2) continue;
      const own = leavesOf(plant, at, tall, random);
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
    mesh.userData.plant = id;
    return [mesh];
  });
}
