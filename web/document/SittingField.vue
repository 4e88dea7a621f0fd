<script setup lang="ts">
import { computed } from 'vue';
import { sittingsOf, sittingTitle } from '../../core/sittings/sittings';
import { weekDay } from '../units/days';
import { useFigures } from '../units/figures';
import { wording } from '../words/wording';
import { useCommission } from './commissionStore';

/** In which sitting a thing is set, poured, planted or joined; there is nothing to choose where all is one day. */
defineProps<{ value: string | undefined; label?: string }>();
defineEmits<{ change: [sitting: string | undefined] }>();
const commission = useCommission();
const { words } = useFigures();
const BY_KIND = '';
const choices = computed(() => {
  const all = sittingsOf(commission.document!);
  if (all.length === 1) return [];
  return [
    { value: BY_KIND, title: wording('sittingField.byKind') },
    ...all.map((s) => ({
      value: s.id,
      title: `${weekDay(s.day)}, ${words(sittingTitle(s))}`,
    })),
  ];
}); // prettier-ignore
</script>

<template>
  <v-select
    v-if="choices.length"
    :label="label ?? wording('sittingField.label')"
    :items="choices"
    :model-value="value ?? BY_KIND"
    data-test="in-sitting"
    @update:model-value="(id: string) => $emit('change', id || undefined)"
  />
</template>
