<script setup lang="ts">
import { computed } from 'vue';
import type { Finding } from '../../core/words/finding';
import { useFigures } from '../units/figures';

const props = defineProps<{ findings: Finding[] }>();
defineEmits<{ show: [finding: Finding] }>();

const { words } = useFigures();
const count = computed(() => {
  const settle = props.findings.filter((f) => f.severity !== 'note').length;
  const notes = props.findings.length - settle;
  return (
    [settle && `${settle} to settle`, notes && `${notes} ${notes === 1 ? 'note' : 'notes'}`]
      .filter(Boolean)
      .join(', ') || 'none'
  );
});
</script>

<template>
  <section aria-label="Findings" data-test="findings">
    <header>
      <h2>Findings</h2>
      <span class="quiet">{{ count }}</span>
    </header>
    <ol>
      <li
        v-for="(f, i) in findings"
        :key="`${f.id} ${JSON.stringify(f.at)}`"
        :class="f.severity"
        :data-finding="f.id"
      >
        <button class="plain" @click="$emit('show', f)">
          <b>{{ i + 1 }}&ensp;{{ words(f.says) }}</b> <span class="quiet">{{ words(f.because) }}</span>
        </button>
      </li>
    </ol>
    <p v-if="findings.length === 0" class="quiet">Nothing measured lies outside its limit.</p>
  </section>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
ol {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
li {
  border-left: 3px solid var(--clay-2);
  padding-left: 9px;
  font-size: 12.5px;
  line-height: 1.36;
}
li.stop,
li.warn {
  border-color: var(--warn);
}
b {
  font-weight: 600;
}
</style>
