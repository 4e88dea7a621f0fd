<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Material, Site } from '../../../core/commission/schema';
import { pieceCost } from '../../../core/takeoff/pieceCost';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What is proposed, with what it draws and costs, before any of it is put on the list: each can be left out. */
type Device = NonNullable<Site['devices']>[number];
const props = defineProps<{ devices: readonly Device[]; articles: readonly Material[]; currency: string }>();
const emit = defineEmits<{ take: [devices: Device[]]; close: [] }>();
const f = useFigures();

const left = ref(new Set<string>());
const rows = computed(() =>
  props.devices.map((device) => {
    const article = props.articles.find((a) => a.id === device.material);
    const isBought = (device.origin ?? 'bought') === 'bought';
    return {
      device,
      draws: [
        ...(device.watts > 0 ? [`${device.watts} W`] : []),
        ...(device.litresPerHour ? [f.said(device.litresPerHour, 'L/h', 0)] : []),
      ].join(', '),
      costs: isBought ? article && pieceCost(article) : 0,
    };
  }),
);
const taken = computed(() => rows.value.filter((r) => !left.value.has(r.device.id)));
const total = computed(() => {
  const minor = taken.value.reduce((sum, r) => sum + (r.costs ?? 0), 0);
  const open = taken.value.filter((r) => r.costs === undefined).length;
  return wording('proposedGear.total', {
    cost: money(minor, props.currency),
    open,
    watts: taken.value.reduce((sum, r) => sum + r.device.watts, 0),
  });
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
        @click="
          emit(
            'take',
            taken.map((r) => r.device),
          )
        "
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
