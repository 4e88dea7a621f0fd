<script setup lang="ts">
import type { Joint, Option, Piece } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import SittingField from '../../document/SittingField.vue';
import { wording } from '../../words/wording';

/** When a piece is set and its joint made, and when it comes out again where it only holds something. */
const props = defineProps<{ piece: Piece; joint?: Joint }>();
const commission = useCommission();
/** A value that is taken back is left out. */
function withField<T extends object>(thing: T, change: Partial<T>): T {
  return Object.fromEntries(Object.entries({ ...thing, ...change }).filter(([, v]) => v !== undefined)) as T;
}
const setPiece = (key: string, change: Partial<Piece>) =>
  commission.tryEditOption(`piece ${key} ${props.piece.id}`, (o: Option) => ({
    ...o,
    pieces: o.pieces.map((p) => (p.id === props.piece.id ? withField(p, change) : p)),
  }));
const setJoint = (sitting: string | undefined) =>
  commission.tryEditOption(`joint sitting ${props.joint!.id}`, (o: Option) => ({
    ...o,
    joints: o.joints.map((j) => (j.id === props.joint!.id ? withField(j, { sitting }) : j)),
  }));
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
    @change="setJoint"
  />
  <FigureField
    :label="wording('sittingField.out')"
    kind="plain"
    unit="days"
    optional
    :value="piece.outDays"
    :apply="(outDays) => setPiece('out', { outDays: outDays || undefined })"
    data-test="out-days"
  />
</template>

<style scoped>
.times {
  grid-column: span 2;
}
</style>
