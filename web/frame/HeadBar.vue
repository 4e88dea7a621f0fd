<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js';
import { computed } from 'vue';
import { useCommission } from '../document/commissionStore';
import { useScapeTabs } from './scapeTabs';
import { paletteOpen } from '../design/commands';
import { daysAway, momentTime, weekDay } from '../units/days';
import { useFigures } from '../units/figures';
import { others, type Here } from '../document/live';
import { STAGES } from './stages';
import { mySight } from '../document/people';
import { wording } from '../words/wording';
import { usePreferences } from '../units/preferences';

const commission = useCommission();
const preferences = usePreferences();
const { fromMm, lengthUnit } = useFigures();

const doc = computed(() => commission.document);
const { tabs } = useScapeTabs();
const size = computed(() => {
  const { kind, innerMm } = doc.value!.vessel;
  const { length, width, height } = innerMm;
  const shape = kind === 'box' ? '' : `${kind} `;
  return `${shape}${[length, width, height].map(fromMm).join(' × ')} ${lengthUnit.value}`;
});
/** The stage on which somebody else is, and what they have chosen there. */
const whereIs = ({ stage, chosen }: Here) =>
  [STAGES.find(([name]) => name === stage)?.[1], chosen].filter(Boolean).join(', ');
const saved = computed(() => {
  const at = commission.savedAt ? momentTime(commission.savedAt) : '';
  return {
    saved: `saved ${at}`,
    unsaved: 'not saved yet',
    saving: 'saving',
    offline: commission.unreached ? 'server away, kept here' : `kept here: ${commission.message}`,
    refused: `not saved: ${commission.message}`,
    conflict: 'two versions',
    gone: 'removed elsewhere',
  }[commission.state];
});
</script>

<template>
  <header v-if="doc" class="head screen-only">
    <div class="who">
      <h2>{{ doc.title }}</h2>
      <p class="quiet">
        {{ doc.brief.client?.place }}
        <span class="size">{{ doc.brief.client?.place ? `· ${size}` : size }}</span>
      </p>
    </div>
    <div class="options">
      <div class="tabs" role="tablist" aria-label="Options">
        <button
          v-for="o in tabs"
          :key="o.id"
          role="tab"
          class="plain"
          :aria-selected="o.id === commission.optionId"
          :class="{ chosen: o.id === commission.optionId }"
          @click="commission.optionId = o.id"
        >
          <template v-if="o.mark"><b>{{ o.mark }}</b>&ensp;</template>{{ o.title
          }}<i v-if="o.isChosen" title="Chosen" class="mark" />
        </button>
      </div>
      <router-link
        v-if="!mySight()"
        class="plain all"
        :to="`/c/${commission.id}/options`"
        title="Options side by side"
        data-test="options"
        >{{ doc.options.length > 1 || doc.now ? 'Compare' : 'Options' }}</router-link
      >
    </div>
    <div class="when">
      <b>{{ weekDay(doc.brief.buildDay) }}</b>
      <p class="quiet">build day, {{ daysAway(doc.brief.buildDay) }}</p>
    </div>
    <ul v-if="others.length" class="others" :aria-label="wording('headBar.others')" data-test="others">
      <li v-for="(o, i) in others" :key="`${o.name} ${i}`">
        <b>{{ o.name }}</b> <span class="quiet">{{ whereIs(o) }}</span>
      </li>
    </ul>
    <div class="tools">
      <span v-if="commission.refused" class="late" role="alert" data-test="not-yours">{{
        wording('commissionStore.notYours')
      }}</span>
      <span class="state" :class="commission.state" role="status" data-test="save-state" :title="saved"
        ><i /><span>{{ saved }}</span></span
      >
      <button
        class="plain icon"
        aria-label="Undo"
        title="Undo, Ctrl Z"
        :disabled="!commission.past.length"
        @click="commission.undo()"
      >
        <svg viewBox="0 0 24 24"><path :d="mdiUndo" /></svg>
      </button>
      <button
        class="plain icon"
        aria-label="Redo"
        title="Redo, Ctrl Shift Z"
        :disabled="!commission.future.length"
        @click="commission.redo()"
      >
        <svg viewBox="0 0 24 24"><path :d="mdiRedo" /></svg>
      </button>
      <button
        class="plain units"
        :aria-label="`${preferences.units === 'metric' ? 'mm' : 'in'}, units`"
        data-test="units"
        :title="preferences.units === 'metric' ? 'Metric; change to US units' : 'US units; change to metric'"
        @click="preferences.toggleUnits()"
      >
        {{ preferences.units === 'metric' ? 'mm' : 'in' }}
      </button>
      <button class="plain find" @click="paletteOpen = true">Find or do <span>Ctrl K</span></button>
    </div>
  </header>
  <!-- Its place, until the commission is there: the stages below it would move. -->
  <header v-else class="head screen-only" />
