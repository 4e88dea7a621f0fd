<script setup lang="ts">
import { computed } from 'vue';
import type { ComingLine } from '../../../core/ordering/coming';
import { tooLateToOrder, type OrderLine, type SupplierOrder } from '../../../core/ordering/order';
import type { Finding } from '../../../core/words/finding';
import type { SentOrder, Word } from '../../document/api';
import { daysAway, shortDay, weekDay } from '../../units/days';
import { may } from '../../document/people';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import { useCommission } from '../../document/commissionStore';
import SentByHand from './SentByHand.vue';
import ComingLines from './ComingLines.vue';

/**
 * One supplier: what is still to be ordered there, and what it has confirmed. That stands: what is ordered later comes
 * besides.
 */
const props = defineProps<{
  group: SupplierOrder;
  /** All that was sent there, the newest first. */
  sent: SentOrder[];
  currency: string;
  findings: Finding[];
}>();
defineEmits<{
  order: [];
  again: [];
  withdraw: [reference: string];
  confirmed: [reference: string, said: Word];
  instead: [line: ComingLine];
}>();

const commission = useCommission();
const { words } = useFigures();
/** What is done with it before the day. */
const AHEAD: Record<NonNullable<OrderLine['ahead']>, string> = {
  soaks: 'soaks',
  cures: 'cures',
  'cures-soaks': 'cures, soaks',
  matures: 'matures',
  sitting: 'used',
};
/** From when it is worked on; or on which day before the water it is set, poured or planted. */
const aheadWords = ({ ahead, neededOn }: OrderLine) =>
  ahead === 'sitting'
    ? `${AHEAD.sitting} ${weekDay(neededOn)}`
    : `${AHEAD[ahead!]} from ${shortDay(neededOn)}`;
const lateLines = computed(() => tooLateToOrder(props.findings));
const newest = computed(() => props.sent[0] as SentOrder | undefined);
const isSending = computed(() => newest.value?.state === 'sending' || newest.value?.state === 'sent');
/** What has come is not withdrawn any more; what was refused need not be. */
const canWithdraw = computed(() => {
  const state = newest.value?.state;
  return state !== 'withdrawn' && state !== 'refused' && !props.group.coming.some((c) => c.received);
});
const act = computed(() => {
  if (isSending.value) return newest.value?.state === 'sent' ? wording('byHand.sent') : 'Sending';
  if (newest.value && newest.value.state !== 'withdrawn' && !newest.value.confirmation) return 'Send again';
  return props.group.coming.length > 0 ? wording('supplierOrderCard.rest') : 'Order';
});
const says = computed(() => {
  const s = newest.value;
  if (s?.state === 'sending') return wording('supplierOrderCard.sent');
  if (s?.state === 'refused') return wording('supplierOrderCard.refused', { reason: s.reason ?? '' });
  if (s?.state === 'withdrawn') return wording('supplierOrderCard.withdrawn', { reason: s.reason ?? '' });
  if (s?.state === 'unreachable') return wording('supplierOrderCard.unreachable', { reason: s.reason ?? '' });
  return '';
});
const orderBy = computed(() => {
  const { group } = props;
  const isWhole = group.coming.every((c) => c.given >= c.asked);
  if (group.lines.length === 0)
    return wording(isWhole ? 'supplierOrderCard.all' : 'supplierOrderCard.noMore');
  if (!group.orderBy) return 'no delivery day';
  const hour = group.cutOff ? wording('supplierOrderCard.until', { hour: group.cutOff }) : '';
  const by = group.isShop ? wording('supplierOrderCard.fetch') : 'order by';
  return `${by} ${weekDay(group.orderBy)}${hour}, ${daysAway(group.orderBy)}`;
});
</script>

