<script setup lang="ts">
import { computed } from 'vue';
import type { Layer, Option, Vessel } from '../../../core/commission/schema';
import { groundOf } from '../../../core/substrate/stack';
import { useBedEdit } from '../../document/bedEdit';
import { useScapeEdit } from '../../document/scapeEdit';
import { arrowStep } from '../../drawing/arrowStep';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { useCommission } from '../../document/commissionStore';
import { selectedLayer } from '../../frame/selection';
import { chosenLayer } from './chosenLayer';
import { gripsOf, type Grip, type GripView } from './grips';

/** What changes the bed by hand, and by arrow keys once it has the focus. */
const props = defineProps<{
  view: GripView;
  option: Option;
  vessel: Vessel;
  k: number;
  active: boolean;
}>();
const commission = useCommission();
const edit = useScapeEdit();
const bed = useBedEdit();

const layer = computed(() => chosenLayer(props.option.bed, selectedLayer.value));
const W = computed(() => props.vessel.innerMm.width);
const shown = computed(() => layer.value !== undefined && (props.view === 'section' || props.active));
/** What the chosen layer lies on. */
const ground = computed(() => {
  const at = props.option.bed.findIndex((l) => l.id === layer.value?.id);
  return groundOf(props.option.bed.slice(0, Math.max(0, at)), props.vessel);
});
const grips = computed(() =>
  layer.value ? gripsOf(props.view, layer.value, props.vessel, props.k, ground.value) : [],
);

const drag = usePointerDrag<{ layer: Layer; grip: Grip }>({
  start: (event) => {
    const key = (event.currentTarget as Element).getAttribute('data-grip');
    const grip = grips.value.find((g) => g.key === key);
    if (grip) commission.beginStep();
    return grip && layer.value ? { layer: layer.value, grip } : undefined;
  },
  // From where it was when it was taken hold of: the pointer says how far it has gone since then.
  move: ({ layer: from, grip }, { dx, dy }) =>
    become(from.id, grip, () => grip.moved(from, dx / props.k, -dy / props.k)),
  end: () => commission.endStep(),
});

function onKey(event: KeyboardEvent, grip: Grip): void {
  const by = arrowStep(event, 5, 20);
  if (!by || !layer.value) return;
  event.preventDefault();
  become(layer.value.id, grip, (l) => grip.moved(l, ...by));
}
/** A path takes the gravel of its edges along. */
function become(id: string, grip: Grip, change: (l: Layer) => Layer): void {
  const now = props.option.bed.find((l) => l.id === id);
  const path = now?.path && change(now).path;
  if (path) bed.setPath(id, { line: path.line, widthMm: path.widthMm });
  else edit.layer(id, `grip ${grip.key}`, change);
}
</script>

<template>
  <g v-if="shown">
    <svg
      v-if="view === 'plan'"
      :width="vessel.innerMm.length * k"
      :height="W * k"
      overflow="hidden"
      pointer-events="none"
    >
      <circle
        v-for="(m, i) in layer?.mounds ?? []"
        :key="i"
        class="ring"
        :cx="m.at[0] * k"
        :cy="(W - m.at[1]) * k"
        :r="m.radiusMm * k"
      />
    </svg>
    <g
      v-for="g in grips"
      :key="g.key"
      class="grip"
      tabindex="0"
      role="slider"
      :aria-label="g.name"
      :aria-valuenow="Math.round(g.value)"
      :data-grip="g.key"
      :transform="`translate(${g.x} ${g.y})`"
      @pointerdown="drag"
      @keydown="onKey($event, g)"
    >
      <circle r="12" class="reach" /><circle r="5.5" />
    </g>
  </g>
</template>

<style scoped>
.ring {
  fill: none;
  stroke: var(--celadon);
  stroke-dasharray: 3 4;
  pointer-events: none;
}
.grip {
  cursor: move;
  outline: none;
}
.grip circle {
  fill: var(--paper);
  stroke: var(--celadon);
  stroke-width: 2;
}
.grip .reach {
  fill: transparent;
  stroke: none;
}
.grip:focus-visible circle:last-child {
  fill: var(--celadon);
}
</style>
