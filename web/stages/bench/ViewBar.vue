<script setup lang="ts">
import type { View, Zoom } from '../../drawing/sheet';
import { VIEWS } from '../../drawing/sheet';
import { wording } from '../../words/wording';

/** Which views are on the sheet, how near one of them is, and what is drawn over them. */
const shown = defineModel<readonly View[]>('shown', { required: true });
const overlay = defineModel<'depth' | 'slope'>('overlay', { required: true });
const thirds = defineModel<boolean>('thirds', { required: true });
const measuring = defineModel<boolean>('measuring', { required: true });
const ghost = defineModel<boolean>('ghost', { required: true });
const props = defineProps<{ zoom: Zoom; underlaid: boolean; oneByOne?: boolean; hasNow: boolean }>();
const emit = defineEmits<{ zoom: [zoom: Zoom]; underlay: [] }>();

const NAMES: Record<View, string> = { front: 'Front', plan: 'Above', section: 'Cut', seat: 'Seat' };
/** At least one view stays; where there is room for no more, another takes its place. */
function toggle(view: View): void {
  if (props.oneByOne) return void (shown.value = [view]);
  const next = VIEWS.filter((v) => (v === view ? !shown.value.includes(v) : shown.value.includes(v)));
  if (next.length > 0) shown.value = next;
}
const MOST = 8;
const by = (times: number) =>
  emit('zoom', {
    ...props.zoom,
    times: Math.min(MOST, Math.max(1, props.zoom.times * times)),
    ...(props.zoom.times * times <= 1 ? { dx: 0, dy: 0 } : {}),
  });
</script>

<template>
  <div class="views" role="toolbar" aria-label="Views">
    <button
      v-for="v in VIEWS"
      :key="v"
      class="plain"
      :class="{ on: shown.includes(v) }"
      :aria-pressed="shown.includes(v)"
      :data-view="v"
      @click="toggle(v)"
    >
      {{ NAMES[v] }}
    </button>
    <button v-if="shown.length < VIEWS.length" class="act" data-test="all-views" @click="shown = [...VIEWS]">
      All four
    </button>
    <template v-if="shown.length === 1 && shown[0] !== 'seat'">
      <button class="plain" aria-label="Nearer" data-test="nearer" @click="by(1.5)">+</button>
      <button class="plain" aria-label="Further" @click="by(1 / 1.5)">−</button>
      <span class="quiet">{{ wording('viewBar.movePaper', { percent: Math.round(zoom.times * 100) }) }}</span>
    </template>
    <i />
    <router-link class="act" :to="`/c/${$route.params.id}/setting-out`" data-test="setting-out"
      >Set out</router-link
    >
    <button class="plain" :class="{ on: underlaid }" data-test="underlay" @click="$emit('underlay')">
      Photograph
    </button>
    <button
      class="plain"
      :class="{ on: overlay === 'slope' }"
      :aria-pressed="overlay === 'slope'"
      data-test="slope"
      @click="overlay = overlay === 'slope' ? 'depth' : 'slope'"
    >
      Slope
    </button>
    <button
      v-if="hasNow"
      class="plain"
      :class="{ on: ghost }"
      :aria-pressed="ghost"
      data-test="ghost-toggle"
      @click="ghost = !ghost"
    >
      As it is now
    </button>
    <button class="plain" :class="{ on: thirds }" :aria-pressed="thirds" @click="thirds = !thirds">
      Thirds
    </button>
    <button
      class="plain"
      :class="{ on: measuring }"
      :aria-pressed="measuring"
      data-test="measure"
      @click="measuring = !measuring"
    >
      Measure
    </button>
  </div>
</template>

<style scoped>
.views {
  flex: none;
  min-height: 30px;
  display: flex;
  align-items: center;
  gap: 2px;
  padding: 0 18px 0 62px;
  border-top: 1px solid var(--rule);
  font-size: 13px;
}
.views .plain {
  padding: 2px 9px;
  color: var(--ink-2);
  border-bottom: 2px solid transparent;
}
.views .on {
  color: var(--ink);
  border-color: var(--celadon);
}
i {
  flex: 1;
}
@media (max-width: 700px) {
  .views {
    height: auto;
    flex-wrap: wrap;
    padding: 0 10px;
  }
}
</style>
