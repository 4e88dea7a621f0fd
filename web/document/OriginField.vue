<script setup lang="ts">
import type { Origin } from '../../core/commission/schema';
import { ORIGIN_CHOICES } from './origins';

/** Where a thing comes from: what is not bought is in no order. */
defineProps<{ origin: Origin; label?: string }>();
defineEmits<{ change: [origin: Origin] }>();
</script>

<template>
  <v-select
    :label="label ?? 'comes from'"
    :items="ORIGIN_CHOICES"
    :model-value="origin"
    data-test="origin"
    @update:model-value="(o: Origin) => $emit('change', o)"
  />
</template>
