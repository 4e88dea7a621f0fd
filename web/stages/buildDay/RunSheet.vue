<script setup lang="ts">
import { computed } from 'vue';
import { clockOf, endsOf, type BuildPlan } from '../../../core/buildDay/buildPlan';
import type { SittingPlan } from '../../../core/buildDay/sittingPlan';
import { sittingTitle } from '../../../core/sittings/sittings';
import { useCommission } from '../../document/commissionStore';
import { longDate, weekDay } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** The day as a list to tick off, made for paper and for a phone in the other hand. */
const props = defineProps<{ build: BuildPlan }>();
const commission = useCommission();
const { words } = useFigures();
/** Tasks with who does them, of the build day or of a sitting before it. */
const rowsOf = ({ tasks, crew, startTime }: Pick<SittingPlan, 'tasks' | 'crew' | 'startTime'>) =>
  tasks.map((t) => ({
    ...t,
    who: t.crew.map((p) => words(crew[p])).join(' + '),
    from: clockOf(startTime, t.startMin),
    to: clockOf(startTime, t.endMin),
  }));
const days = computed(() => [
  ...props.build.earlier.map((s) => ({
    id: s.id,
    title: `${longDate(s.day)}: ${words(sittingTitle(s))}`,
    rows: rowsOf(s),
    left: s.left,
    note: s.note,
  })),
  {
    id: 'build',
    title: props.build.earlier.length > 0 ? wording('runSheet.build', { day: longDate(props.build.buildDay) }) : 'On the day',
    rows: rowsOf(props.build),
    left: undefined,
    note: undefined,
  },
]); // prettier-ignore
</script>

<template>
  <article class="run on-paper" data-test="sheet-list">
    <header>
      <h1>{{ commission.document?.title }}</h1>
      <p>
        {{
          [
            longDate(build.buildDay),
            commission.document?.brief.client?.place,
            commission.document?.brief.client?.contact,
          ]
            .filter(Boolean)
            .join(', ')
        }}. {{ build.crew.map(words).join(', ') }} from {{ build.startTime }}; {{ words(endsOf(build)) }}.
      </p>
    </header>
    <section v-if="build.beforehand.length">
      <h2>Before</h2>
      <p v-for="b in build.beforehand" :key="`${b.kind} ${b.day}`" class="row">
        <i /><b class="at">{{ weekDay(b.day) }}</b
        ><span class="what"
          ><b>{{ words(b.title) }}</b> {{ words(b.detail)
          }}<template v-if="b.because">. {{ words(b.because) }}</template></span
        >
      </p>
    </section>
    <section v-for="d in days" :key="d.id" data-test="sheet-day">
      <h2>{{ d.title }}</h2>
      <p v-if="d.note">{{ d.note }}</p>
      <p v-for="t in d.rows" :key="t.id" class="row">
        <i /><b class="at">{{ t.from }}–{{ t.to }}</b><span class="who">{{ t.who }}</span>
        <span class="what"
          ><b>{{ words(t.title) }}</b> {{ words(t.detail)
          }}<template v-if="t.cure">. Leave it {{ t.cure.minutes }} min</template
          ><em v-if="t.caution">{{ words(t.caution) }}</em></span
        >
      </p>
    </section>
    <section v-for="(v, n) in build.visits" :key="n" data-test="visit-sheet-later">
      <h2>
        {{ longDate(v.day) }}: {{ v.sitting ? words(sittingTitle(v.sitting)) : wording('runSheet.visit')
        }}<template v-if="v.sitting">, {{ wording('runSheet.from', { start: v.sitting.start }) }}</template>
      </h2>
      <p v-if="v.sitting?.note">{{ v.sitting.note }}</p>
      <p v-for="(t, i) in v.tasks" :key="i" class="row">
        <i /><b class="at">{{ Math.round(t.minutes) }} min</b
        ><span class="what"
          ><b>{{ words(t.title) }}</b> {{ words(t.detail)
          }}<em v-if="t.caution">{{ words(t.caution) }}</em></span
        >
      </p>
    </section>
  </article>
</template>

<style scoped>
.run {
  padding: 22px 26px;
  max-width: 820px;
  border: 1px solid var(--rule);
  margin-top: 12px;
}
h2 {
  margin: 14px 0 4px;
}
.row {
  display: grid;
  grid-template-columns: 14px 96px auto 1fr;
  gap: 0 10px;
  padding: 5px 0;
  border-bottom: 1px solid #ddd6c9;
  break-inside: avoid;
  align-items: baseline;
}
.row i {
  width: 11px;
  height: 11px;
  border: 1.3px solid #1d1b19;
}
.who {
  min-width: 56px;
}
section:first-of-type .row .what {
  grid-column: 3 / 5;
}
em {
  display: block;
  font-style: normal;
  font-size: 12px;
  color: #8a3a0c;
}
@media print {
  .run {
    border: 0;
    padding: 0;
    max-width: none;
    margin: 0;
    font-size: 11pt;
  }
  em {
    color: #000;
    font-style: italic;
  }
}
@media (max-width: 700px) {
  .run {
    padding: 12px;
  }
  .row {
    grid-template-columns: 14px 1fr;
  }
  .row .at,
  .row .who,
  .row .what {
    grid-column: 2;
  }
}
</style>
