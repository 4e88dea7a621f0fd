<script setup lang="ts">
import { computed } from 'vue';
import type { Brief } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import TickButtons from './TickButtons.vue';

/** New build, or a running tank: what of it stays, and where its animals wait. */
type Rescape = NonNullable<Brief['rescape']>;
const commission = useCommission();
const edit = useDocEdit();
const rescape = computed(() => commission.document!.brief.rescape);
const KINDS = [
  { value: 'new', title: 'New build' },
  { value: 'rescape', title: 'Rescape of a running tank' },
] as const;
const STAYS = [
  { value: 'stone', title: 'stone stays' },
  { value: 'wood', title: 'wood stays' },
  { value: 'substrate', title: 'substrate stays' },
  { value: 'plants', title: 'plants stay' },
  { value: 'water', title: 'old water kept' },
] as const;

/** A running tank with fish starts on the school for it, unless another was chosen. */
function setKind([kind]: ('new' | 'rescape')[]): void {
  edit.edit('brief rescape', (d) => {
    const { rescape: was, ...brief } = d.brief;
    if (kind !== 'rescape') return { ...d, brief };
    return {
      ...d,
      brief: {
        ...d.brief,
        rescape: was ?? { stays: ['plants', 'water'], filterKept: true },
        schools: { water: 'fish-in', ...d.brief.schools },
      },
    };
  });
}
const set = (part: Partial<Rescape>) => edit.brief('rescape', { ...rescape.value!, ...part });
</script>

<template>
  <TickButtons
    label="New or running"
    :choices="KINDS"
    :chosen="[rescape ? 'rescape' : 'new']"
    @change="setKind"
  />
  <template v-if="rescape">
    <TickButtons
      label="What stays"
      many
      :choices="STAYS"
      :chosen="rescape.stays"
      @change="(stays) => set({ stays })"
    />
    <div class="row">
      <v-switch
        :model-value="rescape.filterKept"
        label="Filter kept running"
        @update:model-value="(x) => set({ filterKept: Boolean(x) })"
      />
      <FigureField
        label="tubs to wait in"
        kind="volume"
        optional
        :value="rescape.holdingL"
        :apply="(l) => set({ holdingL: l })"
        data-test="holding"
      />
    </div>
    <p class="quiet">Mark what lives in it under Animals. Local animal-welfare law applies.</p>
  </template>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 22px;
  align-items: end;
}
</style>
