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
import { longDay, shortDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import type { FieldView, ShownPlan } from '../../workers/planWorker';
import { useSteadySize } from '../../drawing/steadySize';
import { wording } from '../../words/wording';
import { VARIATION_WORDS } from './variationWords';
import { proposalView } from './proposalView';
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
}>();
const GrowingStills = defineAsyncComponent(() => import('../../drawing/growing/GrowingStills.vue'));
const SeatView = defineAsyncComponent(() => import('../../drawing/SeatView.vue'));
const f = useFigures();
const doc = toRef(props, 'commission');
const quote = computed(() => props.plan.quote);
const rules = computed(() => doc.value.quote ?? {});
const option = computed(() => doc.value.options.find((o) => o.id === props.plan.survey.optionId)!);
const sum = (minor: number) => money(minor, doc.value.currency);
/** The week in which it is shown as it will be. */
const WEEK = 8;
const grown = computed(() =>
  props.parts ? grownIn(props.parts, WEEK) : halfGrown(doc.value, option.value, props.field),
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
/** Keyed as the quote has them. */
const price = computed(() => (agreed.value ?? quote.value).lines.filter((l) => l.minor !== 0));
</script>

<template>
  <article class="on-paper sheet" data-test="proposal">
    <header>
      <div>
        <h1>{{ commission.title }}</h1>
        <p>
          {{ wording('proposal.for', { client: commission.brief.client?.name ?? wording('proposal.you') })
          }}<template v-if="commission.brief.client?.place">, {{ commission.brief.client.place }}</template>
        </p>
      </div>
      <p class="studio">
        <b>{{ commission.studio?.name }}</b><br /><template v-if="commission.studio?.address"
          >{{ commission.studio.address }}<br /></template
        >{{ commission.studio?.phone }}
      </p>
    </header>
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
        <h2>{{ option.title || wording('proposal.scape') }}</h2>
        <p v-if="commission.brief.story" class="story">{{ commission.brief.story }}</p>
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
      <section>
        <h2>{{ wording('proposal.when') }}</h2>
        <table>
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
    <ProposalOptions v-if="commission.options.length > 1 && !agreed" />
    <section class="price">
      <h2>
        {{ wording('proposal.price')
        }}<template v-if="commission.options.length > 1"
          >, {{ option.title || option.id.toUpperCase() }}</template
        >
      </h2>
      <table>
        <tbody>
          <tr v-for="l in price" :key="l.key" :data-quote="l.key">
            <td>{{ f.words(l.name) }}</td>
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
      <template v-if="agreed && since.length">
        <h2>{{ wording('proposal.since', { day: longDay(agreed.day) }) }}</h2>
        <table data-test="since">
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
      <p v-if="rules.validUntil && !agreed">
        {{ wording('proposal.until', { day: longDay(rules.validUntil) }) }}
      </p>
      <p v-if="rules.notIncluded"><b>{{ wording('proposal.not') }}</b> {{ rules.notIncluded }}</p>
      <p v-if="rules.dependsOn"><b>{{ wording('proposal.depends') }}</b> {{ rules.dependsOn }}</p>
      <p v-if="rules.terms">{{ rules.terms }}</p>
      <p class="small">{{ wording('proposal.caution') }}</p>
      <p class="sign">
        <span>{{ wording('proposal.date') }}</span><span>{{ wording('proposal.signed') }}</span>
      </p>
    </section>
  </article>
</template>

<style scoped>
.sheet {
  max-width: 720px;
  padding: 26px 34px 40px;
  border: 1px solid var(--rule);
}
header {
  display: flex;
  justify-content: space-between;
  gap: 20px;
}
.studio {
  text-align: right;
  font-size: 12.5px;
}
figure {
  margin: 12px 0;
}
.picture {
  max-width: 100%;
}
figcaption,
.caption {
  font: italic 400 13px var(--title);
  color: var(--ink-2);
}
.sheet p {
  margin: 0 0 6px;
}
.sheet h2 {
  margin: 14px 0 6px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
}
.story {
  font: italic 400 15px var(--title);
}
.plan {
  max-width: 100%;
  height: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  border-bottom: 1px solid var(--rule);
  padding: 3px 8px 3px 0;
  vertical-align: top;
}
.day {
  white-space: nowrap;
  width: 70px;
}
.right {
  text-align: right;
  white-space: nowrap;
}
.total td {
  font: 500 20px var(--title);
  border-bottom: 2px solid var(--ink);
}
.price {
  margin-top: 18px;
  break-inside: avoid;
}
.small {
  font-size: 12px;
  color: var(--ink-2);
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
