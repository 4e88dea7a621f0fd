<script setup lang="ts">
import { Raycaster, Vector2, type WebGLRenderer } from 'three';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import type { Spot3 } from '../../core/view/sightLine';
import type { Drawing } from './drawing';
import { keeper } from './seat/kept';
import { cameraFrom } from './seat/camera';
import { drawnOut } from './seat/drawnOut';
import { manyPasses, type ManyPasses } from './seat/manyPasses';
import { photograph } from './seat/photographer';
import { plantUnder } from './seat/plantUnder';
import { rendererOn } from './seat/rendererOn';
import { aim } from './seat/lights';
import { PASSES, SHOWN } from './seat/samples';
import { seatScene, type SeatLook } from './seat/seatScene';
import { wording } from '../words/wording';

/** The scape in perspective, from a seat in front of it or from above. */
const props = defineProps<
  Omit<Drawing, 'k'> & {
    width: number;
    height: number;
    /** Where it is looked from, in the axes of the document. */
    eye: Spot3;
    seatName?: string;
    fromAbove?: boolean;
    look: SeatLook;
    /** Masses only: grey and out of focus. */
    squint?: boolean;
    /** What a press on the picture asks for. */
    touches?: 'pieces' | 'plants';
  }
>();

/** Where a look that was sent from the pointer meets stone or wood, in the axes of the document; or what it meets of the plants. */
const emit = defineEmits<{ touch: [spot: [number, number, number]]; plant: [id: string] }>();

const canvas = ref<HTMLCanvasElement>();
const failed = ref(false);
const drawn = ref(false);
let renderer: WebGLRenderer | undefined;
let passes: ManyPasses | undefined;
const [inQuick, inFull] = [keeper(), keeper()];
let waiting: ReturnType<typeof setTimeout> | undefined;
/** The perspective follows when a drag pauses: the three measured views come first. */
const PAUSE_MS = 140;

const camera = (eye: Spot3) => cameraFrom(props.vessel, eye, props.width / props.height, props.fromAbove);

/** Draws it quickly; how long that took, ms. */
async function drawQuickly(): Promise<number> {
  const since = performance.now();
  sized();
  renderer!.render(seatScene(props, props.eye, { ...props.look, quick: true }, inQuick), camera(props.eye));
  drawn.value = true;
  await drawnOut(renderer!.getContext() as WebGL2RenderingContext);
  return timed('seat.quick', since);
}

/** A canvas that is given a size is emptied, be it the one it has. */
function sized(): void {
  const ratio = renderer!.getPixelRatio();
  const { width, height } = renderer!.domElement;
  if (width === Math.floor(props.width * ratio) && height === Math.floor(props.height * ratio)) return;
  renderer!.setSize(props.width, props.height, false);
}

/** Draws it as it would be photographed, out of many pictures, between which others have their turn; a newer one ends it. */
let turns = 0;
async function drawInFull(): Promise<void> {
  const turn = ++turns;
  const since = performance.now();
  const { vessel, look, eye } = props;
  const scene = seatScene(props, eye, look, inFull);
  const seen = camera(eye);
  for (let i = 0; i < PASSES; i++) {
    if (turn !== turns || !renderer || !passes) return;
    if (i === 0) sized();
    passes.add(i, scene, seen, (pass) => aim(scene.children, vessel, look.light, pass));
    if (SHOWN.has(i)) passes.show();
    await drawnOut(renderer.getContext() as WebGL2RenderingContext);
    if (SHOWN.has(i)) timed(`seat.full.${i + 1}`, since);
  }
}

/** How long something took, for whoever measures; of each only the last is kept. */
function timed(name: string, since: number): number {
  performance.clearMeasures(name);
  return performance.measure(name, { start: since }).duration;
}

/** Quickly first; then in full where that picture came soon, or the view is large and worth waiting for. */
const SOON_MS = 1_500;
const LARGE_PX = 200_000;
/** A small view stands beside others in which somebody works: it is photographed when they have come to rest. */
const RESTS_MS = 1_200;
let lastMs = 0;
async function draw(): Promise<void> {
  if (!renderer) return;
  const turn = turns;
  lastMs = await drawQuickly();
  const isLarge = props.width * props.height > LARGE_PX;
  if (turn === turns && (isLarge || lastMs < SOON_MS))
    waiting = setTimeout(() => void drawInFull(), isLarge ? PAUSE_MS : RESTS_MS);
}

function soon(): void {
  clearTimeout(waiting);
  turns++;
  // A browser that draws slowly is asked less often.
  waiting = setTimeout(() => void draw(), Math.max(PAUSE_MS, Math.min(1_000, 3 * lastMs)));
}

/** What the pointer points at: the first stone or wood, plants and panes looked through; or the first plant that no stone hides. */
function touch({ offsetX, offsetY }: MouseEvent): void {
  if (!props.touches) return;
  const from = props.eye;
  const scene = seatScene(props, from, { ...props.look, quick: true }, inQuick);
  const eye = camera(from);
  eye.updateMatrixWorld();
  scene.updateMatrixWorld(true);
  const ray = new Raycaster();
  const spot = new Vector2((offsetX / props.width) * 2 - 1, 1 - (offsetY / props.height) * 2);
  ray.setFromCamera(spot, eye);
  const solids = scene.children.filter((o) => o.userData.piece !== undefined);
  const [met] = ray.intersectObjects(solids, false);
  if (props.touches === 'pieces') {
    if (met) emit('touch', [met.point.x, -met.point.z, met.point.y]);
    return;
  }
  const plant = plantUnder(props.look.plants, eye, [spot.x, spot.y]);
  if (plant && (!met || plant.farMm < met.distance)) emit('plant', plant.id);
}

/** The picture as a file of so many pixels across, to be shown to a client: taken beside what is on the screen. */
const WIDE_PX = 1920;
async function picture(): Promise<Blob | null> {
  const { eye, look, fromAbove } = props;
  const high = Math.round((WIDE_PX * props.height) / props.width);
  return photograph({ seen: props, eye, look, fromAbove }, WIDE_PX, high);
}
defineExpose({ picture });

onMounted(() => {
  renderer = rendererOn(canvas.value!);
  if (!renderer) return void (failed.value = true);
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  passes = manyPasses(renderer);
  soon();
});
watch(
  () => [props.option, props.field, props.survey, props.width, props.height, props.eye, props.fromAbove, props.look], // prettier-ignore
  soon,
);
onBeforeUnmount(() => {
  clearTimeout(waiting);
  turns++;
  passes?.dispose();
  inQuick.dispose();
  inFull.dispose();
  renderer?.dispose();
});
</script>

<template>
  <div class="frame" :style="{ width: `${width}px`, height: `${height}px` }">
    <p v-if="failed" class="quiet">{{ wording('seatView.none') }}</p>
    <p v-else-if="!drawn" class="quiet">{{ wording('seatView.drawing') }}</p>
    <canvas
      v-if="!failed"
      ref="canvas"
      role="img"
      :aria-label="`The scape in perspective, from ${fromAbove ? 'above' : (seatName ?? wording('seat.usual'))}`"
      :class="{ squint }"
      :style="{ width: `${width}px`, height: `${height}px` }"
      @click="touch"
    />
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  overflow: hidden;
  border: 1px solid var(--rule);
  box-sizing: border-box;
}
.frame p {
  position: absolute;
  inset: 0;
  padding: 14px;
}
canvas {
  display: block;
}
.squint {
  filter: grayscale(1) blur(7px) contrast(1.25);
}
</style>
