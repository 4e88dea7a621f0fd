<script setup lang="ts">
import type { ProposalView } from '../../../core/pricing/proposalView';
import { wording } from '../../words/wording';

/** For whom a proposal is, and whose. */
defineProps<{ view: Pick<ProposalView, 'title' | 'client' | 'place' | 'studio'> }>();
</script>

<template>
  <header>
    <div>
      <h1>{{ view.title }}</h1>
      <p>
        {{ wording('proposal.for', { client: view.client ?? wording('proposal.you') })
        }}<template v-if="view.place">, {{ view.place }}</template>
      </p>
    </div>
    <p class="studio">
      <b>{{ view.studio.name }}</b><br /><template v-if="view.studio.address"
        >{{ view.studio.address }}<br /></template
      >{{ view.studio.phone }}
    </p>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 6px 20px;
}
p {
  margin: 0 0 6px;
}
.studio {
  text-align: right;
  font-size: 12.5px;
  white-space: pre-line;
}
@media screen and (max-width: 700px) {
  .studio {
    text-align: left;
  }
}
</style>
