<script setup lang="ts">
import { computed, defineAsyncComponent, ref, toRef } from 'vue';
import { withQuote } from '../../../core/edits/quote';
import { frozen, variations } from '../../../core/pricing/accepted';
import { eyeFrom } from '../../../core/view/eye';
import PendingWords from '../../design/PendingWords.vue';
import { api } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import FileLink from '../../document/FileLink.vue';
import { useOptionPlans } from '../../frame/optionPlans';
import { useFrame } from '../../frame/planKey';
import { longDay, today } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import { VARIATION_WORDS } from './variationWords';
import StudioFigures from './StudioFigures.vue';
import ProposalSheet from './ProposalSheet.vue';
import ProposalLinks from './ProposalLinks.vue';
import QuoteRules from './QuoteRules.vue';

const GrowingFilm = defineAsyncComponent(() => import('../../drawing/growing/GrowingFilm.vue'));
/** What the client is asked: the sheet that is handed over, beside it what only the studio sees. */
const commission = useCommission();
const { plan, field, planted } = useFrame();
const { words } = useFigures();
const doc = computed(() => commission.document!);
const quote = computed(() => plan.value?.quote);
const accepted = computed(() => doc.value.quote?.accepted);
const sum = (minor: number) => money(minor, doc.value.currency);
/** Options are held against each other for as long as none is agreed to. */
const compared = computed(() => (doc.value.options.length > 1 && !accepted.value ? doc.value : undefined));
const plans = useOptionPlans(toRef(commission, 'id'), compared);
/** The client's own seat, and what is planted in the option that is looked at. */
const seat = computed(() => doc.value.brief.seats?.[0]);
const eye = computed(() => eyeFrom(doc.value.vessel, seat.value, doc.value.site?.baseHeightMm));
const parts = computed(() =>
  planted.value && planted.value.optionId === plan.value?.survey.optionId ? planted.value.parts : undefined,
);
const by = ref('');
/** Of the option that was agreed; another has nothing to be held against. */
const changes = computed(() =>
  accepted.value && quote.value && accepted.value.option === plan.value!.survey.optionId
    ? variations(accepted.value, quote.value)
    : [],
);
const since = computed(() => changes.value.reduce((n, v) => n + v.minor, 0));
const OPEN = {
  hour: wording('quoteStage.open.hour'),
  travel: wording('quoteStage.open.travel'),
  price: wording('quoteStage.open.price'),
} as const;
function saidYes(): void {
  if (!quote.value) return;
  const version = frozen(quote.value, plan.value!.survey.optionId, today(), by.value.trim(), words);
  commission.endStep();
  commission.edit('said yes', (d) => withQuote(d, { accepted: version }));
  by.value = '';
}
function takenBack(): void {
  commission.endStep();
  commission.edit('yes taken back', (d) => withQuote(d, { accepted: undefined }));
}
const print = () => window.print();
</script>

<template>
  <PendingWords v-if="!plan || !field || !quote" :says="wording('quoteStage.working')" />
  <div v-else class="quote">
    <div class="desk">
      <ProposalSheet
        :commission="doc"
        :plan="plan"
        :field="field"
        :parts="parts"
        :eye="eye"
        :seat-name="seat?.name"
        :plans="plans"
      />
    </div>
    <aside class="side screen-only">
      <p class="acts">
        <button class="solid" data-test="print-proposal" @click="print">
          {{ wording('quoteStage.print') }}
        </button>
        <FileLink :href="api.books(commission.id, commission.optionId, today())" data-test="books">{{
          wording('quoteStage.books')
        }}</FileLink>
      </p>
      <!-- Its place, until what grows is known. -->
      <div v-if="commission.option?.plants.length" class="film">
        <GrowingFilm
          v-if="parts?.length"
          :vessel="doc.vessel"
          :option="commission.option"
          :materials="doc.catalogue.materials"
          :field="field"
          :survey="plan.survey"
          :parts="parts"
          :eye="eye"
          :build-day="doc.brief.buildDay"
          :title="doc.title"
        />
      </div>
      <StudioFigures :plan="plan" :currency="doc.currency" />
      <p v-for="o in quote.open" :key="o" class="open">{{ OPEN[o] }}</p>
      <section class="yes" data-test="agreed">
        <template v-if="accepted">
          <h2>{{ wording('quoteStage.agreed', { sum: sum(accepted.totalMinor) }) }}</h2>
          <p class="quiet">
            {{ longDay(accepted.day) }}<template v-if="accepted.by">, {{ accepted.by }}</template>
          </p>
          <p v-if="accepted.option !== plan.survey.optionId" class="quiet">
            {{ wording('quoteStage.other') }}
          </p>
          <p v-else-if="changes.length === 0" class="quiet">{{ wording('quoteStage.same') }}</p>
          <table v-else>
            <tbody>
              <tr v-for="v in changes" :key="v.key" :data-variation="v.kind">
                <td>{{ VARIATION_WORDS[v.kind] }}</td>
                <td>{{ words(v.name) }}</td>
                <td class="right">{{ v.minor > 0 ? '+' : '' }}{{ sum(v.minor) }}</td>
              </tr>
              <tr class="sum">
                <td colspan="2">{{ wording('quoteStage.since') }}</td>
                <td class="right">{{ since > 0 ? '+' : '' }}{{ sum(since) }}</td>
              </tr>
            </tbody>
          </table>
          <button class="act" @click="takenBack">{{ wording('quoteStage.takeBack') }}</button>
        </template>
        <template v-else>
          <h2>{{ wording('quoteStage.yes') }}</h2>
          <v-text-field v-model="by" :label="wording('quoteStage.by')" data-test="said-by" />
          <button class="solid" data-test="said-yes" @click="saidYes">
            {{ wording('quoteStage.freeze', { sum: sum(quote.totalMinor) }) }}
          </button>
        </template>
      </section>
      <ProposalLinks :plan="plan" :plans="plans" :is-agreed="accepted !== undefined" />
      <QuoteRules />
    </aside>
  </div>
</template>

<style scoped>
.film {
  min-height: 30px;
}
.quote {
  display: flex;
  min-height: 100%;
}
.desk {
  flex: 1;
  min-width: 0;
  padding: 20px 28px 40px;
}
.side {
  width: 320px;
  flex: none;
  background: var(--paper);
  border-left: 1px solid var(--rule);
  padding: 16px 18px 30px;
}
.acts {
  display: flex;
  gap: 14px;
  align-items: baseline;
  flex-wrap: wrap;
}
.open {
  border-left: 3px solid var(--warn);
  padding: 2px 0 2px 10px;
  margin: 6px 0;
}
.yes {
  border-top: 1.5px solid var(--ink);
  padding: 8px 0 14px;
}
.yes table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
.yes td {
  border-top: 1px solid var(--rule);
  padding: 2px 8px 2px 0;
  vertical-align: top;
}
.right {
  text-align: right;
  white-space: nowrap;
}
.sum td {
  font-weight: 600;
}
@media (max-width: 900px) {
  .quote {
    flex-direction: column;
  }
  .desk {
    padding: 12px 10px;
  }
  .side {
    width: auto;
    border-left: 0;
    border-top: 1px solid var(--rule);
  }
}
@media print {
  .desk {
    padding: 0;
  }
}
</style>
