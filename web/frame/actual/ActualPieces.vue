<script setup lang="ts">
import { computed } from 'vue';
import { withCandidate } from '../../../core/edits/candidates';
import type { Piece } from '../../../core/commission/schema';
import { candidatesFor } from '../../../core/yard/candidate';
import { useCommission } from '../../document/commissionStore';
import { today } from '../../units/days';
import { wording } from '../../words/wording';
import ActualPiece from './ActualPiece.vue';

/** The actual pieces that are known for one that is drawn. In a shop, `supplier` is where one stands. */
const props = defineProps<{ option: string; piece: Piece; supplier?: string }>();
const commission = useCommission();
const own = computed(() => candidatesFor(commission.document?.candidates, props.option, props.piece.id));
function note(): void {
  commission.endStep();
  commission.edit(`candidate for ${props.piece.id}`, (d) =>
    withCandidate(d, {
      option: props.option,
      piece: props.piece.id,
      material: props.piece.material,
      askedOn: today(),
      ...(props.supplier ? { supplier: props.supplier } : {}),
    }),
  );
}
</script>

<template>
  <div class="actual" data-test="actual">
    <p v-if="own.length === 0" class="quiet">{{ wording('actual.what') }}</p>
    <ActualPiece v-for="c in own" :key="c.id" :candidate="c" :piece="piece" />
    <button class="act" data-test="note-actual" @click="note">
      {{ wording('actual.add', { piece: piece.id }) }}
    </button>
  </div>
</template>
