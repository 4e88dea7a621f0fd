<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { notesAbout, subjectOf, type About, type Learnt } from '../../core/commission/notes';
import type { LogEntry } from '../../core/commission/schema';
import { nextNumber } from '../../core/edits/ids';
import { keepKeys } from '../design/commands';
import { shortDay, today } from '../units/days';
import { wording } from '../words/wording';
import { api } from './api';
import { useCommission } from './commissionStore';

/** What was decided, tried and asked about one thing, beside it, and one line more; and what was learnt of its kind in other commissions. */
const props = defineProps<{ about: About }>();
const commission = useCommission();
const text = ref('');
const kind = ref<NonNullable<LogEntry['kind']>>('decision');
const notes = computed(() => notesAbout(commission.document!, props.about));
const KINDS = [
  { value: 'decision', title: wording('thingNotes.decision') },
  { value: 'question', title: wording('thingNotes.question') },
  { value: 'tried', title: wording('thingNotes.tried') },
] as const;
const kindOf = (n: Pick<LogEntry, 'kind'>) => KINDS.find((k) => k.value === n.kind)?.title;

/** Of a plant or a material: what other commissions taught. A server that is away says nothing of it. */
const learnt = shallowRef<Learnt[]>([]);
const subject = computed(() => commission.option && subjectOf(commission.option, props.about));
watch(
  () => JSON.stringify(subject.value),
  async (asked) => {
    learnt.value = [];
    if (!subject.value) return;
    const answer = await api.lessons(subject.value, commission.id).catch(() => undefined);
    if (asked === JSON.stringify(subject.value)) learnt.value = answer?.lessons ?? [];
  },
  { immediate: true },
);

function add(): void {
  const words = text.value.trim();
  if (words === '') return;
  const log = commission.document!.log ?? [];
  const entry: LogEntry = { id: nextNumber(log, 'l', log.length + 1), date: today(), text: words, kind: kind.value, about: props.about }; // prettier-ignore
  commission.endStep();
  commission.edit(`note ${entry.id}`, (d) => ({ ...d, log: [...(d.log ?? []), entry] }));
  text.value = '';
}
</script>

<template>
  <div class="notes" data-test="thing-notes">
    <p v-for="n in notes" :key="n.id">
      <b>{{ kindOf(n) ?? shortDay(n.date) }}</b> {{ n.text }}
      <span v-if="n.answer">{{ n.answer }}</span> <span class="quiet">{{ shortDay(n.date) }}</span>
    </p>
    <p v-for="n in learnt" :key="`${n.commission} ${n.text}`" class="learnt" data-test="learnt">
      <b>{{ wording('thingNotes.before', { kind: kindOf(n) ?? '' }) }}</b> {{ n.text }}
      <span class="quiet">{{ n.title }}, {{ shortDay(n.date) }}</span>
    </p>
    <div class="add">
      <v-select v-model="kind" :items="KINDS" :label="wording('thingNotes.what')" />
      <v-text-field
        v-model="text"
        :label="wording('thingNotes.add')"
        data-test="thing-note"
        @keydown="keepKeys"
        @keydown.enter="add"
        @blur="add"
      />
    </div>
  </div>
</template>

<style scoped>
.notes {
  grid-column: 1 / -1;
}
p {
  margin: 4px 0;
  font-size: 12.5px;
  line-height: 1.36;
}
.add {
  display: grid;
  grid-template-columns: 112px 1fr;
  gap: 10px;
}
</style>
