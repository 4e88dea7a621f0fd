<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { stageOfPage, type Stratum } from './stages';

/** On a telephone: every stage one touch away, below the head. */
defineProps<{ strata: Stratum[]; id: string }>();
const route = useRoute();
const here = computed(() => stageOfPage(route.name));
</script>

<template>
  <nav class="strip screen-only" aria-label="Stages, short">
    <router-link to="/" class="cell all">All</router-link>
    <router-link
      v-for="(s, i) in strata"
      :key="s.name"
      :to="`/c/${id}/${s.page ?? s.name}`"
      class="cell"
      :class="{ here: here === s.name, dark: i > 4 }"
      :style="{ background: `var(--s${i + 1})` }"
      :aria-current="here === s.name ? 'page' : undefined"
      >{{ s.title }}</router-link
    >
  </nav>
</template>

<style scoped>
.strip {
  display: none;
}
@media (max-width: 700px) {
  .strip {
    display: grid;
    grid-template-columns: repeat(5, 1fr);
    flex: none;
  }
}
.cell {
  min-height: 38px;
  display: flex;
  align-items: center;
  justify-content: center;
  font-size: 13px;
  color: #23211e;
  text-decoration: none;
  border-bottom: 3px solid transparent;
}
.cell.dark {
  color: #fbf6ec;
}
.cell.all {
  color: var(--ink);
  font: 500 15px var(--title);
}
.cell.here {
  font-weight: 700;
  border-bottom-color: var(--celadon);
}
.cell.dark.here {
  border-bottom-color: #a9d3c1;
}
</style>
