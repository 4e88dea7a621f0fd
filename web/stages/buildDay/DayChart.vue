<script setup lang="ts">
import { computed, ref } from 'vue';
import { clockOf, type BuildPlan, type Lane } from '../../../core/buildDay/buildPlan';
import type { SittingPlan } from '../../../core/buildDay/sittingPlan';
import { useFigures } from '../../units/figures';
import type { Scheduled } from '../../../core/buildDay/schedule';
import { say, type Text } from '../../../core/words/text';
import { useSteadySize } from '../../drawing/steadySize';

/** The day on a clock: a column for each person, and beside them what cures, dries or is out of water. */
const props = defineProps<{
  build: Pick<SittingPlan, 'startTime' | 'crew' | 'tasks' | 'lanes' | 'chain' | 'doneMin'> &
    Pick<BuildPlan, 'waterInMin'>;
  /** The task that is asked about, and those that it waited for. */
  asked?: string;
  waitedFor?: readonly string[];
}>();
defineEmits<{ ask: [id: string] }>();
const { words } = useFigures();
const box = ref<HTMLElement>();
const { width } = useSteadySize(box);

const LEFT = 52;
const TOP = 34;
const LANE_TITLES: Record<Lane['kind'], Text> = {
  cures: say('lanes.cures'),
  plants: say('lanes.plants'),
  media: say('lanes.media'),
  living: say('lanes.living'),
  animals: say('lanes.animals'),
};
/** Columns narrower than this say the minutes below the title. */
const NARROW = 190;
const LANE_W = computed(() => (width.value < 760 ? 66 : 82));
const PX_PER_MIN = computed(() => Math.max(1.36, 560 / Math.max(1, props.build.doneMin)));

/** A column for each kind of clock that runs on the day. */
const lanes = computed(() =>
  (Object.keys(LANE_TITLES) as Lane['kind'][]).filter((kind) =>
    props.build.lanes.some((l) => l.kind === kind),
  ),
);
const people = computed(() => props.build.crew.length);
const columnW = computed(() =>
  Math.max(110, (width.value - LEFT - lanes.value.length * (LANE_W.value + 8) - 14) / people.value),
);
const Y = (min: number) => TOP + min * PX_PER_MIN.value;
const height = computed(() => Y(props.build.doneMin) + 18);
const chain = computed(() => new Set(props.build.chain));

const hours = computed(() => {
  const [h, m] = props.build.startTime.split(':').map(Number);
  const list = [];
  for (let min = m === 0 ? 0 : 60 - m; min <= props.build.doneMin; min += 60)
    list.push({ min, says: clockOf(props.build.startTime, min) });
  return h >= 0 ? list : [];
});

interface Block {
  task: Scheduled;
  x: number;
  w: number;
}
const blocks = computed((): Block[] =>
  props.build.tasks.map((task) => ({
    task,
    x: LEFT + Math.min(...task.crew) * columnW.value,
    w: (Math.max(...task.crew) - Math.min(...task.crew) + 1) * columnW.value - 8,
  })),
);
const heightOf = (t: Scheduled) => (t.endMin - t.startMin) * PX_PER_MIN.value - 2;
/** How many lines of words a block has room for. */
const room = (t: Scheduled) => Math.floor(heightOf(t) / 15);
/** Lanes are drawn at least this high, so that a minute's cure can be seen and read. */
const laneHeight = (l: Lane) => Math.max(52, (l.toMin - l.fromMin) * PX_PER_MIN.value);
const laneX = (kind: Lane['kind']) =>
  LEFT + people.value * columnW.value + 6 + lanes.value.indexOf(kind) * (LANE_W.value + 8);
const hoursOf = (min: number) =>
  min < 60 ? `${min} min` : `${Math.floor(min / 60)} h${min % 60 ? ` ${String(min % 60).padStart(2, '0')}` : ''}`; // prettier-ignore
</script>

