<script setup lang="ts">
import { computed } from 'vue';
import type { Candidate, Material } from '../../../core/commission/schema';
import { foundChecks, type FoundTest, type Outcome } from '../../../core/yard/foundTests';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** Tests in the hand of a piece that is not of the trade: how each is made, how it came out, and what that means. */
const props = defineProps<{ candidate: Candidate; material: Pick<Material, 'kind'> }>();
const emit = defineEmits<{ tests: [tests: Candidate['tests']] }>();
const f = useFigures();
const checks = computed(() => foundChecks(props.candidate, props.material));
const NAMES: Record<FoundTest, string> = {
  acid: wording('foundTests.acid'),
  magnet: wording('foundTests.magnet'),
  edges: wording('foundTests.edges'),
  veins: wording('foundTests.veins'),
  soundness: wording('foundTests.soundness'),
  sap: wording('foundTests.sap'),
  kind: wording('foundTests.kind'),
  soaks: wording('foundTests.soaks'),
};
const OUTCOMES: { outcome: Outcome; says: string }[] = [
  { outcome: 'good', says: wording('foundTests.good') },
  { outcome: 'bad', says: wording('foundTests.bad') },
];
/** Pressed again it was not made. */
function set(test: FoundTest, outcome: Outcome): void {
  const { [test]: was, ...rest } = props.candidate.tests ?? {};
  const all = was === outcome ? rest : { ...rest, [test]: outcome };
  emit('tests', Object.keys(all).length > 0 ? all : undefined);
}
</script>

<template>
  <ul data-test="found-tests">
    <li v-for="c in checks" :key="c.test" :data-found="c.test" :class="{ never: c.never }">
      <b>{{ NAMES[c.test] }}</b>
      <span class="pair" role="group" :aria-label="NAMES[c.test]">
        <button
          v-for="o in OUTCOMES"
          :key="o.outcome"
          class="plain"
          :aria-pressed="c.outcome === o.outcome"
          :data-outcome="o.outcome"
          @click="set(c.test, o.outcome)"
        >
          {{ o.says }}
        </button>
      </span>
      <p>{{ f.words(c.means ?? c.how) }}</p>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  gap: 0 12px;
  border-bottom: 1px solid var(--rule);
  padding: 3px 0;
}
li p {
  grid-column: 1 / -1;
  margin: 0;
  line-height: 1.3;
}
.never {
  border-left: 3px solid var(--warn);
  padding-left: 8px;
}
.pair {
  display: flex;
}
.pair button {
  min-width: 72px;
  padding: 0 8px;
  text-align: center;
  min-height: 44px;
  border: 1px solid var(--rule);
}
.pair button[aria-pressed='true'] {
  background: var(--paper);
  border-bottom: 3px solid var(--clay);
  font-weight: 600;
}
</style>
