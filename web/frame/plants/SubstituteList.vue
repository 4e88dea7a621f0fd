<script setup lang="ts">
import { computed } from 'vue';
import type { Plant } from '../../../core/commission/schema';
import type { Spot } from '../../../core/planted/livesHere';
import type { Planted } from '../../../core/planted/planted';
import { substitutesFor, type Substitute } from '../../../core/planted/substitutes';
import { useCommission } from '../../document/commissionStore';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What could stand in a planting's place when it is not to be had: each with what it changes, before it is taken. */
const props = defineProps<{ part: Planted; plants: readonly Plant[]; spot: Spot }>();
defineEmits<{ become: [plant: string] }>();
const commission = useCommission();
const f = useFigures();
const found = computed(() =>
  substitutesFor(props.part, props.plants, props.spot, {
    school: commission.document!.brief.schools?.spacing,
    spare: commission.option?.allowances?.plantSpare,
  }),
);
function changes({ plugs, packs, priceMinor, coverDays, higherMm }: Substitute): string {
  const was = props.part.cover ? Math.round(props.part.cover.days) : undefined;
  return [
    f.said(plugs, 'plug'),
    packs === undefined ? wording('substituteList.nobody') : `${f.said(packs, 'pack')}, ${money(priceMinor!, commission.document!.currency)}`,
    coverDays === undefined || was === undefined || coverDays === was
      ? ''
      : wording(coverDays > was ? 'substituteList.later' : 'substituteList.sooner', { days: Math.abs(coverDays - was) }),
    Math.abs(higherMm) < 5 ? '' : wording(higherMm > 0 ? 'substituteList.higher' : 'substituteList.lower', { mm: f.length(Math.abs(higherMm)) }),
  ].filter(Boolean).join(', ');
} // prettier-ignore
</script>

<template>
  <details v-if="found.length" class="substitutes" data-test="substitutes">
    <summary class="act"><slot>{{ wording('substituteList.title') }}</slot></summary>
    <p v-for="s in found" :key="s.plant.id">
      <button class="act" :data-substitute="s.plant.id" @click="$emit('become', s.plant.id)">
        {{ s.plant.name }}
      </button>
      {{ changes(s) }}
    </p>
  </details>
</template>

<style scoped>
p {
  margin: 2px 0;
  line-height: 1.3;
  font-size: 12.5px;
}
.act {
  padding: 0;
  font-style: italic;
}
@media (max-width: 700px) {
  p {
    padding: 9px 0;
    border-bottom: 1px solid var(--rule);
  }
}
</style>
