<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { toSettle, type Finding } from '../../core/words/finding';
import { useCommission } from '../document/commissionStore';
import { useScapeTabs } from './scapeTabs';
import { paletteOpen } from '../design/commands';
import { daysAway, shortDay, weekDay } from '../units/days';
import { usePreferences } from '../units/preferences';
import type { ShownPlan } from '../workers/planWorker';
import TallyColumn from './TallyColumn.vue';

/** On a telephone, on every stage a touch away: figures and findings, option and build day, units, whatever is looked for. */
const props = defineProps<{ id: string; plan: ShownPlan | undefined; findings: Finding[] }>();
const emit = defineEmits<{ show: [finding: Finding] }>();
const commission = useCommission();
const preferences = usePreferences();
const route = useRoute();

const doc = computed(() => commission.document);
const { tabs } = useScapeTabs();
const open = ref<'figures' | 'option'>();
const settle = computed(() => toSettle(props.findings).length);
// Whatever was pressed in a sheet leads elsewhere, or was seen.
watch(
  () => route.fullPath,
  () => (open.value = undefined),
);
function show(finding: Finding): void {
  open.value = undefined;
  emit('show', finding);
}
function look(option: string): void {
  commission.optionId = option;
  open.value = undefined;
}
</script>

<template>
  <nav v-if="doc" class="bar screen-only" aria-label="At hand" data-test="phone-bar">
    <button class="plain" data-test="phone-figures" @click="open = 'figures'">
      Figures<i v-if="plan" :class="{ some: settle }">{{ settle }}</i>
    </button>
    <button class="plain" data-test="phone-option" @click="open = 'option'">
      <b>{{ commission.optionId.toUpperCase() }}</b>&ensp;{{ shortDay(doc.brief.buildDay) }}
    </button>
    <button
      class="plain"
      :aria-label="`${preferences.units === 'metric' ? 'mm' : 'in'}, units`"
      data-test="phone-units"
      @click="preferences.toggleUnits()"
    >
      {{ preferences.units === 'metric' ? 'mm' : 'in' }}
    </button>
    <button class="plain" data-test="phone-find" @click="paletteOpen = true">Find or do</button>
    <v-dialog
      :model-value="open !== undefined"
      location="bottom"
      width="100%"
      content-class="phone-sheet"
      @update:model-value="open = undefined"
    >
      <div v-if="open === 'figures'" role="dialog" aria-label="Figures and findings" class="sheet">
        <TallyColumn sheet :plan="plan" :findings="findings" @show="show" />
      </div>
      <div v-else-if="open" role="dialog" aria-label="Option and build day" class="sheet options">
        <p><b>{{ weekDay(doc.brief.buildDay) }}</b> build day, {{ daysAway(doc.brief.buildDay) }}</p>
        <button
          v-for="o in tabs"
          :key="o.id"
          class="plain"
          :class="{ chosen: o.id === commission.optionId }"
          @click="look(o.id)"
        >
          <b>{{ o.mark }}</b>&ensp;{{ o.title }}{{ o.id === doc.chosen ? ', chosen' : '' }}
        </button>
        <router-link class="act" :to="`/c/${id}/options`">{{
          doc.options.length > 1 || doc.now ? 'Compare' : 'Options'
        }}</router-link>
      </div>
    </v-dialog>
  </nav>
</template>

<style scoped>
.bar {
  display: none;
}
@media (max-width: 700px) {
  .bar {
    display: grid;
    grid-template-columns: 1fr 1.2fr 0.7fr 1.1fr;
    flex: none;
    background: var(--paper);
    border-top: 1px solid var(--ink);
    padding-bottom: env(safe-area-inset-bottom);
  }
}
.bar > button {
  display: flex;
  align-items: center;
  justify-content: center;
  min-height: 46px;
  border-right: 1px solid var(--rule);
  white-space: nowrap;
}
.bar > button:last-of-type {
  border: 0;
}
i {
  display: inline-block;
  min-width: 20px;
  margin-left: 7px;
  padding: 0 5px;
  border-radius: 10px;
  font-style: normal;
  font-size: 12px;
  background: var(--celadon-wash);
  color: var(--celadon);
}
i.some {
  background: var(--warn-wash);
  color: var(--warn);
  font-weight: 700;
}
.sheet {
  max-height: 78vh;
  overflow: auto;
}
.options {
  display: grid;
  padding: 16px 20px 24px;
}
.options button,
.options .act {
  min-height: 44px;
  text-align: left;
  display: flex;
  align-items: center;
  border-top: 1px solid var(--rule);
}
.options .chosen {
  color: var(--celadon);
}
</style>
