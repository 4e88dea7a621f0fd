<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue';
import type { Planted } from '../../../core/planted/planted';
import type { Spot3 } from '../../../core/view/sightLine';
import { wording } from '../../words/wording';
import type { Drawing } from '../drawing';
import { asFile, photographer } from '../seat/photographer';
import { grownIn, grownOf, STILL_WEEKS } from './weeks';

/** The scape as it is planted and in four weeks after it, for paper: what it becomes is larger than how it begins. */
const props = defineProps<Omit<Drawing, 'k'> & { parts: readonly Planted[]; eye: Spot3 }>();

/** A still, px: on paper 87 mm at 187 dots an inch. */
const [WIDE, HIGH] = [640, 360];
/** Pictures of which one is the mean. */
const PASSES = 6;
/** What changes goes on changing for a moment. */
const PAUSE_MS = 500;

const stills = ref<(string | undefined)[]>(STILL_WEEKS.map(() => undefined));
const failed = ref(false);
let turns = 0;
let waiting: ReturnType<typeof setTimeout> | undefined;

async function take(): Promise<void> {
  const turn = ++turns;
  const camera = photographer(WIDE, HIGH);
  failed.value = !camera;
  if (!camera) return;
  try {
    for (const [i, week] of STILL_WEEKS.entries()) {
      const look = { refraction: false, light: 'day' as const, plants: grownIn(props.parts, week) };
      const canvas = await camera.take({ seen: props, eye: props.eye, look }, PASSES);
      const blob = await asFile(canvas);
      if (turn !== turns) return;
      show(i, blob ? URL.createObjectURL(blob) : undefined);
    }
  } finally {
    camera.dispose();
  }
}
function show(i: number, url: string | undefined): void {
  const old = stills.value[i];
  if (old) URL.revokeObjectURL(old);
  stills.value[i] = url;
}
const saysWeek = (week: number) => wording(week === 0 ? 'growing.planted' : 'growing.week', { week });

watch(
  () => grownOf(props),
  () => {
    clearTimeout(waiting);
    turns++;
    waiting = setTimeout(() => void take(), PAUSE_MS);
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  clearTimeout(waiting);
  turns++;
  stills.value.forEach((_, i) => show(i, undefined));
});
</script>

<template>
  <p v-if="failed" class="quiet screen-only">{{ wording('growing.none') }}</p>
  <div v-else class="stills" data-test="stills">
    <figure v-for="(week, i) in STILL_WEEKS" :key="week">
      <img
        v-if="stills[i]"
        :src="stills[i]"
        :alt="wording('growing.alt', { when: saysWeek(week) })"
        :data-still="week"
      />
      <p v-else class="quiet room">{{ wording('growing.drawing') }}</p>
      <figcaption>{{ saysWeek(week) }}</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.stills {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 10px;
}
figure {
  grid-column: span 2;
  margin: 0;
  break-inside: avoid;
}
figure:nth-child(n + 4) {
  grid-column: span 3;
}
img,
.room {
  display: block;
  width: 100%;
  aspect-ratio: 16 / 9;
}
.room {
  margin: 0;
  padding: 10px;
  box-sizing: border-box;
  border: 1px solid var(--rule);
}
figcaption {
  font: italic 400 13px var(--title);
  color: var(--ink-2);
}
</style>
