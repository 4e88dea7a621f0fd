<script setup lang="ts">
import { computed, ref } from 'vue';
import type { BuildPlan } from '../../../core/buildDay/buildPlan';
import { movesWith } from '../../../core/buildDay/moves';
import type { Brief } from '../../../core/commission/schema';
import type { Said } from '../../../core/words/text';
import { weekDay } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import { sittingColumns, type Chip, type Column } from './sittingColumns';
import { useTaskDrag } from './useTaskDrag';

/** The days of the work side by side: tasks are carried from one to another, and what that moves is shown before it is let go. */
const props = defineProps<{ build: BuildPlan; brief: Brief; chosen: string }>();
const emit = defineEmits<{ choose: [id: string]; move: [key: string, from: string, to: string] }>();
const { words } = useFigures();

const columns = computed(() => sittingColumns(props.build, props.brief));
const refused = ref<Said>();
const follows = (key: string, to: string, from: string) => movesWith(props.build.graph!, key, to, from);

function move(key: string, from: string, to: string): void {
  const { refused: why } = follows(key, to, from);
  refused.value = why;
  if (!why) emit('move', key, from, to);
}
const { carried, press } = useTaskDrag(move);

/** What goes along with the task that is carried, where it is now; and why it cannot go there. */
const along = computed(() => {
  const { key, from, over } = carried.value ?? {};
  return key !== undefined && over !== undefined && over !== from ? follows(key, over, from!) : undefined;
});
const goesAlong = (chip: Chip) => along.value?.moves?.some((m) => m.task === chip.key) ?? false;
const carriedTitle = computed(() => {
  const key = carried.value?.key;
  return key === undefined ? undefined : columns.value.flatMap((c) => c.chips).find((c) => c.key === key)?.title; // prettier-ignore
});

/** By keys a task goes to the day before or after. */
function step(event: KeyboardEvent, chip: Chip, column: Column, by: 1 | -1): void {
  const days = columns.value.filter((c) => c.id !== undefined);
  const to = days[days.indexOf(column) + by]?.id;
  if (!chip.isMovable || column.id === undefined || to === undefined) return;
  event.preventDefault();
  move(chip.key, column.id, to);
}
const hours = (c: Column) =>
  c.start ? wording('sittings.hours', { start: c.start, end: c.end ?? '' }) : `${c.minutes} min`;
</script>

<template>
  <section class="days" :aria-label="wording('sittings.label')">
    <ol>
      <li
        v-for="(c, i) in columns"
        :key="`${c.id} ${c.day} ${i}`"
        :data-sitting="c.id"
        :class="{
          chosen: c.id !== undefined && c.id === chosen,
          over: carried?.over === c.id && c.id !== carried?.from,
          refuses: carried?.over === c.id && along?.refused,
        }"
      >
        <button
          class="head"
          :disabled="c.id === undefined"
          :aria-pressed="c.id === chosen"
          @click="emit('choose', c.id!)"
        >
          <b>{{ words(c.title) }}</b>
          <span>{{ weekDay(c.day) }}</span>
          <span class="quiet"
            >{{ hours(c)
            }}<template v-if="c.people"
              >, {{ wording('sittings.people', { count: c.people }) }}</template
            ></span
          >
        </button>
        <ul>
          <li v-for="chip in c.chips" :key="chip.key">
            <button
              class="chip"
              :class="[
                chip.phase,
                {
                  movable: chip.isMovable,
                  along: goesAlong(chip),
                  carried: carried?.key === chip.key && carried?.from === c.id,
                },
              ]"
              :data-chip="chip.key"
              :aria-describedby="chip.isMovable ? 'carry-how' : undefined"
              @pointerdown="chip.isMovable && c.id !== undefined && press($event, chip.key, c.id)"
              @keydown.left="step($event, chip, c, -1)"
              @keydown.right="step($event, chip, c, 1)"
              @click="c.id !== undefined && emit('choose', c.id)"
            >
              <span class="what">{{ words(chip.title) }}</span><span class="min">{{ chip.minutes }} min</span>
            </button>
          </li>
        </ul>
        <p v-if="c.left" class="left">{{ words(c.left) }}</p>
      </li>
    </ol>
    <p id="carry-how" hidden>{{ wording('sittings.chip') }}</p>
    <p v-if="refused" class="no" role="alert" data-test="move-refused">{{ words(refused) }}</p>
    <div v-if="carried" class="ghost" :style="{ left: `${carried.x + 10}px`, top: `${carried.y + 8}px` }">
      <b>{{ carriedTitle && words(carriedTitle) }}</b>
      <span v-if="along?.refused">{{ words(along.refused) }}</span>
      <span v-else-if="along?.moves && along.moves.length > 1">{{
        wording('sittings.along', { count: along.moves.length - 1 })
      }}</span>
    </div>
  </section>
</template>

<style scoped>
.days {
  margin: 12px 0 4px;
  overflow-x: auto;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
ol {
  display: flex;
  gap: 8px;
  align-items: stretch;
}
ol > li {
  flex: 1 1 0;
  min-width: 132px;
  max-width: 260px;
  border-top: 3px solid var(--clay-2);
  background: var(--paper);
  padding: 0 6px 8px;
  display: flex;
  flex-direction: column;
}
ol > li.chosen {
  border-top-color: var(--celadon);
}
ol > li.over {
  background: var(--celadon-wash);
}
ol > li.refuses {
  background: var(--warn-wash);
}
.head {
  background: none;
  border: 0;
  color: inherit;
  font-family: inherit;
  font-size: 13px;
  cursor: pointer;
  display: grid;
  grid-template-columns: 1fr;
  gap: 0;
  text-align: left;
  padding: 7px 2px 8px;
  min-height: 44px;
  width: 100%;
}
.head b {
  font: 500 16px var(--title);
}
.head .quiet {
  font-size: 12px;
}
.chip {
  display: flex;
  justify-content: space-between;
  gap: 4px;
  width: 100%;
  text-align: left;
  padding: 1px 5px;
  margin-bottom: 2px;
  min-height: 24px;
  align-items: center;
  font-size: 12.5px;
  line-height: 1.25;
  background: #ece5d8;
  color: #23211e;
  border: 0;
  border-left: 3px solid transparent;
  font-family: inherit;
}
.chip .min {
  color: #48423a;
  font-size: 11.5px;
  white-space: nowrap;
}
.chip.movable {
  cursor: grab;
  touch-action: none;
  border-left-color: var(--clay);
}
.chip.substrate {
  background: #e4d8bf;
}
.chip.hardscape {
  background: #cfc4b3;
}
.chip.planting {
  background: #cfe0d6;
}
.chip.water {
  background: #d2e2e8;
}
.chip.carried {
  opacity: 0.45;
}
.chip.along {
  box-shadow: inset 0 0 0 2px var(--celadon);
}
.left {
  margin: 6px 0 0;
  padding: 6px 2px 0;
  border-top: 1px solid var(--rule);
  font-size: 12px;
  line-height: 1.36;
  color: var(--ink-2);
}
.no {
  color: var(--warn);
  margin: 6px 0 0;
}
.ghost {
  position: fixed;
  z-index: 30;
  pointer-events: none;
  max-width: 240px;
  background: var(--paper);
  border: 1px solid var(--celadon);
  padding: 5px 9px;
  font-size: 12.5px;
}
.ghost b,
.ghost span {
  display: block;
}
@media (max-width: 700px) {
  ol > li {
    min-width: 172px;
  }
  .chip {
    min-height: 40px;
  }
}
</style>
