<script setup lang="ts">
import { computed, ref } from 'vue';
import { MATERIAL_KINDS } from '../../../core/commission/catalogueSchema';
import type { Material } from '../../../core/commission/schema';
import { api } from '../../document/api';
import { useEntries } from '../../document/catalogue/entries';
import ListFile from '../../document/catalogue/ListFile.vue';
import { useStudio } from '../../document/studioStore';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';
import EntryColumn from './EntryColumn.vue';
import MaterialCard from './MaterialCard.vue';

/** What the studio builds with: found by name, changed in place, priced pack by pack. */
const studio = useStudio();
const { q, rows, total, said, load, more, attempt, add, keep, drop } = useEntries('materials');
const chosen = ref<string>();
const current = computed(() => rows.value?.find((m) => m.id === chosen.value));
const currency = computed(() => studio.studio?.currency ?? '');
const suppliers = computed(() => studio.studio?.catalogue.suppliers ?? []);

const startSet = () =>
  attempt(async () => {
    const { added } = await api.addStartSet();
    said.value = wording('materialsSection.started', { added });
    await Promise.all([load(), studio.again()]);
  });
const priceOf = (m: Material) =>
  m.packs?.length
    ? m.packs.map((p) => `${p.size} ${p.unit} ${money(p.priceMinor, currency.value)}`).join(', ')
    : '';
</script>

<template>
  <section class="two">
    <EntryColumn
      v-model:q="q"
      v-model:chosen="chosen"
      title="Materials"
      :what="wording('materialsSection.what')"
      one="material"
      :kinds="MATERIAL_KINDS"
      mostly="stone"
      :rows="rows"
      :total="total"
      :add="(name, kind) => add({ name, kind: kind as Material['kind'] })"
      @more="more"
    >
      <template #empty>
        <div v-if="total === 0 && !q && rows" class="empty" data-test="no-materials">
          <p>{{ wording('materialsSection.empty') }}</p>
          <button class="solid" data-test="start-set" @click="startSet">Take the start set</button>
        </div>
      </template>
      <template #row="{ entry: m }">
        <span class="quiet">{{ m.kind }}</span>
        <span class="price" :class="{ quiet: !m.packs?.length }">{{ priceOf(m) || 'no price' }}</span>
      </template>
      <p class="quiet below">
        <ListFile list="materials" @says="(words) => (said = words)" @taken="load" />
        <button v-if="total > 0" class="act" data-test="start-set-again" @click="startSet">
          Add what is missing of the start set
        </button>
      </p>
    </EntryColumn>
    <MaterialCard
      v-if="current"
      :key="current.id"
      :material="current"
      :suppliers="suppliers"
      :currency="currency"
      @change="keep"
      @drop="(drop(current), (chosen = undefined))"
    />
    <p v-else class="quiet aside">{{ wording('entryColumn.choose') }}</p>
    <p v-if="said" class="says" role="status" data-test="materials-said">{{ said }}</p>
  </section>
</template>

<style scoped src="./section.css"></style>
