<script setup lang="ts">
import { computed } from 'vue';
import { comesFrom, plantingOrigin } from '../../../core/commission/origin';
import { DECLINED_FOR, type Planting } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import OriginField from '../../document/OriginField.vue';
import { wording } from '../../words/wording';

/** Where a planting comes from and as what; of what is bought, why not out of one's own tanks. */
const props = defineProps<{ planting: Planting; isNow: boolean }>();
const emit = defineEmits<{ change: [key: string, to: Partial<Planting>] }>();
const commission = useCommission();
const origin = computed(() => plantingOrigin(commission.document!.brief, props.planting));
const FORMS = [
  { value: 'tissue', title: 'tissue culture' },
  { value: 'emersed', title: 'grown above water' },
  { value: 'running', title: 'out of a running tank' },
];
const WHY = {
  algae: wording('plantCard.declined.algae'),
  snails: wording('plantCard.declined.snails'),
  weak: wording('plantCard.declined.weak'),
};
const DECLINED = DECLINED_FOR.map((value) => ({ value, title: WHY[value] }));
</script>

<template>
  <OriginField
    v-if="!isNow"
    :origin="origin"
    :from="planting.from"
    parts
    @change="(o, from) => emit('change', 'origin', comesFrom(o, from))"
  />
  <v-select
    label="comes as"
    :items="FORMS"
    :model-value="planting.form"
    clearable
    @update:model-value="(form) => emit('change', 'form', { form: form ?? undefined })"
  />
  <v-select
    v-if="!isNow && origin === 'bought'"
    :label="wording('plantCard.declined')"
    :items="DECLINED"
    :model-value="planting.declined"
    clearable
    data-test="declined"
    @update:model-value="(declined) => emit('change', 'declined', { declined: declined ?? undefined })"
  />
</template>
