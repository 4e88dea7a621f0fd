<script setup lang="ts">
import { SHOWN, SORTS, type Shown, type Sort } from '../../../core/pipeline/listed';
import { wording } from '../../words/wording';

/** Which commissions are shown, and what comes first. */
defineProps<{ unknown: number }>();
const show = defineModel<Shown>('show', { required: true });
const sort = defineModel<Sort>('sort', { required: true });

const SHOW: Record<Shown, string> = {
  current: 'At work',
  settle: 'To settle',
  order: 'To order',
  unpriced: wording('listChoice.unpriced'),
  archive: 'Archive',
  removed: 'Removed',
};
const SORT: Record<Sort, string> = {
  build: 'Build day',
  due: 'Due next',
  findings: 'Most to settle',
  cost: 'Cost',
  worked: 'Last worked on',
  title: 'Title',
  client: 'Client',
};
</script>

<template>
  <div class="choice">
    <div role="group" :aria-label="wording('listChoice.which')" class="which">
      <button
        v-for="s in SHOWN"
        :key="s"
        class="act"
        :aria-pressed="show === s"
        :data-show="s"
        @click="show = s"
      >
        {{ SHOW[s] }}
      </button>
    </div>
    <span v-if="show === 'removed'" class="quiet">{{ wording('listChoice.kept') }}</span>
    <span v-else-if="show === 'archive'" class="quiet">{{ wording('listChoice.archive') }}</span>
    <span v-if="unknown > 0" class="quiet" role="status" data-test="unknown">{{
      wording('listChoice.unknown', { count: unknown })
    }}</span>
    <label v-if="show !== 'removed'" class="sort"
      ><span class="quiet">First by</span>
      <select v-model="sort" data-test="sort">
        <option v-for="s in SORTS" :key="s" :value="s">{{ SORT[s] }}</option>
      </select></label
    >
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  align-items: center;
  gap: 6px 26px;
  flex-wrap: wrap;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
}
.which .act {
  color: var(--ink-2);
  font-weight: 400;
}
.which .act[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  box-shadow: 0 2px 0 var(--celadon);
}
.sort {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 8px;
}
select {
  min-height: 32px;
  padding: 2px 4px;
  border: 0;
  border-bottom: 1px solid var(--ink-2);
  background: transparent;
  color: var(--ink);
  font: inherit;
}
@media (max-width: 700px) {
  .sort {
    margin-left: 0;
  }
}
</style>