</template>

<style scoped>
.others {
  list-style: none;
  margin: 0;
  padding: 0 0 0 12px;
  align-self: center;
  font-size: 12.5px;
  line-height: 1.3;
  border-left: 3px solid var(--clay);
}
.head {
  display: flex;
  align-items: stretch;
  height: var(--head);
  background: var(--paper);
  border-bottom: 1px solid var(--rule);
  padding: 0 18px 0 20px;
  gap: 22px;
  flex: none;
  min-width: 0;
}
.who {
  padding-top: 5px;
  min-width: 0;
}
.who h2 {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.who p {
  font-size: 12px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.options,
.tabs {
  display: flex;
  align-items: flex-end;
}
.options button {
  padding: 7px 14px 8px;
  color: var(--ink-2);
  white-space: nowrap;
}
.options .chosen {
  background: var(--ash);
  color: var(--ink);
  border: 1px solid var(--rule);
  border-bottom: 0;
  margin-bottom: -1px;
  font-weight: 600;
}
.mark {
  display: inline-block;
  width: 7px;
  height: 7px;
  margin-left: 7px;
  background: var(--celadon);
  border-radius: 50%;
  vertical-align: 1px;
}
.all {
  padding: 7px 10px 8px;
  color: var(--celadon);
}
.when {
  padding-top: 8px;
  white-space: nowrap;
  line-height: 1.3;
}
.when p {
  font-size: 12px;
}
.tools {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 12px;
  white-space: nowrap;
}
.state {
  font-size: 12px;
  color: var(--ink-2);
  display: flex;
  align-items: center;
  gap: 6px;
}
.state span {
  max-width: 260px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.state i {
  flex: none;
  width: 7px;
  height: 7px;
  border-radius: 50%;
  background: var(--celadon);
}
.state.unsaved i,
.state.saving i {
  background: var(--clay);
}
.state.offline,
.state.refused,
.state.conflict,
.state.gone {
  color: var(--warn);
  font-weight: 600;
}
.state.offline i,
.state.refused i,
.state.conflict i,
.state.gone i {
  background: var(--warn);
}
.icon svg {
  width: 18px;
  height: 18px;
  fill: currentColor;
  display: block;
}
.icon {
  display: grid;
  place-items: center;
  padding: 6px;
}
.icon:disabled {
  opacity: 0.35;
  cursor: default;
}
.units {
  padding: 5px 9px;
  border-left: 1px solid var(--rule);
  border-right: 1px solid var(--rule);
  color: var(--ink-2);
}
.find {
  border: 1px solid var(--rule);
  background: var(--ash);
  padding: 4px 9px;
  color: var(--ink-2);
}
.find span {
  font-size: 11px;
  padding-left: 8px;
}
@media (max-width: 1150px) {
  .find span,
  .when p {
    display: none;
  }
  .head {
    gap: 12px;
  }
  .when {
    align-self: center;
    padding: 0;
  }
  /* Title and place are read whole: the size stands in the vessel. */
  .who {
    max-width: 220px;
    padding-top: 0;
    align-self: center;
  }
  .who h2 {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    white-space: normal;
    font-size: 15px;
    line-height: 1.1;
  }
  .who p {
    line-height: 1.2;
  }
  .who .size {
    display: none;
  }
  .options button {
    padding-left: 8px;
    padding-right: 8px;
  }
  .tools {
    gap: 6px;
  }
}
@media (max-width: 700px) {
  .options,
  .when,
  .find,
  .units {
    display: none;
  }
}
</style>
