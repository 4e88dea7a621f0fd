<script setup lang="ts">
import { MOST_LIGHT_HOURS } from '../../../core/light/photoperiod';
import { computed } from 'vue';
import type { CareDay } from '../../../core/care/careDay';
import type { CarePlan } from '../../../core/care/carePlan';
import { dayName, shortDay } from '../../units/days';

/** Eight weeks of little tanks: how much water, whether a test, whether food, and the light of the week. */
const props = defineProps<{ care: CarePlan }>();

const days = computed(() => props.care.weeks[0].days.map((d) => dayName(d.day)));
/** The month stands at the first day shown and at each first of a month. */
const label = (d: CareDay) =>
  d.afterDays === 1 || d.day.endsWith('-01') ? shortDay(d.day) : String(Number(d.day.slice(8)));
const percent = (share: number) => `${Math.round(share * 100)} %`;
const BAR = 82;
/** The whole bar is eight hours at full output, or as many as the light is on where that is more. */
const mostHours = computed(() => Math.max(MOST_LIGHT_HOURS, ...props.care.weeks.map((w) => w.hours)));
</script>

<template>
  <table class="calendar">
    <thead>
      <tr>
        <td />
        <th v-for="d in days" :key="d" scope="col">{{ d }}</th>
        <th class="light" scope="col">light</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="w in care.weeks" :key="w.week">
        <th scope="row">Week {{ w.week }}<small>{{ w.hours }} h, {{ percent(w.outputShare) }}</small></th>
        <td v-for="d in w.days" :key="d.day" :class="{ change: d.change }">
          <svg
            width="44"
            height="31"
            viewBox="0 0 44 31"
            :aria-label="`${d.day}${d.change ? `, change ${Math.round(d.change.litres)} litres` : ''}${d.test ? ', test' : ''}${d.doses ? ', feed' : ''}`"
            role="img"
          >
            <rect
              v-if="d.change"
              x="1.5"
              :y="29 - 21 * d.change.share"
              width="41"
              :height="21 * d.change.share"
              fill="#a9c7d4"
            />
            <path
              d="M1.5 1 V29.5 H42.5 V1"
              fill="none"
              :stroke="d.change ? '#23211e' : '#cfc8bc'"
              :stroke-width="d.change ? 1.5 : 1"
            />
            <text x="22" y="13" text-anchor="middle" :class="{ on: d.change || d.test || d.events.length }">
              {{ label(d) }}
            </text>
            <g v-if="d.test">
              <rect x="31" y="17" width="10" height="12" fill="#42715e" />
              <text x="36" y="26.5" text-anchor="middle" class="test">T</text>
            </g>
            <circle v-if="d.doses" cx="7.5" cy="23.5" r="3.2" fill="#b08968" />
          </svg>
        </td>
        <td class="light">
          <svg :width="BAR + 2" height="16">
            <rect x="0.5" y="0.5" :width="BAR" height="15" fill="none" stroke="#e0d8c6" />
            <rect
              x="0.5"
              y="0.5"
              :width="(BAR * w.hours * w.outputShare) / mostHours"
              height="15"
              fill="#e9dcb4"
            />
            <text x="6" y="12" class="on">{{ w.hours }} h, {{ percent(w.outputShare) }}</text>
          </svg>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.calendar {
  width: 100%;
  border-collapse: collapse;
  margin: 16px 0 6px;
}
th {
  font-weight: 400;
  font-size: 12px;
  color: #6b645b;
  text-align: center;
}
th[scope='row'] {
  font: 500 15px var(--title);
  color: #23211e;
  text-align: left;
  white-space: nowrap;
}
td {
  text-align: center;
  padding: 4px 0;
}
td svg {
  vertical-align: middle;
}
.light {
  text-align: right;
}
text {
  font: 400 11px var(--text);
  fill: #6f685e;
}
text.on {
  fill: #23211e;
}
text.test {
  font: 700 9px var(--text);
  fill: #fff;
}
small {
  display: block;
  font: 400 11px var(--text);
  color: #6b645b;
}
@media screen and (min-width: 701px) {
  small {
    display: none;
  }
}
@media screen and (max-width: 700px) {
  .light {
    display: none;
  }
  td svg {
    width: 100%;
  }
  th[scope='row'] {
    font-size: 13px;
  }
}
@media print {
  small {
    display: none;
  }

  td {
    padding: 2.5px 0;
  }
  svg {
    print-color-adjust: exact;
    -webkit-print-color-adjust: exact;
  }
}
</style>
