<script setup lang="ts" generic="T extends string">
/** Answers to touch: one of them, or several. */
const props = defineProps<{
  label: string;
  choices: readonly { value: T; title: string }[];
  chosen: readonly T[];
  many?: boolean;
}>();
const emit = defineEmits<{ change: [chosen: T[]] }>();
function touch(value: T): void {
  const on = props.chosen.includes(value);
  if (props.many) emit('change', on ? props.chosen.filter((c) => c !== value) : [...props.chosen, value]);
  else emit('change', on ? [] : [value]);
}
</script>

<template>
  <div role="group" :aria-label="label" class="ticks">
    <button
      v-for="c in choices"
      :key="c.value"
      class="plain"
      :aria-pressed="chosen.includes(c.value)"
      :data-tick="c.value"
      @click="touch(c.value)"
    >
      {{ c.title }}
    </button>
  </div>
</template>

<style scoped>
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-top: 5px;
}
button {
  border: 1px solid var(--clay-2);
  padding: 0 13px;
  min-height: 40px;
}
[aria-pressed='true'] {
  background: var(--celadon);
  border-color: var(--celadon);
  color: var(--paper);
  font-weight: 600;
}
</style>
