<script setup lang="ts">
/** A currency, found by its code or its name. */
defineProps<{ value: string; label: string }>();
const emit = defineEmits<{ change: [currency: string] }>();
const names = new Intl.DisplayNames('en', { type: 'currency' });
const items = Intl.supportedValuesOf('currency').map((code) => ({
  value: code,
  title: `${code}, ${names.of(code) ?? ''}`,
}));
/** What is typed next goes over what stands there. */
function mark({ target }: MouseEvent): void {
  if (target instanceof HTMLInputElement) target.select();
}
</script>

<template>
  <v-autocomplete
    :label="label"
    :items="items"
    :model-value="value"
    auto-select-first
    @click="mark"
    @update:model-value="(currency: string | null) => currency && emit('change', currency)"
  />
</template>
