<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { keepKeys } from '../../design/commands';
import DayField from '../../document/DayField.vue';
import { useCommission } from '../../document/commissionStore';
import { daysAway, longDate, today } from '../../units/days';
import { keepTyped, readTyped } from '../../document/journal';
import { may } from '../../document/people';
import { useFigures } from '../../units/figures';
import type { About } from '../../../core/commission/notes';
import { nextNumber } from '../../../core/edits/ids';
import { aboutName } from '../../../core/sittings/aboutName';
import type { Commission, Reading } from '../../../core/commission/schema';
import { useLocalForm } from '../../document/localForm';
import HistoryList from './HistoryList.vue';
import NotePhoto from './NotePhoto.vue';
import ReadingFields from './ReadingFields.vue';
import { readingFrom, READINGS } from './readings';
import { wording } from '../../words/wording';
import WordsField from '../../document/WordsField.vue';

type LogEntry = NonNullable<Commission['log']>[number];
const commission = useCommission();
/** What was changed is asked for when somebody wants to see it. */
const changesOpen = ref(false);
const day = ref(today());
const text = ref('');
const fault = ref('');
/** The entry that is being changed, instead of a new one. */
const changing = ref<string>();
/** A day ahead that was asked about once. */
const aheadAsked = ref<string>();
const form = useLocalForm();
/** Not watched within: it goes into the document as it is. */
const reading = shallowRef<Reading>({});
const f = useFigures();

/** A note that was begun waits here while another stage is looked at, or the page is closed. */
void readTyped(commission.id, 'note').then((begun) => {
  if (text.value === '') text.value = begun;
});
void readTyped(commission.id, 'reading').then((begun) => {
  if (Object.keys(reading.value).length === 0) reading.value = readingFrom(begun);
});
watch(text, (words) => isFresh() && keepTyped(commission.id, 'note', words));
watch(
  reading,
  (read) => isFresh() && keepTyped(commission.id, 'reading', hasRead(read) ? JSON.stringify(read) : ''),
);
const hasRead = (read: Reading | undefined) => Object.keys(read ?? {}).length > 0;

/** A note that is being changed is kept as it is until it is taken. */
const isFresh = () => changing.value === undefined;

/** What was read, each figure with its unit. */
const readWords = (read: Reading) =>
  READINGS.flatMap(({ key, label, kind, unit }) => {
    const value = read[key];
    if (value === undefined) return [];
    const scale = f.scale(kind, unit);
    return [`${label} ${f.number(scale.out(value))}${unit || scale.unit ? ` ${unit ?? scale.unit}` : ''}`];
  }).join(', ');

const notes = computed(() =>
  [...(commission.document?.log ?? [])].sort(
    (a, b) => b.date.localeCompare(a.date) || b.id.localeCompare(a.id, undefined, { numeric: true }),
  ),
);

/** So much of a note names its photograph. */
const CAPTION = 80;
const KIND: Record<NonNullable<LogEntry['kind']>, string> = {
  decision: wording('logStage.decision'),
  question: wording('logStage.question'),
  tried: wording('logStage.tried'),
};
const captionOf = ({ text, date }: LogEntry) => text.replace(/\s+/g, ' ').slice(0, CAPTION) || longDate(date);
const nameOf = (about: About) => f.words(aboutName(commission.document!, commission.option, about));
/** A question gets its day, and in the end its answer. */
const set = (entry: LogEntry, part: Partial<LogEntry>) =>
  commission.tryEdit(`note ${entry.id}`, (d) => ({ ...d, log: d.log?.map((n) => (n.id === entry.id ? { ...n, ...part } : n)) })); // prettier-ignore
const setDay = (typed: string) => {
  if (!typed) return wording('logStage.dayMissing');
  day.value = typed;
  return undefined;
};
/** What is in the way of taking the entry, if anything: said once where it may be meant. */
function refused(): string | undefined {
  if (!form.settled()) return wording('logStage.refused');
  if (text.value.trim() === '' && !hasRead(reading.value)) return wording('logStage.noWords');
  if (day.value > today() && aheadAsked.value !== day.value) {
    aheadAsked.value = day.value;
    return wording('logStage.dayAhead', { day: longDate(day.value) });
  }
  return undefined;
}
function add(): void {
  fault.value = refused() ?? '';
  if (fault.value) return;
  const id = changing.value ?? nextNumber(notes.value, 'l', notes.value.length + 1);
  const was = notes.value.find((n) => n.id === id);
  const entry: LogEntry = { ...was, id, date: day.value, text: text.value.trim(), reading: hasRead(reading.value) ? reading.value : undefined }; // prettier-ignore
  commission.endStep();
  fault.value = commission.tryEdit(`note ${id}`, (d) => ({ ...d, log: [...(d.log ?? []).filter((n) => n.id !== id), entry] })) ?? ''; // prettier-ignore
  if (!fault.value) leave();
}
/** What was begun in the form when an entry came into it. */
let begun: { date: string; text: string; reading: Reading } | undefined;
/** An entry as it stands comes into the form; one that was begun there is put away first. */
function change(entry: LogEntry): void {
  fault.value = '';
  if (isFresh()) begun = { date: day.value, text: text.value, reading: reading.value };
  changing.value = entry.id;
  aheadAsked.value = entry.date;
  day.value = entry.date;
  text.value = entry.text;
  reading.value = entry.reading ?? {};
}
/** The form as it was before an entry came into it, otherwise as it is at first. */
function leave(): void {
  const before = changing.value === undefined ? undefined : begun;
  changing.value = undefined;
  day.value = before?.date ?? today();
  text.value = before?.text ?? '';
  reading.value = before?.reading ?? {};
  fault.value = '';
}
function remove(id: string): void {
  if (changing.value === id) leave();
  commission.endStep();
  commission.edit(`drop ${id}`, (d) => ({ ...d, log: d.log?.filter((n) => n.id !== id) }));
}
</script>

