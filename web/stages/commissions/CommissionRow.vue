<script setup lang="ts">
import { computed } from 'vue';
import { api, type Listed } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { daysAway, longDay } from '../../units/days';
import { useFigures } from '../../units/figures';

const props = defineProps<{ row: Listed }>();
defineEmits<{ remove: []; restore: []; duplicate: [] }>();
const { fromMm, lengthUnit } = useFigures();

/** The vessel to scale: a two-metre tank fills the drawing. */
const PX_PER_MM = 0.085;
const glass = computed(() => ({
  w: Math.min(148, props.row.lengthMm * PX_PER_MM),
  h: Math.min(60, props.row.heightMm * PX_PER_MM),
  water: Math.min(60, props.row.waterLineMm * PX_PER_MM),
}));
const size = computed(() =>
  [props.row.lengthMm, props.row.widthMm, props.row.heightMm].map(fromMm).join(' × '),
);
</script>

<template>
  <li>
    <router-link :to="`/c/${row.id}/bench`" class="plain main">
      <svg width="150" height="62" aria-hidden="true">
        <g :transform="`translate(${150 - glass.w - 1}, ${61 - glass.h})`">
          <rect :y="glass.h - glass.water" :width="glass.w" :height="glass.water" fill="var(--water-2)" />
          <path
            :d="`M0 ${glass.h * 0.86} Q ${glass.w * 0.3} ${glass.h * 0.55} ${glass.w * 0.55} ${glass.h * 0.82} T ${glass.w} ${glass.h * 0.7} V ${glass.h} H 0 Z`"
            fill="var(--soil)"
          />
          <path
            :d="`M0 0 V ${glass.h} H ${glass.w} V 0`"
            fill="none"
            stroke="var(--ink)"
            stroke-width="1.5"
          />
        </g>
      </svg>
      <span class="words"
        ><b>{{ row.title }}</b
        ><span class="quiet">{{
          [row.client !== row.title && row.client, row.place].filter(Boolean).join(', ')
        }}</span></span
      >
      <span class="size"
        >{{ size }} <span class="unit">{{ lengthUnit }}</span></span
      >
      <span class="day"
        ><b>{{ longDay(row.buildDay) }}</b
        ><span class="quiet">build day, {{ daysAway(row.buildDay) }}</span></span
      >
    </router-link>
    <span class="acts">
      <button v-if="row.removedAt" class="act" @click="$emit('restore')">Bring back</button>
      <template v-else>
        <FileLink :href="api.file(row.id, 'file')" :aria-label="`Export ${row.title}`">Export</FileLink>
        <button class="act" :aria-label="`Duplicate ${row.title}`" @click="$emit('duplicate')">
          Duplicate
        </button>
        <button class="act off" :aria-label="`Remove ${row.title}`" @click="$emit('remove')">Remove</button>
      </template>
    </span>
  </li>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.main {
  flex: 1;
  display: grid;
  grid-template-columns: 150px 1fr 170px 200px;
  align-items: center;
  gap: 26px;
  padding: 12px 0;
  color: var(--ink);
}
.main:hover .words b {
  color: var(--celadon);
}
.words,
.day {
  display: flex;
  flex-direction: column;
}
.words b {
  font: 500 20px var(--title);
}
.size {
  text-align: right;
}
.acts {
  display: flex;
  gap: 14px;
  padding-left: 24px;
}
.act.off {
  color: var(--ink-2);
  font-weight: 400;
}
@media (max-width: 900px) {
  .main {
    grid-template-columns: 1fr 150px;
  }
  .main svg,
  .size {
    display: none;
  }
}
@media (max-width: 700px) {
  li {
    display: block;
    padding: 10px 0;
  }
  .acts {
    padding: 8px 0 0;
    gap: 22px;
  }
  .main {
    grid-template-columns: 1fr;
    gap: 4px;
    padding: 0;
  }
  .day {
    flex-direction: row;
    gap: 10px;
    flex-wrap: wrap;
  }
}
</style>
