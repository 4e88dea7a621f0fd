<script setup lang="ts">
import { computed } from 'vue';
import { nameOfSupplier } from '../../../core/commission/lookup';
import { otherTerms, withAim, withPin, withTerms } from '../../../core/edits/buying';
import type { Offer, Way } from '../../../core/ordering/bought';
import { useCommission } from '../../document/commissionStore';
import { useStudio } from '../../document/studioStore';
import { weekDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import type { Buying } from '../../workers/buyingWork';

/** From whom the whole order is bought: each way with what it comes to, and single lines pinned to a supplier. */
const props = defineProps<{ buying?: Buying }>();
const commission = useCommission();
const { words } = useFigures();
const doc = computed(() => commission.document!);
const aim = computed(() => doc.value.brief.buying?.aim);
const pins = computed(() => new Map(doc.value.brief.buying?.pins?.map((p) => [p.line, p.supplier])));

const studio = useStudio();
/** Suppliers that ask something else today than when they came into this document. */
const others = computed(() => otherTerms(doc.value, studio.studio?.catalogue.suppliers ?? []));
function takeTerms(): void {
  commission.endStep();
  commission.edit('terms', (d) => withTerms(d, others.value));
}
/** Something to choose: a line that several have, or carriage that depends on how it is shared out. */
const isShown = computed(
  () => Boolean(props.buying?.lines.length) || aim.value !== undefined || others.value.length > 0,
);
const TITLES = {
  listed: wording('buyingBar.listed'),
  cheapest: wording('buyingBar.cheapest'),
  soonest: wording('buyingBar.soonest'),
  fewest: wording('buyingBar.fewest'),
} as const;
const ways = computed(() =>
  (props.buying?.ways ?? []).map((way) => ({
    way,
    key: way.aim ?? ('listed' as const),
    title: TITLES[way.aim ?? 'listed'],
    cost: money(way.goodsMinor + way.carriageMinor, doc.value.currency),
    rest: restOf(way),
  })),
);
function restOf(way: Way): string {
  return [
    wording('buyingBar.parcels', { count: way.parcels }),
    way.carriageMinor ? wording('buyingBar.carriage', { cost: money(way.carriageMinor, doc.value.currency) }) : '',
    way.lastDay ? wording('buyingBar.there', { day: weekDay(way.lastDay) }) : '',
    way.belowMinimum ? wording('buyingBar.belowMinimum') : '',
    way.unproven ? wording('buyingBar.unproven') : '',
  ].filter(Boolean).join(', ');
} // prettier-ignore
function take(way: Way): void {
  commission.endStep();
  commission.edit('buying', (d) => withAim(d, way.aim));
}
const pin = (line: string, supplier: string) =>
  commission.edit(`buying ${line}`, (d) => withPin(d, line, supplier || undefined));
const offerWords = (o: Offer) => {
  const said = `${nameOfSupplier(doc.value, o.supplier)}, ${money(o.priceMinor, doc.value.currency)}`;
  return o.isLate ? wording('buyingBar.late', { offer: said }) : said;
};
</script>

<template>
  <section v-if="isShown" class="buying screen-only" data-test="buying">
    <h2>{{ wording('buyingBar.title') }}</h2>
    <div class="ways" role="radiogroup" :aria-label="wording('buyingBar.title')">
      <button
        v-for="w in ways"
        :key="w.key"
        class="plain way"
        role="radio"
        :aria-checked="aim === w.way.aim"
        :class="{ on: aim === w.way.aim }"
        :data-way="w.key"
        @click="take(w.way)"
      >
        <span>{{ w.title }}</span>
        <b>{{ w.cost }}</b>
        <small>{{ w.rest }}</small>
      </button>
    </div>
    <p v-if="others.length" class="quiet">
      {{ wording('buyingBar.others', { names: others.map((s) => s.name).join(', ') }) }}
      <button class="act" data-test="take-terms" @click="takeTerms">
        {{ wording('buyingBar.takeTerms') }}
      </button>
    </p>
    <details v-if="buying?.lines.length">
      <summary class="act">{{ wording('buyingBar.several', { count: buying.lines.length }) }}</summary>
      <p v-for="l in buying.lines" :key="l.id" class="line">
        <span>{{ words(l.name) }}</span>
        <select
          :value="pins.get(l.id) ?? ''"
          :aria-label="wording('buyingBar.from', { name: words(l.name) })"
          :data-pin="l.id"
          @change="pin(l.id, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">{{ wording('buyingBar.chosen') }}</option>
          <option v-for="o in l.offers" :key="o.supplier" :value="o.supplier">{{ offerWords(o) }}</option>
        </select>
      </p>
    </details>
  </section>
</template>

<style scoped>
.buying {
  border-top: 1.5px solid var(--ink);
  padding: 10px 0 14px;
}
.ways {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 10px;
  margin: 6px 0;
}
.way {
  display: flex;
  flex-direction: column;
  text-align: left;
  border: 1px solid var(--rule);
  padding: 8px 12px;
  min-height: 44px;
}
.way.on {
  border: 2px solid var(--celadon);
  padding: 7px 11px;
  background: var(--paper);
}
.way b {
  font: 500 19px var(--title);
}
.way small {
  color: var(--ink-2);
  line-height: 1.3;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 14px;
  align-items: baseline;
  max-width: 640px;
}
select {
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  min-height: 36px;
}
@media (max-width: 900px) {
  .ways {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: 1fr;
    gap: 2px;
  }
  select {
    min-height: 44px;
  }
}
</style>
