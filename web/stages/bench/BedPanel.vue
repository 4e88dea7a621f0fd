<script setup lang="ts">
import { computed } from 'vue';
import type { Layer, Material, Option, Origin } from '../../../core/commission/schema';
import { colourOf } from '../../drawing/colour';
import { useScapeEdit } from '../../document/scapeEdit';
import { useFigures } from '../../units/figures';
import { layerOrigin } from '../../../core/commission/origin';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import OriginMark from '../../drawing/OriginMark.vue';
import { selectedLayer } from '../../frame/selection';
import type { ShownPlan } from '../../workers/planWorker';

/** The bed's layers, bottom first, with the typed values of the one that is chosen. */
const props = defineProps<{ option: Option; materials: Material[]; survey?: ShownPlan['survey'] }>();
const edit = useScapeEdit();
const commission = useCommission();
const f = useFigures();

const layer = computed(
  () =>
    props.option.bed.find((l) => l.id === selectedLayer.value) ??
    props.option.bed.find((l) => !l.cuts && l.top.kind === 'ramp') ??
    props.option.bed[0],
);
const materialOf = (l: Layer) => props.materials.find((m) => m.id === l.material);
const surveyed = (l: Layer) => props.survey?.layers.find((s) => s.id === l.id);

const originOf = (l: Layer) => layerOrigin(commission.document!.brief, l);
const setOrigin = (origin: Origin) => edit.layer(layer.value!.id, 'origin', (l) => ({ ...l, origin }));
const setPresent = (presentL: number | undefined) =>
  edit.tryLayer(layer.value!.id, 'present', (l) => ({ ...l, presentL }));
const isSoil = computed(() => layer.value && materialOf(layer.value)?.kind === 'soil');
const isGrain = computed(
  () => layer.value && ['sand', 'gravel'].includes(materialOf(layer.value)?.kind ?? ''),
);
const setUsed = (used: boolean) =>
  edit.layer(layer.value!.id, 'used', (l) => ({ ...l, used: used || undefined }));
/** Other sands and gravels of the document that a layer may be mixed with. */
const grains = computed(() =>
  props.materials
    .filter((m) => (m.kind === 'sand' || m.kind === 'gravel') && m.id !== layer.value?.material)
    .map((m) => ({ value: m.id, title: m.name })),
);
const mixed = computed(() => layer.value?.mix?.find((m) => m.material !== layer.value!.material));
/** A mixture of two by the share of the second; none where no second is chosen. */
function setMix(other: string | null, share = 0.5): string | undefined {
  return edit.tryLayer(layer.value!.id, 'mix', (l) => ({
    ...l,
    mix: other ? [{ material: l.material, share: 1 - share }, { material: other, share }] : undefined,
  })); // prettier-ignore
}
const setLater = (days: number | undefined) =>
  edit.tryLayer(layer.value!.id, 'later', (l) => ({ ...l, laterDays: days || undefined }));
const setTop = (key: 'mm' | 'frontMm' | 'backMm') => (v: number | undefined) =>
  edit.tryLayer(layer.value!.id, `typed ${key}`, (l) => ({ ...l, top: { ...l.top, [key]: v } }) as Layer);
const setMound = (i: number, key: 'radiusMm' | 'heightMm') => (v: number | undefined) =>
  edit.tryLayer(layer.value!.id, `typed hill ${i} ${key}`, (l) => ({
    ...l,
    mounds: l.mounds!.map((m, n) => (n === i ? { ...m, [key]: v! } : m)),
  }));
function addHill(): void {
  edit.layer(layer.value!.id, 'add hill', (l) => ({
    ...l,
    mounds: [...(l.mounds ?? []), { at: [150, 250], radiusMm: 150, heightMm: 40 }],
  }));
}
function dropHill(i: number): void {
  edit.layer(layer.value!.id, 'drop hill', (l) => ({ ...l, mounds: l.mounds!.filter((_, n) => n !== i) }));
}
</script>

