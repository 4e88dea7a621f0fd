<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { asEntry, toWriteOff, writtenOff, type Over } from '../../../core/stock/afterBuild';
import type { ShelfEntry, Take } from '../../../core/stock/shelf';
import { unitFor } from '../../../core/units/quantity';
import { useAttempt } from '../../design/attempt';
import { api } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import { useFrame } from '../../frame/planKey';
import { today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** When it is built: what is over goes to the studio's shelf, what came from there is written off, each once. */
useLocalForm();
const commission = useCommission();
const { plan } = useFrame();
const f = useFigures();
const entries = shallowRef<readonly ShelfEntry[]>();
const { fault, attempt } = useAttempt();
async function load(): Promise<void> {
  entries.value = (await api.shelf(today())).entries;
}
void load().catch(() => undefined);

const isThere = (o: Over) => entries.value!.some((e) => e.from === commission.id && e.of === o.line);
const over = computed(() => plan.value?.over ?? []);
const used = computed(() => plan.value?.takes ?? []);
const left = (take: Take) => toWriteOff(entries.value!, take, commission.id);
/** As it was measured, where somebody did. */
const measured = ref<Record<string, number>>({});

/** What changes the shelf: it is read again afterwards. */
const change = (work: () => Promise<unknown>) => attempt(async () => (await work(), load()));
const put = (o: Over) =>
  change(() =>
    api.keepEntry('shelf', asEntry({ ...o, amount: measured.value[o.line] ?? o.amount }, f.words(o.name), commission.id, today())),
  ); // prettier-ignore
const writeOff = (take: Take) =>
  change(async () => {
    // As the shelf is now: somebody else may have taken of it.
    await load();
    for (const entry of writtenOff(entries.value!, take, commission.id)) await api.keepEntry('shelf', entry);
  });
</script>

<template>
  <section v-if="entries && over.length + used.length > 0" class="after" data-test="after-build">
    <h2>{{ wording('afterBuild.title') }}</h2>
    <p class="quiet">{{ wording('afterBuild.what') }}</p>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <ul>
      <li v-for="o in over" :key="o.line" :data-over="o.line">
        <span>{{ f.words(o.name) }}</span>
        <b v-if="isThere(o)" class="done">{{ wording('afterBuild.there') }}</b>
        <template v-else>
          <FigureField
            :label="wording('afterBuild.over')"
            kind="plain"
            :unit="unitFor(measured[o.line] ?? o.amount, o.unit)"
            :value="measured[o.line] ?? o.amount"
            :apply="(n) => void (measured[o.line] = n!)"
          />
          <button class="act" @click="put(o)">{{ wording('afterBuild.put') }}</button>
        </template>
      </li>
      <li v-for="t in used" :key="`${t.of} ${t.unit}`" :data-used="t.of">
        <span>{{ t.name }}</span>
        <b v-if="left(t) === 0" class="done">{{
          wording('afterBuild.written', { amount: f.said(t.amount, t.unit) })
        }}</b>
        <template v-else>
          <span>{{ wording('afterBuild.used', { amount: f.said(left(t), t.unit) }) }}</span>
          <button class="act" @click="writeOff(t)">{{ wording('afterBuild.write') }}</button>
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.after {
  border-top: 1px solid var(--ink);
  margin-top: 22px;
  padding-top: 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(180px, 1fr) 150px 170px;
  gap: 0 18px;
  align-items: end;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
li > span {
  padding-bottom: 6px;
}
.done {
  color: var(--celadon);
  padding-bottom: 6px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr auto;
  }
  li > span:first-child {
    grid-column: 1 / -1;
  }
}
.act {
  justify-self: start;
}
</style>
