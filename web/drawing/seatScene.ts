import {
  AmbientLight,
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Fog,
  HemisphereLight,
  InstancedMesh,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshStandardMaterial,
  Object3D,
  PlaneGeometry,
  Quaternion,
  Scene,
  Vector3,
  type ColorRepresentation,
} from 'three';
import { SimplexNoise } from 'three/addons/math/SimplexNoise.js';
import type { Plant } from '../../core/commission/schema';
import { rotation, turned } from '../../core/geometry/rotation';
import { plugSpots } from '../../core/planting/region';
import { footprint } from '../../core/vessel/footprint';
import { seenThroughPane } from '../../core/view/refraction';
import { drawnSurfaceAt } from './bedPaths';
import { colourOf, materialFor } from './colour';
import type { Drawing } from './drawing';
import { meshForDrawing } from './drawnMeshes';

/** How the tank is lit and looked at. */
export interface SeatLook {
  /** Bent at the front pane, as an eye sees it. */
  refraction: boolean;
  light: 'day' | 'night' | 'backlit';
  plants: readonly Plant[];
  /** Without shadow, surfaces as coarse as they are, fewer plants: for a browser that draws slowly. */
  quick?: boolean;
}

type Spot = readonly [number, number, number];
/** A spot of the document in the scene: there y is up and z comes towards the eye. */
type Place = (x: number, y: number, z: number) => Spot;

/** Texture is the same at every look: its noise begins from this number. */
const SEED = 20_261;
/** Triangles up to which a coarse surface is divided before it is given grain. */
const FINE_TRIANGLES = 6_000;
const ROOM: Record<SeatLook['light'], string> = { day: '#e9ebe7', night: '#15181a', backlit: '#202427' };

/** The scape as a scene, mm, from where an eye is (in the axes of the document). */
export function seatScene(drawing: Omit<Drawing, 'k'>, eye: Spot, look: SeatLook): Scene {
  const scene = new Scene();
  scene.background = new Color(ROOM[look.light]);
  const noise = new SimplexNoise(seeded(SEED));
  const place = placing(drawing, eye, look.refraction);
  scene.add(
    ...lights(drawing, look),
    ...bed(drawing, place, noise),
    ...pieces(drawing, place, noise, look.quick ? 0 : FINE_TRIANGLES),
    ...plants(drawing, place, look.plants, look.quick ? QUICK_PLUGS : MOST_PLUGS),
    ...water(drawing, look),
    glass(drawing),
    ...furniture(drawing, look),
  );
  const deep = drawing.vessel.innerMm.width;
  const near = Math.hypot(eye[0] - drawing.vessel.innerMm.length / 2, eye[1]);
  // Water takes a little of what lies far behind.
  scene.fog = new Fog(look.light === 'night' ? '#1d2c2e' : '#cfe0df', near + deep * 0.2, near + deep * 5);
  return scene;
}

/** A row of numbers that is always the same: Park and Miller's generator. */
function seeded(seed: number): { random: () => number } {
  let state = seed % 2_147_483_647;
  return { random: () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647 };
}

/** Flat panes bend what stands in the water; behind a bow or a cylinder it is drawn where it is. */
function placing({ vessel }: Omit<Drawing, 'k'>, eye: Spot, refraction: boolean): Place {
  const flat = vessel.kind === 'box';
  const bends = refraction && flat && eye[1] < -1;
  return (x, y, z) => {
    const [u, v, w] = bends && z < vessel.waterLineMm ? seenThroughPane(eye, [x, y, z]) : [x, y, z];
    return [u, w, -v];
  };
}

function lights({ vessel }: Omit<Drawing, 'k'>, { light, quick }: SeatLook): Object3D[] {
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

function surface(
  position: Float32Array,
  colour: Float32Array,
  index?: number[] | Uint32Array,
): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(position, 3));
  geometry.setAttribute('color', new BufferAttribute(colour, 3));
  if (index) geometry.setIndex(index instanceof Uint32Array ? new BufferAttribute(index, 1) : index);
  geometry.computeVertexNormals();
  return geometry;
}

/** A colour with a little more or less light in it, written into a list. */
function tinted(list: Float32Array, at: number, c: Color, by: number): void {
  list[at] = c.r * by;
  list[at + 1] = c.g * by;
  list[at + 2] = c.b * by;
}

/** How much grain of a material stands out: soil is granules, sand is nearly even. */
const GRAIN: Record<string, number> = { soil: 0.34, base: 0.3, gravel: 0.42, filler: 0.4, sand: 0.12 };

