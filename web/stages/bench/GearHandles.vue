<script setup lang="ts">
import type { Site, Vessel } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { arrowStep } from '../../drawing/arrowStep';
import type { GearBody } from '../../drawing/drawing';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { useFigures } from '../../units/figures';

/** Bodies of gear under the hand: moved over the floor on the plan, sideways and up or down in the front view. */
const props = defineProps<{
  gear: readonly GearBody[];
  vessel: Vessel;
  view: 'front' | 'above';
  k: number;
}>();
const commission = useCommission();
const f = useFigures();
type Device = NonNullable<Site['devices']>[number];

function place(body: GearBody, rightMm: number, upMm: number): void {
  const { length, width, height } = props.vessel.innerMm;
  const within = (mm: number, size: number, most: number) => Math.round(Math.min(Math.max(mm, 0), Math.max(0, most - size))); // prettier-ignore
  const x = within(body.at[0] + rightMm, body.sizeMm[0], length);
  const at: [number, number] =
    props.view === 'above' ? [x, within(body.at[1] + upMm, body.sizeMm[1], width)] : [x, body.at[1]];
  // Gear may stand out of the rim: a hang-on filter does.
  const zMm = props.view === 'front' ? within(body.zMm + upMm, 0, height) : body.zMm;
  commission.edit(`gear ${body.id}`, (d) => ({
    ...d,
    site: {
      ...d.site,
      devices: (d.site?.devices ?? []).map((g: Device) =>
        g.id === body.id && g.body ? { ...g, body: { ...g.body, at, zMm } } : g,
      ),
    },
  }));
}
const drag = usePointerDrag<GearBody>({
  start: (event) => {
    const body = props.gear.find(
      (g) => g.id === (event.currentTarget as Element).getAttribute('data-gear-handle'),
    );
    if (body) commission.beginStep();
    return body;
  },
  move: (from, { dx, dy }) => place(from, dx / props.k, -dy / props.k),
  end: () => commission.endStep(),
});
function keyed(event: KeyboardEvent, body: GearBody): void {
  const step = arrowStep(event, 5, 20);
  if (!step) return;
  event.preventDefault();
  place(body, ...step);
}
const boxOf = ({ at: [x, y], sizeMm: [w, d, h], zMm }: GearBody) => {
  const { width, height } = props.vessel.innerMm;
  const k = props.k;
  return props.view === 'above'
    ? { x: x * k, y: (width - y - d) * k, width: w * k, height: d * k }
    : { x: x * k, y: (height - zMm - h) * k, width: w * k, height: h * k };
};
</script>

<template>
  <rect
    v-for="g in gear"
    :key="g.id"
    v-bind="boxOf(g)"
    class="handle"
    tabindex="0"
    role="button"
    :aria-label="`${g.name}, ${f.length(g.at[0])} from the left, ${f.length(g.at[1])} from the front`"
    :data-gear-handle="g.id"
    @pointerdown="drag"
    @keydown="keyed($event, g)"
  >
    <title>{{ g.name }}</title>
  </rect>
</template>

<style scoped>
.handle {
  fill: transparent;
  cursor: grab;
}
.handle:hover,
.handle:focus-visible {
  stroke: var(--celadon);
  stroke-width: 2;
  outline: none;
}
</style>