<template>
  <div ref="box" class="chart">
    <svg v-if="width" :width="width" :height="height" role="group" aria-label="The day on a clock">
      <defs>
        <pattern id="cures" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0 V8" stroke="var(--clay-2)" stroke-width="3" />
        </pattern>
      </defs>
      <g v-for="(name, i) in build.crew" :key="i" :transform="`translate(${LEFT + i * columnW} 0)`">
        <text y="18" class="person">{{ words(name) }}</text>
        <path :d="`M0 26 H ${columnW - 8}`" stroke="var(--ink-3)" stroke-width="1.6" />
      </g>
      <g v-for="kind in lanes" :key="kind" :transform="`translate(${laneX(kind)} 0)`">
        <text y="18" class="lane">{{ words(LANE_TITLES[kind]) }}</text>
        <path :d="`M0 26 H ${LANE_W}`" stroke="var(--ink-3)" stroke-width="1.6" />
      </g>
      <g v-for="h in hours" :key="h.min">
        <path :d="`M${LEFT - 8} ${Y(h.min)} H ${width}`" stroke="var(--rule)" />
        <text :x="LEFT - 12" :y="Y(h.min) + 4" text-anchor="end" class="hour">{{ h.says }}</text>
      </g>
      <foreignObject
        v-for="b in blocks"
        :key="b.task.id"
        :x="b.x"
        :y="Y(b.task.startMin)"
        :width="b.w"
        :height="Math.max(5, heightOf(b.task))"
      >
        <button
          class="task"
          :class="[
            b.task.phase,
            { chain: chain.has(b.task.id), slim: room(b.task) < 1, bare: heightOf(b.task) < 9 },
            { asked: b.task.id === asked, waited: waitedFor?.includes(b.task.id) },
          ]"
          :data-task="b.task.id"
          :aria-pressed="b.task.id === asked"
          :title="`${words(b.task.title)}, ${b.task.minutes} min: ${words(b.task.detail)}`"
          @click="$emit('ask', b.task.id)"
        >
          <div class="title">
            <b>{{ words(b.task.title) }}</b
            ><span v-if="b.w > NARROW" class="min">{{ b.task.minutes }} min</span>
          </div>
          <div v-if="room(b.task) > 1" class="detail" :style="{ maxHeight: `${(room(b.task) - 1) * 15}px` }">
            <template v-if="b.w <= NARROW">{{ b.task.minutes }} min; </template>{{ words(b.task.detail)
            }}<template v-if="b.task.people > 1">; two people</template>
          </div>
        </button>
      </foreignObject>
      <foreignObject
        v-for="(l, i) in build.lanes"
        :key="i"
        :x="laneX(l.kind)"
        :y="Y(l.fromMin)"
        :width="LANE_W"
        :height="laneHeight(l)"
      >
        <div class="wait" :class="l.kind">
          <span
            >{{ words(l.what) }} {{ hoursOf(l.toMin - l.fromMin)
            }}<template v-if="l.limitMin"> of {{ hoursOf(l.limitMin) }}</template
            ><template v-if="l.kind === 'plants'">, mist each 10 min</template></span
          >
        </div>
      </foreignObject>
      <g v-if="build.waterInMin !== undefined">
        <path :d="`M${LEFT} ${Y(build.waterInMin)} H ${width}`" stroke="#5f93a6" stroke-width="2" />
        <text :x="width - 2" :y="Y(build.waterInMin) - 5" text-anchor="end" class="waterline">
          water in {{ clockOf(build.startTime, build.waterInMin) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.chart {
  margin-top: 12px;
}
svg {
  display: block;
}
.person {
  font: 500 16px var(--title);
  fill: var(--ink);
}
.lane,
.hour {
  font: 400 12px var(--text);
  fill: var(--ink-2);
}
.waterline {
  font: 600 12px var(--text);
  fill: #3f7285;
  paint-order: stroke;
  stroke: var(--ash);
  stroke-width: 4px;
}
.task {
  display: block;
  width: 100%;
  text-align: left;
  font-family: inherit;
  cursor: pointer;
  height: 100%;
  box-sizing: border-box;
  padding: 1px 8px;
  font-size: 12.5px;
  line-height: 15px;
  overflow: hidden;
  background: #ece5d8;
  color: #23211e;
  border: 0;
  border-left: 3px solid transparent;
}
.task.slim {
  line-height: 12px;
  font-size: 11px;
  padding-top: 0;
}
.title {
  display: flex;
  justify-content: space-between;
  gap: 6px;
  white-space: nowrap;
}
.title b {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
.min {
  color: #48423a;
  font-size: 11.5px;
}
.bare .title {
  display: none;
}
.detail {
  color: #48423a;
  overflow: hidden;
}
.task.substrate {
  background: #e4d8bf;
}
.task.hardscape {
  background: #cfc4b3;
}
.task.planting {
  background: #cfe0d6;
}
.task.water {
  background: #d2e2e8;
}
.task:focus-visible {
  outline: 2px solid var(--celadon);
  outline-offset: -2px;
}
.task.asked {
  box-shadow: inset 0 0 0 2px var(--ink);
}
.task.waited {
  box-shadow: inset 0 0 0 2px var(--celadon);
}
.task.chain {
  border-left-color: var(--celadon);
}
.wait {
  box-sizing: border-box;
  height: 100%;
  border: 1px solid var(--clay);
  padding: 4px 5px;
  font-size: 11px;
  line-height: 1.3;
  background: url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='8' height='8'%3E%3Cpath d='M-2 10 10 -2' stroke='%23c9b8a3' stroke-width='1.6'/%3E%3C/svg%3E");
  color: #23211e;
}
.wait span {
  background: var(--ash);
  color: var(--ink);
  padding: 0 2px;
  box-decoration-break: clone;
}
.wait.plants {
  background: var(--warn-wash);
  border-color: var(--warn);
}
.wait.plants span {
  background: none;
  color: var(--warn);
}
.wait.media,
.wait.animals {
  background: var(--water);
  border-color: var(--water-line);
}
.wait.media span,
.wait.animals span {
  background: none;
}
</style>
