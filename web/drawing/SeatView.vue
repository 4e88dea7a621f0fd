<script setup lang="ts">
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  Scene,
  WebGLRenderer,
} from 'three';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { rotation, turned } from '../../core/geometry/rotation';
import type { Seat } from '../../core/commission/schema';
import { footprint } from '../../core/vessel/footprint';
import type { Drawing } from './drawing';
import { colourOf, materialFor } from './colour';
import { meshForDrawing } from './drawnMeshes';

/** The scape in perspective, from a seat in front of it. */
const props = withDefaults(
  defineProps<Omit<Drawing, 'k'> & { width: number; height: number; seat?: Seat; baseHeightMm?: number }>(),
  {
    seat: undefined,
    baseHeightMm: 800,
  },
);

const canvas = ref<HTMLCanvasElement>();
const failed = ref(false);
let renderer: WebGLRenderer | undefined;
let waiting: ReturnType<typeof setTimeout> | undefined;
/** The perspective follows when a drag pauses: the three measured views come first. */
const PAUSE_MS = 140;

/** A seat in front and a little left, at this distance and above the tank's middle, in tank lengths. */
const SEAT = { left: 0.42, away: 1.42, above: 0.4 };

function scene(): Scene {
  const s = new Scene();
  s.add(new AmbientLight('#ffffff', 1.5));
  const sun = new DirectionalLight('#fff4e0', 2.2);
  sun.position.set(-0.5, 1, 0.7);
  s.add(sun, bed(), ...pieces(), glass());
  return s;
}

/** Three.js has y up and z towards the eye: x, y, z of the document become x, z, −y. */
function bed(): Mesh {
  const { columns, rows, dxMm, dyMm, cornerMm, cornerLayer, inside } = props.field;
  const n = columns + 1;
  const position = new Float32Array(n * (rows + 1) * 3);
  const colour = new Float32Array(position.length);
  const layers = props.option.bed.map((l) => new Color(colourOf(materialFor(props.materials, l.material))));
  const glassColour = new Color('#cfdfe3');
  for (let i = 0; i < n * (rows + 1); i++) {
    position.set([(i % n) * dxMm, cornerMm[i], -Math.floor(i / n) * dyMm], i * 3);
    const c = layers[cornerLayer[i]] ?? glassColour;
    colour.set([c.r, c.g, c.b], i * 3);
  }
  const index: number[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const k = r * n + c;
      const outside = inside && !(inside[k] || inside[k + 1] || inside[k + n] || inside[k + n + 1]);
      if (!outside) index.push(k, k + 1, k + n, k + 1, k + n + 1, k + n);
    }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(position, 3));
  geometry.setAttribute('color', new BufferAttribute(colour, 3));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return new Mesh(geometry, new MeshLambertMaterial({ vertexColors: true, side: DoubleSide }));
}

function pieces(): Mesh[] {
  return props.option.pieces.map((p) => {
    const mesh = meshForDrawing(p.shape);
    const v = turned(mesh.vertices, rotation(p.turnDeg, p.tiltDeg));
    const z = props.survey.pieces.find((s) => s.id === p.id)?.zMm ?? 0;
    const position = new Float32Array(v.length);
    for (let i = 0; i < v.length; i += 3)
      position.set([v[i] + p.at[0], v[i + 2] + z, -v[i + 1] - p.at[1]], i);
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(position, 3));
    geometry.setIndex(new BufferAttribute(mesh.faces, 1));
    geometry.computeVertexNormals();
    return new Mesh(
      geometry,
      new MeshLambertMaterial({
        color: colourOf(materialFor(props.materials, p.material)),
        flatShading: true,
      }),
    );
  });
}

/** The panes' edges: the footprint at the bottom and at the rim, and an upright at every sharp corner. */
function glass(): LineSegments {
  const { height } = props.vessel.innerMm;
  const ring = footprint(props.vessel);
  const lines: number[] = [];
  ring.forEach(([x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length];
    for (const z of [0, height]) lines.push(x, z, -y, u, z, -v);
    if (ring.length < 20 || i % 30 === 0) lines.push(x, 0, -y, x, height, -y);
  });
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(lines), 3));
  return new LineSegments(geometry, new LineBasicMaterial({ color: '#7fa3af' }));
}

/** Where the eye is: at the seat chosen, else in front and a little left. */
function eye(): [number, number, number] {
  const { length, height } = props.vessel.innerMm;
  if (props.seat) {
    const [x, y] = props.seat.at;
    return [x, props.seat.eyeMm - props.baseHeightMm, -y];
  }
  const reach = Math.max(length, height * 1.2);
  return [length * (0.5 - SEAT.left), height * 0.5 + reach * SEAT.above, reach * SEAT.away * 0.86];
}

function render(): void {
  if (!renderer) return;
  const { length, width, height } = props.vessel.innerMm;
  const [x, y, z] = eye();
  const away = Math.hypot(x - length / 2, y - height / 2, z + width / 2);
  // From across a room the eye rests on the tank alone: the view is as wide as the tank, not as the room.
  const seen = (2 * Math.atan((0.62 * Math.hypot(length, height, width)) / away) * 180) / Math.PI;
  const camera = new PerspectiveCamera(
    props.seat ? Math.min(75, seen) : 38,
    props.width / props.height,
    10,
    60_000,
  );
  camera.position.set(x, y, z);
  camera.lookAt(length / 2, height * (props.seat ? 0.5 : 0.3), -width / 2);
  renderer.setSize(props.width, props.height, false);
  const s = scene();
  renderer.render(s, camera);
  s.traverse((o) => {
    if (o instanceof Mesh || o instanceof LineSegments) o.geometry.dispose();
  });
}

function soon(): void {
  clearTimeout(waiting);
  waiting = setTimeout(render, PAUSE_MS);
}

onMounted(() => {
  try {
    renderer = new WebGLRenderer({
      canvas: canvas.value!,
      antialias: true,
      alpha: true,
      preserveDrawingBuffer: true,
    });
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    soon();
  } catch {
    failed.value = true;
  }
});
watch(
  () => [props.option, props.field, props.survey, props.width, props.height, props.seat, props.baseHeightMm],
  soon,
);
onBeforeUnmount(() => {
  clearTimeout(waiting);
  renderer?.dispose();
});
</script>

<template>
  <p v-if="failed" class="quiet">This browser draws no perspective. The other three views have everything.</p>
  <canvas
    v-else
    ref="canvas"
    role="img"
    :aria-label="`The scape in perspective, from ${seat?.name ?? 'in front and a little left'}`"
    :style="{ width: `${width}px`, height: `${height}px` }"
  />
</template>

<style scoped>
canvas {
  display: block;
  box-sizing: border-box;
  border: 1px solid var(--rule);
  background: linear-gradient(var(--water), var(--ash));
}
p {
  padding: 12px 0;
}
</style>
