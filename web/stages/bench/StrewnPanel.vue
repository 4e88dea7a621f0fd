<script setup lang="ts">
import { computed, ref } from 'vue';
import { NOW } from '../../../core/commission/scapes';
import type { Option, Strewn } from '../../../core/commission/schema';
import { useStrewnEdit } from '../../document/strewnEdit';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import type { ShownPlan } from '../../workers/planWorker';
import StrewnValues from './StrewnValues.vue';

/** Loose stone and grain that is strewn by hand: the lots, and of what, how much, how large and round what the chosen one is. */
const props = defineProps<{ option: Option; survey?: ShownPlan['survey'] }>();
const edit = useStrewnEdit();
const f = useFigures();

/** What lies about in a tank that stands there is weighed under Now. */
const isNow = computed(() => props.option.id === NOW);
const lots = computed(() => props.option.strewn ?? []);
const wanted = ref('');
const chosen = computed(() => lots.value.find((s) => s.id === wanted.value) ?? lots.value[0]);
const nameOf = (id: string) => edit.offered.value.find((m) => m.id === id)?.name ?? id;
const MORE = [
  ['stone', wording('strewnPanel.stone')],
  ['grain', wording('strewnPanel.grain')],
] as const;
/** Both measures of it, and where it lies. */
function words({ id, sizeMm, around }: Strewn): string {
  const amount = props.survey?.strewn.find((a) => a.id === id);
  return [
    ...(amount ? [`${f.mass(amount.massKg)}, ${f.volume(amount.litres, 2)}`] : []),
    ...(sizeMm ? [wording('strewnPanel.sizes', { from: f.length(sizeMm[0]), to: f.length(sizeMm[1]) })] : []),
    ...(around ? [wording('strewnPanel.round', { pieces: around.join(', ') })] : []),
  ].join(' · ');
}
function add(kind: 'stone' | 'grain'): void {
  wanted.value = edit.add(kind) ?? wanted.value;
}
</script>

<template>
  <div class="strewn" data-test="strewn">
    <div class="lots">
      <p v-if="isNow" class="quiet">{{ wording('strewnPanel.now') }}</p>
      <p v-else-if="lots.length === 0" class="quiet">{{ wording('strewnPanel.none') }}</p>
      <div v-for="s in lots" :key="s.id" class="lot" :class="{ chosen: s === chosen }" :data-strewn="s.id">
        <button class="plain" :aria-pressed="s === chosen" @click="wanted = s.id">
          <b>{{ nameOf(s.material) }}</b>
          <small class="quiet">{{ words(s) }}</small>
        </button>
        <button
          class="plain quiet"
          :aria-label="wording('strewnPanel.remove', { name: nameOf(s.material) })"
          @click="edit.drop(s.id)"
        >
          ×
        </button>
      </div>
      <p v-if="!isNow" class="add">
        <button
          v-for="[kind, title] in MORE"
          :key="kind"
          class="act"
          :data-test="`strew-${kind}`"
          :disabled="edit.ofKind(kind).length === 0"
          @click="add(kind)"
        >
          {{ title }}
        </button>
      </p>
    </div>
    <StrewnValues v-if="chosen" :key="chosen.id" :strewn="chosen" :option="option" />
  </div>
</template>

<style scoped>
.strewn {
  display: grid;
  grid-template-columns: minmax(220px, 1fr) 1.5fr;
  gap: 20px;
  height: 100%;
  overflow: hidden auto;
  padding: 6px 18px;
}
.lot {
  display: flex;
  align-items: center;
  gap: 8px;
}
.lot > :first-child {
  flex: 1;
  text-align: left;
  padding: 2px 8px;
  line-height: 1.25;
}
.lot small {
  display: block;
}
.lot > :last-child {
  min-width: 24px;
  min-height: 24px;
}
.lot.chosen {
  background: var(--celadon-wash);
}
.quiet {
  margin: 2px 0;
}
.add {
  display: flex;
  gap: 18px;
  padding: 4px 8px;
}
@media (max-width: 700px) {
  .strewn {
    grid-template-columns: 1fr;
  }
}
</style>
