<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { stageOfPage, type Stratum } from './stages';

const props = defineProps<{ strata: Stratum[]; id: string }>();
const route = useRoute();
const here = computed(() => stageOfPage(route.name));

const WIDTH = 128;
/** Top of each layer, px: the log, the deepest, goes down to the floor. */
const TOP = 64;
const STEP = 70;

/** The upper edge of a layer: a slow wave, different for each. */
function edge(i: number): string {
  const a = 5 * Math.sin(i * 2.1);
  const b = 5 * Math.cos(i * 1.7);
  return `M0 8 C 32 ${8 + a}, 44 ${8 - b}, 68 ${8 - a} S 110 ${8 + b}, ${WIDTH} ${8 + a / 2} V 1200 H 0 Z`;
}
const layers = computed(() =>
  props.strata.map((s, i) => ({ ...s, i, top: TOP + i * STEP, dark: i > 4, d: edge(i) })),
);
</script>

<template>
  <nav class="strata screen-only" aria-label="Stages">
    <router-link to="/" class="mark" aria-label="Utsuwa, all commissions">Utsuwa</router-link>
    <router-link
      v-for="s in layers"
      :key="s.name"
      :to="`/c/${id}/${s.page ?? s.name}`"
      class="layer"
      :class="{ here: here === s.name, dark: s.dark }"
      :style="{ top: `${s.top}px` }"
      :aria-current="here === s.name ? 'page' : undefined"
    >
      <svg :width="WIDTH" height="1200" aria-hidden="true">
        <path :d="s.d" :fill="`var(--s${s.i + 1})`" />
      </svg>
      <span class="gauge" aria-hidden="true"
        ><i :style="{ height: `${Math.round(s.filled * 100)}%` }"
      /></span>
      <span class="words"
        ><b>{{ s.title }}</b><small v-if="s.isPending" class="pending">measuring…</small
        ><small v-else>{{ s.says }}</small></span
      >
      <svg v-if="here === s.name" class="notch" width="10" height="20" aria-hidden="true">
        <path d="M10 0 L0 10 L10 20 Z" fill="var(--ash)" />
      </svg>
    </router-link>
  </nav>
</template>

<style scoped>
.strata {
  position: relative;
  width: var(--strata);
  height: 100vh;
  overflow: hidden;
  background: var(--paper);
  flex: none;
}
.mark {
  position: absolute;
  left: 18px;
  top: 15px;
  font: 500 22px var(--title);
  color: var(--ink);
  text-decoration: none;
}
.layer {
  position: absolute;
  left: 0;
  width: 100%;
  height: 70px;
  color: #23211e;
  text-decoration: none;
}
.layer svg {
  position: absolute;
  left: 0;
  top: -8px;
  pointer-events: none;
}
.layer.dark {
  color: #fbf6ec;
}
.gauge {
  position: absolute;
  left: 6px;
  top: 9px;
  width: 3px;
  height: 54px;
  background: #23211e22;
}
.dark .gauge {
  background: #ffffff33;
}
.gauge i {
  position: absolute;
  bottom: 0;
  left: 0;
  width: 3px;
  background: var(--celadon);
}
.dark .gauge i {
  background: #a9d3c1;
}
.words {
  position: absolute;
  left: 18px;
  right: 6px;
  top: 14px;
  display: flex;
  flex-direction: column;
}
.words b {
  font-weight: 500;
  font-size: 15px;
}
.here .words b {
  font-weight: 700;
}
.words small {
  font-size: 12px;
  line-height: 1.25;
  opacity: 0.92;
}
.layer .notch {
  left: auto;
  right: 0;
  top: 18px;
}
.layer:focus-visible {
  outline-offset: -4px;
}
@media (max-height: 720px) {
  .layer {
    transform: translateY(0);
  }
}
@media (max-width: 700px) {
  .strata {
    display: none;
  }
}
</style>
