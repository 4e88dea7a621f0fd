<script setup lang="ts">
import { computed } from 'vue';
import { useKeeping } from '../../document/catalogue/keeping';
import { useCommission } from '../../document/commissionStore';
import { useStudio } from '../../document/studioStore';

/** An animal that only this commission knows is kept for the studio by a press of its own: undo takes back what it seems to. */
const props = defineProps<{ id: string }>();
const commission = useCommission();
const studio = useStudio();
const { said, keep } = useKeeping('animals');
const own = computed(() => commission.document?.catalogue.animals?.find((a) => a.id === props.id));
const isKept = computed(() => studio.studio?.catalogue.animals?.some((a) => a.id === props.id) ?? true);
</script>

<template>
  <button v-if="own && !isKept" class="act" data-test="keep-animal" @click="keep(own)">
    Keep for the studio
  </button>
  <small v-if="said" role="status" class="quiet">{{ said }}</small>
</template>
