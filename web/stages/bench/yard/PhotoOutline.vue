<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import type { Point } from '../../../../core/geometry/polygon';
import { outlineInMm, partingBrightness, traced } from '../../../../core/yard/traced';
import FigureField from '../../../document/FigureField.vue';
import { arrowStep } from '../../../drawing/arrowStep';
import { usePointerDrag } from '../../../drawing/usePointerDrag';
import { photographOf, type Photograph } from './greyOf';
import { wording } from '../../../words/wording';

/** One photograph of a piece: its outline traced by brightness or by hand, and a length in it that is known. */
defineProps<{ title: string }>();
const outline = defineModel<Point[]>('outline');
const emit = defineEmits<{ file: [file: File] }>();

const BOX = 400;
const photo = shallowRef<Photograph>();
const said = ref('');
const threshold = ref(127);
const brighter = ref(false);
const byHand = ref(false);
const ring = ref<Point[]>([]);
/** Ends of what is known of length, px of the picture, and how long it is, mm. */
const measure = ref<[Point, Point]>([[0, 0], [1, 0]]); // prettier-ignore
/** Until it is typed nothing is known of the size. */
const measureMm = ref<number>();
const k = computed(() => {
  const { widthPx, heightPx } = photo.value!.grey;
  return Math.min(BOX / widthPx, 300 / heightPx);
});

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  try {
    letGo();
    photo.value = await photographOf(file);
    const { widthPx: w, heightPx: h } = photo.value.grey;
    measure.value = [[w * 0.1, h * 0.94], [w * 0.4, h * 0.94]]; // prettier-ignore
    threshold.value = partingBrightness(photo.value.grey);
    byHand.value = false;
    emit('file', file);
  } catch (error) {
    said.value = (error as Error).message;
  }
}
const letGo = () => photo.value && URL.revokeObjectURL(photo.value.url);
onBeforeUnmount(letGo);

watch([photo, threshold, brighter, byHand], () => {
  if (!photo.value) return;
  if (byHand.value) return void (ring.value = []);
  ring.value = traced(photo.value.grey, threshold.value, !brighter.value) ?? [];
  said.value = ring.value.length ? '' : wording('photoOutline.nothingFound');
});
watch([ring, measure, measureMm], () => {
  outline.value =
    ring.value.length >= 3 && measureMm.value
      ? outlineInMm(ring.value, measure.value, measureMm.value)
      : undefined;
});

const drag = usePointerDrag<{ of: 'ring' | 'measure'; i: number; at: Point }>({
  start: (event) => {
    const { of, i } = (event.currentTarget as SVGElement).dataset as { of: 'ring' | 'measure'; i: string };
    return { of, i: Number(i), at: (of === 'ring' ? ring.value : measure.value)[Number(i)] };
  },
  move: ({ of, i, at }, { dx, dy }) => place(of, i, [at[0] + dx / k.value, at[1] + dy / k.value]),
});
function place(of: 'ring' | 'measure', i: number, to: Point): void {
  const put = (p: Point, n: number) => (n === i ? to : p);
  if (of === 'ring') ring.value = ring.value.map(put);
  else measure.value = measure.value.map(put) as [Point, Point];
}
function keyed(event: KeyboardEvent, of: 'ring' | 'measure', i: number): void {
  const step = arrowStep(event, 1, 10);
  if (!step) return;
  event.preventDefault();
  const [x, y] = (of === 'ring' ? ring.value : measure.value)[i];
  place(of, i, [x + step[0], y - step[1]]);
}
/** By hand each press sets the next corner. */
function corner(event: MouseEvent): void {
  if (!byHand.value) return;
  const box = (event.currentTarget as Element).getBoundingClientRect();
  ring.value = [...ring.value, [(event.clientX - box.left) / k.value, (event.clientY - box.top) / k.value]];
}
const path = (points: readonly Point[]) => points.map(([x, y]) => `${x * k.value},${y * k.value}`).join(' ');
const setMm = (mm: number | undefined) => {
  if (!mm || mm <= 0) return wording('photoOutline.notPositive');
  measureMm.value = mm;
  return undefined;
};
</script>

