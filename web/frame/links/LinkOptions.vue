<script setup lang="ts">
import type { ProposalView } from '../../../core/pricing/proposalView';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';

/** Options of a proposal beside each other: each with its picture and what it comes to. The one that is read is pressed in. */
defineProps<{
  options: readonly ProposalView[];
  /** Addresses of pictures, by their ids. */
  pictures: Readonly<Record<string, string>>;
  at: number;
}>();
defineEmits<{ choose: [at: number] }>();
</script>

<template>
  <section>
    <p>{{ wording('linkPage.options', { count: options.length }) }}</p>
    <div class="columns">
      <button
        v-for="(o, i) in options"
        :key="o.option"
        class="plain"
        :aria-pressed="i === at"
        :data-link-option="o.option"
        @click="$emit('choose', i)"
      >
        <img v-if="o.pictures[0] && pictures[o.pictures[0].id]" :src="pictures[o.pictures[0].id]" alt="" />
        <b>{{ o.heading }}</b>
        <span>{{ money(o.totalMinor, o.currency) }}</span>
      </button>
    </div>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 12px;
  margin-bottom: 18px;
}
button {
  display: grid;
  gap: 2px;
  text-align: left;
  align-content: start;
  padding: 0 0 6px;
  border-bottom: 4px solid var(--rule);
}
button[aria-pressed='true'] {
  border-bottom-color: var(--clay);
}
img {
  width: 100%;
  display: block;
}
b {
  font: 500 16px var(--title);
}
</style>
