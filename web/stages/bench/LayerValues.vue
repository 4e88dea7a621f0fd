<script setup lang="ts">
import { computed } from 'vue';
import { comesFrom, hasRun, layerOrigin } from '../../../core/commission/origin';
import { NOW } from '../../../core/commission/scapes';
import type { Layer, Material, Origin } from '../../../core/commission/schema';
import { meansAtEnds, mixedWith, overPart, sloped, withHill } from '../../../core/edits/layers';
import { isBedKind } from '../../../core/substrate/freshLayer';
import { useBedEdit } from '../../document/bedEdit';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import ThingNotes from '../../document/ThingNotes.vue';
import SittingField from '../../document/SittingField.vue';
import { useScapeEdit } from '../../document/scapeEdit';
import { useMaterials } from '../../document/materials';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import MaterialChoice from '../../document/catalogue/MaterialChoice.vue';

/** The typed values of one layer: its surface, its hills or its path, what it is of and where it comes from. */
const props = defineProps<{ layer: Layer; materials: Material[] }>();
const commission = useCommission();
/** What stands there is there: nobody is asked where it comes from. */
const isNow = computed(() => commission.optionId === NOW);
const atHand = useMaterials();
const scape = useScapeEdit();
const bed = useBedEdit();
const f = useFigures();

const material = computed(() => props.materials.find((m) => m.id === props.layer.material));
const offered = computed(() =>
  atHand.value.filter((m) => isBedKind(m.kind)).map((m) => ({ value: m.id, title: m.name })),
);
const change = (key: string, part: (l: Layer) => Partial<Layer>) =>
  scape.tryLayer(props.layer.id, key, (l) => ({ ...l, ...part(l) }));

const setPoured = (p: string) => change('poured', () => ({ poured: (p || undefined) as Layer['poured'] }));
const POURED: { value: Layer['poured'] | ''; title: string }[] = [
  { value: '', title: wording('layerValues.poured.usual') },
  { value: 'around', title: wording('layerValues.poured.around') },
  { value: 'glued', title: wording('layerValues.poured.glued') },
];
const setTop = (key: 'mm' | 'frontMm' | 'backMm') => (v: number | undefined) =>
  change(`typed ${key}`, (l) => ({ top: { ...l.top, [key]: v } as Layer['top'] }));
/** Heights that were drawn or have settled are raised or lowered at one end, the other stays. */
const slope = (end: 'frontMm' | 'backMm') => (v: number | undefined) =>
  change(`slope ${end}`, (l) => {
    if (l.top.kind !== 'grid' || v === undefined) return {};
    const by = v - meansAtEnds(l.top)[end];
    return { top: sloped(l.top, end === 'frontMm' ? by : 0, end === 'backMm' ? by : 0, commission.document!.vessel) }; // prettier-ignore
  });
const setMound = (i: number, key: 'radiusMm' | 'heightMm') => (v: number | undefined) =>
  change(`typed hill ${i} ${key}`, (l) => ({
    mounds: l.mounds!.map((m, n) => (n === i ? { ...m, [key]: v! } : m)),
  }));
const addHill = () =>
  scape.tryLayer(props.layer.id, 'add hill', (l) => withHill(l, commission.document!.vessel));
const dropHill = (i: number) => change('drop hill', (l) => ({ mounds: l.mounds!.filter((_, n) => n !== i) }));

/** A path is at least a finger wide and no wider than the largest tank. */
const [NARROW_MM, WIDE_MM] = [10, 3_000];
const setWidth = (end: 0 | 1) => (mm: number | undefined) => {
  if (mm === undefined || mm < NARROW_MM || mm > WIDE_MM)
    return wording('layerValues.outOfRange', {
      width: mm === undefined ? wording('layerValues.missing') : f.length(mm),
      narrow: f.length(NARROW_MM),
      wide: f.length(WIDE_MM),
    });
  const { line, widthMm } = props.layer.path!;
  const next: [number, number] = [...widthMm];
  next[end] = mm!;
  bed.setPath(props.layer.id, { line, widthMm: next });
  return undefined;
};
const gravels = computed(() =>
  atHand.value.filter((m) => m.kind === 'gravel').map((m) => ({ value: m.id, title: m.name })),
);
const edgeWith = (id: string | null) => id && bed.addEdge(props.layer.id, id);
/** A layer lies everywhere, or on a part of the floor whose corners are then taken hold of on the plan. */
const WHERE = [
  { value: 'all', title: 'over the whole floor' },
  { value: 'part', title: 'over a part of it' },
];
const setWhere = (where: string) =>
  scape.tryLayer(props.layer.id, 'where', (l) => overPart(l, where === 'part', commission.document!.vessel));

const origin = computed(() => layerOrigin(commission.document!.brief, props.layer));
const setOrigin = (o: Origin, from?: string) => change('origin', () => comesFrom(o, from));
const isSoil = computed(() => material.value?.kind === 'soil');
const isFiller = computed(() => material.value?.kind === 'filler');
const isGrain = computed(() => ['sand', 'gravel'].includes(material.value?.kind ?? ''));
const grains = computed(() =>
  props.materials
    .filter((m) => (m.kind === 'sand' || m.kind === 'gravel') && m.id !== props.layer.material)
    .map((m) => ({ value: m.id, title: m.name })),
);
const mixed = computed(() => props.layer.mix?.find((m) => m.material !== props.layer.material));
const setMix = (other: string | null, share = 0.5) =>
  scape.tryLayer(props.layer.id, 'mix', (l) => mixedWith(l, other ?? undefined, share));
