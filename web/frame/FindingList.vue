<script setup lang="ts">
import { computed } from 'vue';
import { toSettle, type Finding } from '../../core/words/finding';
import { grouped, numbered, type SettleBy } from '../../core/words/settleBy';
import { useFigures } from '../units/figures';
import { wording } from '../words/wording';

const props = defineProps<{ findings: Finding[] }>();
defineEmits<{ show: [finding: Finding] }>();

const { words } = useFigures();
const count = computed(() => {
  const settle = toSettle(props.findings).length;
  const notes = props.findings.length - settle;
  return (
    [settle && `${settle} to settle`, notes && `${notes} ${notes === 1 ? 'note' : 'notes'}`]
      .filter(Boolean)
      .join(', ') || 'none'
  );
});
/** Many are folded by when they have to be settled; a few need no groups. */
const MANY = 6;
const TITLES: Record<SettleBy, string> = {
  order: 'Before ordering',
  day: 'Before the day',
  step: 'At the step',
};
const groups = computed(() =>
  props.findings.length > MANY
    ? grouped(props.findings)
    : [{ by: undefined, list: numbered(props.findings) }],
);
</script>

<template>
  <section aria-label="Findings" data-test="findings">
    <header>
      <h2>Findings</h2>
      <span class="quiet">{{ count }}</span>
    </header>
    <component
      :is="g.by ? 'details' : 'div'"
      v-for="(g, at) in groups"
      :key="g.by ?? 'all'"
      :open="g.by && at === 0 ? true : undefined"
      :data-group="g.by"
    >
      <summary v-if="g.by">{{ TITLES[g.by] }} <span class="quiet">{{ g.list.length }}</span></summary>
      <ol>
        <li
          v-for="{ n, finding: f } in g.list"
          :key="`${f.id} ${JSON.stringify(f.at)}`"
          :class="f.severity"
          :data-finding="f.id"
        >
          <button class="plain" @click="$emit('show', f)">
            <b>{{ n }}&ensp;{{ words(f.says) }}</b> <span class="quiet">{{ words(f.because) }}</span>
          </button>
        </li>
      </ol>
    </component>
    <p v-if="findings.length === 0" class="quiet">{{ wording('findingList.none') }}</p>
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
summary {
  cursor: pointer;
  padding: 10px 0 0;
  font: italic 15px var(--title);
}
</style>
