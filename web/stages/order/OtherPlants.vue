<script setup lang="ts">
import { computed } from 'vue';
import { useCommission } from '../../document/commissionStore';
import { useFrame } from '../../frame/planKey';
import { wording } from '../../words/wording';
import { usePlants } from '../../document/plants';
import { useBecoming } from '../../frame/plants/becoming';
import SubstituteList from '../../frame/plants/SubstituteList.vue';
import { wholeBed } from '../../frame/plants/wholeBed';

/** A plant that the shop has not: by planting, what could stand there instead, with what it changes. Chosen with the light at hand on Planting. */
const props = defineProps<{ plant: string }>();
const commission = useCommission();
const { planted } = useFrame();
const plants = usePlants();
const become = useBecoming(plants);
const spot = computed(() => wholeBed(planted.value));
const parts = computed(() =>
  planted.value?.optionId === commission.optionId
    ? planted.value.parts.filter((p) => p.planting.plant === props.plant && p.planting.now === undefined)
    : [],
);
</script>

<template>
  <div data-test="other-plant">
    <template v-if="spot">
      <div v-for="p in parts" :key="p.id" :data-other-for="p.id">
        <SubstituteList :part="p" :plants="plants" :spot="spot" @become="become(p.id, $event)">{{
          wording('shoppingRow.otherFor', { id: p.id })
        }}</SubstituteList>
      </div>
    </template>
    <router-link class="act" :to="`/c/${commission.id}/planting`">{{
      wording('shoppingRow.otherPlant')
    }}</router-link>
  </div>
</template>