</script>

<template>
  <div class="values">
    <MaterialChoice
      class="wide"
      label="of"
      :items="offered"
      :model-value="layer.material"
      data-test="layer-material"
      @update:model-value="(id) => id && bed.setMaterial(layer.id, id)"
    />
    <FigureField
      v-if="layer.top.kind === 'level'"
      :label="layer.over ? 'thick' : 'height'"
      kind="length"
      narrow
      :value="layer.top.mm"
      :apply="setTop('mm')"
      data-test="level-mm"
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
    <template v-else>
      <FigureField
        label="front, mean"
        kind="length"
        narrow
        :value="meansAtEnds(layer.top).frontMm"
        :apply="slope('frontMm')"
        data-test="grid-front"
      />
      <FigureField
        label="back, mean"
        kind="length"
        narrow
        :value="meansAtEnds(layer.top).backMm"
        :apply="slope('backMm')"
        data-test="grid-back"
      />
    </template>
    <template v-if="layer.path && !layer.path.edgeOf">
      <FigureField
        class="end"
        label="wide in front"
        kind="length"
        :value="layer.path.widthMm[0]"
        :apply="setWidth(0)"
        data-test="path-front"
      />
      <FigureField
        class="end"
        label="wide behind"
        kind="length"
        :value="layer.path.widthMm[1]"
        :apply="setWidth(1)"
        data-test="path-back"
      />
      <v-select
        class="wide"
        label="edge it with"
        :items="gravels"
        :model-value="null"
        data-test="edge"
        @update:model-value="(id: string | null) => edgeWith(id)"
      />
    </template>
    <v-select
      v-else-if="!layer.path"
      class="wide"
      label="lies"
      :items="WHERE"
      :model-value="layer.region ? 'part' : 'all'"
      @update:model-value="setWhere"
    />
    <div v-for="(m, i) in layer.mounds ?? []" :key="i" class="hill">
      <b>Hill {{ i + 1 }}</b>
      <FigureField label="height" kind="length" narrow :value="m.heightMm" :apply="setMound(i, 'heightMm')" />
      <FigureField label="foot" kind="length" narrow :value="m.radiusMm" :apply="setMound(i, 'radiusMm')" />
      <button class="plain quiet" :aria-label="`Take hill ${i + 1} away`" @click="dropHill(i)">×</button>
    </div>
    <button v-if="!layer.path" class="act" data-test="add-hill" @click="addHill">+ hill</button>
    <v-switch
      v-if="!layer.path && !layer.cuts && bed.isOnOthers(layer.id)"
      :model-value="layer.over ?? false"
      label="follows the ground"
      data-test="follows"
      @update:model-value="(x) => bed.follow(layer.id, Boolean(x))"
    />
    <OriginField v-if="!isNow" class="wide" :origin="origin" :from="layer.from" parts @change="setOrigin" />
    <v-select
      v-if="!isNow"
      class="wide"
      :label="wording('layerValues.poured')"
      :items="POURED"
      :model-value="layer.poured ?? ''"
      data-test="poured"
      @update:model-value="setPoured"
    />
    <ThingNotes v-if="!isNow" class="wide" :about="{ of: 'bed', id: layer.id }" />
    <SittingField
      v-if="!isNow"
      class="wide"
      :value="layer.sitting"
      @change="(sitting) => change('sitting', () => ({ sitting }))"
    />
    <FigureField
      class="there"
      label="of it there"
      kind="volume"
      optional
      :value="layer.presentL"
      :apply="(presentL) => change('present', () => ({ presentL }))"
      data-test="present"
    />
    <FigureField
      class="there"
      label="laid after"
      kind="plain"
      unit="days"
      optional
      :value="layer.laterDays"
      :apply="(days) => change('later', () => ({ laterDays: days || undefined }))"
      data-test="laid-after"
    />
    <v-switch
      v-if="isSoil"
      :model-value="hasRun(layer)"
      label="has run before"
      @update:model-value="
        (x) =>
          change('used', () => ({ used: Boolean(x) === (layer.from !== undefined) ? undefined : Boolean(x) }))
      "
    />
    <v-switch
      v-if="isFiller"
      :model-value="layer.bagged ?? true"
      label="in mesh bags"
      data-test="bagged"
      @update:model-value="(x) => change('bagged', () => ({ bagged: x ? undefined : false }))"
    />
    <v-select
      v-if="isGrain && grains.length"
      class="wide"
      label="mixed with"
      :items="grains"
      :model-value="mixed?.material"
      clearable
      data-test="mixed-with"
      @update:model-value="(id: string | null) => setMix(id)"
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
</template>

<style scoped>
.values {
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  align-content: start;
  overflow-y: auto;
  gap: 0 14px;
  padding: 2px 14px;
}
.hill {
  display: flex;
  gap: 8px;
  align-items: center;
  border-left: 1px solid var(--rule);
  padding-left: 12px;
}
.wide {
  width: 176px;
  flex: none;
}
.end {
  width: 104px;
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
  padding: 8px 0;
}
</style>
