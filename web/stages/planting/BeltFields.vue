<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Option, Plant, Vessel } from '../../../core/commission/schema';
import { rotation, turned } from '../../../core/geometry/rotation';
import { hullOf } from '../../../core/hardscape/planHull';
import { beltAlong, beltAround } from '../../../core/planting/belt';
import { displayOutline } from '../../../core/vessel/display';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import { meshForDrawing } from '../../document/drawnMeshes';
import { wording } from '../../words/wording';

/** Instead of corners: a belt at the foot of a stone, or along both edges of a path. */
const props = defineProps<{ plant: Plant; option: Option; vessel: Vessel }>();
const emit = defineEmits<{ belt: [regions: [number, number][][]] }>();
const paths = computed(() => props.option.bed.filter((l) => l.path && !l.path.edgeOf));
const along = computed(() => [
  ...paths.value.map((l) => ({ value: `path ${l.id}`, title: `the ${l.id}, both edges` })),
  ...props.option.pieces.map((p) => ({ value: p.id, title: p.id })),
]);
const chosen = ref<string>();
const wideMm = ref(60);
const form = useLocalForm();

function lay(): void {
  if (!form.settled()) return;
  const floor = displayOutline(props.vessel);
  const path = paths.value.find((l) => `path ${l.id}` === chosen.value)?.path;
  const piece = props.option.pieces.find((p) => p.id === chosen.value);
  const rings = path
    ? (['left', 'right'] as const).map((side) => beltAlong(path, wideMm.value, side, floor))
    : piece
      ? [beltAround(footOf(piece), wideMm.value, floor)]
      : [];
  emit(
    'belt',
    rings.filter((r) => r.length > 2).map((r) => r.map(([x, y]): [number, number] => [x, y])),
  );
}
/** The ring around a piece as it lies, seen from above. */
function footOf(piece: Option['pieces'][number]) {
  const v = turned(meshForDrawing(piece.shape).vertices, rotation(piece.turnDeg, piece.tiltDeg));
  const points = Array.from({ length: v.length / 3 }, (_, i): [number, number] => [
    v[i * 3] + piece.at[0],
    v[i * 3 + 1] + piece.at[1],
  ]);
  return hullOf(points);
}
/** A patch in the middle, to be drawn or moved to its place: for those who work by keys. */
function patch(): void {
  const { length, width } = props.vessel.innerMm;
  const [l, r, f, b] = [0.35 * length, 0.65 * length, 0.35 * width, 0.65 * width].map(Math.round);
  emit('belt', [[[l, f], [r, f], [r, b], [l, b]]]); // prettier-ignore
}
const setWide = (mm: number | undefined) => {
  if (!mm || mm < 5) return wording('beltFields.tooNarrow');
  wideMm.value = mm;
  return undefined;
};
</script>

<template>
  <div class="belt" @click.stop>
    <button class="act patch" data-test="patch" @click="patch">A patch in the middle</button>
    <v-select v-model="chosen" label="belt along" :items="along" data-test="belt-along" />
    <FigureField label="wide" kind="length" :value="wideMm" :apply="setWide" data-test="belt-wide" />
    <button class="solid" :disabled="!chosen" data-test="belt" @click="lay">Lay it</button>
  </div>
</template>

<style scoped>
.patch {
  grid-column: 1 / -1;
  text-align: left;
  padding: 4px 0 0;
}
.belt {
  display: grid;
  grid-template-columns: 1fr 74px auto;
  gap: 0 10px;
  align-items: end;
  padding: 4px 12px 8px;
  border-bottom: 1px solid var(--rule);
}
</style>
