<script setup lang="ts">
import type { ProposalView } from '../../../core/pricing/proposalView';
import { longDay } from '../../units/days';
import { wording } from '../../words/wording';

/** Until when it holds, what is not in it, on what it depends, the studio's terms and the usual caution. */
defineProps<{ view: Pick<ProposalView, 'validUntil' | 'notIncluded' | 'dependsOn' | 'terms'> }>();
</script>

<template>
  <div>
    <p v-if="view.validUntil">{{ wording('proposal.until', { day: longDay(view.validUntil) }) }}</p>
    <p v-if="view.notIncluded"><b>{{ wording('proposal.not') }}</b> {{ view.notIncluded }}</p>
    <p v-if="view.dependsOn"><b>{{ wording('proposal.depends') }}</b> {{ view.dependsOn }}</p>
    <p v-if="view.terms">{{ view.terms }}</p>
    <p class="small">{{ wording('proposal.caution') }}</p>
  </div>
</template>

<style scoped src="./sheet.css"></style>
