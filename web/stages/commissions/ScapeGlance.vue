<script setup lang="ts">
import { computed } from 'vue';
import type { Glance } from '../../../core/pipeline/glance';
import type { Listed } from '../../document/api';
import { colourOf, shade } from '../../drawing/colour';
import { useStudio } from '../../document/studioStore';

/** A commission's vessel, and its scape as soon as that is known: small ones to one scale, large ones as far as there is room. */
const props = defineProps<{
  row: Listed;
  glance?: Glance;
  /** Width and height to draw it in, px; then as large as there is room. */
  box?: readonly [number, number];
}>();
const studio = useStudio();
const ROW = [150, 62] as const;
const PX_PER_MM = 0.16;
const size = computed(() => props.box ?? ROW);
const k = computed(() =>
  Math.min(
    props.box ? Infinity : PX_PER_MM,
    (size.value[0] - 2) / props.row.lengthMm,
    (size.value[1] - 2) / props.row.heightMm,
  ),
);
const glass = computed(() => ({
  w: props.row.lengthMm * k.value,
  h: props.row.heightMm * k.value,
  water: Math.min(props.row.waterLineMm, props.row.heightMm) * k.value,
}));
const colour = (id: string | undefined, usual: string) => {
  const known = studio.studio?.catalogue.materials.find((m) => m.id === id);
  return known ? colourOf(known) : usual;
};
const at = ([x, z]: readonly [number, number]) =>
  `${(x * k.value).toFixed(1)} ${(glass.value.h - z * k.value).toFixed(1)}`;
/** The bed's ridge behind the pieces, and its edge at the front glass before them. */
function band(heights: readonly number[] = []): string {
  if (heights.length === 0) return '';
  const step = props.row.lengthMm / (heights.length - 1);
  return `M0 ${glass.value.h} L${heights.map((z, i) => at([i * step, z])).join(' L')} V${glass.value.h} Z`;
}
const soil = computed(() => colour(props.glance?.bed, '#5a4838'));
const pieces = computed(() =>
  (props.glance?.pieces ?? []).map((p) => {
    const fill = colour(p.material, '#7f8482');
    return {
      d: p.rings.map((ring) => `M${ring.map(at).join(' L')} Z`).join(''),
      fill,
      edge: shade(fill, -0.35),
    };
  }),
);
</script>

<template>
  <svg :width="size[0]" :height="size[1]" aria-hidden="true" :data-drawn="glance ? 'yes' : 'no'">
    <g :transform="`translate(${box ? 1 : size[0] - glass.w - 1}, ${size[1] - 1 - glass.h})`">
      <rect :y="glass.h - glass.water" :width="glass.w" :height="glass.water" fill="var(--water-2)" />
      <path v-if="glance" :d="band(glance.ridgeMm)" :fill="shade(soil, 0.18)" />
      <path v-for="(p, i) in pieces" :key="i" :d="p.d" :fill="p.fill" :stroke="p.edge" stroke-width="0.6" />
      <path v-if="glance" :d="band(glance.frontMm)" :fill="soil" />
      <path :d="`M0 0 V ${glass.h} H ${glass.w} V 0`" fill="none" stroke="var(--ink)" stroke-width="1.5" />
    </g>
  </svg>
</template>
