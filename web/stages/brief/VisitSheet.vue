<script setup lang="ts">
import { computed } from 'vue';
import { useCommission } from '../../document/commissionStore';
import { may } from '../../document/people';
import SendSheet from '../../frame/links/SendSheet.vue';
import { MEASURES, TOPICS } from './questions';
import { wording } from '../../words/wording';

/** The first visit on paper: the same questions in the same order, with lines to write on. */
const commission = useCommission();
const doc = computed(() => commission.document!);
const print = () => window.print();
</script>

<template>
  <article class="visit on-paper">
    <p class="screen-only bar">
      <router-link class="act" :to="`/c/${commission.id}/brief`">Back to the brief</router-link>
      <button class="solid" @click="print">Print</button>
    </p>
    <SendSheet v-if="may('links')" sheet=".visit" :title="wording('visitSheet.title')" />
    <header>
      <h1>{{ wording('visitSheet.title') }}</h1>
      <p>
        {{ doc.studio?.name }}<template v-if="doc.studio?.phone">, {{ doc.studio.phone }}</template
        ><template v-if="doc.studio?.address">, {{ doc.studio.address }}</template><br />{{ doc.title }} ·
        date ____________ · by ____________
      </p>
    </header>
    <div class="pages">
      <section v-for="t in [...TOPICS, ...MEASURES]" :key="t.id">
        <h2>{{ t.title }}</h2>
        <div v-for="q in t.questions" :key="q.id" class="q">
          <p><b>{{ q.asks }}</b> <span>{{ q.why }}</span></p>
          <p v-if="q.ticks" class="ticks">
            <span v-for="tick in q.ticks" :key="tick"><i /> {{ tick }}</span>
          </p>
          <svg v-if="q.id === 'seats'" class="room" viewBox="0 0 400 120" aria-hidden="true">
            <rect x="0.5" y="0.5" width="399" height="119" />
            <rect x="150" y="8" width="100" height="24" />
            <text x="200" y="24" text-anchor="middle">tank</text>
            <text x="8" y="112">{{ wording('visitSheet.room') }}</text>
          </svg>
          <div v-for="n in q.lines ?? 1" v-else :key="n" class="line" />
        </div>
      </section>
      <section>
        <h2>Photographs</h2>
        <p>{{ wording('visitSheet.pictures') }}</p>
      </section>
    </div>
    <footer>
      {{ wording('visitSheet.caution') }}
    </footer>
  </article>
</template>

<style scoped>
.visit {
  max-width: 800px;
  margin: 0 auto;
  padding: 20px 30px 40px;
  font-size: 12px;
}
.bar {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: flex-end;
  border-bottom: 1.5px solid #1c1a18;
  padding-bottom: 6px;
}
header p {
  text-align: right;
}
.pages {
  columns: 2;
  column-gap: 26px;
  margin-top: 10px;
}
section {
  break-inside: avoid;
  margin-bottom: 10px;
}
h2 {
  font-size: 15px;
  margin-bottom: 2px;
}
.q {
  margin-bottom: 5px;
}
.q span {
  color: #55504a;
}
.line {
  height: 19px;
  border-bottom: 1px solid #b8b0a4;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding-top: 2px;
}
.ticks i {
  display: inline-block;
  width: 10px;
  height: 10px;
  border: 1px solid #1c1a18;
  vertical-align: -1px;
}
.room {
  width: 100%;
  margin-top: 4px;
}
.room rect {
  fill: none;
  stroke: #8d857a;
}
.room text {
  font: 400 11px var(--text);
  fill: #55504a;
}
footer {
  border-top: 1px solid #b8b0a4;
  padding-top: 6px;
}
@media print {
  .visit {
    padding: 0;
    max-width: none;
    font-size: 10.5px;
  }
}
</style>
