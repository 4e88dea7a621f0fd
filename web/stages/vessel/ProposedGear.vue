<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Material } from '../../../core/commission/schema';
import type { Device } from '../../../core/gear/gear';
import { deviceCost, gearCost } from '../../../core/takeoff/pieceCost';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import { deviceFigures } from './deviceFigures';

/** What is proposed, with what it draws and costs, before any of it is put on the list: each can be left out. */
const props = defineProps<{ devices: readonly Device[]; articles: readonly Material[]; currency: string }>();
const emit = defineEmits<{ take: [devices: Device[]]; close: [] }>();
const f = useFigures();

const left = ref(new Set<string>());
const rows = computed(() =>
  props.devices.map((device) => ({
    device,
    draws: deviceFigures(f, device).join(', '),
    costs: deviceCost(device, props.articles),
  })),
);
const taken = computed(() => props.devices.filter((d) => !left.value.has(d.id)));
const total = computed(() => {
  const { costMinor, unpriced, watts } = gearCost(taken.value, props.articles);
  return wording('proposedGear.total', { cost: money(costMinor, props.currency), open: unpriced, watts });
});
function turn(id: string): void {
  const next = new Set(left.value);
  if (!next.delete(id)) next.add(id);
  left.value = next;
}
</script>

<template>
  <section class="proposed" aria-label="What is proposed" data-test="proposed">
    <label v-for="r in rows" :key="r.device.id" :data-proposed="r.device.id">
      <input type="checkbox" :checked="!left.has(r.device.id)" @change="turn(r.device.id)" />
      <span>{{ r.device.name }}</span>
      <span class="quiet">{{ r.draws }}</span>
      <span class="right">{{
        r.costs === undefined ? 'no price' : r.costs ? money(r.costs, currency) : '–'
      }}</span>
    </label>
    <p class="total" data-test="proposed-total">{{ total }}</p>
    <p class="adds">
      <button
        class="solid"
        data-test="take-proposed"
        :disabled="taken.length === 0"
        @click="emit('take', taken)"
      >
        On the list
      </button>
      <button class="act" @click="emit('close')">Leave it</button>
    </p>
  </section>
</template>

<style scoped>
.proposed {
  border-left: 3px solid var(--celadon);
  padding: 4px 0 4px 12px;
  margin: 6px 0;
}
label {
  display: grid;
  grid-template-columns: 24px 1fr auto 84px;
  gap: 8px;
  align-items: center;
  min-height: 28px;
  cursor: pointer;
}
input {
  width: 18px;
  height: 18px;
  accent-color: var(--celadon);
}
.right {
  text-align: right;
}
.total {
  padding: 6px 0;
  font-weight: 600;
}
</style>
