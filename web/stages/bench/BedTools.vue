<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Layer } from '../../../core/commission/schema';
import { useBedEdit } from '../../document/bedEdit';
import { freshId } from '../../../core/edits/ids';
import FigureField from '../../document/FigureField.vue';
import { useFrame } from '../../frame/planKey';
import { useFigures } from '../../units/figures';
import { bedTool, brush, brushMm, settledBed, strengthMm, TOOLS } from './bedTool';
import { wording } from '../../words/wording';

/** What the bed is worked with: brushes, the path, and what it does by itself. */
const props = defineProps<{ bed: readonly Layer[]; filler?: string }>();
const { scapeWork } = useFrame();
const edit = useBedEdit();
const f = useFigures();

const rounds = ref<number>();
const said = ref('');
const tool = computed(() => TOOLS.find((t) => t.tool === bedTool.value)!);
const within = (least: number, most: number, set: (mm: number) => void) => (mm: number | undefined) => {
  if (mm === undefined || mm < least || mm > most) return `must be ${f.length(least)} to ${f.length(most)}`;
  set(mm);
  return undefined;
};

async function settle(): Promise<void> {
  rounds.value = 0;
  said.value = '';
  const found = await scapeWork.settle((n) => (rounds.value = n));
  rounds.value = undefined;
  settledBed.value = found;
  if (found && found.movedL < 0.005) {
    settledBed.value = undefined;
    said.value = wording('bedTools.atRest');
  }
}
function keep(): void {
  const kept = settledBed.value;
  if (kept) edit.bed('settled', () => kept.bed);
  settledBed.value = undefined;
}
/** Bags as high as they may lie; where there is filler already its top is what is set. */
async function fill(): Promise<void> {
  const found = await scapeWork.fill();
  const material = props.filler;
  if (!found || !material) return void (said.value = wording('bedTools.noFiller'));
  if (found.litres < 0.3) return void (said.value = wording('bedTools.notDeepEnough'));
  const id = freshId('filler', props.bed);
  edit.bed('fill under', (b) => [{ id, material, top: found.top }, ...b], [material]);
  said.value = wording('bedTools.filled', { litres: f.volume(found.litres) });
}
</script>

<template>
  <div class="bed-tools" role="toolbar" aria-label="Tools for the bed">
    <div class="row">
      <button
        v-for="t in TOOLS"
        :key="t.tool"
        class="plain"
        :class="{ held: t.tool === bedTool }"
        :aria-pressed="t.tool === bedTool"
        :data-tool="t.tool"
        @click="bedTool = t.tool"
      >
        {{ t.title }}
      </button>
    </div>
    <div v-if="brush" class="row">
      <FigureField
        label="reach"
        kind="length"
        narrow
        :value="brushMm"
        :apply="within(20, 400, (mm) => (brushMm = mm))"
        data-test="reach"
      />
      <FigureField
        label="a touch moves"
        kind="length"
        narrow
        :value="strengthMm"
        :apply="within(0.5, 50, (mm) => (strengthMm = mm))"
        data-test="strength"
      />
      <span class="quiet">{{ tool.says }}</span>
    </div>
    <p v-else-if="bedTool === 'path'" class="quiet">{{ tool.says }}.</p>
    <div v-if="settledBed" class="row settled" data-test="settled">
      <span
        >{{ wording('bedTools.comesDown', { litres: f.volume(settledBed.movedL, 2) })
        }}<template v-if="settledBed.onPathsL >= 0.005">{{
          wording('bedTools.ontoPath', { litres: f.volume(settledBed.onPathsL, 2) })
        }}</template
        >.</span
      >
      <button class="act" data-test="keep-settled" @click="keep">Keep it so</button>
      <button class="act" @click="settledBed = undefined">Put it back</button>
    </div>
    <div v-else-if="rounds !== undefined" class="row">
      <span class="quiet">{{ wording('bedTools.creeping', { rounds }) }}</span>
      <button class="act" @click="scapeWork.stop()">Stop</button>
    </div>
    <div v-else class="row">
      <button class="act" data-test="settle" @click="settle">Let it settle</button>
      <button class="act" data-test="fill-under" @click="fill">Fill under it</button>
      <span v-if="said" class="quiet" aria-live="polite">{{ said }}</span>
    </div>
  </div>
</template>

<style scoped>
.bed-tools {
  flex: none;
  padding: 4px 14px 2px;
  border-bottom: 1px solid var(--rule);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: center;
}
.row .plain {
  padding: 3px 9px;
  border-bottom: 2px solid transparent;
}
.row .held {
  border-color: var(--celadon);
  font-weight: 600;
  background: var(--celadon-wash);
}
p {
  margin: 2px 0;
}
</style>
