<script setup lang="ts">
import { computed } from 'vue';
import type { Origin } from '../../core/commission/schema';
import { ORIGIN_WORDS } from '../document/origins';

/** Where a thing comes from, as a mark that a list has room for; what is bought has none. */
const props = defineProps<{ origin: Origin }>();
const words = computed(() => ORIGIN_WORDS[props.origin]);
</script>

<template>
  <svg
    v-if="origin !== 'bought'"
    class="origin"
    width="13"
    height="13"
    viewBox="0 0 13 13"
    role="img"
    :aria-label="words"
    :data-origin="origin"
  >
    <title>{{ words }}</title>
    <!-- In this tank: it stands in its water. The client's: a hand's ring around it. In stock: on a shelf. -->
    <template v-if="origin === 'here'">
      <path d="M0.5 6.5 H12.5 V12.5 H0.5 Z" class="water" />
      <path d="M3 12 V4 L6.5 1.5 L10 4 V12" class="thing" />
    </template>
    <template v-else-if="origin === 'client'">
      <circle cx="6.5" cy="6.5" r="5.5" class="ring" />
      <rect x="4" y="4" width="5" height="5" class="thing" />
    </template>
    <template v-else>
      <path d="M0.5 11.5 H12.5" class="ring" />
      <rect x="3" y="4.5" width="7" height="6" class="thing" />
    </template>
  </svg>
</template>

<style scoped>
.origin {
  flex: none;
  vertical-align: -1px;
}
.thing {
  fill: var(--ink-2);
}
.ring {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1.4;
}
.water {
  fill: var(--water);
}
</style>
