<script setup lang="ts">
import { computed } from 'vue';
import type { Option, Origin, Strewn } from '../../../core/commission/schema';
import MaterialChoice from '../../document/catalogue/MaterialChoice.vue';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import SittingField from '../../document/SittingField.vue';
import { useStrewnEdit } from '../../document/strewnEdit';
import { wording } from '../../words/wording';

/** What is said of one lot that is strewn. */
const props = defineProps<{ strewn: Strewn; option: Option }>();
const edit = useStrewnEdit();
const offered = computed(() => edit.offered.value.map((m) => ({ value: m.id, title: m.name })));
const isWeighed = computed(() => props.strewn.massKg !== undefined);
const set = (key: string, part: Partial<Strewn>) => edit.change(props.strewn.id, key, part);

const setAmount = (n: number | undefined) => {
  if (n === undefined) return wording('strewnValues.missing');
  return set('amount', isWeighed.value ? { massKg: n } : { litres: n });
};
/** One end of the sizes takes the other along, so that they never cross. */
const setSize = (end: 0 | 1) => (mm: number | undefined) => {
  if (mm === undefined) return set('size', { sizeMm: undefined });
  const [from, to] = props.strewn.sizeMm ?? [mm, mm];
  return set('size', { sizeMm: end === 0 ? [mm, Math.max(mm, to)] : [Math.min(mm, from), mm] });
};
const setAround = (ids: string[]) => void set('around', { around: ids.length > 0 ? ids : undefined });
</script>

<template>
  <div class="values" data-test="strewn-values">
    <MaterialChoice
      :label="wording('strewnValues.of')"
      :items="offered"
      :model-value="strewn.material"
      @update:model-value="(id) => id && edit.setMaterial(strewn.id, id)"
    />
    <FigureField
      :label="wording('strewnValues.from')"
      kind="length"
      optional
      :value="strewn.sizeMm?.[0]"
      :apply="setSize(0)"
      data-test="strewn-from"
    />
    <FigureField
      :label="wording('strewnValues.to')"
      kind="length"
      optional
      :value="strewn.sizeMm?.[1]"
      :apply="setSize(1)"
      data-test="strewn-to"
    />
    <FigureField
      :label="wording('strewnValues.amount')"
      :kind="isWeighed ? 'mass' : 'volume'"
      :value="strewn.massKg ?? strewn.litres"
      :apply="setAmount"
      data-test="strewn-amount"
    />
    <v-select
      :label="wording('strewnValues.around')"
      :items="option.pieces.map((p) => p.id)"
      :model-value="strewn.around ?? []"
      multiple
      class="wide"
      data-test="strewn-around"
      @update:model-value="setAround"
    >
      <template #selection="{ index }">
        <span v-if="index === 0" class="ids">{{ strewn.around?.join(', ') }}</span>
      </template>
    </v-select>
    <OriginField
      class="wide"
      :origin="strewn.origin ?? 'bought'"
      @change="(origin: Origin) => void set('origin', { origin: origin === 'bought' ? undefined : origin })"
    />
    <SittingField
      class="wide"
      :value="strewn.sitting"
      @change="(sitting) => void set('sitting', { sitting })"
    />
  </div>
</template>

<style scoped>
.values {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 2px 14px;
  align-content: start;
}
.values > :first-child,
.wide {
  grid-column: span 2;
}
.ids {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
