<script setup lang="ts">
import { computed } from 'vue';
import type { Option, Pocket } from '../../../core/commission/schema';
import FigureField from '../../document/FigureField.vue';
import { usePocketEdit } from '../../document/pocketEdit';
import { useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** Soil heaped on top of one piece: how wide, how high and where; what it holds is measured. */
const props = defineProps<{ piece: string; option: Option; survey: ShownPlan['survey'] }>();
const edit = usePocketEdit();
const f = useFigures();
const pockets = computed(() => (props.option.pockets ?? []).filter((p) => p.on === props.piece));
const litres = (id: string) => props.survey.pockets.find((p) => p.id === id)?.litres;
const set = (p: Pocket, key: string, part: (mm: number) => Partial<Pocket>) => (mm: number | undefined) =>
  mm === undefined ? wording('pocketFields.missing') : edit.change(p.id, key, part(mm));
</script>

<template>
  <template v-for="p in pockets" :key="p.id">
    <FigureField
      label="heap, wide"
      kind="length"
      :value="p.radiusMm * 2"
      :apply="set(p, 'wide', (mm) => ({ radiusMm: mm / 2 }))"
      data-test="pocket-wide"
    />
    <FigureField
      label="high"
      kind="length"
      :value="p.heightMm"
      :apply="set(p, 'high', (heightMm) => ({ heightMm }))"
      data-test="pocket-high"
    />
    <FigureField
      label="to its right"
      kind="length"
      :value="p.offsetMm[0]"
      :apply="set(p, 'right', (mm) => ({ offsetMm: [mm, p.offsetMm[1]] }))"
      data-test="pocket-right"
    />
    <FigureField
      label="behind"
      kind="length"
      :value="p.offsetMm[1]"
      :apply="set(p, 'behind', (mm) => ({ offsetMm: [p.offsetMm[0], mm] }))"
      data-test="pocket-behind"
    />
    <p class="held">
      <span data-test="pocket-litres">{{ f.volume(litres(p.id) ?? 0, 2) }}</span>
      <button class="act" @click="edit.drop(p.id)">Take off</button>
    </p>
  </template>
  <button class="act soil" data-test="add-pocket" @click="edit.addOn(piece)">+ soil on top</button>
</template>

<style scoped>
.held {
  display: flex;
  gap: 8px;
  align-items: baseline;
  font-size: 12.5px;
  white-space: nowrap;
  padding-bottom: 8px;
}
.soil {
  text-align: left;
  padding: 4px 0;
}
</style>
