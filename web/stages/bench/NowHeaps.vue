<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Heap, Material } from '../../../core/commission/schema';
import { heapGone, withHeap } from '../../../core/edits/nowDrawn';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import { useMaterials, withMaterials } from '../../document/materials';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What lies in the tank without a shape, by its weight: “about 20 kg of lava”. */
defineProps<{ heaps: readonly Heap[] }>();
const commission = useCommission();
const atHand = useMaterials();
const f = useFigures();

const KINDS: readonly Material['kind'][] = ['stone', 'wood', 'filler'];
const materials = computed(() => atHand.value.filter((m) => KINDS.includes(m.kind)));
const of = ref('');
const material = computed(() => materials.value.find((m) => m.id === of.value) ?? materials.value[0]);
const nameOf = (id: string) => atHand.value.find((m) => m.id === id)?.name ?? id;

/** Weighed by eye or by the box: it is taken in as soon as it is said. */
function add(kg: number | undefined): string | undefined {
  const chosen = material.value;
  if (kg === undefined || !chosen) return undefined;
  commission.endStep();
  return commission.tryEdit(`heap of ${chosen.id}`, (d) =>
    withHeap(withMaterials(d, [chosen]), chosen.id, kg),
  );
}
function remove(id: string): void {
  commission.endStep();
  commission.edit(`heap ${id} gone`, (d) => heapGone(d, id));
}
</script>

<template>
  <section class="heaps" data-test="heaps">
    <h2>{{ wording('nowHeaps.title') }}</h2>
    <p v-for="h in heaps" :key="h.id" :data-heap="h.id">
      {{ nameOf(h.material) }} <span class="figure">{{ f.mass(h.massKg) }}</span>
      <button
        class="act"
        :aria-label="wording('nowHeaps.remove', { name: nameOf(h.material) })"
        @click="remove(h.id)"
      >
        Remove
      </button>
    </p>
    <div class="add">
      <select v-model="of" :aria-label="wording('nowHeaps.material')" data-test="heap-material">
        <option v-for="m in materials" :key="m.id" :value="m.id === materials[0].id ? '' : m.id">
          {{ m.name }}
        </option>
      </select>
      <FigureField label="about" kind="mass" optional :value="undefined" :apply="add" data-test="heap-kg" />
    </div>
  </section>
</template>

<style scoped>
.heaps {
  flex: 0 0 min(340px, 100%);
  overflow-y: auto;
}
h2 {
  font: 500 16px var(--title);
  border-bottom: 1px solid var(--rule);
}
p {
  display: flex;
  gap: 10px;
  align-items: baseline;
  font-size: 13.5px;
  padding: 2px 0;
}
.figure {
  margin-left: auto;
}
.add {
  display: grid;
  grid-template-columns: 1fr 120px;
  gap: 12px;
  align-items: end;
}
select {
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  min-height: 34px;
}
</style>
