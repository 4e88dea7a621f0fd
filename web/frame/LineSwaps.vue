<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import type { Material } from '../../core/commission/schema';
import { othersFor, withOtherMaterial } from '../../core/edits/otherMaterial';
import type { Swap } from '../../core/pipeline/swaps';
import { useCommission } from '../document/commissionStore';
import { useStudio } from '../document/studioStore';
import { useFrame } from './planKey';
import { money, useFigures } from '../units/figures';
import { wording } from '../words/wording';

/** What else a line may be built with: of the same kind, each with what it changes before it is taken. */
const props = defineProps<{ material: Material }>();
const commission = useCommission();
const studio = useStudio();
void studio.load();
const { plan, scapeWork } = useFrame();
const f = useFigures();
/** So many are planned: nobody reads more. */
const MOST = 6;
const own = computed(() => commission.document!.catalogue);
const all = computed(() => {
  const known = new Map((studio.studio?.catalogue.materials ?? []).map((m) => [m.id, m]));
  for (const m of own.value.materials) known.set(m.id, m);
  return [...known.values()];
});
const sellers = computed(() => [...own.value.suppliers, ...(studio.studio?.catalogue.suppliers ?? [])]);
const others = computed(() => othersFor(props.material, all.value).slice(0, MOST));
const isOpen = shallowRef(false);
const swaps = shallowRef<Swap[]>();
watch([plan, isOpen, others], async ([now, open]) => {
  if (!open) return;
  const found = await scapeWork.swaps(props.material.id, others.value, sellers.value).catch(() => []);
  if (plan.value === now) swaps.value = found;
});
const nameOf = (id: string) => all.value.find((m) => m.id === id)?.name ?? id;
const signed = (by: number, words: string) => `${by < 0 ? '−' : '+'}${words}`;
function changes({ costMinor, freeWaterL, floorKg, fresh, gone }: Swap): string[] {
  const [cost, water, floor] = [costMinor, freeWaterL, floorKg].map(({ was, is }) => is - was);
  return [
    ...(cost ? [signed(cost, money(Math.abs(cost), commission.document!.currency))] : []),
    ...(Math.abs(water) >= 0.05 ? [wording('lineSwaps.water', { by: signed(water, f.volume(Math.abs(water))) })] : []), // prettier-ignore
    ...(Math.abs(floor) >= 0.5 ? [wording('lineSwaps.floor', { by: signed(floor, f.mass(Math.abs(floor))) })] : []), // prettier-ignore
    ...fresh.map((x) => wording('lineSwaps.fresh', { says: f.words(x.says) })),
    ...gone.map((x) => wording('lineSwaps.gone', { says: f.words(x.says) })),
  ];
}
function take(id: string): void {
  const to = all.value.find((m) => m.id === id);
  if (!to) return;
  commission.endStep();
  commission.edit(`${props.material.id} to ${id}`, (d) => withOtherMaterial(d, commission.optionId, props.material.id, to, sellers.value)); // prettier-ignore
}
</script>

<template>
  <details
    v-if="others.length"
    class="swaps"
    data-test="swaps"
    @click.stop
    @toggle="isOpen = ($event.target as HTMLDetailsElement).open"
  >
    <summary class="act">{{ wording('lineSwaps.title') }}</summary>
    <p v-if="!swaps" class="quiet">{{ wording('lineSwaps.working') }}</p>
    <ul v-else>
      <li v-for="s in swaps" :key="s.to" :data-swap="s.to">
        <button class="act" @click="take(s.to)">{{ nameOf(s.to) }}</button>
        <span v-if="s.line" class="quiet"
          >{{ f.said(s.line.needed.value, s.line.needed.unit)
          }}<template v-if="s.line.packWords">, {{ f.words(s.line.packWords) }}</template>,
          {{
            s.line.priceMinor
              ? money(s.line.priceMinor, commission.document!.currency)
              : wording('lineSwaps.unpriced')
          }}</span
        >
        <span v-for="c in changes(s)" :key="c" class="change">{{ c }}</span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  align-items: baseline;
  border-bottom: 1px solid var(--rule);
  padding: 2px 0;
}
.change {
  font-variant-numeric: tabular-nums;
}
</style>
