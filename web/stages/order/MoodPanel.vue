<script setup lang="ts">
import { shallowRef } from 'vue';
import { MOODS, type Mood } from '../../../core/ordering/moods';
import { api } from '../../document/api';
import { may } from '../../document/people';
import { wording } from '../../words/wording';

/** The simulated suppliers of an order: what each will do with the next thing that is sent. Nothing where real ones stand there. */
defineProps<{ suppliers: readonly { supplier: string; name: string }[] }>();
const moods = shallowRef<Record<string, Mood>>();
const load = async () => void (may('standIns') && (await api.moods().then(({ moods: now }) => (moods.value = now), () => (moods.value = undefined)))); // prettier-ignore
void load();
const WORDS: Record<Mood, string> = {
  usual: wording('moodPanel.usual'),
  late: wording('moodPanel.late'),
  half: wording('moodPanel.half'),
  instead: wording('moodPanel.instead'),
  refuses: wording('moodPanel.refuses'),
  silent: wording('moodPanel.silent'),
};
async function set(supplier: string, mood: Mood): Promise<void> {
  await api.setMood(supplier, mood).catch(() => undefined);
  await load();
}
</script>

<template>
  <details v-if="moods" class="moods screen-only" data-test="moods">
    <summary class="act">{{ wording('moodPanel.title') }}</summary>
    <p class="quiet">{{ wording('moodPanel.what') }}</p>
    <label v-for="s in suppliers" :key="s.supplier">
      <span>{{ s.name }}</span>
      <select
        :value="moods[s.supplier] ?? 'usual'"
        :data-mood="s.supplier"
        @change="set(s.supplier, ($event.target as HTMLSelectElement).value as Mood)"
      >
        <option v-for="m in MOODS" :key="m" :value="m">{{ WORDS[m] }}</option>
      </select>
    </label>
  </details>
</template>

<style scoped>
.moods {
  border-top: 1.5px solid var(--ink);
  padding: 8px 0;
}
label {
  display: grid;
  grid-template-columns: 220px minmax(0, 240px);
  gap: 14px;
  align-items: center;
  min-height: 44px;
}
select {
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  min-height: 36px;
}
@media (max-width: 700px) {
  label {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
