<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { dayPlus, type Day } from '../../../core/calendar/day';
import type { Planted } from '../../../core/planted/planted';
import type { Spot3 } from '../../../core/view/sightLine';
import { shortDay } from '../../units/days';
import { wording } from '../../words/wording';
import type { Drawing } from '../drawing';
import { photographer } from '../seat/photographer';
import { grownIn, grownOf } from './weeks';

/** The scape growing as a short film, made here on demand: looked at, then kept as a file. */
const props = defineProps<
  Omit<Drawing, 'k'> & {
    parts: readonly Planted[];
    eye: Spot3;
    buildDay: Day;
    /** What the file is called. */
    title: string;
  }
>();

const [WIDE, HIGH] = [960, 540];
/** Of each step lamp and room once each: it is looked at for a quarter of a second. */
const PASSES = 2;

const share = ref<number>();
const trouble = ref<string>();
const made = ref<{ url: string; of: string }>();
/** A film of what has changed since is one of something else. */
const isOld = computed(() => made.value !== undefined && made.value.of !== grownOf(props));
let calledOff: AbortController | undefined;

async function make(): Promise<void> {
  letGo();
  const { canFilm, film } = await import('./film');
  if (!canFilm()) return void (trouble.value = wording('growing.noFilm'));
  const camera = photographer(WIDE, HIGH);
  if (!camera) return void (trouble.value = wording('growing.none'));
  calledOff = new AbortController();
  [share.value, trouble.value] = [0, undefined];
  const { parts, eye, buildDay } = props;
  const of = grownOf(props);
  try {
    const blob = await film({
      width: WIDE,
      height: HIGH,
      inWeek: (week) =>
        camera.take(
          { seen: props, eye, look: { refraction: false, light: 'day', plants: grownIn(parts, week) } },
          PASSES,
        ),
      written: (week) =>
        wording('growing.written', {
          week: Math.floor(week),
          day: shortDay(dayPlus(buildDay, Math.round(week * 7))),
        }),
      onDone: (done) => (share.value = done),
      signal: calledOff.signal,
    });
    if (blob) made.value = { url: URL.createObjectURL(blob), of };
  } catch {
    trouble.value = wording('growing.failed');
  } finally {
    camera.dispose();
    share.value = undefined;
  }
}
function letGo(): void {
  if (made.value) URL.revokeObjectURL(made.value.url);
  made.value = undefined;
}
onBeforeUnmount(() => {
  calledOff?.abort();
  letGo();
});
</script>

<template>
  <div class="film" data-test="film">
    <p v-if="share !== undefined" class="making" role="status">
      {{ wording('growing.making', { percent: Math.round(share * 100) }) }}
      <button class="act" data-test="film-off" @click="calledOff?.abort()">
        {{ wording('growing.off') }}
      </button>
    </p>
    <button v-else class="act" data-test="make-film" @click="make">
      {{ wording(made ? 'growing.again' : 'growing.make') }}
    </button>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="made">
      <p v-if="isOld" class="quiet">{{ wording('growing.old') }}</p>
      <video :src="made.url" controls loop muted playsinline data-test="film-made" />
      <a class="act" :href="made.url" :download="`${title}.webm`" data-test="keep-film">{{
        wording('growing.keep')
      }}</a>
    </template>
  </div>
</template>

<style scoped>
.making {
  margin: 0;
  font-variant-numeric: tabular-nums;
}
.trouble {
  margin: 4px 0;
  color: var(--warn);
}
video {
  display: block;
  width: 100%;
  max-width: 720px;
  margin: 8px 0 4px;
}
</style>
