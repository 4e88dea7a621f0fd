<script setup lang="ts">
import { computed } from 'vue';
import type { Layer, Option, Vessel } from '../../../core/commission/schema';
import { useBenchEdit } from '../../bench/useBenchEdit';
import { usePointerDrag } from '../../bench/usePointerDrag';
import { useCommission } from '../../shell/commissionStore';
import { selectedLayer } from '../../shell/selection';

/**
 * What changes the bed by hand: in the section the heights of a ramp at the front and the back glass, in the
 * plan each hill's middle and foot.
 */
const props = defineProps<{
  view: 'section' | 'plan';
  option: Option;
  vessel: Vessel;
  k: number;
  active: boolean;
}>();
const commission = useCommission();
const edit = useBenchEdit();

/** The selected layer, otherwise the soil that makes the slope. */
const layer = computed(
  () =>
    props.option.bed.find((l) => l.id === selectedLayer.value) ??
    props.option.bed.find((l) => !l.cuts && l.top.kind === 'ramp') ??
    props.option.bed[0],
);
const H = computed(() => props.vessel.innerMm.height);
const W = computed(() => props.vessel.innerMm.width);
const shown = computed(() => layer.value !== undefined && (props.view === 'section' || props.active));

interface Grip {
  key: string;
  name: string;
  x: number;
  y: number;
  value: number;
  /** The layer after the grip has gone so many mm right and up from where it was. */
  moved: (from: Layer, right: number, up: number) => Layer;
}
const clamp = (v: number, most: number, least = 0) => Math.round(Math.min(Math.max(v, least), most));

const grips = computed((): Grip[] =>
  layer.value ? (props.view === 'section' ? heights(layer.value) : hills(layer.value)) : [],
);

function heights({ top }: Layer): Grip[] {
  const z = (mm: number) => (H.value - mm) * props.k;
  if (top.kind === 'level')
    return [
      {
        key: 'level',
        name: 'Height of the bed',
        x: 0,
        y: z(top.mm),
        value: top.mm,
        moved: (l, _r, up) => ({ ...l, top: { ...top, mm: clamp(top.mm + up, H.value) } }),
      },
    ];
  if (top.kind === 'ramp')
    return [
      {
        key: 'front',
        name: 'Height at the front',
        x: 0,
        y: z(top.frontMm),
        value: top.frontMm,
        moved: (l, _r, up) => ({
          ...l,
          top: { ...top, frontMm: clamp(top.frontMm + up, H.value), backMm: backOf(l) },
        }),
      },
      {
        key: 'back',
        name: 'Height at the back',
        x: W.value * props.k,
        y: z(top.backMm),
        value: top.backMm,
        moved: (l, _r, up) => ({
          ...l,
          top: { ...top, frontMm: frontOf(l), backMm: clamp(top.backMm + up, H.value) },
        }),
      },
    ];
  return [];
}
const backOf = (l: Layer) => (l.top.kind === 'ramp' ? l.top.backMm : 0);
const frontOf = (l: Layer) => (l.top.kind === 'ramp' ? l.top.frontMm : 0);

function hills({ mounds = [] }: Layer): Grip[] {
  return mounds.flatMap((m, i) => {
    const change =
      (part: (m: NonNullable<Layer['mounds']>[number], r: number, u: number) => object) =>
      (l: Layer, r: number, u: number) => ({
        ...l,
        mounds: (l.mounds ?? []).map((q, n) => (n === i ? { ...q, ...part(m, r, u) } : q)),
      });
    const y = (mm: number) => (W.value - mm) * props.k;
    return [
      {
        key: `hill ${i}`,
        name: `Hill ${i + 1}`,
        x: m.at[0] * props.k,
        y: y(m.at[1]),
        value: m.heightMm,
        moved: change((q, r, u) => ({
          at: [clamp(q.at[0] + r, props.vessel.innerMm.length), clamp(q.at[1] + u, W.value)],
        })),
      },
      {
        key: `foot ${i}`,
        name: `Foot of hill ${i + 1}`,
        x: Math.min((m.at[0] + m.radiusMm * 0.71) * props.k, props.vessel.innerMm.length * props.k),
        y: Math.min(y(m.at[1] - m.radiusMm * 0.71), W.value * props.k),
        value: m.radiusMm,
        moved: change((q, r) => ({ radiusMm: clamp(q.radiusMm + r, 3000, 20) })),
      },
    ];
  });
}

const drag = usePointerDrag<{ layer: Layer; grip: Grip }>({
  start: (event) => {
    const key = (event.currentTarget as Element).getAttribute('data-grip');
    const grip = grips.value.find((g) => g.key === key);
    if (grip) commission.beginStep();
    return grip && layer.value ? { layer: layer.value, grip } : undefined;
  },
  move: ({ layer: from, grip }, { dx, dy }) =>
    edit.layer(from.id, `grip ${grip.key}`, (l) => grip.moved(l, dx / props.k, -dy / props.k)),
  end: () => commission.endStep(),
});

function onKey(event: KeyboardEvent, grip: Grip): void {
  const by = event.shiftKey ? 20 : 5;
  const [right, up] =
    (
      { ArrowRight: [by, 0], ArrowLeft: [-by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] } as Record<
        string,
        number[]
      >
    )[event.key] ?? [];
  if (right === undefined || up === undefined || !layer.value) return;
  event.preventDefault();
  edit.layer(layer.value.id, `grip ${grip.key}`, (l) => grip.moved(l, right, up));
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
