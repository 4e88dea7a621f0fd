<script setup lang="ts">
import { computed } from 'vue';
import type { SupplierOrder } from '../../../core/ordering/order';
import type { Finding } from '../../../core/words/finding';
import { weekDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What is about to be sent, and what ought to be settled before it is: one more press. */
const props = defineProps<{ group: SupplierOrder; currency: string; before: Finding[] }>();
const emit = defineEmits<{ send: []; byHand: []; close: [] }>();
const { words } = useFigures();
/** The first day on which any of it must be there: what is asked of the supplier. */
const wantedBy = computed(() => props.group.lines.flatMap((l) => (l.arriveBy ? [l.arriveBy] : [])).sort()[0]);
const standing = computed(() => [...new Set(props.group.coming.map((c) => c.supplierReference))].join(', '));
const FIRST = 5;
const more = computed(() => Math.max(0, props.before.length - FIRST));
</script>

<template>
  <v-dialog :model-value="true" width="620" @update:model-value="emit('close')">
    <div class="dialog" role="dialog" :aria-label="`Order for ${group.name}`" data-test="order-preview">
      <h2>{{ group.name }}</h2>
      <p v-if="standing" data-test="besides">{{ wording('orderPreview.besides', { standing }) }}</p>
      <div v-if="before.length > 0" class="before" data-test="before">
        <b>{{ wording('orderPreview.before', { count: before.length }) }}</b>
        <p v-for="f in before.slice(0, FIRST)" :key="`${f.id} ${JSON.stringify(f.at)}`">
          {{ words(f.says) }}
        </p>
        <p v-if="more" class="quiet">{{ wording('orderPreview.more', { count: more }) }}</p>
      </div>
      <table>
        <tbody>
          <tr v-for="l in group.lines" :key="`${l.line} ${l.pack}`">
            <td>
              <b>{{ words(l.packWords) }}</b>
            </td>
            <td>{{ words(l.name) }}</td>
            <td class="right">{{ money(l.priceMinor, currency) }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <td colspan="2">
              {{
                wantedBy
                  ? wording('orderPreview.wanted', { day: weekDay(wantedBy) })
                  : wording('orderPreview.noDay')
              }}
            </td>
            <td class="right">
              <b>{{ money(group.totalMinor + group.carriageMinor, currency) }}</b
              ><br v-if="group.carriageMinor" /><small v-if="group.carriageMinor" class="quiet">{{
                wording('buyingBar.carriage', { cost: money(group.carriageMinor, currency) })
              }}</small>
            </td>
          </tr>
        </tfoot>
      </table>
      <footer>
        <button class="solid" data-test="send-order" @click="emit('send')">
          {{ before.length > 0 ? 'Send it all the same' : 'Send it' }}
        </button>
        <button class="act" data-test="send-by-hand" @click="emit('byHand')">
          {{ wording('orderPreview.byHand') }}
        </button>
        <button class="act" data-test="not-yet" @click="emit('close')">Not yet</button>
      </footer>
    </div>
  </v-dialog>
</template>

<style scoped>
.dialog > p {
  margin: 6px 0 0;
}
.before {
  margin: 10px 0;
  padding: 8px 12px;
  border-left: 3px solid var(--warn);
  background: var(--warn-wash);
}
table {
  width: 100%;
  border-collapse: collapse;
  margin: 12px 0 16px;
}
td {
  padding: 5px 12px 5px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: baseline;
}
td:first-child {
  white-space: nowrap;
}
tfoot td {
  border: 0;
  white-space: normal;
}
td.right {
  text-align: right;
  padding-right: 0;
}
</style>
