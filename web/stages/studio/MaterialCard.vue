<script setup lang="ts">
import { figuresOf, type MaterialFigure } from '../../../core/catalogue/materialFields';
import type { Material, Supplier } from '../../../core/commission/schema';
import { GLUES } from '../../../core/commission/catalogueSchema';
import { gearKind } from '../../../core/commission/primitives';
import { percentOf, shareOf } from '../../../core/units/quantity';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import PackRows from '../../document/catalogue/PackRows.vue';
import WordsField from '../../document/WordsField.vue';
import { wording } from '../../words/wording';

/** One material with what is known of it; kept with every field that is left. */
const props = defineProps<{ material: Material; suppliers: readonly Supplier[]; currency: string }>();
const emit = defineEmits<{ change: [material: Material]; drop: [] }>();
useLocalForm();
const GEAR = gearKind.options.map((value) => ({ value, title: value.replace('-', ' ') }));

const LABELS: Record<MaterialFigure['key'], string> = {
  bulkKgPerL: 'a litre weighs, poured',
  densityKgPerL: 'a litre weighs, solid',
  soakedKgPerL: 'soaked',
  soakDays: 'sinks after',
  settles: 'settles by',
  reposeDeg: 'holds a slope of',
  pores: 'pores',
  dosePer100L: 'dose for 100 L',
  bacteriaPer100L: 'a day for 100 L',
  watts: 'draws',
  litresPerHour: 'moves',
};
const change = (part: Partial<Material>) => emit('change', { ...props.material, ...part });
const typed = ({ key, unit }: MaterialFigure) =>
  unit === '%' ? percentOf(props.material[key]) : props.material[key];
const set =
  ({ key, unit }: MaterialFigure) =>
  (v: number | undefined) =>
    void change({ [key]: unit === '%' ? shareOf(v) : v });
</script>

<template>
  <article class="material" data-test="material-card">
    <header class="section-head">
      <h3>{{ material.name }} <span class="quiet">{{ material.kind }}</span></h3>
      <button class="act" data-test="drop-material" @click="$emit('drop')">Take away</button>
    </header>
    <div class="figures">
      <WordsField label="name" :value="material.name" :apply="(name) => void change({ name })" />
      <FigureField
        v-for="figure in figuresOf(material.kind)"
        :key="figure.key"
        :label="LABELS[figure.key]"
        kind="plain"
        :unit="figure.unit"
        optional
        :value="typed(figure)"
        :apply="set(figure)"
        :data-test="`figure-${figure.key}`"
      />
      <v-select
        v-if="material.kind === 'equipment'"
        label="what it is"
        :items="GEAR"
        clearable
        :model-value="material.gear"
        data-test="material-gear"
        @update:model-value="(gear: Material['gear'] | null) => change({ gear: gear ?? undefined })"
      />
      <v-select
        v-if="material.kind === 'glue'"
        label="what it is"
        :items="[...GLUES]"
        :model-value="material.glue ?? 'liquid'"
        @update:model-value="(glue: Material['glue']) => change({ glue })"
      />
      <v-switch
        v-if="material.kind === 'stone' || material.kind === 'gravel'"
        label="gives off carbonate"
        :model-value="material.hardens ?? false"
        @update:model-value="(x) => change({ hardens: Boolean(x) || undefined })"
      />
    </div>
    <WordsField
      label="notes"
      :lines="2"
      :value="material.notes"
      :apply="(notes) => void change({ notes: notes || undefined })"
    />
    <h3>Sold in</h3>
    <p v-if="suppliers.length === 0">
      {{ wording('suppliersSection.empty') }}
      <router-link class="act" to="/studio/suppliers">Enter one</router-link>
    </p>
    <PackRows
      v-else
      :material="material"
      :suppliers="suppliers"
      :currency="currency"
      @change="(packs) => change({ packs })"
    />
  </article>
</template>

<style scoped>
.material {
  background: var(--paper);
  padding: 12px 18px 18px;
}
.section-head,
.figures {
  margin-bottom: 8px;
}
h3 {
  margin-top: 10px;
}
.figures {
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
}
</style>
