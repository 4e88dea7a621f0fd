<script setup lang="ts">
/** A line at the door, or where the ways through it are changed: what a browser may fill in is told to it. */
defineProps<{
  label: string;
  /** How a browser knows what it is: `username`, `current-password`, `one-time-code`. */
  fills: string;
  /** How it is written: `password` is not shown. */
  type?: 'email' | 'password';
  test: string;
}>();
const value = defineModel<string>({ required: true });
</script>

<template>
  <label class="boxed"
    >{{ label
    }}<input
      v-model="value"
      :type="type ?? 'text'"
      :autocomplete="fills"
      required
      maxlength="1000"
      :data-test="test"
  /></label>
</template>

<style scoped>
.boxed {
  min-width: 220px;
}
</style>
