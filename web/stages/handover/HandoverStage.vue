<script setup lang="ts">
import { computed } from 'vue';
import { WATER_SCHOOLS, type WaterSchool } from '../../../core/commission/schema';
import { SCHOOLS } from '../../../core/regime/waterSchools';
import { api } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { may, mySight } from '../../document/people';
import { useCommission } from '../../document/commissionStore';
import SendSheet from '../../frame/links/SendSheet.vue';
import FindingList from '../../frame/FindingList.vue';
import { useFigures } from '../../units/figures';
import { usePreferences } from '../../units/preferences';
import { useFrame } from '../../frame/planKey';
import CareGuide from './CareGuide.vue';
import { stockWords } from './stockWords';
import { wording } from '../../words/wording';

const commission = useCommission();
const { plan, field } = useFrame();
const { words } = useFigures();
const preferences = usePreferences();
const care = computed(() => plan.value?.care);
const doc = computed(() => commission.document!);

const SCHOOL_ITEMS = WATER_SCHOOLS.map((value) => ({ value, title: words(SCHOOLS[value].title) }));
function choose(water: WaterSchool): void {
  commission.tryEdit('school water', (d) => ({
    ...d,
    brief: { ...d.brief, schools: { ...d.brief.schools, water } },
  }));
}
const asked = computed(() =>
  [0, 4, 7].map((i) => ({
    name: i === 7 ? 'From week 8' : `Week ${i + 1}`,
    minutes: care.value!.weeks[i].minutes,
  })),
);
const findings = computed(() => plan.value?.findings.filter((f) => f.id.startsWith('care.')) ?? []);
const lean = computed(() => {
  const [first, last] = [care.value!.weeks[0], care.value!.weeks[7]];
  return wording('handoverStage.light', {
    hours: first.hours,
    percent: Math.round(first.outputShare * 100),
    lastHours: last.hours,
    lastPercent: Math.round(last.outputShare * 100),
  });
});
const print = () => window.print();
</script>

<template>
  <div v-if="plan && care && field" class="handover">
    <div class="desk">
      <CareGuide
        :care="care"
        :commission="doc"
        :option="doc.options.find((o) => o.id === doc.chosen)!"
        :plan="plan"
        :field="field"
      />
    </div>
    <aside class="side screen-only">
      <div class="acts">
        <button class="solid" data-test="print-guide" @click="print">Print the guide</button>
        <FileLink :href="api.calendar(commission.id, commission.document!.chosen, preferences, 'care')"
          >Its calendar</FileLink
        >
      </div>
      <SendSheet v-if="may('links')" sheet="[data-test='care-guide']" :title="doc.title" dates class="send" />
      <header v-if="!mySight()">
        <h2>Schools</h2>
        <span class="quiet">yours to choose</span>
      </header>
      <v-select
        v-if="!mySight()"
        label="Water"
        :items="SCHOOL_ITEMS"
        :model-value="care.water.school"
        data-test="school"
        @update:model-value="choose"
      />
      <p class="quiet">{{ words(care.water.rule) }}</p>
      <dl>
        <dt>Light</dt>
        <dd>{{ lean }}</dd>
        <dt>Dosing</dt>
        <dd>{{ words(care.dosing.rule) }}</dd>
        <template v-if="care.stock">
          <dt>Stock</dt>
          <dd data-test="stock">{{ stockWords(care.stock, words) }}</dd>
        </template>
      </dl>
      <h2>What it asks of the client</h2>
      <dl class="asked">
        <template v-for="a in asked" :key="a.name"
          ><dt>{{ a.name }}</dt>
          <dd><b>{{ a.minutes }}</b> <span class="unit">min a week</span></dd></template
        >
      </dl>
      <FindingList :findings="findings" />
    </aside>
  </div>
</template>

<style scoped>
.handover {
  display: flex;
  min-height: 100%;
}
.desk {
  flex: 1;
  min-width: 0;
  padding: 20px 28px 40px;
}
.side {
  width: 272px;
  flex: none;
  background: var(--paper);
  border-left: 1px solid var(--rule);
  padding: 16px 18px;
}
.acts {
  display: flex;
  gap: 18px;
  align-items: center;
  margin-bottom: 14px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  margin-bottom: 10px;
}
.send {
  margin-bottom: 16px;
}
dl {
  display: grid;
  grid-template-columns: 66px 1fr;
  margin: 8px 0 18px;
}
dt {
  font-weight: 600;
  font-size: 12.5px;
}
dt,
dd {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  margin: 0;
}
dd {
  text-align: right;
  color: var(--ink-2);
  font-size: 12.5px;
}
.asked {
  grid-template-columns: 1fr auto;
}
.asked dt {
  font-weight: 400;
  color: var(--ink-2);
}
.asked b {
  font-size: 15px;
  color: var(--ink);
}
@media print {
  .handover {
    display: block;
  }
  .desk {
    padding: 0;
  }
}
@media (max-width: 1150px) {
  .side {
    width: 226px;
    padding: 14px;
  }
  .desk {
    padding: 14px;
  }
}
@media (max-width: 700px) {
  .handover {
    display: block;
  }
  .side {
    width: auto;
    border: 0;
  }
  .desk {
    padding: 0;
  }
}
</style>
