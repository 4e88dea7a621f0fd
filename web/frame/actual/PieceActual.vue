<script setup lang="ts">
import { computed } from 'vue';
import type { Piece } from '../../../core/commission/schema';
import { candidatesFor } from '../../../core/yard/candidate';
import { useCommission } from '../../document/commissionStore';
import { wording } from '../../words/wording';
import ActualPieces from './ActualPieces.vue';

/** The actual pieces of the one that is selected, folded away until somebody wants them. */
const props = defineProps<{ option: string; piece: Piece }>();
const commission = useCommission();
const title = computed(() => {
  const count = candidatesFor(commission.document?.candidates, props.option, props.piece.id).length;
  return count > 0 ? wording('actual.count', { count }) : wording('actual.title');
});
</script>

<template>
  <details :key="piece.id">
    <summary class="act" data-test="actual-piece">{{ title }}</summary>
    <ActualPieces :option="option" :piece="piece" />
  </details>
</template>