<template>
  <div class="log">
    <header>
      <h1>Log</h1>
      <p class="quiet">{{ wording('logStage.what') }}</p>
    </header>
    <form v-if="may('change')" @submit.prevent="add">
      <DayField past label="Day" :value="day" :apply="setDay" class="day" />
      <v-textarea
        v-model="text"
        label="Note"
        rows="2"
        auto-grow
        :error-messages="fault"
        data-test="note"
        @keydown="keepKeys"
        @keydown.ctrl.enter="add"
      />
      <div class="take">
        <button class="solid" type="submit" data-test="add-note">
          {{ changing ? 'Keep it so' : 'Add' }}
        </button>
        <button v-if="changing" class="act" type="button" @click="leave">Leave it as it was</button>
      </div>
      <ReadingFields class="read" :reading="reading" @change="(read) => (reading = read)" />
    </form>
    <ol>
      <li v-for="n in notes" :key="n.id">
        <div class="when"><b>{{ longDate(n.date) }}</b><span class="quiet">{{ daysAway(n.date) }}</span></div>
        <div>
          <p v-if="n.reading" class="figures-read" data-test="reading">{{ readWords(n.reading) }}</p>
          <p v-if="n.kind" class="kind">
            {{ KIND[n.kind] }}<template v-if="n.about">, {{ nameOf(n.about) }}</template>
          </p>
          <p v-if="n.text">{{ n.text }}</p>
          <NotePhoto :id="n.id" :photo="n.photo" :caption="captionOf(n)" />
          <div v-if="n.kind === 'question' && may('change')" class="open">
            <DayField
              :label="wording('logStage.until')"
              :value="n.until"
              :apply="(day) => set(n, { until: day || undefined })"
            />
            <WordsField
              :label="wording('logStage.answer')"
              :value="n.answer"
              :apply="(t) => set(n, { answer: t || undefined })"
            />
          </div>
        </div>
        <div v-if="may('change')" class="take">
          <button
            class="act"
            :aria-label="`Change the note of ${n.date}`"
            data-test="change-note"
            @click="change(n)"
          >
            Change
          </button>
          <button class="act off" :aria-label="`Take away the note of ${n.date}`" @click="remove(n.id)">
            Take away
          </button>
        </div>
      </li>
    </ol>
    <p v-if="notes.length === 0" class="quiet">{{ wording('logStage.empty') }}</p>
    <details
      v-if="may('history')"
      class="changes"
      data-test="changes"
      @toggle="changesOpen = ($event.target as HTMLDetailsElement).open"
    >
      <summary class="act">{{ wording('history.title') }}</summary>
      <HistoryList v-if="changesOpen" />
    </details>
  </div>
</template>

<style scoped>
.log {
  padding: 18px 30px 40px;
  max-width: 980px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
form {
  display: grid;
  grid-template-columns: 160px 1fr auto;
  gap: 22px;
  align-items: center;
  margin: 14px 0 8px;
  padding-bottom: 16px;
  border-bottom: 1px solid var(--ink);
}
.read {
  grid-column: 1 / -1;
}
.take {
  display: flex;
  flex-direction: column;
  align-items: start;
  gap: 4px;
}
.kind {
  color: var(--ink-2);
  font-size: 12.5px;
}
.open {
  display: grid;
  grid-template-columns: 160px 1fr;
  gap: 16px;
}
.figures-read {
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 230px 1fr auto;
  gap: 22px;
  padding: 14px 0;
  border-bottom: 1px solid var(--rule);
  align-items: start;
}
.when {
  display: flex;
  flex-direction: column;
}
.off {
  color: var(--ink-2);
  font-weight: 400;
  padding: 0;
}
li p {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-size: 14px;
}
@media (max-width: 700px) {
  .log {
    padding: 12px 16px 40px;
  }
  header {
    flex-wrap: wrap;
  }
  form,
  li {
    grid-template-columns: 1fr;
    gap: 8px;
  }
  .when {
    flex-direction: row;
    gap: 10px;
  }
  .off {
    justify-self: start;
  }
}
</style>