<template>
  <section :data-supplier="group.supplier">
    <header>
      <h2>{{ group.name }}</h2>
      <p :class="lateLines.size ? 'late' : 'quiet'">{{ orderBy }}</p>
      <span v-if="group.lines.length && may('prices')" class="sum"
        >{{ money(group.totalMinor, currency)
        }}<small v-if="group.carriageMinor" data-test="carriage">{{
          wording('supplierOrderCard.carriage', { cost: money(group.carriageMinor, currency) })
        }}</small></span
      >
      <router-link
        v-if="group.isShop && may('prices')"
        class="act screen-only"
        :to="`/c/${commission.id}/shopping`"
        data-test="to-shopping"
        >{{ wording('supplierOrderCard.shopping') }}</router-link
      >
      <button
        v-else-if="group.lines.length && may('order')"
        class="solid screen-only"
        data-test="order"
        :disabled="isSending"
        @click="newest?.state === 'unreachable' ? $emit('again') : $emit('order')"
      >
        {{ act }}
      </button>
    </header>
    <p v-if="says" :class="['state', newest?.state]" role="status" data-test="order-state">{{ says }}</p>
    <ComingLines
      v-if="group.coming.length"
      :coming="group.coming"
      :sent="sent"
      :currency="currency"
      @instead="$emit('instead', $event)"
    />
    <SentByHand
      v-if="newest?.state === 'sent' && may('order')"
      :key="newest.reference"
      :order="newest"
      @confirmed="(said) => $emit('confirmed', newest!.reference, said)"
    />
    <p v-for="f in findings" :key="`${f.id} ${f.at.line}`" class="found" data-test="order-finding">
      <b>{{ words(f.says) }}</b> {{ words(f.because) }}
    </p>
    <table v-if="group.lines.length">
      <tbody>
        <tr v-for="l in group.lines" :key="`${l.line} ${l.pack}`">
          <td class="count">
            <b>{{ words(l.packWords) }}</b>
          </td>
          <td>
            {{ words(l.name) }}
          </td>
          <td class="quiet">
            {{ l.aheadDays ? aheadWords(l) : '' }}
          </td>
          <td class="quiet">{{ l.arriveBy ? `arrives ${weekDay(l.arriveBy)}` : '' }}</td>
          <td :class="{ late: lateLines.has(l.line) }">{{ l.orderBy ? `by ${shortDay(l.orderBy)}` : '' }}</td>
          <td class="right">{{ may('prices') ? money(l.priceMinor, currency) : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="canWithdraw && newest && may('order')" class="screen-only">
      <button class="act" data-test="withdraw" @click="$emit('withdraw', newest.reference)">
        {{ wording('supplierOrderCard.withdraw') }}
      </button>
    </p>
  </section>
</template>

<style scoped>
section {
  border-top: 1.5px solid var(--ink);
  padding: 10px 0 16px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 14px;
}
.sum {
  margin-left: auto;
  font-weight: 600;
}
.state {
  margin: 6px 0;
  padding: 5px 10px;
  border-left: 3px solid var(--clay-2);
  background: var(--paper);
}
.state.withdrawn,
.state.refused,
.state.unreachable {
  border-color: var(--warn);
}
/* What is the matter, where it is sent from. */
.found {
  padding: 3px 0 3px 12px;
  border-left: 3px solid var(--warn);
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
td:nth-child(3) {
  width: 176px;
}
td:nth-child(4) {
  width: 130px;
}
td:nth-child(5) {
  width: 84px;
}
td:nth-child(6) {
  width: 74px;
}
td {
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--rule);
}
td.right {
  text-align: right;
  padding-right: 0;
}
.count {
  white-space: nowrap;
  width: 120px;
}
@media (max-width: 1150px) {
  .count {
    width: 108px;
    white-space: normal;
  }
  td:nth-child(3) {
    width: 96px;
  }
  td:nth-child(4) {
    width: 116px;
  }
  td:nth-child(5) {
    width: 72px;
  }
}
@media (max-width: 700px) {
  header {
    flex-wrap: wrap;
    gap: 4px 14px;
  }
  tr {
    display: grid;
    grid-template-columns: 92px 1fr auto;
    column-gap: 10px;
    padding: 7px 0;
    border-bottom: 1px solid var(--rule);
  }
  td,
  .count {
    width: auto !important;
    padding: 0;
    border: 0;
  }
  td:nth-child(2) {
    grid-column: 2 / 4;
  }
  td:nth-child(3) {
    grid-column: 2 / 4;
  }
  td:nth-child(4) {
    grid-column: 2;
  }
  td:nth-child(5) {
    grid-column: 3;
  }
  td:nth-child(6) {
    grid-column: 3;
  }
  td:empty {
    display: none;
  }
}
@media print {
  section {
    break-inside: avoid;
  }
}
</style>
