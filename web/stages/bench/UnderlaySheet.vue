<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Option, Underlay } from '../../../core/commission/schema';
import { areCorners, type Point } from '../../../core/geometry/polygon';
import { api } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import { refusedFile, uploadPicture } from '../../document/upload';
import { arrowStep } from '../../drawing/arrowStep';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { USUAL_OPACITY } from './useUnderlays';
import { wording } from '../../words/wording';

/** A photograph of the mock-up under a view: its four corners are drawn to those of the taped floor or the glass. */
const props = defineProps<{ option: Option }>();
const open = defineModel<boolean>('open', { required: true });
const commission = useCommission();
const view = ref<Underlay['view']>('above');
const VIEWS = [
  { value: 'above', title: 'From above: the footprint taped on the table' },
  { value: 'front', title: 'From the front: the opening of the glass' },
];
const WHERE = ['Left, at the back', 'Right, at the back', 'Right, in front', 'Left, in front'];
const WHERE_FRONT = ['Top left', 'Top right', 'Bottom right', 'Bottom left'];
const said = ref('');
const underlay = computed(() => props.option.underlays?.find((u) => u.view === view.value));
const picture = computed(() => commission.document?.pictures?.find((p) => p.id === underlay.value?.picture));
const BOX = 640;
const size = computed(() => {
  const { widthPx = 4, heightPx = 3 } = picture.value ?? {};
  const k = Math.min(BOX / widthPx, 380 / heightPx);
  return { w: widthPx * k, h: heightPx * k };
});

/** The corners a quarter in, until they are drawn to where they belong. */
const FRESH: Underlay['corners'] = [[0.2, 0.2], [0.8, 0.2], [0.9, 0.85], [0.1, 0.85]]; // prettier-ignore

function change(next: Underlay | undefined): string | undefined {
  return commission.tryEditOption(`underlay ${view.value}`, (o) => ({
    ...o,
    underlays: [...(o.underlays ?? []).filter((u) => u.view !== view.value), ...(next ? [next] : [])],
  }));
}
async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  said.value = refusedFile(file) ?? 'Sending…';
  if (said.value !== 'Sending…') return;
  try {
    const kept = await uploadPicture(commission.id, file, () => {}, new AbortController().signal);
    commission.edit(`picture ${kept.id}`, (d) => ({
      ...d,
      pictures: [
        ...(d.pictures ?? []).filter((p) => p.id !== kept.id),
        { ...kept, shows: 'mock-up' as const, caption: '' },
      ],
    }));
    said.value = change({ view: view.value, picture: kept.id, corners: FRESH }) ?? '';
  } catch (error) {
    said.value = error instanceof Error ? error.message : String(error);
  }
}

const drag = usePointerDrag<{ i: number; at: Point }>({
  start: (event) => {
    const i = Number((event.currentTarget as SVGElement).dataset.i);
    commission.beginStep();
    return { i, at: underlay.value!.corners[i] };
  },
  move: ({ i, at }, { dx, dy }) => place(i, [at[0] + dx / size.value.w, at[1] + dy / size.value.h]),
  end: () => commission.endStep(),
});
function place(i: number, to: Point): void {
  const corners = underlay.value!.corners.map((c, n) =>
    n === i ? [to[0], to[1]] : c,
  ) as Underlay['corners'];
  // Corners that cross are none: they stay where they last were some.
  if (areCorners(corners)) change({ ...underlay.value!, corners });
}
function keyed(event: KeyboardEvent, i: number): void {
  const step = arrowStep(event, 0.002, 0.02);
  if (!step) return;
  event.preventDefault();
  const [x, y] = underlay.value!.corners[i];
  place(i, [x + step[0], y - step[1]]);
}
const setOpacity = (event: Event) =>
  void change({ ...underlay.value!, opacity: Number((event.target as HTMLInputElement).value) / 100 });
const points = computed(() =>
  (underlay.value?.corners ?? []).map(([x, y]) => `${x * size.value.w},${y * size.value.h}`).join(' '),
);
</script>

<template>
  <v-dialog v-model="open" width="720">
    <div class="dialog" role="dialog" aria-label="Photograph under the sheet" data-test="underlay-sheet">
      <h2>Photograph under the sheet</h2>
      <v-select v-model="view" label="lies under" :items="VIEWS" />
      <svg v-if="underlay && picture" :width="size.w" :height="size.h" data-test="underlay-corners">
        <image
          :href="api.pictureUrl(commission.id, picture.id)"
          width="100%"
          height="100%"
          preserveAspectRatio="none"
        />
        <polygon :points="points" />
        <g
          v-for="([x, y], i) in underlay.corners"
          :key="i"
          :transform="`translate(${x * size.w} ${y * size.h})`"
          :data-i="i"
          :data-corner="i"
          tabindex="0"
          role="button"
          :aria-label="(view === 'front' ? WHERE_FRONT : WHERE)[i]"
          @pointerdown="drag"
          @keydown="keyed($event, i)"
        >
          <circle r="11" />
          <path d="M-5 0 h10 M0 -5 v10" />
        </g>
      </svg>
      <p class="quiet">
        {{ wording(view === 'front' ? 'underlaySheet.howFront' : 'underlaySheet.howPlan') }}
      </p>
      <p v-if="said" class="late" role="status">{{ said }}</p>
      <footer>
        <label class="take"
          ><input type="file" accept="image/*" class="sr" data-test="underlay-file" @change="take" />{{
            underlay ? 'Another photograph' : 'Take a photograph'
          }}</label
        >
        <label v-if="underlay" class="quiet">
          strong
          <input
            type="range"
            min="10"
            max="100"
            :value="(underlay.opacity ?? USUAL_OPACITY) * 100"
            aria-label="How strongly it is drawn"
            @change="setOpacity"
          />
        </label>
        <button v-if="underlay" class="act" data-test="underlay-away" @click="change(undefined)">
          Take away
        </button>
        <button class="act" @click="open = false">Close</button>
      </footer>
    </div>
  </v-dialog>
</template>

<style scoped>
svg {
  display: block;
  margin: 10px 0;
  overflow: visible;
  touch-action: none;
}
polygon {
  fill: none;
  stroke: #0b6e4f;
  stroke-width: 2;
}
g {
  cursor: grab;
}
circle {
  fill: #ffffff90;
  stroke: #0b6e4f;
  stroke-width: 2.5;
}
path {
  stroke: #0b6e4f;
}
input[type='range'] {
  accent-color: var(--celadon);
  vertical-align: middle;
}
</style>
