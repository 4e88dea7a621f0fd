<script setup lang="ts">
import { computed, onMounted, shallowRef, watch } from 'vue';
import type { Planting } from '../../../core/commission/schema';
import type { Hide } from '../../../core/planting/picked';
import { useCommission } from '../../document/commissionStore';
import { useFrame } from '../../frame/planKey';

/** Where portions sit on stone and wood: touched one by one, on a joint that they hide, or where the program sets them. */
const props = defineProps<{ planting: Planting; picking: boolean }>();
defineEmits<{ pick: []; hide: [at: Hide]; forget: [] }>();
const { scapeWork, plan } = useFrame();
const commission = useCommission();
const joints = shallowRef<readonly Hide[]>([]);
const ask = async () => {
  joints.value = commission.option?.joints.length ? await scapeWork.hides() : [];
};
onMounted(ask);
/** Plants that change move no joint: they are asked again when pieces were measured anew. */
let measured = commission.option?.pieces;
watch(plan, () => {
  if (commission.option?.pieces === measured) return;
  measured = commission.option?.pieces;
  void ask();
});
/** Joints on the piece that it is on, or on any while it is on none. */
const offered = computed(() =>
  joints.value.filter((j) => !props.planting.at?.length || props.planting.on === j.on).slice(0, 6),
);
</script>

<template>
  <p class="hide" data-test="spots">
    <button
      class="act"
      :class="{ on: picking }"
      :aria-pressed="picking"
      data-test="pick"
      @click="$emit('pick')"
    >
      {{ picking ? 'Touch stone or wood' : 'Set spots by hand' }}
    </button>
    <span v-if="planting.at?.length" class="quiet">
      {{ planting.at.length }} set
      <button class="act" data-test="forget" @click="$emit('forget')">let go</button>
    </span>
    <button
      v-for="j in offered"
      :key="j.joint + j.on"
      class="act"
      :data-hide="j.joint"
      @click="$emit('hide', j)"
    >
      hide joint {{ j.joint }}
    </button>
  </p>
</template>

<style scoped>
.hide {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: baseline;
  margin: 2px 0;
}
.act {
  padding: 0;
}
.on {
  text-decoration: underline;
}
</style>
