<script setup lang="ts">
import { isLiving } from '../../../core/commission/lookup';
import { withParcel } from '../../../core/edits/parcels';
import { withAllCame, withReceived } from '../../../core/edits/received';
import type { ComingLine } from '../../../core/ordering/coming';
import { useCommission } from '../../document/commissionStore';
import type { SentOrder } from '../../document/api';
import { may } from '../../document/people';
import { clockTyped } from '../../units/dayInput';
import { today, weekDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import WordsField from '../../document/WordsField.vue';
import ReceivedLine from './ReceivedLine.vue';

/**
 * What one supplier has confirmed, order by order: its number, its day, and line by line what comes of what was asked; and what
 * came, as it was counted when the parcel was opened.
 */
const props = defineProps<{ coming: ComingLine[]; sent: SentOrder[]; currency: string }>();
defineEmits<{ instead: [line: ComingLine] }>();
const { words } = useFigures();
const confirmed = () => props.sent.flatMap((o) => (o.confirmation ? [o.confirmation] : []));
const commission = useCommission();
const lineOf = (l: ComingLine) => ({ reference: l.reference, item: l.line, pack: l.pack });
const open = (reference: string) => of(reference).filter((l) => l.given > 0 && !l.received);
function allCame(reference: string): void {
  commission.endStep();
  commission.edit(`all came ${reference}`, (d) =>
    withAllCame(
      d,
      open(reference).map((l) => ({ ...lineOf(l), given: l.given })),
      today(),
      undefined,
    ),
  );
}
function count(l: ComingLine): void {
  commission.endStep();
  commission.edit(`came ${l.line}`, (d) => withReceived(d, lineOf(l), { came: l.given }, today()));
}
/** A parcel with plants in it: somebody has to open it. */
const hasLife = (theirs: string) =>
  of(theirs).some((l) => commission.document && isLiving(commission.document, l.line));
/** It comes while the build is under way: by which hour decides whether that is in time. */
const comesOnTheDay = ({ deliveryDay }: { deliveryDay: string | null }) =>
  deliveryDay !== null && deliveryDay === commission.document?.brief.buildDay;
/** What is said of a parcel, by the supplier's own number. */
const ourOf = (theirs: string) => of(theirs)[0]?.reference;
const parcelOf = (theirs: string) => commission.document!.parcels?.find((p) => p.reference === ourOf(theirs));
const sayOf = (theirs: string, change: Parameters<typeof withParcel>[2]) =>
  commission.tryEdit(`parcel ${theirs}`, (d) => withParcel(d, ourOf(theirs), change));
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
      }}<button
        v-if="open(c.supplierReference).length"
        class="act screen-only"
        data-test="all-came"
        @click="allCame(c.supplierReference)"
      >
        {{ wording('comingLines.allCame') }}</button
      ><span v-if="may('prices')" class="sum">{{ money(c.totalMinor, currency) }}</span>
    </p>
    <div v-if="hasLife(c.supplierReference) || comesOnTheDay(c)" class="parcel" data-test="parcel">
      <WordsField
        v-if="comesOnTheDay(c)"
        :label="wording('comingLines.hour')"
        :value="parcelOf(c.supplierReference)?.hour"
        :apply="(t) => sayOf(c.supplierReference, { hour: t ? clockTyped(t) : undefined })"
        data-test="parcel-hour"
      />
      <WordsField
        :label="wording('comingLines.openedBy')"
        :value="parcelOf(c.supplierReference)?.openedBy"
        :apply="(openedBy) => sayOf(c.supplierReference, { openedBy: openedBy || undefined })"
        data-test="opened-by"
      />
      <WordsField
        :label="wording('comingLines.standsIn')"
        :value="parcelOf(c.supplierReference)?.standsIn"
        :apply="(standsIn) => sayOf(c.supplierReference, { standsIn: standsIn || undefined })"
      />
    </div>
    <ul>
      <li v-for="l in of(c.supplierReference)" :key="`${l.line} ${l.pack}`">
        <b>{{ l.given > 0 ? words(l.packWords) : wording('comingLines.none') }}</b>
        <span>{{ words(l.name) }}</span>
        <span v-if="l.given < l.asked" class="late">{{
          [wording('comingLines.of', { asked: l.asked }), l.remark].filter(Boolean).join(', ')
        }}</span>
        <p v-if="l.instead && may('order')" class="offer" :data-offer="l.line">
          {{
            wording('comingLines.offered', {
              name: l.instead.name,
              count: l.instead.count,
              sum: money(l.instead.minor, currency),
            })
          }}
          <button class="act screen-only" data-test="take-instead" @click="$emit('instead', l)">
            {{ wording('comingLines.takeInstead') }}
          </button>
        </p>
        <button
          v-if="l.given > 0 && !l.received"
          class="act screen-only count"
          :data-count-line="l.line"
          @click="count(l)"
        >
          {{ wording('comingLines.count') }}
        </button>
        <ReceivedLine
          v-if="l.received"
          class="counted"
          :coming="l"
          :living="isLiving(commission.document!, l.line)"
        />
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
  align-items: baseline;
}
.parcel {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
  max-width: 520px;
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
  grid-template-columns: 130px 1fr auto auto;
  gap: 0 10px;
  align-items: baseline;
  padding: 2px 0;
}
.counted {
  grid-column: 1 / -1;
}
.offer {
  grid-column: 2 / -1;
  margin: 0;
}
.count {
  grid-column: 4;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 92px 1fr;
  }
  li .late,
  li .count {
    grid-column: 2;
    justify-self: start;
  }
}
</style>