<template>
  <div class="bed">
    <ul>
      <li v-for="l in option.bed" :key="l.id">
        <button class="plain" :class="{ chosen: l.id === layer?.id }" @click="selectedLayer = l.id">
          <i :style="{ background: colourOf(materialOf(l)) }" /><span
            >{{ materialOf(l)?.name ?? l.material }} <OriginMark :origin="originOf(l)"
          /></span>
          <small v-if="surveyed(l)" class="quiet"
            >{{ f.volume(surveyed(l)!.volumeL) }}, {{ Math.round(surveyed(l)!.steepestDeg) }}° at
            most<template v-if="materialOf(l)?.reposeDeg"> of {{ materialOf(l)!.reposeDeg }}</template></small
          >
        </button>
      </li>
    </ul>
    <div v-if="layer" class="values">
      <FigureField
        v-if="layer.top.kind === 'level'"
        label="height"
        kind="length"
        narrow
        :value="layer.top.mm"
        :apply="setTop('mm')"
      />
      <template v-else-if="layer.top.kind === 'ramp'">
        <FigureField
          label="front"
          kind="length"
          narrow
          :value="layer.top.frontMm"
          :apply="setTop('frontMm')"
          data-test="ramp-front"
        />
        <FigureField
          label="back"
          kind="length"
          narrow
          :value="layer.top.backMm"
          :apply="setTop('backMm')"
          data-test="ramp-back"
        />
      </template>
      <p v-else class="quiet">sculpted, {{ layer.top.columns }} × {{ layer.top.rows }} heights</p>
      <div v-for="(m, i) in layer.mounds ?? []" :key="i" class="hill">
        <b>Hill {{ i + 1 }}</b>
        <FigureField
          label="height"
          kind="length"
          narrow
          :value="m.heightMm"
          :apply="setMound(i, 'heightMm')"
        />
        <FigureField label="foot" kind="length" narrow :value="m.radiusMm" :apply="setMound(i, 'radiusMm')" />
        <button class="plain quiet" :aria-label="`Take hill ${i + 1} away`" @click="dropHill(i)">×</button>
      </div>
      <button class="act" @click="addHill">+ hill</button>
      <OriginField class="from" :origin="originOf(layer)" @change="setOrigin" />
      <FigureField
        class="there"
        label="of it there"
        kind="volume"
        optional
        :value="layer.presentL"
        :apply="setPresent"
        data-test="present"
      />
      <FigureField
        class="there"
        label="laid after"
        kind="plain"
        unit="days"
        optional
        :value="layer.laterDays"
        :apply="setLater"
        data-test="laid-after"
      />
      <v-switch
        v-if="isSoil"
        :model-value="layer.used ?? false"
        label="has run before"
        @update:model-value="(x) => setUsed(Boolean(x))"
      />
      <v-select
        v-if="isGrain && grains.length"
        class="from"
        label="mixed with"
        :items="grains"
        :model-value="mixed?.material"
        clearable
        data-test="mixed-with"
        @update:model-value="(id) => setMix(id)"
      />
      <FigureField
        v-if="mixed"
        class="there"
        label="its share"
        kind="plain"
        unit="%"
        :value="Math.round(mixed.share * 100)"
        :apply="(v) => setMix(mixed!.material, v! / 100)"
      />
    </div>
    <p v-else class="quiet">There is no bed yet.</p>
  </div>
</template>

<style scoped>
.bed {
  display: flex;
  height: 100%;
}
ul {
  list-style: none;
  margin: 0;
  padding: 8px 18px 0 4px;
  width: 264px;
  flex: none;
  overflow-y: auto;
  border-right: 1px solid var(--rule);
}
li button {
  display: grid;
  grid-template-columns: 12px 1fr;
  gap: 0 8px;
  align-items: center;
  width: 100%;
  padding: 2px 6px;
  line-height: 1.25;
}
li button small {
  grid-column: 2;
}
li .chosen {
  background: var(--celadon-wash);
}
i {
  width: 11px;
  height: 11px;
  border: 1px solid #0003;
}
.values {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  align-content: center;
  overflow-y: auto;
  gap: 0 14px;
  padding: 0 16px;
}
.hill {
  display: flex;
  gap: 8px;
  align-items: center;
  border-left: 1px solid var(--rule);
  padding-left: 12px;
}
.from {
  width: 196px;
  flex: none;
}
.there {
  width: 92px;
  flex: none;
}
.values :deep(.narrow) {
  width: 76px;
}
p {
  padding: 16px;
}
</style>
