<script setup lang="ts">
import { computed } from 'vue';
import FrontView from '../../drawing/FrontView.vue';
import { halfGrown } from '../../drawing/halfGrown';
import { useCommission } from '../../document/commissionStore';
import type { OptionPlan } from '../../frame/optionPlans';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** The options side by side, each with its picture, what it is made of and what it comes to. */
const props = defineProps<{ plans: Readonly<Record<string, OptionPlan>> }>();
const commission = useCommission();
const f = useFigures();
const doc = computed(() => commission.document!);
const WIDE_PX = 640;
const columns = computed(() =>
  doc.value.options.flatMap((option) => {
    const found = props.plans[option.id];
    if (!found) return [];
    const { survey, quote, care } = found.plan;
    const stoneKg = survey.pieces.reduce((n, p) => n + p.massKg, 0);
    const facts = [
      wording('proposal.water', { water: f.volume(survey.freeWaterL, 0) }),
      wording('proposal.stone', { mass: f.mass(stoneKg) }),
      wording('proposal.species', { count: new Set(option.plants.map((p) => p.plant)).size }),
      wording('proposal.minutes', { minutes: care.weeks[7].minutes }),
    ];
    return [{ option, ...found, facts, total: money(quote.totalMinor, doc.value.currency) }];
  }),
);
const k = computed(
  () => (WIDE_PX / Math.max(2, doc.value.options.length) - 24) / doc.value.vessel.innerMm.length,
);
</script>

<template>
  <section class="options" data-test="proposal-options">
    <h2>{{ wording('proposal.options') }}</h2>
    <div class="columns">
      <div v-for="c in columns" :key="c.option.id" :data-proposed="c.option.id">
        <svg
          :width="doc.vessel.innerMm.length * k + 2"
          :height="doc.vessel.innerMm.height * k + 2"
          role="img"
          :aria-label="c.option.title"
        >
          <FrontView
            :vessel="doc.vessel"
            :option="c.option"
            :materials="doc.catalogue.materials"
            :field="c.field"
            :survey="c.plan.survey"
            :k="k"
            :plants="halfGrown(doc, c.option, c.field)"
          />
        </svg>
        <h3>{{ c.option.title || c.option.id.toUpperCase() }}</h3>
        <p>{{ c.facts.join(' · ') }}</p>
        <p class="total">{{ c.total }}</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.options {
  break-inside: avoid;
  margin-top: 18px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 18px;
}
svg {
  max-width: 100%;
  height: auto;
}
h3 {
  font: 500 16px var(--title);
  margin: 4px 0 0;
}
.total {
  font: 500 19px var(--title);
}
</style>