<template>
  <section class="photo" :data-photo="title">
    <header>
      <h3>{{ title }}</h3>
      <label class="take"
        ><input type="file" accept="image/*" class="sr" :data-test="`photo-${title}`" @change="take" />{{
          photo ? 'Another' : 'Photograph'
        }}</label
      >
    </header>
    <template v-if="photo">
      <svg
        :width="photo.grey.widthPx * k"
        :height="photo.grey.heightPx * k"
        :class="{ byHand }"
        :data-test="`traced-${title}`"
        @click="corner"
      >
        <image :href="photo.url" width="100%" height="100%" preserveAspectRatio="none" />
        <polygon :points="path(ring)" class="ring" />
        <circle
          v-for="(p, i) in ring"
          :key="i"
          class="corner"
          :cx="p[0] * k"
          :cy="p[1] * k"
          r="3.5"
          data-of="ring"
          :data-i="i"
          tabindex="-1"
          role="button"
          :aria-label="`Corner ${i + 1}`"
          @pointerdown="drag"
          @click.stop
          @keydown="keyed($event, 'ring', i)"
        />
        <polyline :points="path(measure)" class="measure" />
        <circle
          v-for="(p, i) in measure"
          :key="`m${i}`"
          class="end"
          :cx="p[0] * k"
          :cy="p[1] * k"
          r="7"
          data-of="measure"
          :data-i="i"
          tabindex="0"
          role="button"
          :aria-label="`End ${i + 1} of the measure`"
          @pointerdown="drag"
          @click.stop
          @keydown="keyed($event, 'measure', i)"
        />
      </svg>
      <div class="by">
        <FigureField
          label="from ring to ring"
          kind="length"
          optional
          :value="measureMm"
          :apply="setMm"
          :data-test="`measure-${title}`"
        />
        <label v-if="!byHand" class="quiet slide">
          ground
          <input
            v-model.number="threshold"
            type="range"
            min="1"
            max="254"
            :aria-label="`Where the ground begins, ${title}`"
          />
        </label>
        <button v-if="!byHand" class="act" @click="brighter = !brighter">
          {{ brighter ? 'It is darker than the ground' : 'It is brighter than the ground' }}
        </button>
        <button class="act" :data-test="`by-hand-${title}`" @click="byHand = !byHand">
          {{ byHand ? 'Trace by itself' : 'Trace by hand' }}
        </button>
      </div>
    </template>
    <p v-else class="quiet empty">
      {{ wording('photoOutline.how') }}
    </p>
    <p v-if="photo && !measureMm" class="late" role="status">
      {{ wording('photoOutline.scale') }}
    </p>
    <p v-if="said" class="late" role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
.photo {
  width: 400px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
h3 {
  font: 500 17px var(--title);
}
svg {
  display: block;
  background: var(--water);
  touch-action: none;
}
.byHand {
  cursor: crosshair;
}
.ring {
  fill: #ffffff40;
  stroke: #b3261e;
  stroke-width: 1.5;
  pointer-events: none;
}
.corner {
  fill: #fff;
  stroke: #b3261e;
  cursor: grab;
}
.measure {
  stroke: #0b6e4f;
  stroke-width: 2.5;
}
.end {
  fill: #ffffffa0;
  stroke: #0b6e4f;
  stroke-width: 2.5;
  cursor: grab;
}
.by {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
  align-items: end;
}
.slide {
  display: flex;
  align-items: center;
  gap: 6px;
  height: 36px;
}
.slide input {
  flex: 1;
  min-width: 0;
  accent-color: var(--celadon);
}
.by .act {
  text-align: left;
}
.empty {
  height: 120px;
  padding: 14px;
  background: var(--water);
}
</style>
