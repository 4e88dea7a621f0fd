<script setup lang="ts">
import type { ProposalView } from '../../../core/pricing/proposalView';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';

/** What is asked for it, line by line, with its tax, and all in all. */
const props = defineProps<{ view: Pick<ProposalView, 'lines' | 'tax' | 'totalMinor' | 'currency'> }>();
const sum = (minor: number) => money(minor, props.view.currency);
</script>

<template>
  <table class="lines">
    <tbody>
      <tr v-for="l in view.lines" :key="l.key" :data-quote="l.key">
        <td>{{ l.name }}</td>
        <td class="right">{{ sum(l.minor) }}</td>
      </tr>
    </tbody>
    <tfoot>
      <tr v-if="view.tax">
        <td>{{ view.tax.name }} {{ view.tax.percent }} %</td>
        <td class="right">{{ sum(view.tax.minor) }}</td>
      </tr>
      <tr class="total">
        <td>{{ wording('proposal.total') }}</td>
        <td class="right" data-test="total">{{ sum(view.totalMinor) }}</td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped src="./sheet.css"></style>
