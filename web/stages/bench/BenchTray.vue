<script setup lang="ts">
import type { Material, Option, Piece } from '../../../core/commission/schema';
import type { YardPiece } from '../../../core/catalogue/studio';
import type { ShownPlan } from '../../workers/planWorker';
import type { Shown } from '../../../core/difference/shown';
import BedPanel from './BedPanel.vue';
import NowPanel from './NowPanel.vue';
import PieceList from './PieceList.vue';
import StartsPanel from './StartsPanel.vue';
import StoryPanel from './StoryPanel.vue';
import StrewnPanel from './StrewnPanel.vue';
import { TRAYS, type Tray } from './useTray';
import YardPanel from './yard/YardPanel.vue';

defineProps<{
  option: Option;
  materials: Material[];
  survey?: ShownPlan['survey'];
  /** The tank as it is now, where it is drawn. */
  before?: Shown;
}>();
const tray = defineModel<Tray>('tray', { required: true });
defineEmits<{
  take: [piece: YardPiece];
  dropPiece: [piece: YardPiece, x: number, y: number];
  letDown: [id: string];
  key: [event: KeyboardEvent, piece: Piece];
}>();
</script>

<template>
  <section class="tray" aria-label="Tray">
    <div class="tabs" role="tablist">
      <button
        v-for="[key, title] in TRAYS"
        :key="key"
        role="tab"
        class="plain"
        :aria-selected="tray === key"
        :class="{ chosen: tray === key }"
        :data-tray="key"
        @click="tray = key"
      >
        {{ title }}
      </button>
    </div>
    <div class="panel">
      <YardPanel
        v-if="tray === 'yard'"
        :option="option"
        @take="$emit('take', $event)"
        @let-down="$emit('letDown', $event)"
        @drop-piece="(p, x, y) => $emit('dropPiece', p, x, y)"
      />
      <BedPanel v-else-if="tray === 'bed'" :option="option" :materials="materials" :survey="survey" />
      <StartsPanel v-else-if="tray === 'starts'" :option="option" :materials="materials" :survey="survey" />
      <StrewnPanel v-else-if="tray === 'loose'" :option="option" :survey="survey" />
      <StoryPanel v-else-if="tray === 'story'" />
      <NowPanel v-else-if="tray === 'now'" :option="option" :before="before" />
      <PieceList
        v-else
        :option="option"
        :materials="materials"
        :survey="survey"
        @key="(e, p) => $emit('key', e, p)"
      />
    </div>
    <slot />
  </section>
</template>

<style scoped>
.tray {
  height: 180px;
  flex: none;
  display: flex;
  user-select: none;
  background: var(--paper);
  border-top: 1px solid var(--rule);
}
.tabs {
  width: 84px;
  flex: none;
  padding: 5px 0 0 10px;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
.tabs button {
  font: 500 17px var(--title);
  color: var(--ink-2);
  border-left: 3px solid transparent;
  padding: 0 8px;
  min-height: 24px;
  text-align: left;
}
.tabs .chosen {
  color: var(--ink);
  border-color: var(--celadon);
}
.panel {
  flex: 1;
  min-width: 0;
  overflow-x: auto;
  overflow-y: hidden;
}
/* For fingers they stand two and two. */
@media (pointer: coarse) {
  .tabs {
    display: grid;
    grid-template-columns: auto auto;
    align-content: start;
    width: auto;
  }
  .tabs button {
    padding: 2px 6px;
  }
}
@media (max-width: 700px) {
  .panel {
    overflow: hidden auto;
  }
}
</style>
