<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { asItWas, withoutChange } from '../../../core/history/asItWas';
import { editWords } from '../../../core/history/changeWords';
import type { Change } from '../../../core/commission/changes';
import { useAttempt } from '../../design/attempt';
import { api, type Edit } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import { changesOf } from '../../document/history';
import { momentDay, momentTime } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What was changed in the commission, by day and person: one thing is taken back, or all goes back to as it was. */
const commission = useCommission();
const { words } = useFigures();
const { fault, attempt } = useAttempt();
const edits = shallowRef<readonly Edit[]>([]);
const isWhole = ref(false);
const more = () =>
  attempt(async () => {
    const page = await api.history(commission.id, edits.value.at(-1)?.id);
    edits.value = [...edits.value, ...page.edits];
    isWhole.value = !page.more;
  });
void more();
/** What was saved meanwhile stands first. */
watch(
  () => commission.revision,
  () =>
    attempt(async () => {
      const [page, first] = [(await api.history(commission.id)).edits, edits.value[0]?.id ?? 0];
      edits.value = [...page.filter((e) => e.id > first), ...edits.value];
    }),
);

/** So many lines of one save are told. */
const MOST_LINES = 8;
const saves = computed(() =>
  edits.value.map((e) => {
    const changes = changesOf(e);
    const lines = (changes ? editWords(changes, commission.document!) : []).map((l, i) => ({ ...l, change: changes![i] }));
    return { ...e, lines: lines.slice(0, MOST_LINES), besides: Math.max(0, lines.length - MOST_LINES), isMuch: !changes };
  }),
); // prettier-ignore
const said = ref('');
/** One thing, where it still is what that save made of it. */
function takeBack(change: Change): void {
  const { document: now, clashes } = withoutChange(commission.document!, change);
  said.value = wording(clashes.length > 0 ? 'history.since' : 'history.back');
  if (clashes.length > 0) return;
  commission.endStep();
  commission.tryEdit('taken back', () => now);
}
/** All of it as it stood before a save: an edit like any other, that can be undone. */
function goBack(i: number): void {
  const before = asItWas(commission.document!, edits.value.slice(0, i + 1).map(changesOf)); // prettier-ignore
  if (!before) return void (said.value = wording('history.notKnown'));
  commission.endStep();
  said.value = commission.tryEdit('as it was', () => before) ?? wording('history.asItWas');
}
</script>

<template>
  <section data-test="history">
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <p v-if="said" role="status" data-test="history-said">{{ said }}</p>
    <p v-if="edits.length === 0 && isWhole" class="quiet">{{ wording('history.none') }}</p>
    <ol>
      <li v-for="(e, i) in saves" :key="e.id" :data-edit="e.revision">
        <p class="who">
          <b>{{ momentDay(e.at) }}</b> {{ momentTime(e.at) }}
          <span class="quiet">{{ e.who ?? wording('history.somebody') }}</span>
          <router-link
            v-if="!e.isMuch"
            class="act"
            data-test="look"
            :to="{ name: 'then', query: { before: e.id } }"
            >{{ wording('history.look') }}</router-link
          >
          <button class="act" data-test="as-it-was" @click="goBack(i)">
            {{ wording('history.before') }}
          </button>
        </p>
        <p v-if="e.isMuch">{{ wording('history.much') }}</p>
        <p v-for="l in e.lines" :key="l.place" class="line">
          {{ words(l.says) }}
          <button class="act" data-test="take-back" @click="takeBack(l.change)">
            {{ wording('history.takeBack') }}
          </button>
        </p>
        <p v-if="e.besides" class="quiet">{{ wording('history.besides', { count: e.besides }) }}</p>
      </li>
    </ol>
    <button v-if="!isWhole && edits.length" class="act" @click="more">{{ wording('history.more') }}</button>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
p {
  margin: 0;
}
.who,
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}
.line {
  padding-left: 18px;
}
</style>