/** The bed's surface, each grain a little lighter or darker, and its cut at the front and the sides. */
function bed(drawing: Omit<Drawing, 'k'>, place: Place, noise: SimplexNoise): Object3D[] {
  const { field, option, materials } = drawing;
  const { columns, rows, dxMm, dyMm, cornerMm, cornerLayer, inside } = field;
  const n = columns + 1;
  const position = new Float32Array(n * (rows + 1) * 3);
  const colour = new Float32Array(position.length);
  const layers = option.bed.map((l) => {
    const material = materialFor(materials, l.material);
    return { colour: new Color(colourOf(material)), grain: GRAIN[material?.kind ?? 'soil'] ?? 0.3 };
  });
  const bare = { colour: new Color('#cfdfe3'), grain: 0 };
  for (let i = 0; i < n * (rows + 1); i++) {
    const [x, y] = [(i % n) * dxMm, Math.floor(i / n) * dyMm];
    const { colour: c, grain } = layers[cornerLayer[i]] ?? bare;
    const rough = noise.noise(x * 0.31, y * 0.31) * 0.7 + noise.noise(x * 0.021, y * 0.021) * 0.5;
    position.set(place(x, y, cornerMm[i] + rough * grain * 3), i * 3);
    tinted(colour, i * 3, c, 1 + rough * grain);
  }
  const index: number[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const k = r * n + c;
      const outside = inside && !(inside[k] || inside[k + 1] || inside[k + n] || inside[k + n + 1]);
      if (!outside) index.push(k, k + 1, k + n, k + 1, k + n + 1, k + n);
    }
  const top = new Mesh(
    surface(position, colour, index),
    new MeshStandardMaterial({ vertexColors: true, side: DoubleSide, roughness: 1 }),
  );
  top.receiveShadow = true;
  return [top, ...cuts(drawing, place)];
}

/** Every layer where the glass cuts it: along the front, and along both sides. */
function cuts({ field, option, materials }: Omit<Drawing, 'k'>, place: Place): Object3D[] {
  if (field.inside) return [];
  const { columns, rows, dxMm, dyMm } = field;
  const n = columns + 1;
  const lines = [
    Array.from({ length: n }, (_, c) => ({ k: c, x: c * dxMm, y: 0 })),
    Array.from({ length: rows + 1 }, (_, r) => ({ k: r * n, x: 0, y: r * dyMm })),
    Array.from({ length: rows + 1 }, (_, r) => ({ k: r * n + columns, x: columns * dxMm, y: r * dyMm })),
  ];
  return option.bed.flatMap((layer, i) => {
    // While a layer has just been laid on, the bed is still measured without it.
    if (!field.cornerThicknessMm[i]) return [];
    const colour = new Color(colourOf(materialFor(materials, layer.material))).multiplyScalar(0.8);
    const corners: number[] = [];
    for (const line of lines)
      for (let j = 0; j + 1 < line.length; j++) {
        const at = ({ k, x, y }: (typeof line)[number]) => {
          let low = 0;
          for (let b = 0; b < i; b++) low += field.cornerThicknessMm[b][k];
          return { x, y, low, high: low + field.cornerThicknessMm[i][k] };
        };
        const [a, b] = [at(line[j]), at(line[j + 1])];
        if (a.high - a.low < 0.3 && b.high - b.low < 0.3) continue;
        const [p, q, r, s] = [place(a.x, a.y, a.low), place(b.x, b.y, b.low), place(b.x, b.y, b.high), place(a.x, a.y, a.high)]; // prettier-ignore
        corners.push(...p, ...q, ...r, ...p, ...r, ...s);
      }
    if (corners.length === 0) return [];
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(new Float32Array(corners), 3));
    geometry.computeVertexNormals();
    const mesh = new Mesh(
      geometry,
      new MeshStandardMaterial({ color: colour, side: DoubleSide, roughness: 1 }),
    );
    return [mesh];
  });
}

/** Stones with strata and specks, wood with a grain that runs along it; coarse surfaces are divided first. */
function pieces(
  { option, survey, materials }: Omit<Drawing, 'k'>,
  place: Place,
  noise: SimplexNoise,
  fine: number,
): Mesh[] {
  const heights = new Map(survey.pieces.map((s) => [s.id, s.zMm]));
  return option.pieces.map((p) => {
    const material = materialFor(materials, p.material);
    const wood = material?.kind === 'wood';
    const own = divided(meshForDrawing(p.shape), fine);
    const v = turned(own.vertices, rotation(p.turnDeg, p.tiltDeg));
    const z = heights.get(p.id) ?? 0;
    const c = new Color(colourOf(material));
    const position = new Float32Array(v.length);
    const colour = new Float32Array(v.length);
    for (let i = 0; i < v.length; i += 3) {
      position.set(place(v[i] + p.at[0], v[i + 1] + p.at[1], v[i + 2] + z), i);
      tinted(colour, i, c, grainOf(own.vertices, i, wood, noise));
    }
    const mesh = new Mesh(
      surface(position, colour, new Uint32Array(own.faces)),
      new MeshStandardMaterial({ vertexColors: true, flatShading: !wood, roughness: wood ? 0.85 : 0.95 }),
    );
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    return mesh;
  });
}

