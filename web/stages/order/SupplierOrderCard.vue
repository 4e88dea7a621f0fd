<script setup lang="ts">
import { computed } from 'vue';
import type { SupplierOrder } from '../../../core/ordering/order';
import type { Finding } from '../../../core/words/finding';
import type { SentOrder } from '../../document/api';
import { daysAway, shortDay, weekDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

const props = defineProps<{
  group: SupplierOrder;
  sent?: SentOrder;
  currency: string;
  findings: Finding[];
}>();
defineEmits<{ send: [] }>();

const { words } = useFigures();
const lateLines = computed(() => new Map(props.findings.map((f) => [f.at.line, f])));
type Line = SupplierOrder['lines'][number];
const given = ({ line, pack }: Line) =>
  props.sent?.confirmation?.lines.find((l) => l.pack === pack && (l.item ?? line) === line);
/** True while the order that was sent is still the one on the screen. */
const asSent = computed(() => {
  const lines = props.sent?.confirmation?.lines;
  return (
    !lines ||
    (lines.length === props.group.lines.length && props.group.lines.every((l) => given(l)?.asked === l.count))
  );
});
const state = computed(() => {
  const s = props.sent;
  if (!s) return { says: '', can: true, act: 'Send the order' };
  const c = s.confirmation;
  switch (s.state) {
    case 'sending':
      return { says: wording('supplierOrderCard.sent'), can: false, act: 'Sending' };
    case 'confirmed':
    case 'partly':
      return {
        says: `${s.state === 'partly' ? 'Confirmed in part' : 'Confirmed'} as ${c!.supplierReference}, ${c!.deliveryDay ? `delivered ${weekDay(c!.deliveryDay)}` : 'no delivery day'}, ${money(c!.totalMinor, props.currency)}.${asSent.value ? '' : ` ${wording('supplierOrderCard.changed')}`}`,
        can: !asSent.value,
        act: asSent.value ? 'Sent' : 'Send what it is now',
      };
    default:
      return {
        says: `${s.state === 'refused' ? 'Refused' : 'Not confirmed'}: ${s.reason}`,
        can: true,
        act: 'Send again',
      };
  }
});
</script>

<template>
  <section :data-supplier="group.supplier">
    <header>
      <h2>{{ group.name }}</h2>
      <p :class="findings.length ? 'late' : 'quiet'">
        {{
          group.orderBy ? `order by ${weekDay(group.orderBy)}, ${daysAway(group.orderBy)}` : 'no delivery day'
        }}
      </p>
      <span class="sum">{{ money(group.totalMinor, currency) }}</span>
      <button class="solid screen-only" :disabled="!state.can" @click="$emit('send')">{{ state.act }}</button>
    </header>
    <p v-if="state.says" :class="['state', sent?.state]" role="status" data-test="order-state">
      {{ state.says }}
    </p>
    <table>
      <tbody>
        <tr v-for="l in group.lines" :key="`${l.line} ${l.pack}`">
          <td class="count">
            <b>{{ words(l.packWords) }}</b>
          </td>
          <td>
            {{ words(l.name) }}&ensp;<small v-if="given(l)?.remark" class="late">{{
              given(l)!.remark
            }}</small>
          </td>
          <td class="quiet">
            {{ l.aheadDays ? `${l.ahead} ${l.aheadDays} days from ${shortDay(l.neededOn)}` : '' }}
          </td>
          <td class="quiet">{{ l.arriveBy ? `arrives ${weekDay(l.arriveBy)}` : '' }}</td>
          <td :class="{ late: lateLines.has(l.line) }">{{ l.orderBy ? `by ${shortDay(l.orderBy)}` : '' }}</td>
          <td class="right">{{ money(l.priceMinor, currency) }}</td>
        </tr>
      </tbody>
    </table>
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
.state.confirmed {
  border-color: var(--celadon);
}
.state.partly,
.state.refused,
.state.unreachable {
  border-color: var(--warn);
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
