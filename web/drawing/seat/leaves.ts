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
import { plugSpots } from '../../../core/planting/region';
import { drawnSurfaceAt } from '../bedPaths';
import { matte } from './grain';
import type { Place, Seen, Spot } from './place';

/** Plugs of a planting that are drawn at most, and how far towards its grown height each is. */
const MOST_PLUGS = 1_200;
const QUICK_PLUGS = 160;
/** More than these no planting has. */
const ALL_PLUGS = 40_000;
const GROWN = 0.6;
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
const MOST_STEM_LEAVES = 16;

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
    const count = Math.min(MOST_STEM_LEAVES, Math.max(5, Math.round(tall / 14)));
    const bend = (random() - 0.5) * tall * 0.2;
    return Array.from({ length: count }, (_, i): Leaf => {
      const up = (i + 1) / count;
      const around = i * 2.4 + random();
      const way = new Vector3(Math.cos(around), 0.5 + 0.6 * up, Math.sin(around)).normalize();
      const long = (STEM_LEAF_MM + tall * 0.09) * (1.25 - 0.5 * up);
      return { foot: [x + bend * up * up, y, z + tall * up * 0.92], way, long, wide: long * 0.42 };
    });
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

/** Plants leaf by leaf, the same ones at every look. */
export function plantLeaves(
  { option, field, vessel }: Seen,
  place: Place,
  known: readonly Plant[],
  quick: boolean,
): Object3D[] {
  const upright = new Vector3(0, 1, 0);
  return option.plants.flatMap((planting) => {
    const plant = known.find((p) => p.id === planting.plant);
    if (!plant || !planting.region || !planting.spacingMm) return [];
    const [low, high] = plant.heightMm ?? [25, 60];
    const spots = thinned(plugSpots(planting.region, planting.spacingMm, ALL_PLUGS), quick ? QUICK_PLUGS : MOST_PLUGS); // prettier-ignore
    const random = seeded(spots.length + 17);
    const leaves = spots.flatMap(([x, y]) => {
      const z = drawnSurfaceAt(field, x, y);
      const tall = Math.min(
        (low + (high - low) * GROWN) * (0.65 + 0.6 * random()),
        vessel.waterLineMm - z - 4,
      );
      return tall > 2 ? leavesOf(plant, [x, y, z], tall, random) : [];
    });
    const mesh = new InstancedMesh(leaf(), matte(quick, { side: DoubleSide }), leaves.length);
    const green = new Color(plant.colour ?? '#4f7f4b');
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

/** So many of a list at most, from all over it: a planting that is thinned still covers its ground. */
function thinned<T>(list: readonly T[], most: number): readonly T[] {
  const step = Math.ceil(list.length / most);
  return step > 1 ? list.filter((_, i) => i % step === 0) : list;
}
