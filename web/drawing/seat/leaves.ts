import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  Matrix4,
  Mesh,
  Quaternion,
  Vector3,
  type Material,
  type Object3D,
} from 'three';
import type { Plant } from '../../../core/commission/schema';
import { seeded } from '../../../core/geometry/seeded';
import type { Grown } from '../../../core/planted/grown';
import { isBlade, leavesOf, withinGlass, type Leaf } from './leafLayout';
import { largeLeaf, smallLeaf } from './leafShapes';
import { litThrough } from './litThrough';
import type { Place, Seen, Spot } from './place';
import { matte } from './relief';
import { together } from './together';

/** Plugs of a planting that are drawn at most. */
const MOST_PLUGS = 1_200;
const QUICK_PLUGS = 160;
/** Leaves of a planting that runs along the ground at most, and those that a plug of it has in any case. */
const [MOST_LEAVES, QUICK_LEAVES, FEWEST_LEAVES] = [16_000, 4_000, 8];
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

/** How a leaf lies: along its way, hanging over outwards. */
function lies({ way, foot, long, wide }: Leaf, i: number, place: Place): Matrix4 {
  const out = new Vector3(way.x, 0, way.z);
  if (out.lengthSq() < 1e-4) out.set(Math.cos(i * 1.7), 0, Math.sin(i * 1.7));
  const over = out.addScaledVector(way, -out.dot(way)).normalize();
  const across = new Vector3().crossVectors(way, over);
  return new Matrix4()
    .makeBasis(across, way, over)
    .scale(new Vector3(wide, long, long))
    .setPosition(...place(...foot));
}

/** Plants leaf by leaf as they have grown, the same ones at every look. */
export function plantLeaves(
  { vessel }: Seen,
  place: Place,
  { plants, chosen }: { plants: readonly Grown[]; chosen?: string },
  quick: boolean,
): Object3D[] {
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
      const own = leavesOf(grown, at, tall, mostOfPlug, random, quick);
      const left = own.slice(0, Math.ceil(own.length * (1 - melted)));
      leaves.push(...left.map((l) => withinGlass(l, vessel.innerMm)));
    }
    if (leaves.length === 0) return [];
    const green = new Color(plant.colour ?? '#4f7f4b');
    if (chosen !== undefined && id !== chosen) green.lerp(PALE, PALE_SHARE);
    const tint = new Float32Array(leaves.length * 3);
    leaves.forEach((_, i) => {
      const own = green.clone().multiplyScalar(0.65 + 0.6 * random());
      // No two leaves are of one age: a little yellower or bluer.
      (quick ? own : own.offsetHSL((random() - 0.5) * 0.05, 0, 0)).toArray(tint, i * 3);
    });
    return quick ? [quickly(leaves, tint, place)] : upClose(leaves, tint, plant, place);
  });
}

/** Leaves of few corners, turned as it comes. */
function quickly(leaves: readonly Leaf[], tint: Float32Array, place: Place): Mesh {
  const upright = new Vector3(0, 1, 0);
  const turn = new Quaternion();
  const at = ({ foot, way, long, wide }: Leaf, i: number) => {
    turn.setFromUnitVectors(upright, way).multiply(new Quaternion().setFromAxisAngle(upright, i * 1.7));
    return new Matrix4().compose(new Vector3(...place(...foot)), turn, new Vector3(wide, long, wide));
  };
  return meshOf(
    together(leaf(), leaves.map(at), tint),
    matte(true, { side: DoubleSide, vertexColors: true }),
  );
}

/** Shorter than this a leaf is straight, mm. */
const [SMALL_MM, TALL_BLADE_MM] = [30, 110];
/** Leaves cut as theirs are, bent by their weight, lit through. */
function upClose(leaves: readonly Leaf[], tint: Float32Array, plant: Plant, place: Place): Mesh[] {
  const long = leaves.reduce((n, l) => n + l.long, 0) / leaves.length;
  const shape =
    long < (isBlade(plant) ? TALL_BLADE_MM : SMALL_MM) ? smallLeaf(plant.leaf) : largeLeaf(plant.leaf);
  const at = leaves.map((l, i) => lies(l, i, place));
  const mesh = meshOf(together(shape, at, tint), litThrough());
  mesh.castShadow = false;
  return [mesh, shadowOf(leaves, plant, place)];
}

/** Of so many leaves one throws a shadow, that much wider: where none is sharp, none is missed. */
const CASTS = 3;
/** What throws the shadow of a planting: it is there while shadows are drawn, and nothing of it is seen. */
function shadowOf(leaves: readonly Leaf[], plant: Plant, place: Place): Mesh {
  const some = leaves.filter((_, i) => i % CASTS === 0).map((l) => ({ ...l, wide: l.wide * CASTS * 0.8 }));
  const at = some.map((l, i) => lies(l, i, place));
  const own = together(smallLeaf(plant.leaf), at, new Float32Array(some.length * 3));
  own.setDrawRange(0, 0);
  const mesh = meshOf(own, matte(true, { side: DoubleSide }));
  mesh.onBeforeShadow = () => own.setDrawRange(0, Infinity);
  mesh.onAfterShadow = () => own.setDrawRange(0, 0);
  return mesh;
}

function meshOf(geometry: BufferGeometry, material: Material): Mesh {
  const mesh = new Mesh(geometry, material);
  mesh.castShadow = mesh.receiveShadow = true;
  return mesh;
}
