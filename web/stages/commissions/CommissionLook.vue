<script setup lang="ts">
import type { Glance } from '../../../core/pipeline/glance';
import type { Listed } from '../../document/api';
import { daysAway, shortDay, today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import ScapeGlance from './ScapeGlance.vue';

/** A commission looked at without opening it: how much goes in, what is to settle, what comes next. */
defineProps<{ row: Listed; glance: Glance }>();
const { shown, words } = useFigures();
const AMOUNTS: Record<Glance['amounts'][number]['what'], string> = {
  water: 'Water',
  bed: 'Bed',
  stone: 'Stone',
  wood: 'Wood',
  plugs: 'Plants',
};
</script>

<template>
  <section class="look" :aria-label="wording('commissionLook.of', { title: row.title })" data-test="look">
    <ScapeGlance :row="row" :glance="glance" :box="[240, 130]" />
    <dl>
      <template v-for="a in glance.amounts" :key="a.what">
        <dt class="quiet">{{ AMOUNTS[a.what] }}</dt>
        <dd>{{ shown(a.value, a.unit, 1).text }} {{ shown(a.value, a.unit, 1).unit }}</dd>
      </template>
    </dl>
    <div>
      <h3>To settle</h3>
      <p v-for="(says, i) in glance.worst" :key="i">{{ words(says) }}</p>
      <p v-if="glance.toSettle > glance.worst.length" class="quiet">
        {{ wording('commissionLook.more', { count: glance.toSettle - glance.worst.length }) }}
      </p>
      <p v-if="glance.worst.length === 0" class="quiet">Nothing.</p>
    </div>
    <div>
      <h3>Next</h3>
      <p v-for="u in glance.upcoming" :key="`${u.day} ${words(u.what)}`" :class="{ late: u.day < today() }">
        <b>{{ shortDay(u.day) }}</b> {{ words(u.what) }} <span class="quiet">{{ daysAway(u.day) }}</span>
      </p>
      <p v-if="glance.upcoming.length === 0" class="quiet">Nothing.</p>
    </div>
  </section>
</template>

<style scoped>
.look {
  flex-basis: 100%;
  display: grid;
  grid-template-columns: 240px 120px 1fr 1fr;
  gap: 26px;
  align-items: start;
  padding: 10px 0 18px;
}
h3 {
  margin: 0 0 4px;
  font: 500 15px var(--title);
}
p {
  margin: 0 0 4px;
  font-size: 13px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 10px;
  margin: 0;
  font-size: 13px;
}
dd {
  margin: 0;
  text-align: right;
}
@media (max-width: 1000px) {
  .look {
    grid-template-columns: 1fr;
    gap: 12px;
  }
}
</style>
