<script setup lang="ts">
import { computed } from 'vue';
import { layerOrigin } from '../../../core/commission/origin';
import type { Layer, Material, Option } from '../../../core/commission/schema';
import { isBedKind } from '../../../core/substrate/freshLayer';
import { useBedEdit } from '../../document/bedEdit';
import { useCommission } from '../../document/commissionStore';
import { useMaterials } from '../../document/materials';
import { colourOf } from '../../drawing/colour';
import OriginMark from '../../drawing/OriginMark.vue';
import { selectedLayer } from '../../frame/selection';
import { useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';
import MaterialChoice from '../../document/catalogue/MaterialChoice.vue';

/** The layers of the bed as they lie, the uppermost first, and what can be laid on. */
const props = defineProps<{
  option: Option;
  materials: Material[];
  survey?: ShownPlan['survey'];
  chosen?: string;
}>();
const commission = useCommission();
const atHand = useMaterials();
const edit = useBedEdit();
const f = useFigures();

const downwards = computed(() => [...props.option.bed].reverse());
const materialOf = (l: Layer) => props.materials.find((m) => m.id === l.material);
const surveyed = (l: Layer) => props.survey?.layers.find((s) => s.id === l.id);
const originOf = (l: Layer) => layerOrigin(commission.document!.brief, l);
const offered = computed(() =>
  atHand.value.filter((m) => isBedKind(m.kind)).map((m) => ({ value: m.id, title: m.name })),
);
const lay = (id: string | null) => id && (selectedLayer.value = edit.add(id));
</script>

<template>
  <div class="layers">
    <ul aria-label="Layers, the uppermost first">
      <li v-for="l in downwards" :key="l.id" :class="{ chosen: l.id === chosen }">
        <button class="plain" :data-layer="l.id" @click="selectedLayer = l.id">
          <i :style="{ background: colourOf(materialOf(l)) }" /><span
            >{{ materialOf(l)?.name ?? l.material }} <OriginMark :origin="originOf(l)"
          /></span>
          <small v-if="surveyed(l)" class="quiet"
            >{{ f.volume(surveyed(l)!.volumeL) }}, {{ Math.round(surveyed(l)!.steepestDeg) }}° at
            most<template v-if="materialOf(l)?.reposeDeg">
              of {{ materialOf(l)!.reposeDeg }}°</template
            ></small
          >
        </button>
        <span v-if="l.id === chosen" class="places">
          <button class="plain" aria-label="One layer up" @click="edit.move(l.id, 1)">↑</button>
          <button class="plain" aria-label="One layer down" @click="edit.move(l.id, -1)">↓</button>
          <button
            class="plain"
            aria-label="Take this layer away"
            data-test="drop-layer"
            @click="edit.drop(l.id)"
          >
            ×
          </button>
        </span>
      </li>
    </ul>
    <MaterialChoice
      class="lay"
      label="lay on"
      :items="offered"
      :model-value="null"
      data-test="add-layer"
      @update:model-value="(id) => lay(id ?? null)"
    />
  </div>
</template>

<style scoped>
.layers {
  flex: 0 1 250px;
  min-width: 150px;
  display: flex;
  flex-direction: column;
  border-right: 1px solid var(--rule);
  padding: 4px 12px 0 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  flex: 1;
  min-height: 0;
  overflow-y: auto;
}
li {
  display: flex;
}
li > button {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 12px 1fr;
  gap: 0 8px;
  align-items: center;
  padding: 2px 6px;
  line-height: 1.25;
  text-align: left;
}
li > button span {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
li small {
  grid-column: 2;
}
.chosen {
  background: var(--celadon-wash);
}
.places {
  display: flex;
  align-items: center;
}
.places button {
  width: 24px;
  height: 28px;
  text-align: center;
}
i {
  width: 11px;
  height: 11px;
  border: 1px solid #0003;
}
.lay {
  flex: none;
}
</style>
