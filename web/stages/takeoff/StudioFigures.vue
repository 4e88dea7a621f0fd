<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '../../../core/pipeline/plan';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';

/** What only the studio sees: what it pays, what is left, its hours; and what has been paid against what was planned. */
const props = defineProps<{ plan: Pick<Plan, 'quote' | 'books'>; currency: string }>();
const sum = (minor: number) => money(minor, props.currency);
const over = computed(() => props.plan.books.overMinor);
</script>

<template>
  <dl data-test="for-studio">
    <dt>{{ wording('quoteStage.cost') }}</dt>
    <dd>{{ sum(plan.quote.costMinor) }}</dd>
    <dt>{{ wording('quoteStage.margin') }}</dt>
    <dd>{{ sum(plan.quote.marginMinor) }}</dd>
    <dt>{{ wording('quoteStage.hours') }}</dt>
    <dd>{{ wording('quoteStage.hoursSaid', { hours: plan.quote.hours, days: plan.quote.days }) }}</dd>
  </dl>
  <dl class="actual" data-test="actual">
    <dt>{{ wording('quoteStage.spent') }}</dt>
    <dd>{{ sum(plan.books.spentMinor) }}</dd>
    <dt>{{ wording('quoteStage.toCome') }}</dt>
    <dd>{{ sum(plan.books.toComeMinor) }}</dd>
    <template v-if="over !== 0">
      <dt>{{ over > 0 ? wording('quoteStage.overPlan') : wording('quoteStage.underPlan') }}</dt>
      <dd :class="{ over: over > 0 }">{{ sum(Math.abs(over)) }}</dd>
    </template>
  </dl>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  margin: 10px 0;
}
.actual {
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
dd {
  margin: 0;
  text-align: right;
  font-weight: 600;
}
.over {
  color: var(--warn);
}
</style>
