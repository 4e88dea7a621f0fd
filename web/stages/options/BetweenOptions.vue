<script setup lang="ts">
import { computed, ref } from 'vue';
import { NOW, scapesOf } from '../../../core/commission/scapes';
import type { Commission, Option } from '../../../core/commission/schema';
import BetweenViews from '../../frame/BetweenViews.vue';
import type { OptionPlan } from '../../frame/optionPlans';
import { wording } from '../../words/wording';

/** Two options from one seat, one laid over the other. */
const props = defineProps<{ doc: Commission; plans: Record<string, OptionPlan>; width: number }>();

const scapes = computed(() => scapesOf(props.doc));
const nameOf = (o: Option) => (o.id === NOW ? wording('scapeTabs.now') : `${o.id.toUpperCase()} ${o.title}`);
const ids = computed(() => scapes.value.map((o) => o.id));
const left = ref(ids.value[0]);
const right = ref(ids.value[1]);
const sides = computed(() =>
  [left.value, right.value].map((id) => {
    const option = scapes.value.find((o) => o.id === id);
    const found = id === undefined ? undefined : props.plans[id];
    return option && found && { doc: props.doc, option, found, name: `option ${option.id.toUpperCase()}` };
  }),
);
</script>

<template>
  <BetweenViews :sides="sides" :width="width - 60" label="Two options, one over the other">
    <label
      ><span class="quiet">left</span>
      <select v-model="left" data-test="between-left">
        <option v-for="o in scapes" :key="o.id" :value="o.id">{{ nameOf(o) }}</option>
      </select></label
    >
    <label
      ><span class="quiet">right</span>
      <select v-model="right" data-test="between-right">
        <option v-for="o in scapes" :key="o.id" :value="o.id">{{ nameOf(o) }}</option>
      </select></label
    >
  </BetweenViews>
</template>
