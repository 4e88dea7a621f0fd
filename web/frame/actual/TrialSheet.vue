<script setup lang="ts">
import { computed } from 'vue';
import type { Trial } from '../../../core/pipeline/trial';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** What an actual piece changes of the scape: figures before and after, and what would have to be settled. */
const props = defineProps<{ trial: Trial; currency: string }>();
const f = useFigures();
const CLEAR_WORDS: Record<string, string> = {
  front: 'to front',
  left: 'to left',
  right: 'to right',
  back: 'to back',
};
const changes = (was: string, is: string, says: (both: { was: string; is: string }) => string) =>
  was === is ? [] : [says({ was, is })];
const figures = computed(() => {
  const { massKg, freeWaterL, costMinor, clear } = props.trial;
  const price = (minor: number) => money(minor, props.currency);
  return [
    ...changes(f.mass(massKg.was), f.mass(massKg.is), (x) => wording('trial.mass', x)),
    ...changes(f.volume(freeWaterL.was, 2), f.volume(freeWaterL.is, 2), (x) => wording('trial.water', x)),
    ...changes(price(costMinor.was), price(costMinor.is), (x) => wording('trial.cost', x)),
    ...clear.map((c) =>
      wording('trial.clear', {
        to: CLEAR_WORDS[c.to] ?? `to ${c.to}`,
        was: f.length(c.was),
        is: f.length(c.is),
      }),
    ),
  ];
});
const isNothing = computed(
  () => figures.value.length + props.trial.fresh.length + props.trial.gone.length === 0,
);
</script>

<template>
  <div class="trial" data-test="trial">
    <p v-if="isNothing" class="quiet">{{ wording('trial.nothing') }}</p>
    <ul v-else>
      <li v-for="says in figures" :key="says">{{ says }}</li>
    </ul>
    <template v-if="trial.fresh.length">
      <b>{{ wording('trial.fresh') }}</b>
      <p v-for="(x, n) in trial.fresh" :key="n" class="fresh" :data-fresh="x.id">{{ f.words(x.says) }}</p>
    </template>
    <template v-if="trial.gone.length">
      <b>{{ wording('trial.gone') }}</b>
      <p v-for="(x, n) in trial.gone" :key="n" :data-gone="x.id">{{ f.words(x.says) }}</p>
    </template>
  </div>
</template>

<style scoped>
.trial {
  border-left: 3px solid var(--celadon);
  padding: 2px 0 2px 10px;
  margin: 4px 0;
  line-height: 1.3;
}
ul {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  margin: 0;
  padding: 0;
  font-variant-numeric: tabular-nums;
}
p {
  margin: 0;
}
.fresh {
  border-left: 3px solid var(--warn);
  padding-left: 7px;
}
</style>
