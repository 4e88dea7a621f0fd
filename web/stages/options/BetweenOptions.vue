<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { NOW, scapesOf } from '../../../core/commission/scapes';
import type { Commission, Option } from '../../../core/commission/schema';
import { eyeFrom } from '../../../core/view/eye';
import { useSeats } from '../../document/seats';
import { halfGrown } from '../../drawing/halfGrown';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import type { FieldView } from '../../workers/planWorker';
import type { OptionPlan } from '../../frame/optionPlans';
import { wording } from '../../words/wording';

/** Two options from one seat, one laid over the other: a line is drawn across to see more of either. */
const props = defineProps<{ doc: Commission; plans: Record<string, OptionPlan>; width: number }>();
const SeatView = defineAsyncComponent(() => import('../../drawing/SeatView.vue'));

const scapes = computed(() => scapesOf(props.doc));
const nameOf = (o: Option) => (o.id === NOW ? wording('scapeTabs.now') : `${o.id.toUpperCase()} ${o.title}`);
const ids = computed(() => scapes.value.map((o) => o.id));
const left = ref(ids.value[0]);
const right = ref(ids.value[1]);
const { seats, seatId, seat } = useSeats();
const eye = computed(() => eyeFrom(props.doc.vessel, seat.value, props.doc.site?.baseHeightMm));
/** Share of the picture that the left one has, per cent. */
const share = ref(50);

/** As wide as there is room for, and as high as such a picture usually is. */
const MOST_PX = 860;
const wide = computed(() => Math.min(MOST_PX, props.width - 60));
const high = computed(() => Math.round(wide.value * 0.56));
const lookOf = (option: Option, field: FieldView) => ({
  refraction: false,
  light: 'day' as const,
  plants: halfGrown(props.doc, option, field),
});

const sides = computed(() =>
  ([left, right] as const).flatMap(({ value: id }, i) => {
    const option = scapes.value.find((o) => o.id === id);
    const found = id === undefined ? undefined : props.plans[id];
    const cut = i === 0 ? `inset(0 ${100 - share.value}% 0 0)` : `inset(0 0 0 ${share.value}%)`;
    return option && found ? [{ option, found, cut, look: lookOf(option, found.field) }] : [];
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
  <section class="between screen-only" aria-label="Two options, one over the other">
    <p class="ask">
      <label
        ><span class="quiet">left</span>
        <select v-model="left" data-test="between-left">
          <option v-for="o in scapes" :key="o.id" :value="o.id">{{ nameOf(o) }}</option>
        </select></label
      >
      <label
        ><span class="quiet">right</span>
        <select v-model="right" data-test="between-right">
          <option v-for="o in scapes" :key="o.id" :value="o.id">{{ nameOf(o) }}</option>
        </select></label
      >
      <label
        ><span class="quiet">from</span>
        <select v-model="seatId">
          <option value="">in front, a little left</option>
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
      <div v-for="(s, i) in sides" :key="i" class="side" :style="{ clipPath: s.cut }">
        <SeatView
          :vessel="doc.vessel"
          :option="s.option"
          :materials="doc.catalogue.materials"
          :field="s.found.field"
          :survey="s.found.plan.survey"
          :width="wide"
          :height="high"
          :eye="eye"
          :seat-name="`${seat?.name ?? 'in front and a little left'}, option ${s.option.id.toUpperCase()}`"
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
      aria-label="How much of the left option is shown"
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
