<script setup lang="ts">
import type { ProposalView } from '../../../core/pricing/proposalView';
import { shortDay } from '../../units/days';
import { wording } from '../../words/wording';

/** When what happens, and what it asks of the client. */
defineProps<{ view: Pick<ProposalView, 'days' | 'asks'> }>();
</script>

<template>
  <section>
    <h2>{{ wording('proposal.when') }}</h2>
    <table class="lines">
      <tbody>
        <tr v-for="d in view.days" :key="`${d.day} ${d.says}`">
          <td class="day">{{ shortDay(d.day) }}</td>
          <td>{{ d.says }}</td>
        </tr>
      </tbody>
    </table>
    <h2>{{ wording('proposal.yours') }}</h2>
    <p>{{ view.asks }}</p>
  </section>
</template>

<style scoped src="./sheet.css"></style>
