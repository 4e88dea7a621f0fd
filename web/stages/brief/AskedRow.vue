<script setup lang="ts">
import { computed } from 'vue';
import { question } from './questions';

/** One question of the interview: the answer below it, the reason for asking beside it. */
const props = defineProps<{ id: string }>();
const q = computed(() => question(props.id));
</script>

<template>
  <div class="asked" :data-question="id">
    <p class="asks">{{ q.asks }} <span class="quiet">{{ q.why }}</span></p>
    <div class="answer"><slot /></div>
  </div>
</template>

<style scoped>
.asked {
  padding: 7px 0 9px;
}
.asks {
  font-weight: 600;
}
.asks .quiet {
  font-weight: 400;
  padding-left: 4px;
}
</style>
