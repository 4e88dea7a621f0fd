<script setup lang="ts">
import type { CareDay } from '../../../core/care/careDay';
import type { CarePlan } from '../../../core/care/carePlan';
import { weekDay } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** The calendar in words, day by day, for who reads the guide where its little tanks are not drawn: by a link, on a telephone. */
defineProps<{ care: CarePlan; notes: readonly string[] }>();
const f = useFigures();
/** What stands beside a mark on paper begins a line of its own here. */
const sentence = (says: string) =>
  `${says.charAt(0).toUpperCase()}${says.slice(1)}${/[.!?]$/.test(says) ? '' : '.'}`;
const done = (d: CareDay) =>
  [
    d.change ? wording('careDays.change', { litres: f.volume(d.change.litres, 0) }) : '',
    d.test ? wording('careDays.test') : '',
    d.doses ? wording('careDays.feed') : '',
  ].filter(Boolean);
</script>

<template>
  <div class="for-link" aria-hidden="true">
    <p v-for="n in notes" :key="n">{{ sentence(n) }}</p>
    <section v-for="w in care.weeks" :key="w.week">
      <h3>
        {{
          wording('careDays.week', { week: w.week, hours: w.hours, percent: Math.round(w.outputShare * 100) })
        }}
      </h3>
      <ul>
        <template v-for="d in w.days" :key="d.day">
          <li v-if="done(d).length">{{ weekDay(d.day) }}: {{ done(d).join(', ') }}</li>
        </template>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.for-link {
  display: none;
}
</style>
