<script setup lang="ts">
import { computed } from 'vue';
import type { Origin } from '../../core/commission/schema';
import { wording } from '../words/wording';
import { useCommission } from './commissionStore';
import { ORIGIN_CHOICES } from './origins';

/**
 * Where a thing comes from: what is not bought is in no order. Scapes that are broken down elsewhere stand among the choices
 * where a thing can come out of one.
 */
const props = defineProps<{ origin: Origin; label?: string; from?: string; parts?: boolean }>();
const emit = defineEmits<{ change: [origin: Origin, from: string | undefined] }>();
const commission = useCommission();
/** No id has a colon in it. */
const OUT_OF = 'from:';
const choices = computed(() => [
  ...ORIGIN_CHOICES,
  ...(props.parts ? (commission.document?.brief.brokenDown ?? []) : []).map(({ id, name }) => ({
    value: OUT_OF + id,
    title: wording('originField.outOf', { name }),
  })),
]);
const chosen = computed(() => (props.from === undefined ? props.origin : OUT_OF + props.from));
function choose(value: string): void {
  if (value.startsWith(OUT_OF)) emit('change', 'stock', value.slice(OUT_OF.length));
  else emit('change', value as Origin, undefined);
}
</script>

<template>
  <v-select
    :label="label ?? 'comes from'"
    :items="choices"
    :model-value="chosen"
    data-test="origin"
    @update:model-value="choose"
  />
</template>
