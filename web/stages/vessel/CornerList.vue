<script setup lang="ts">
import { computed } from 'vue';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';

/** The corners of a straight-sided floor, typed: from the left and from the front, in turn around it. */
const commission = useCommission();
const edit = useDocEdit();
const corners = computed(() => commission.document!.vessel.corners ?? []);
type Corner = [number, number];
const set = (i: number, axis: 0 | 1, mm: number) =>
  edit.vessel(
    'corners',
    corners.value.map((c, n): Corner => (n === i ? (axis === 0 ? [mm, c[1]] : [c[0], mm]) : [...c])),
  );
/** A new corner half-way along the side that follows. */
function add(i: number): void {
  const [a, b] = [corners.value[i], corners.value[(i + 1) % corners.value.length]];
  const middle: Corner = [Math.round((a[0] + b[0]) / 2), Math.round((a[1] + b[1]) / 2)];
  edit.vessel('corners', corners.value.toSpliced(i + 1, 0, middle));
}
const remove = (i: number) => edit.vessel('corners', corners.value.toSpliced(i, 1));
</script>

<template>
  <div class="corners">
    <div v-for="(c, i) in corners" :key="i" class="row" :data-corner="i + 1">
      <span>Corner {{ i + 1 }}</span>
      <FigureField label="from the left" kind="length" :value="c[0]" :apply="(mm) => set(i, 0, mm!)" />
      <FigureField label="from the front" kind="length" :value="c[1]" :apply="(mm) => set(i, 1, mm!)" />
      <button class="act" @click="add(i)">Add after</button>
      <button class="act" :disabled="corners.length <= 3" @click="remove(i)">Take away</button>
    </div>
  </div>
</template>

<style scoped>
.corners {
  max-width: 620px;
}
.row {
  display: grid;
  grid-template-columns: 70px 1fr 1fr auto auto;
  gap: 2px 18px;
  align-items: end;
}
span {
  padding-bottom: 8px;
}
</style>
