<script setup lang="ts">
import { computed } from 'vue';
import { withGiven } from '../../../core/edits/given';
import { withJoint, withPiece } from '../../../core/edits/pieces';
import { meansOf } from '../../../core/hardscape/joining';
import type { Joint, Option, Piece } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import ThingNotes from '../../document/ThingNotes.vue';
import SittingField from '../../document/SittingField.vue';
import { wording } from '../../words/wording';

/** On what and when a piece is set, by what else and when its joint is made, and when it comes out again where it only holds something. */
const props = defineProps<{ piece: Piece; joint?: Joint; option: Option }>();
const commission = useCommission();
const setPiece = (key: string, change: Partial<Piece>) =>
  commission.tryEditOption(`piece ${key} ${props.piece.id}`, (o) =>
    withPiece(o, props.piece.id, (p) => withGiven(p, change)),
  );
const setJoint = (key: string, change: Partial<Joint>) =>
  commission.tryEditOption(`joint ${key} ${props.joint!.id}`, (o) =>
    withJoint(o, props.joint!.id, (j) => withGiven(j, change)),
  );
const ALSO: { value: Joint['method']; title: string }[] = [
  { value: 'fibre-glue', title: wording('pieceTimes.fibre') },
  { value: 'gel-glue', title: wording('pieceTimes.gel') },
  { value: 'silicone', title: wording('pieceTimes.silicone') },
  { value: 'tie', title: wording('pieceTimes.tie') },
  { value: 'wedge', title: wording('pieceTimes.wedge') },
];
const others = computed(() => ALSO.filter((a) => a.value !== props.joint?.method));
const setAlso = (also: Joint['method'][]) =>
  setJoint('also', { also: also.length > 0 ? also : undefined, ...(also.includes('tie') ? {} : { cutDays: undefined }) }); // prettier-ignore
const isTied = computed(() => props.joint !== undefined && meansOf(props.joint).includes('tie'));
/** The layers on which it may stand; said only where there are several. */
const layers = computed(() => [
  { value: '', title: wording('pieceTimes.lies') },
  ...props.option.bed.map((l) => ({ value: l.id, title: materialName(l.material) })),
]);
const materialName = (id: string) =>
  commission.document?.catalogue.materials.find((m) => m.id === id)?.name ?? id;
function setLayer(id: string): void {
  const { stand } = props.piece;
  if (stand.kind !== 'bed') return;
  const { layer: _was, ...own } = stand;
  setPiece('layer', { stand: id ? { ...own, layer: id } : own });
}
</script>

<template>
  <SittingField
    class="times"
    :value="piece.sitting"
    @change="(sitting) => setPiece('sitting', { sitting })"
  />
  <SittingField
    v-if="joint"
    class="times"
    :label="wording('sittingField.joined')"
    :value="joint.sitting"
    @change="(sitting) => setJoint('sitting', { sitting })"
  />
  <v-select
    v-if="joint"
    class="times"
    :label="wording('pieceTimes.also')"
    :items="others"
    multiple
    :model-value="joint.also ?? []"
    data-test="also"
    @update:model-value="setAlso"
  />
  <FigureField
    v-if="isTied"
    class="times"
    :label="wording('pieceTimes.cut')"
    kind="plain"
    unit="days"
    optional
    :value="joint!.cutDays"
    :apply="(cutDays) => setJoint('cut', { cutDays: cutDays || undefined })"
  />
  <v-select
    v-if="piece.stand.kind === 'bed' && option.bed.length > 1"
    class="times"
    :label="wording('pieceTimes.standsIn')"
    :items="layers"
    :model-value="piece.stand.layer ?? ''"
    data-test="stands-in"
    @update:model-value="setLayer"
  />
  <FigureField
    class="times"
    :label="wording('sittingField.out')"
    kind="plain"
    unit="days"
    optional
    :value="piece.outDays"
    :apply="(outDays) => setPiece('out', { outDays: outDays || undefined })"
    data-test="out-days"
  />
  <ThingNotes :about="{ of: 'pieces', id: piece.id }" />
</template>

<style scoped>
.times {
  grid-column: span 2;
}
</style>
