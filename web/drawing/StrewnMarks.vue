<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../core/commission/schema';
import type { Drawing } from './drawing';
import { colourOf, materialFor, shade } from './colour';
import { facetsOf } from './facets';
import { pebblesRound, type Pebble } from './pebbles';

/** What is strewn at the foot of pieces, as a scatter around each: where it lies, not each stone of it. */
const props = defineProps<Pick<Drawing, 'option' | 'survey' | 'materials' | 'k'> & { x: (mm: number) => number; y: (mm: number) => number }>(); // prettier-ignore

const footOf = ({ shape, turnDeg, tiltDeg, at }: Piece): [number, number, number, number] => {
  const [left, top, right, bottom] = facetsOf(shape, turnDeg, tiltDeg, 'above').box;
  return [at[0] + left, at[1] - bottom, at[0] + right, at[1] - top];
};
const lots = computed(() =>
  (props.option.strewn ?? []).flatMap((s) => {
    const amount = props.survey.strewn.find((a) => a.id === s.id);
    const round = props.option.pieces.filter((p) => s.around?.includes(p.id));
    if (!amount || round.length === 0) return [];
    const fill = colourOf(materialFor(props.materials, s.material));
    const pebbles = pebblesRound(round.map(footOf), amount.solidL, s.sizeMm);
    return [{ id: s.id, fill, d: pebbles.map(drawn).join('') }];
  }),
);
/** Five corners, never the same twice. */
function drawn({ at: [x, y], mm, turn }: Pebble): string {
  const corners = [0, 1, 2, 3, 4].map((i) => {
    const angle = turn + (i * 2 * Math.PI) / 5;
    const r = (mm / 2) * (i % 2 ? 0.85 : 1.1);
    return `${props.x(x + r * Math.cos(angle)).toFixed(1)} ${props.y(y + r * Math.sin(angle)).toFixed(1)}`;
  });
  return `M${corners.join('L')}Z`;
}
</script>

<template>
  <path
    v-for="l in lots"
    :key="l.id"
    :d="l.d"
    :fill="l.fill"
    :stroke="shade(l.fill, -0.35)"
    stroke-width="0.7"
    :data-strewn-drawn="l.id"
  />
</template>
