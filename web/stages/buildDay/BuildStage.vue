<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { endsOf } from '../../../core/buildDay/buildPlan';
import { whyNotEarlier } from '../../../core/buildDay/whyNot';
import { BUILD, sittingTitle } from '../../../core/sittings/sittings';
import { longDay, weekDay } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import { useCommission } from '../../document/commissionStore';
import { may, me, mySight } from '../../document/people';
import { useFrame } from '../../frame/planKey';
import SendSheet from '../../frame/links/SendSheet.vue';
import DayChart from './DayChart.vue';
import DayNotes from './DayNotes.vue';
import RunSheet from './RunSheet.vue';
import SittingAdd from './SittingAdd.vue';
import SittingColumns from './SittingColumns.vue';
import SittingForm from './SittingForm.vue';
import { useSittings } from './useSittings';
import WhoIsOn from './WhoIsOn.vue';

const { plan } = useFrame();
const { words } = useFigures();
/** The list has an address of its own, to be handed on; a phone in the other hand shows it first, and the clock when asked. */
const route = useRoute();
const commission = useCommission();
const narrow = window.matchMedia('(max-width: 700px)').matches;
const sheet = computed(() => route.name === 'run-sheet' || (narrow && route.query.day === undefined));

const build = computed(() => plan.value?.build);
/** The task of which it is asked why it is not earlier. */
const asked = ref<string>();
const { chosen, hasSeveral, shown, said, add, move } = useSittings(() => build.value);
const title = computed(() => {
  if (!hasSeveral.value || !shown.value) return 'Build day';
  return sheet.value ? 'Run sheet' : words(sittingTitle(shown.value));
});
/** From the first of the days to the last. */
const span = computed(() => {
  const days = [
    ...build.value!.earlier.map((s) => s.day),
    build.value!.buildDay,
    ...build.value!.visits.map((v) => v.day),
  ];
  return wording('runSheet.days', { count: days.length, from: longDay(days[0]), to: longDay(days.at(-1)!) });
});
const task = computed(() => shown.value?.tasks.find((t) => t.id === asked.value));
const why = computed(() => task.value && whyNotEarlier(task.value, shown.value!.tasks));
/** A task of a minute is too small for a finger: from one near it one goes on by these. */
const inTurn = computed(() =>
  [...shown.value!.tasks].sort((a, b) => a.startMin - b.startMin || a.crew[0] - b.crew[0]),
);
const beside = (by: 1 | -1) => inTurn.value[inTurn.value.findIndex((t) => t.id === asked.value) + by];
const ask = (id: string) => (asked.value = asked.value === id ? undefined : id);
const NUMBERS = ['', 'one person', 'two people', 'three people', 'four people'];
const print = () => window.print();
function choose(id: string): void {
  [chosen.value, asked.value] = [id, undefined];
}
</script>

<template>
  <div v-if="build" class="build">
    <div class="main">
      <header class="screen-only">
        <h1>{{ title }}</h1>
        <p v-if="sheet && hasSeveral" class="quiet">{{ span }}</p>
        <p v-else-if="shown" class="quiet">
          {{ longDay(shown.day) }}, {{ NUMBERS[shown.crew.length] }} from {{ shown.startTime }};
          {{ words(endsOf(shown)) }}
        </p>
        <SittingAdd v-if="!sheet && !mySight()" @add="add" />
        <router-link
          class="act"
          data-test="run-sheet"
          :to="`/c/${commission.id}/${sheet ? 'build?day' : 'run-sheet'}`"
          >{{ sheet ? '← The day' : 'Run sheet →' }}</router-link
        >
        <button v-if="sheet" class="act" @click="print">Print</button>
      </header>
      <ul v-if="!sheet && build.beforehand.length" class="before screen-only">
        <li v-for="b in build.beforehand" :key="`${b.kind} ${b.day}`">
          <b>{{ weekDay(b.day) }}</b> {{ words(b.title) }}
          <span class="quiet"
            >{{ words(b.detail) }}<template v-if="b.because">. {{ words(b.because) }}</template></span
          >
        </li>
      </ul>
      <SittingColumns
        v-if="!sheet && hasSeveral"
        class="screen-only"
        :build="build"
        :brief="commission.document!.brief"
        :chosen="chosen"
        @choose="choose"
        @move="move"
      />
      <p class="screen-only quiet said" aria-live="polite">{{ said }}</p>
      <DayChart
        v-if="!sheet && shown"
        class="screen-only"
        :build="shown"
        :asked="asked"
        :waited-for="why?.waitedFor"
        @ask="ask"
      />
      <RunSheet :class="{ printed: !sheet }" :build="build" />
    </div>
    <DayNotes v-if="shown" class="screen-only" :build="build" :sitting="shown">
      <SendSheet
        v-if="sheet && may('links')"
        sheet="[data-test='sheet-list']"
        :title="commission.document!.title"
        class="send"
      />
      <WhoIsOn v-if="may('members') && me?.open === false" />
      <SittingForm v-if="hasSeveral && !mySight()" :id="chosen" :key="chosen" @gone="choose(BUILD)" />
      <section v-if="task && why" class="why" data-test="why" aria-live="polite">
        <header>
          <h2>Why not earlier?</h2>
          <span class="quiet">{{ words(task.short ?? task.title) }}</span>
        </header>
        <p class="steps">
          <button class="act" :disabled="!beside(-1)" data-test="task-before" @click="asked = beside(-1)?.id">
            ← Before it
          </button>
          <button class="act" :disabled="!beside(1)" data-test="task-after" @click="asked = beside(1)?.id">
            After it →
          </button>
        </p>
        <p>{{ [why.says, why.because].flatMap((t) => (t ? words(t) : [])).join(' ') }}</p>
      </section>
    </DayNotes>
  </div>
</template>

<style scoped>
.send {
  margin-bottom: 16px;
}
.why {
  margin-bottom: 18px;
}
.why p {
  margin: 4px 0 0;
}
.why .steps {
  display: flex;
  gap: 16px;
}
.build {
  display: flex;
  min-height: 100%;
}
.main {
  flex: 1;
  min-width: 0;
  padding: 16px 24px 30px 30px;
  /* A day that is added above does not push the page away from under the hand. */
  overflow-anchor: none;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
  flex-wrap: wrap;
}
header .act {
  margin-left: auto;
}
header .act + .act {
  margin-left: 0;
}
.said {
  margin: 2px 0 0;
  font-size: 12px;
}
.before {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 3px 26px;
  font-size: 12.5px;
}
@media screen {
  .printed {
    display: none;
  }
}
@media print {
  .build {
    display: block;
  }
  .main {
    padding: 0;
  }
}
@media (max-width: 700px) {
  .build {
    display: block;
  }
  .main {
    padding: 12px;
  }
}
</style>
