<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Site, Vessel } from '../../../core/commission/schema';
import FigureField from '../../document/FigureField.vue';
import { gridOf, gridText } from './ppfdGrid';
import { wording } from '../../words/wording';

/** What a lamp gives and where it hangs: by its photons or lumens and its beam, or by a grid of PPFD that was measured. */
type Light = NonNullable<NonNullable<Site['devices']>[number]['light']>;
const props = defineProps<{ light?: Light; vessel: Vessel; apply: (light: Light) => string | undefined }>();
const set = (part: Partial<Light>) => props.apply({ ...props.light, ...part });
/** More than a kilowatt of LEDs gives, µmol/s: such a figure is of another unit (common practice). */
const MOST_UMOL_S = 2_500;
function gives(key: 'umolPerS' | 'lumens', v: number | undefined): string | undefined {
  if (v === 0) return wording('lampFields.zero');
  if (key === 'umolPerS' && v !== undefined && v > MOST_UMOL_S) return wording('lampFields.tooMuch');
  return set({ [key]: v });
}
const hangs = (mm: number | undefined) =>
  mm !== undefined && mm < 0 ? wording('lampFields.inTheTank') : set({ aboveRimMm: mm });
const length = computed(() => props.vessel.innerMm.length);

/** The grid as it was typed or pasted; what is wrong with it stands below, and it stays. */
const typed = ref(props.light?.grid ? gridText(props.light.grid) : '');
const fault = ref('');
function takeGrid(): void {
  if (typed.value.trim() === '') {
    fault.value = '';
    return void set({ grid: undefined });
  }
  const found = gridOf(typed.value, props.light?.grid);
  fault.value = typeof found === 'string' ? found : (set({ grid: found }) ?? '');
}
</script>

<template>
  <FigureField
    label="gives"
    kind="plain"
    unit="µmol/s"
    optional
    :value="light?.umolPerS"
    :apply="(v) => gives('umolPerS', v)"
    data-test="lamp-umol"
  />
  <FigureField
    label="or in lumens"
    kind="plain"
    unit="lm"
    optional
    :value="light?.lumens"
    :apply="(v) => gives('lumens', v)"
  />
  <FigureField
    label="beam"
    kind="degrees"
    optional
    usual="120"
    :value="light?.beamDeg"
    :apply="(v) => set({ beamDeg: v })"
  />
  <FigureField
    label="above the rim"
    kind="length"
    optional
    usual="120"
    :value="light?.aboveRimMm"
    :apply="hangs"
    data-test="lamp-above"
  />
  <FigureField
    label="long"
    kind="length"
    optional
    :value="light?.lengthMm"
    :apply="(v) => set({ lengthMm: v })"
  />
  <FigureField
    label="its middle from left"
    kind="length"
    optional
    :usual="Math.round(length / 2)"
    :value="light?.at?.[0]"
    :apply="(v) => set({ at: v === undefined ? undefined : [v, light?.at?.[1] ?? vessel.innerMm.width / 2] })"
  />
  <FigureField
    label="runs at"
    kind="plain"
    unit="%"
    optional
    usual="100"
    :value="light?.output === undefined ? undefined : Math.round(light.output * 100)"
    :apply="(v) => set({ output: v === undefined ? undefined : v / 100 })"
  />
  <label class="grid quiet"
    >{{ wording('lampFields.grid') }}
    <textarea
      v-model="typed"
      rows="3"
      spellcheck="false"
      data-test="ppfd-grid"
      @change="takeGrid"
      @keydown.stop
    />
    <span v-if="fault" class="late" role="alert">{{ fault }}</span>
  </label>
</template>

<style scoped>
.grid {
  grid-column: 1 / -1;
  font-size: 12px;
}
textarea {
  box-sizing: border-box;
  width: 100%;
  font: inherit;
  color: var(--ink);
  background: none;
  border: 1px solid var(--rule);
  padding: 4px 6px;
}
</style>
