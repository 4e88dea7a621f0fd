<script setup lang="ts">
import { computed } from 'vue';
import { dearerBy, priceKey, takeable, type OtherPrice } from '../../../core/catalogue/listed';
import { nameOfSupplier } from '../../../core/commission/lookup';
import { withPrices } from '../../../core/edits/buying';
import { useCommission } from '../../document/commissionStore';
import { shortDay } from '../../units/days';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';

/** What is still to be ordered stands as it was quoted; here is what it would be today, taken when asked. */
const props = defineProps<{ others: readonly OtherPrice[] }>();
const commission = useCommission();
const doc = computed(() => commission.document!);
const canTake = computed(() => takeable(props.others).length > 0);
const sum = computed(() => dearerBy(props.others));
const title = computed(() => {
  const cost = money(Math.abs(sum.value), doc.value.currency);
  if (sum.value === 0) return wording('todaysPrices.same');
  return wording(sum.value > 0 ? 'todaysPrices.more' : 'todaysPrices.less', { cost });
});
const nameOf = ({ pack }: OtherPrice) =>
  [...doc.value.catalogue.materials, ...doc.value.catalogue.plants].find((e) => e.packs?.includes(pack))?.name ?? pack.id; // prettier-ignore
const packWords = ({ size, unit }: { size: number; unit: string }) => `${size} ${unit}`;
function says(o: OtherPrice): string {
  const [name, pack, currency] = [nameOf(o), packWords(o.pack), doc.value.currency];
  if (o.goneOn)
    return wording('todaysPrices.gone', { name, pack, supplier: nameOfSupplier(doc.value, o.supplier), day: shortDay(o.goneOn) }); // prettier-ignore
  if (o.holds) return wording('todaysPrices.resized', { name, pack, holds: packWords(o.holds) });
  return wording('todaysPrices.changed', { name, pack, was: money(o.wasMinor, currency), is: money(o.isMinor, currency), count: o.count }); // prettier-ignore
}
function take(): void {
  commission.endStep();
  commission.edit('prices', (d) => withPrices(d, props.others));
}
</script>

<template>
  <section v-if="others.length" class="today screen-only" data-test="todays-prices">
    <p>
      <b v-if="canTake">{{ title }}</b>
      <button v-if="canTake" class="act" data-test="take-prices" @click="take">
        {{ wording('todaysPrices.take') }}
      </button>
    </p>
    <ul>
      <li v-for="o in others" :key="priceKey(o.supplier, o.pack.id)">{{ says(o) }}</li>
    </ul>
  </section>
</template>

<style scoped>
.today {
  border-left: 3px solid var(--clay);
  background: var(--paper);
  padding: 8px 16px;
  margin: 8px 0;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
