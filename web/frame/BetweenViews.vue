<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import type { Commission, Option } from '../../core/commission/schema';
import { eyeFrom } from '../../core/view/eye';
import { useSeats } from '../document/seats';
import { halfGrown } from '../drawing/halfGrown';
import { usePointerDrag } from '../drawing/usePointerDrag';
import { wording } from '../words/wording';
import type { OptionPlan } from './optionPlans';

/** Two states of a scape from one seat, the left one laid over the right one: a line is drawn across to see more of either. */
export interface SeenSide {
  doc: Commission;
  option: Option;
  found: OptionPlan;
  /** What the picture is called to whoever does not see it. */
  name: string;
}
const props = defineProps<{ sides: readonly (SeenSide | undefined)[]; width: number; label: string }>();
const SeatView = defineAsyncComponent(() => import('../drawing/SeatView.vue'));
const { seats, seatId, seat } = useSeats();
/** Share of the picture that the left one has, per cent. */
const share = ref(50);

/** As wide as there is room for, and as high as such a picture usually is. */
const MOST_PX = 860;
const wide = computed(() => Math.min(MOST_PX, props.width));
const high = computed(() => Math.round(wide.value * 0.56));

const shown = computed(() =>
  props.sides.flatMap((side, i) => {
    if (!side) return [];
    const cut = i === 0 ? `inset(0 ${100 - share.value}% 0 0)` : `inset(0 0 0 ${share.value}%)`;
    const { vessel, site } = side.doc;
    const plants = halfGrown(side.doc, side.option, side.found.field);
    const look = { refraction: false, light: 'day' as const, plants };
    return [{ ...side, cut, look, eye: eyeFrom(vessel, seat.value, site?.baseHeightMm) }];
  }),
);
const pictures = ref<HTMLElement>();
/** The line comes to where it is pressed, and goes along. */
const lineAt = (clientX: number) => {
  const box = pictures.value!.getBoundingClientRect();
  share.value = Math.round(Math.min(100, Math.max(0, ((clientX - box.x) / box.width) * 100)));
};
const drag = usePointerDrag<true>({
  start: ({ clientX }) => {
    lineAt(clientX);
    return true;
  },
  move: (_, { event }) => lineAt(event.clientX),
});
</script>

<template>
  <section class="between screen-only" :aria-label="label">
    <p class="ask">
      <slot />
      <label
        ><span class="quiet">from</span>
        <select v-model="seatId">
          <option value="">{{ wording('seat.usual') }}</option>
          <option v-for="s in seats" :key="s.id" :value="s.id">{{ s.name }}</option>
        </select></label
      >
    </p>
    <div
      ref="pictures"
      class="pictures"
      data-test="between"
      :style="{ width: `${wide}px`, height: `${high}px` }"
      @pointerdown="drag"
    >
      <div v-for="(s, i) in shown" :key="i" class="side" :style="{ clipPath: s.cut }">
        <SeatView
          :vessel="s.doc.vessel"
          :option="s.option"
          :materials="s.doc.catalogue.materials"
          :field="s.found.field"
          :survey="s.found.plan.survey"
          :width="wide"
          :height="high"
          :eye="s.eye"
          :seat-name="`${seat?.name ?? wording('seat.usual')}, ${s.name}`"
          :look="s.look"
        />
      </div>
      <span class="line" :style="{ left: `${share}%` }" />
    </div>
    <input
      v-model.number="share"
      type="range"
      min="0"
      max="100"
      :style="{ width: `${wide}px` }"
      aria-label="How much of the left one is shown"
      data-test="between-share"
    />
  </section>
</template>

<style scoped>
.between {
  margin-top: 22px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  padding-bottom: 8px;
}
.ask :slotted(select),
select {
  font: 400 13px var(--text);
  color: var(--celadon);
  background: none;
  border: 0;
}
.pictures {
  position: relative;
  overflow: hidden;
  cursor: ew-resize;
  touch-action: none;
}
.side {
  position: absolute;
  inset: 0;
}
.line {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  margin-left: -1px;
  background: var(--paper);
  box-shadow: 0 0 0 1px var(--celadon);
  pointer-events: none;
}
input {
  display: block;
  accent-color: var(--celadon);
}
</style>
