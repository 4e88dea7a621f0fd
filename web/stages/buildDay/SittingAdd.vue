<script setup lang="ts">
import { ref } from 'vue';
import { SITTING_KINDS, type SittingKind } from '../../../core/commission/schema';
import { wording } from '../../words/wording';

/** One more day for the work, by what it is for. */
const emit = defineEmits<{ add: [kind: SittingKind, aheadDays?: number] }>();
const open = ref(false);
/** A dry start is a planting weeks before the water (common practice: four). */
const DRY_START_DAYS = 28;
const TITLES: Record<SittingKind, string> = {
  table: wording('sittings.add.table'),
  trial: wording('sittings.add.trial'),
  hardscape: wording('sittings.add.hardscape'),
  planting: wording('sittings.add.planting'),
  rebuild: wording('sittings.add.rebuild'),
  detail: wording('sittings.add.detail'),
};
function choose(kind: SittingKind, aheadDays?: number): void {
  open.value = false;
  emit('add', kind, aheadDays);
}
</script>

<template>
  <v-menu v-model="open" location="bottom start">
    <template #activator="{ props: activator }">
      <button class="act" v-bind="activator" data-test="sitting-add">{{ wording('sittings.add') }} ▾</button>
    </template>
    <ul class="kinds">
      <li>
        <button class="plain" data-kind="dry-start" @click="choose('planting', DRY_START_DAYS)">
          {{ wording('sittings.add.dry') }}
        </button>
      </li>
      <li v-for="kind in SITTING_KINDS" :key="kind">
        <button class="plain" :data-kind="kind" @click="choose(kind)">{{ TITLES[kind] }}</button>
      </li>
    </ul>
  </v-menu>
</template>

<style scoped>
.kinds {
  list-style: none;
  margin: 0;
  padding: 4px;
  background: var(--paper);
  border: 1px solid var(--rule);
}
.kinds button {
  width: 100%;
  text-align: left;
  min-height: 40px;
  padding: 0 12px;
}
.kinds button:hover,
.kinds button:focus-visible {
  background: var(--celadon-wash);
}
</style>
