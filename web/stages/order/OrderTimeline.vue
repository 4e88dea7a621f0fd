<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Beforehand } from '../../../core/buildDay/task';
import { dayPlus, daysFrom, weekdayOf } from '../../../core/calendar/day';
import type { Order, OrderLine } from '../../../core/ordering/order';
import { useFigures } from '../../units/figures';
import { shortDay, today, weekDay } from '../../units/days';
import { useSteadySize } from '../../drawing/steadySize';

/** The weeks before the build day as one line: order by, on the road, waiting or soaking, build. */
const props = defineProps<{ order: Order; beforehand: Beforehand[] }>();
const { words } = useFigures();
const box = ref<HTMLElement>();
const { width } = useSteadySize(box);
const LEFT = 150;
const ROW = 26;
const TOP = 24;

const bars = computed(() => [...toOrder.value, ...coming.value]);
/** Orders that were confirmed, each on its day. */
const coming = computed(() =>
  props.order.suppliers.flatMap((s) =>
    [...new Map(s.coming.flatMap((c) => (c.day ? [[c.supplierReference, c.day] as const] : [])))].map(
      ([reference, day]) => ({
        key: reference,
        name: s.name,
        from: day,
        to: day,
        needed: props.order.buildDay,
        used: props.order.buildDay,
        comes: true,
      }),
    ),
  ),
);
/** Lines of one supplier that travel together are one bar: a single thing by its name. */
const toOrder = computed(() =>
  props.order.suppliers.flatMap((s) => {
    const together = new Map<string, OrderLine[]>();
    for (const l of s.lines) {
      const key = `${s.supplier} ${l.orderBy} ${l.neededOn} ${l.usedOn}`;
      if (l.orderBy && l.arriveBy) together.set(key, [...(together.get(key) ?? []), l]);
    }
    return [...together].map(([key, lines]) => ({
      key,
      name: new Set(lines.map((l) => words(l.name))).size === 1 ? words(lines[0].name) : s.name,
      from: lines[0].orderBy!,
      to: lines[0].arriveBy!,
      needed: lines[0].neededOn,
      used: lines[0].usedOn,
      comes: false,
    }));
  }),
);
const dotOf = (b: { comes: boolean; from: string }) =>
  b.comes ? 'var(--celadon)' : b.from < today() ? 'var(--warn)' : 'var(--ink)';
const first = computed(() => {
  const days = [today(), ...bars.value.map((b) => b.from), ...props.beforehand.map((b) => b.day)].sort();
  return dayPlus(days[0], -2);
});
/** To the build day, and to what is needed after it. */
const last = computed(() => {
  const days = [props.order.buildDay, ...bars.value.map((b) => b.used)].sort();
  return dayPlus(days.at(-1)!, 2);
});
const X = (day: string) =>
  LEFT +
  (daysFrom(first.value, day) / Math.max(1, daysFrom(first.value, last.value))) * (width.value - LEFT - 8);
/** Words stand before their day, on nothing that is drawn, wherever there is room for them. */
const isBefore = (day: string) => X(day) - LABEL_PX - 12 > LEFT;
/** Lines that are drawn at most: an order for years ahead has one for every few weeks. */
const MOST_LINES = 60;
const mondays = computed(() => {
  const week = Array.from({ length: 7 }, (_, i) => dayPlus(first.value, i));
  const monday = week.find((d) => weekdayOf(d) === 'mon')!;
  const weeks = Math.max(0, Math.ceil(daysFrom(monday, last.value) / 7));
  const apart = Math.max(1, Math.ceil(weeks / MOST_LINES));
  return Array.from({ length: Math.ceil(weeks / apart) }, (_, i) => dayPlus(monday, 7 * apart * i));
});
/** Room that a day takes above its line, px. */
const LABEL_PX = 58;
const every = computed(() => {
  const fit = Math.max(1, Math.floor((X(props.order.buildDay) - X(mondays.value[0] ?? today())) / LABEL_PX));
  return Math.max(1, Math.ceil(mondays.value.length / Math.min(9, fit)));
});
const height = computed(() => TOP + bars.value.length * ROW + 30);
</script>

<template>
  <div ref="box" class="timeline">
    <svg v-if="width" :width="width" :height="height">
      <g v-for="(m, i) in mondays" :key="m">
        <path :d="`M${X(m)} ${TOP - 6} V ${height - 22}`" stroke="var(--rule)" />
        <text v-if="i % every === 0" :x="X(m)" :y="TOP - 11" text-anchor="middle" class="quiet">
          {{ shortDay(m) }}
        </text>
      </g>
      <g v-for="(b, i) in bars" :key="b.key" :transform="`translate(0 ${TOP + i * ROW})`">
        <text x="0" y="14" class="name">{{ b.name.length > 24 ? `${b.name.slice(0, 23)}…` : b.name }}</text>
        <rect
          :x="X(b.from)"
          y="3"
          :width="Math.max(2, X(b.to) - X(b.from))"
          height="15"
          fill="var(--clay-2)"
        />
        <rect
          :x="X(b.to)"
          y="3"
          :width="Math.max(2, X(b.needed) - X(b.to))"
          height="15"
          fill="var(--celadon-wash)"
        />
        <rect
          v-if="b.used > b.needed"
          :x="X(b.needed)"
          y="3"
          :width="X(b.used) - X(b.needed)"
          height="15"
          fill="var(--water-2)"
        />
        <circle :cx="X(b.from)" cy="10.5" r="4" :fill="dotOf(b)" />
        <title>
          {{ b.name }}: {{ b.comes ? '' : `order by ${weekDay(b.from)}, ` }}arrives {{ weekDay(b.to) }}
        </title>
        <text
          :x="X(b.from) + (isBefore(b.from) ? -8 : 8)"
          y="14.5"
          class="in"
          :text-anchor="isBefore(b.from) ? 'end' : 'start'"
        >
          {{ b.comes ? 'comes' : 'by' }} {{ shortDay(b.from) }}
        </text>
      </g>
      <g>
        <path
          :d="`M${X(today())} ${TOP - 4} V ${height - 22}`"
          stroke="var(--water-line)"
          stroke-dasharray="3 3"
        />
        <!-- Close to the build day its line says enough: two words on one spot say nothing. -->
        <text
          v-if="Math.abs(X(order.buildDay) - X(today())) > LABEL_PX"
          :x="X(today())"
          :y="height - 8"
          text-anchor="middle"
        >
          today
        </text>
      </g>
      <g>
        <path
          :d="`M${X(order.buildDay)} ${TOP - 4} V ${height - 22}`"
          stroke="var(--ink)"
          stroke-width="1.6"
        />
        <text :x="X(order.buildDay)" :y="height - 8" text-anchor="end" class="build">
          build {{ shortDay(order.buildDay) }}
        </text>
      </g>
    </svg>
    <p class="key quiet">
      <i class="lead" />lead time <i class="wait" />here, waiting <i class="soak" />here, soaking
    </p>
  </div>
</template>

<style scoped>
.timeline {
  margin: 12px 0 8px;
}
svg {
  display: block;
}
text {
  font: 400 11.5px var(--text);
  fill: var(--ink-2);
}
.name,
.build {
  fill: var(--ink);
  font-weight: 600;
}
.in {
  fill: var(--ink);
}
.key {
  font-size: 12px;
}
.key i {
  display: inline-block;
  width: 18px;
  height: 10px;
  margin: 0 5px 0 12px;
}
.lead {
  background: var(--clay-2);
}
.wait {
  background: var(--celadon-wash);
}
.soak {
  background: var(--water-2);
}
</style>
