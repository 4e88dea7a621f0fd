<script setup lang="ts">
import { computed, defineAsyncComponent, ref, toRef } from 'vue';
import type { Commission } from '../../../core/commission/schema';
import { variations } from '../../../core/pricing/accepted';
import type { Planted } from '../../../core/planted/planted';
import type { Spot3 } from '../../../core/view/sightLine';
import { halfGrown } from '../../drawing/halfGrown';
import { grownIn } from '../../drawing/growing/weeks';
import PlugMarks from '../../drawing/PlugMarks.vue';
import PlanView from '../../drawing/PlanView.vue';
import type { OptionPlan } from '../../frame/optionPlans';
import { longDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import type { FieldView, ShownPlan } from '../../workers/planWorker';
import { useSteadySize } from '../../drawing/steadySize';
import { wording } from '../../words/wording';
import ProposalConditions from '../../frame/proposal/ProposalConditions.vue';
import ProposalDays from '../../frame/proposal/ProposalDays.vue';
import ProposalHead from '../../frame/proposal/ProposalHead.vue';
import ProposalPrice from '../../frame/proposal/ProposalPrice.vue';
import { VARIATION_WORDS } from './variationWords';
import { proposalView, SHOWN_WEEK } from './proposalView';
import ProposalOptions from './ProposalOptions.vue';

/** What the client reads and signs: the picture from their seat, what it is, when what happens, what it asks of them, the price. */
const props = defineProps<{
  commission: Commission;
  plan: ShownPlan;
  field: FieldView;
  /** What is planted, once it is worked out; until then the pictures are grown more than half-way. */
  parts?: readonly Planted[];
  /** From where the client sees it. */
  eye: Spot3;
  seatName?: string;
  /** The plan of every option, where there are more than one. */
  plans: Readonly<Record<string, OptionPlan>>;
}>();
const GrowingStills = defineAsyncComponent(() => import('../../drawing/growing/GrowingStills.vue'));
const SeatView = defineAsyncComponent(() => import('../../drawing/SeatView.vue'));
const f = useFigures();
const doc = toRef(props, 'commission');
const quote = computed(() => props.plan.quote);
const rules = computed(() => doc.value.quote ?? {});
const option = computed(() => doc.value.options.find((o) => o.id === props.plan.survey.optionId)!);
const sum = (minor: number) => money(minor, doc.value.currency);
const grown = computed(() =>
  props.parts ? grownIn(props.parts, SHOWN_WEEK) : halfGrown(doc.value, option.value, props.field),
);
const look = computed(() => ({ refraction: false, light: 'day' as const, plants: grown.value }));
/** As wide as the sheet, and half as high. */
const HIGH = 0.52;
const frame = ref<HTMLElement>();
const { width } = useSteadySize(frame);
const PLAN_PX = 300;
const k = computed(() => PLAN_PX / doc.value.vessel.innerMm.length);
/** What it says in words: the same that a link shows. */
const view = computed(() => proposalView(doc.value, props.plan, f));
/** Once they have said yes: the version that was agreed, and what came to it or went from it since. */
const agreed = computed(() =>
  rules.value.accepted?.option === option.value.id ? rules.value.accepted : undefined,
);
const since = computed(() => (agreed.value ? variations(agreed.value, quote.value) : []));
</script>

<template>
  <article class="on-paper sheet" data-test="proposal">
    <ProposalHead :view="view" />
    <figure ref="frame">
      <SeatView
        v-if="width > 0"
        class="picture"
        :vessel="commission.vessel"
        :option="option"
        :materials="commission.catalogue.materials"
        :field="field"
        :survey="plan.survey"
        :width="Math.round(width)"
        :height="Math.round(width * HIGH)"
        :eye="eye"
        :seat-name="seatName"
        :look="look"
      />
      <figcaption>
        {{ seatName ? wording('proposal.from', { seat: seatName }) : wording('proposal.picture') }}
      </figcaption>
    </figure>
    <div class="two">
      <section>
        <h2>{{ view.heading }}</h2>
        <p v-if="view.story" class="story">{{ view.story }}</p>
        <p v-for="m in view.made" :key="m">{{ m }}</p>
        <svg :width="PLAN_PX" :height="commission.vessel.innerMm.width * k + 2" class="plan">
          <PlanView
            :vessel="commission.vessel"
            :option="option"
            :materials="commission.catalogue.materials"
            :field="field"
            :survey="plan.survey"
            :k="k"
          >
            <PlugMarks
              v-for="(p, i) in parts"
              :key="p.id"
              :part="p"
              :grown="grown[i]"
              :vessel="commission.vessel"
              :k="k"
              :chosen="false"
            />
          </PlanView>
        </svg>
        <p class="caption">{{ wording('proposal.plantingPlan') }}</p>
      </section>
      <ProposalDays :view="view" />
    </div>
    <section v-if="parts?.length" class="grows">
      <h2>{{ wording('proposal.grows') }}</h2>
      <GrowingStills
        :vessel="commission.vessel"
        :option="option"
        :materials="commission.catalogue.materials"
        :field="field"
        :survey="plan.survey"
        :parts="parts"
        :eye="eye"
      />
      <p class="small">{{ wording('proposal.varies') }}</p>
    </section>
    <ProposalOptions v-if="commission.options.length > 1 && !agreed" :plans="plans" />
    <section class="price">
      <h2>
        {{ wording('proposal.price')
        }}<template v-if="commission.options.length > 1"
          >, {{ option.title || option.id.toUpperCase() }}</template
        >
      </h2>
      <ProposalPrice :view="view" />
      <template v-if="agreed && since.length">
        <h2>{{ wording('proposal.since', { day: longDay(agreed.day) }) }}</h2>
        <table class="lines" data-test="since">
          <tbody>
            <tr v-for="v in since" :key="v.key">
              <td>{{ VARIATION_WORDS[v.kind] }}</td>
              <td>{{ f.words(v.name) }}</td>
              <td class="right">{{ v.minor > 0 ? '+' : '' }}{{ sum(v.minor) }}</td>
            </tr>
          </tbody>
          <tfoot>
            <tr class="total">
              <td colspan="2">{{ wording('proposal.now') }}</td>
              <td class="right">{{ sum(quote.totalMinor) }}</td>
            </tr>
          </tfoot>
        </table>
      </template>
      <ProposalConditions :view="view" />
      <p class="sign">
        <span>{{ wording('proposal.date') }}</span><span>{{ wording('proposal.signed') }}</span>
      </p>
    </section>
  </article>
</template>

<style scoped src="../../frame/proposal/sheet.css"></style>
<style scoped>
.sheet {
  max-width: 720px;
  padding: 26px 34px 40px;
  border: 1px solid var(--rule);
}
.picture {
  max-width: 100%;
}
.caption {
  font: italic 400 13px var(--title);
  color: var(--ink-2);
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
}
.plan {
  max-width: 100%;
  height: auto;
}
.price {
  margin-top: 18px;
  break-inside: avoid;
}
.sheet .sign {
  display: grid;
  grid-template-columns: 1fr 2fr;
  gap: 28px;
  margin-top: 44px;
}
.sign span {
  border-top: 1px solid var(--ink);
  padding-top: 3px;
  font-size: 12px;
}
@media (max-width: 700px) {
  .sheet {
    padding: 14px;
  }
  .two {
    grid-template-columns: 1fr;
  }
}
@media print {
  .sheet {
    max-width: none;
    padding: 0;
    border: 0;
  }
}
</style>