/** Light or dark at a spot of a piece, around its own origin: the grain turns with the piece. */
function grainOf(v: Float64Array, i: number, wood: boolean, noise: SimplexNoise): number {
  const [x, y, z] = [v[i], v[i + 1], v[i + 2]];
  if (wood) return 1 + 0.16 * noise.noise3d(x * 0.02, y * 0.13, z * 0.13) + 0.08 * noise.noise3d(x * 0.2, y * 0.2, z * 0.2); // prettier-ignore
  const strata = noise.noise3d(x * 0.008, y * 0.008, z * 0.07);
  const specks = noise.noise3d(x * 0.11, y * 0.11, z * 0.11);
  return 1 + 0.15 * strata + 0.1 * specks;
}

/** A surface with each triangle cut into four until it is fine enough to carry grain. */
function divided(
  { vertices, faces }: { vertices: Float64Array; faces: ArrayLike<number> },
  fine: number,
): {
  vertices: Float64Array;
  faces: number[];
} {
  const v = Array.from(vertices);
  let f = Array.from(faces);
  while (f.length > 0 && (f.length / 3) * 4 <= fine) {
    const known = new Map<number, number>();
    const count = v.length / 3;
    const between = (a: number, b: number): number => {
      const key = Math.min(a, b) * count + Math.max(a, b);
      const old = known.get(key);
      if (old !== undefined) return old;
      for (let k = 0; k < 3; k++) v.push((v[a * 3 + k] + v[b * 3 + k]) / 2);
      known.set(key, v.length / 3 - 1);
      return v.length / 3 - 1;
    };
    const next: number[] = [];
    for (let i = 0; i < f.length; i += 3) {
      const [a, b, c] = [f[i], f[i + 1], f[i + 2]];
      const [ab, bc, ca] = [between(a, b), between(b, c), between(c, a)];
      next.push(a, ab, ca, ab, b, bc, ca, bc, c, ab, bc, ca);
    }
    f = next;
  }
  return { vertices: new Float64Array(v), faces: f };
}

/** Plugs of a planting that are drawn at most, and how far towards its grown height each is. */
const MOST_PLUGS = 1_200;
const QUICK_PLUGS = 160;
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
function plants(
  { option, field, vessel }: Omit<Drawing, 'k'>,
  place: Place,
  known: readonly Plant[],
  most: number,
): Object3D[] {
  const upright = new Vector3(0, 1, 0);
  return option.plants.flatMap((planting) => {
    const plant = known.find((p) => p.id === planting.plant);
    if (!plant || !planting.region || !planting.spacingMm) return [];
    const [low, high] = plant.heightMm ?? [25, 60];
    const spots = plugSpots(planting.region, planting.spacingMm, most);
    const random = seeded(spots.length + 17).random;
    const leaves = spots.flatMap(([x, y]) => {
      const z = drawnSurfaceAt(field, x, y);
      const tall = Math.min(
        (low + (high - low) * GROWN) * (0.65 + 0.6 * random()),
        vessel.waterLineMm - z - 4,
      );
      return tall > 2 ? leavesOf(plant, [x, y, z], tall, random) : [];
    });
    const mesh = new InstancedMesh(
      leaf(),
      new MeshStandardMaterial({ roughness: 0.85, side: DoubleSide }),
      leaves.length,
    );
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

/** The surface of the water, and the lit pane behind it. */
function water({ vessel }: Omit<Drawing, 'k'>, { light }: SeatLook): Object3D[] {
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
function glass({ vessel }: Omit<Drawing, 'k'>): LineSegments {
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
function furniture({ vessel }: Omit<Drawing, 'k'>, { light }: SeatLook): Mesh[] {
  const { length, width } = vessel.innerMm;
  const top = new Mesh(
    new BoxGeometry(length + 60, 28, width + 60),
    new MeshStandardMaterial({ color: light === 'day' ? '#cfc6b8' : '#3a3733', roughness: 0.9, fog: false }),
  );
  top.position.set(length / 2, -16, -width / 2);
  top.receiveShadow = true;
  return [top];
}

/** Lets go of what a scene holds on the graphics side. */
export function dispose(scene: Scene): void {
  scene.traverse((o) => {
    if (!(o instanceof Mesh) && !(o instanceof LineSegments)) return;
    o.geometry.dispose();
    for (const m of Array.isArray(o.material) ? o.material : [o.material]) m.dispose();
  });
}
