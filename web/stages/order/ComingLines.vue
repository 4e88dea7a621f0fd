<script setup lang="ts">
import type { ComingLine } from '../../../core/ordering/coming';
import type { SentOrder } from '../../document/api';
import { weekDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What one supplier has confirmed, order by order: its number, its day, and line by line what comes of what was asked. */
const props = defineProps<{ coming: ComingLine[]; sent: SentOrder[]; currency: string }>();
const { words } = useFigures();
const confirmed = () => props.sent.flatMap((o) => (o.confirmation ? [o.confirmation] : []));
const of = (reference: string) => props.coming.filter((c) => c.supplierReference === reference);
</script>

<template>
  <div v-for="c in confirmed()" :key="c.supplierReference" class="coming" data-test="coming">
    <p>
      <b>{{ c.supplierReference }}</b>
      {{
        c.deliveryDay
          ? wording('comingLines.delivered', { day: weekDay(c.deliveryDay) })
          : wording('comingLines.noDay')
      }}<span class="sum">{{ money(c.totalMinor, currency) }}</span>
    </p>
    <ul>
      <li v-for="l in of(c.supplierReference)" :key="`${l.line} ${l.pack}`">
        <b>{{ l.given > 0 ? words(l.packWords) : wording('comingLines.none') }}</b>
        <span>{{ words(l.name) }}</span>
        <span v-if="l.given < l.asked" class="late">{{
          [wording('comingLines.of', { asked: l.asked }), l.remark].filter(Boolean).join(', ')
        }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.coming {
  border-left: 3px solid var(--celadon);
  background: var(--paper);
  padding: 6px 0 6px 12px;
  margin: 8px 0 4px;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}
.sum {
  margin-left: auto;
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 130px 1fr auto;
  gap: 10px;
  padding: 2px 0;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 92px 1fr;
  }
  li .late {
    grid-column: 2;
  }
}
</style>
