<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../../core/commission/schema';
import type { Axis } from '../../../core/geometry/rotation';
import { facetsOf } from '../../drawing/facets';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { useCommission } from '../../document/commissionStore';
import { useScapeEdit } from '../../document/scapeEdit';

/** A handle beside the selected piece: on the plan it turns about the upright, from the front it leans to the sides. */
const props = defineProps<{
  piece: Piece;
  ids: readonly string[];
  view: 'front' | 'above';
  /** Where its own origin is drawn, px, and pixels a millimetre. */
  x: number;
  y: number;
  k: number;
}>();
const commission = useCommission();
const edit = useScapeEdit();

const axis = computed((): Axis => (props.view === 'above' ? 'z' : 'y'));
/** Outside of the piece, px. */
const OUT = 16;
const reach = computed(() => {
  const { box } = facetsOf(props.piece.shape, props.piece.turnDeg, props.piece.tiltDeg, props.view);
  return props.view === 'above'
    ? { x: box[2] * props.k + OUT, y: 0 }
    : { x: box[2] * props.k + 2 * OUT, y: box[1] * props.k - 4 };
});

const STEP_DEG = 1;
const drag = usePointerDrag<{ cx: number; cy: number; from: number; turned: number }>({
  start: (event) => {
    const svg = (event.currentTarget as SVGGElement).ownerSVGElement!.getBoundingClientRect();
    const box = (event.currentTarget as SVGGElement).getBoundingClientRect();
    // The middle of the handle less its way from the piece is the piece itself.
    const cx = box.left + box.width / 2 - reach.value.x;
    const cy = box.top + box.height / 2 - reach.value.y;
    commission.beginStep();
    return svg && { cx, cy, from: Math.atan2(event.clientY - cy, event.clientX - cx), turned: 0 };
  },
  move: (start, { event }) => {
    const now = Math.atan2(event.clientY - start.cy, event.clientX - start.cx);
    // On a screen y goes down: what goes round to the left there is anticlockwise seen from above.
    const seen = props.view === 'above' ? -(now - start.from) : now - start.from;
    const wanted = Math.round(((seen * 180) / Math.PI) * STEP_DEG);
    const by = ((wanted - start.turned + 540) % 360) - 180;
    if (by !== 0) edit.turnAll(props.ids, axis.value, by);
    start.turned = wanted;
  },
  end: () => commission.endStep(),
});
</script>

<template>
  <g
    class="turning"
    :transform="`translate(${x + reach.x} ${y + reach.y})`"
    :data-turn="view"
    @pointerdown="drag"
  >
    <title>{{ view === 'above' ? 'turn' : 'lean' }}</title>
    <circle r="11" class="reach" />
    <circle r="5.5" />
    <path d="M-9 4 A 10 10 0 0 0 9 4" />
  </g>
</template>

<style scoped>
.turning {
  cursor: grab;
  touch-action: none;
}
circle {
  fill: var(--celadon);
}
.reach {
  fill: transparent;
}
path {
  fill: none;
  stroke: var(--celadon);
  stroke-width: 1.6;
}
</style>
