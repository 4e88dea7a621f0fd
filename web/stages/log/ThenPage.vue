<script setup lang="ts">
import { computed, ref, shallowRef, toRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import { movedSince } from '../../../core/history/movedSince';
import { useAttempt } from '../../design/attempt';
import { useCommission } from '../../document/commissionStore';
import { before, type Before } from '../../document/history';
import { useSteadySize } from '../../drawing/steadySize';
import type { Ghost } from '../../drawing/GhostView.vue';
import BetweenViews from '../../frame/BetweenViews.vue';
import { useOptionFigures } from '../../frame/optionFigures';
import { useOptionPlans } from '../../frame/optionPlans';
import { momentDay, momentTime } from '../../units/days';
import { wording } from '../../words/wording';
import ThenViews from './ThenViews.vue';

/** The option that is open as it was before a save, beside as it is now: drawn, and in figures. */
const route = useRoute();
const commission = useCommission();
const was = shallowRef<Before>();
const said = ref('');
const { fault, attempt } = useAttempt();
watch(
  () => [commission.id, Number(route.query.before)] as const,
  ([id, edit]) =>
    attempt(async () => {
      // What is not saved yet stands in no history.
      await commission.flush();
      was.value = await before(id, commission.document!, edit);
      said.value = was.value ? '' : wording('history.notKnown');
    }),
  { immediate: true },
);

const then = computed(() => was.value?.document);
const [id, optionId] = [toRef(commission, 'id'), computed(() => commission.option!.id)];
const [plansThen, plansNow] = [useOptionPlans(id, then, optionId), useOptionPlans(id, toRef(commission, 'document'), optionId)]; // prettier-ignore
const figures = useOptionFigures();
const area = ref<HTMLElement>();
const { width } = useSteadySize(area);
const [GAP_PX, NARROW_PX, MOST_PX] = [28, 640, 560];
const columnPx = computed(() => Math.min(MOST_PX, width.value < NARROW_PX ? width.value : (width.value - GAP_PX) / 2)); // prettier-ignore
const sides = computed(() =>
  [
    { doc: then.value, plans: plansThen.value },
    { doc: commission.document, plans: plansNow.value },
  ].map(({ doc, plans }) => {
    const option = doc?.options.find((o) => o.id === optionId.value);
    const found = plans[optionId.value];
    if (!doc || !option || !found) return undefined;
    return { doc, option, found, figures: figures(found.plan, option, doc) };
  }),
);
/** Where what stands otherwise now, or not at all, stood then. */
const ghost = computed((): Ghost | undefined => {
  const [was, is] = sides.value.map((s) => s && { pieces: s.option.pieces, zMm: new Map(s.found.plan.survey.pieces.map((p) => [p.id, p.zMm])) });
  return was && is && { pieces: movedSince(was, is), zMm: was.zMm, frontMm: [] };
}); // prettier-ignore
const isMissing = computed(() => then.value && !then.value.options.some((o) => o.id === optionId.value));
/** What it was called, said once: the two have the same rows. */
const rows = computed(() => {
  const [a, b] = sides.value;
  return (a?.figures ?? []).map((row, i) => ({ name: row.name, was: row, is: b?.figures[i] }));
});
/** Drawn when it is asked for: two perspectives take a moment. */
const fromSeat = ref(false);
const seen = computed(() =>
  sides.value.map((s, i) => s && { ...s, name: wording(i === 0 ? 'then.asItWas' : 'then.now') }),
);
function bringBack(): void {
  commission.endStep();
  said.value = commission.tryEdit('as it was', () => then.value!) ?? wording('history.asItWas');
}
</script>

<template>
  <div ref="area" class="then" data-test="then">
    <header>
      <h1>{{ wording('then.title') }}</h1>
      <router-link class="act" :to="`/c/${commission.id}/log`">{{ wording('then.log') }}</router-link>
      <button v-if="was" class="act" data-test="bring" @click="bringBack">
        {{ wording('then.bring') }}
      </button>
    </header>
    <p v-if="fault || said" role="status" :class="{ late: fault }" data-test="then-said">
      {{ fault || said }}
    </p>
    <p v-if="isMissing">{{ wording('then.noOption') }}</p>
    <div v-if="was" class="sides">
      <section v-for="(side, i) in sides" :key="i" :data-side="i === 0 ? 'then' : 'now'">
        <h2>
          {{
            i === 0
              ? wording('then.was', { day: momentDay(was.edit.at), time: momentTime(was.edit.at) })
              : wording('then.now')
          }}
        </h2>
        <p class="quiet">
          {{
            i === 1 && ghost?.pieces.length ? wording('then.outline') : (i === 0 && was.edit.who) || '\u00a0'
          }}
        </p>
        <ThenViews
          v-if="side"
          :doc="side.doc"
          :option="side.option"
          :found="side.found"
          :width="columnPx"
          :ghost="i === 1 ? ghost : undefined"
        />
      </section>
    </div>
    <template v-if="was">
      <BetweenViews v-if="fromSeat" :sides="seen" :width="width" :label="wording('then.title')">
        <span>{{ wording('then.leftRight') }}</span>
      </BetweenViews>
      <button v-else class="act" data-test="show-between" @click="fromSeat = true">
        {{ wording('then.fromSeat') }}
      </button>
    </template>
    <table v-if="rows.length" data-test="then-figures">
      <tbody>
        <tr v-for="r in rows" :key="r.name" :class="{ same: r.was.text === r.is?.text }">
          <th scope="row">{{ r.name }}</th>
          <td><b>{{ r.was.text }}</b> <span class="quiet">{{ r.was.below }}</span></td>
          <td><b>{{ r.is?.text }}</b> <span class="quiet">{{ r.is?.below }}</span></td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.then {
  padding: 16px 24px 30px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: baseline;
}
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 28px;
}
h2 {
  margin: 10px 0 0;
}
p {
  margin: 0 0 6px;
}
table {
  border-collapse: collapse;
  margin-top: 16px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--ink-2);
  padding: 5px 14px 5px 0;
  vertical-align: top;
}
td {
  border-top: 1px solid var(--rule);
  padding: 5px 14px 5px 0;
  vertical-align: top;
  max-width: 420px;
}
.same b {
  font-weight: 400;
}
</style>
