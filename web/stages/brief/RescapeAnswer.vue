<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { NOW } from '../../../core/commission/scapes';
import { withNowDrawn } from '../../../core/edits/nowDrawn';
import { animalsOf, filterStateOf } from '../../../core/commission/usual';
import type { Brief } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import TickButtons from './TickButtons.vue';
import { wording } from '../../words/wording';

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

/** What is drawn says itself what of it stays; water is not drawn. */
const stays = computed(() => (commission.document!.now ? STAYS.filter((s) => s.value === 'water') : STAYS));
const router = useRouter();
function draw(): void {
  commission.endStep();
  commission.edit('draw now', withNowDrawn);
  commission.optionId = NOW;
  void router.push({ path: `/c/${commission.id}/bench`, query: { tray: 'now' } });
}

const RINSED = [
  { value: 'tank-water', title: 'rinsed in tank water' },
  { value: 'tap', title: 'under the tap' },
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
const FILTERS = [
  { value: 'new', title: 'filter new' },
  { value: 'seeded', title: 'media seeded' },
  { value: 'mature', title: 'mature, moves over' },
] as const;
const ANIMALS = [
  { value: 'stay', title: 'animals stay in' },
  { value: 'tubs', title: 'wait in tubs' },
  { value: 'elsewhere', title: 'go elsewhere' },
] as const;
type FilterState = (typeof FILTERS)[number]['value'];
const brief = computed(() => commission.document!.brief);
const anyThere = computed(() => animalsOf(brief.value).here.length > 0);
const setFilter = ([state]: FilterState[]) =>
  edit.brief('filter', state ? { ...brief.value.filter, state } : undefined);
const setKept = (percent: number | undefined) =>
  set({ waterKept: percent === undefined ? undefined : percent / 100 });
const set = (part: Partial<Rescape>) => edit.brief('rescape', { ...rescape.value!, ...part });
</script>

<template>
  <TickButtons
    label="New or running"
    :choices="KINDS"
    :chosen="[rescape ? 'rescape' : 'new']"
    @change="setKind"
  />
  <TickButtons
    v-if="!rescape"
    label="The filter"
    :choices="FILTERS"
    :chosen="[filterStateOf(brief)]"
    @change="setFilter"
  />
  <FigureField
    v-if="!rescape"
    :label="wording('rescapeAnswer.otherWater')"
    kind="volume"
    optional
    :value="brief.otherWaterL"
    :apply="(otherWaterL) => edit.brief('otherWaterL', otherWaterL || undefined)"
    data-test="other-water"
  />
  <template v-if="rescape">
    <TickButtons
      label="What stays"
      many
      :choices="stays"
      :chosen="rescape.stays"
      @change="(stays) => set({ stays })"
    />
    <p class="drawn">
      <button class="act" data-test="draw-now" @click="draw">
        {{ commission.document!.now ? 'See what stands there' : 'Draw what stands there' }}
      </button>
      <span class="quiet">{{
        wording(commission.document!.now ? 'rescapeAnswer.drawn' : 'rescapeAnswer.draw')
      }}</span>
    </p>
    <div class="row">
      <v-switch
        :model-value="rescape.filterKept"
        label="Filter kept running"
        @update:model-value="(x) => set({ filterKept: Boolean(x) })"
      />
      <v-switch
        :model-value="rescape.filterCleaned ?? false"
        label="Filter cleaned that day"
        @update:model-value="(x) => set({ filterCleaned: Boolean(x) || undefined })"
      />
      <FigureField
        label="water to wait in"
        kind="volume"
        optional
        :value="rescape.holdingL"
        :apply="(l) => set({ holdingL: l })"
        data-test="holding"
      />
    </div>
    <TickButtons
      v-if="rescape.filterCleaned"
      label="How its media are cleaned"
      :choices="RINSED"
      :chosen="rescape.filterRinsed ? [rescape.filterRinsed] : []"
      @change="([filterRinsed]) => set({ filterRinsed })"
    />
    <TickButtons
      v-if="anyThere"
      label="Where animals are meanwhile"
      :choices="ANIMALS"
      :chosen="rescape.animals ? [rescape.animals] : []"
      @change="([animals]) => set({ animals })"
    />
    <v-switch
      v-if="rescape.animals === 'tubs'"
      :model-value="rescape.inKept ?? false"
      label="They wait in the water that is kept"
      data-test="in-kept"
      @update:model-value="(x) => set({ inKept: Boolean(x) || undefined })"
    />
    <div class="row three">
      <FigureField
        label="old water kept"
        kind="plain"
        unit="%"
        optional
        :value="rescape.waterKept === undefined ? undefined : Math.round(rescape.waterKept * 100)"
        :apply="setKept"
        data-test="water-kept"
      />
      <FigureField
        label="drained to"
        kind="length"
        optional
        :value="rescape.drainToMm"
        :apply="(mm) => set({ drainToMm: mm })"
        data-test="drain-to"
      />
      <FigureField
        label="a tub holds"
        kind="volume"
        optional
        :value="rescape.tubL"
        :apply="(l) => set({ tubL: l })"
      />
    </div>
    <p class="quiet">{{ wording('rescapeAnswer.animals') }}</p>
  </template>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 22px;
  align-items: end;
}
.drawn {
  display: flex;
  align-items: baseline;
  gap: 14px;
  margin: 8px 0 4px;
}
.row.three {
  grid-template-columns: repeat(3, 1fr);
  margin-top: 12px;
}
</style>
