<script setup lang="ts">
import { useAttempt } from '../../design/attempt';
import { useCommission } from '../../document/commissionStore';
import { links as sent, type Link } from '../../document/links';
import { momentDay, shortDay, today } from '../../units/days';
import { wording } from '../../words/wording';

/** The links of a commission: what each shows and for whom, until when, whether it was opened, what was answered. */
defineProps<{ links: readonly Link[] }>();
const emit = defineEmits<{ change: [] }>();
const commission = useCommission();
const { fault, attempt } = useAttempt();
const end = (id: string) => attempt(() => sent.end(commission.id, id).then(() => emit('change')));
const isOpen = (l: Link) => l.endedAt === null && l.until >= today();
const KINDS: Record<Link['kind'], string> = {
  proposal: wording('links.kind.proposal'),
  sheet: wording('links.kind.sheet'),
  dates: wording('links.kind.dates'),
};
function about(l: Link): string {
  const what = { named: l.named, what: KINDS[l.kind] };
  if (l.endedAt) return wording('links.ended', what);
  return wording(isOpen(l) ? 'links.open' : 'links.over', { ...what, day: shortDay(l.until) });
}
const optionNamed = (id: string) =>
  commission.document!.options.find((o) => o.id === id)?.title || id.toUpperCase();
function answered({ answer, usedAt }: Link): string {
  if (answer?.kind === 'yes') return wording('links.yes', { option: optionNamed(answer.option), day: shortDay(answer.day), by: answer.by }); // prettier-ignore
  if (answer) return wording('links.question', { day: shortDay(answer.day), by: answer.by });
  return usedAt ? wording('links.read', { day: momentDay(usedAt) }) : wording('links.unread');
}
</script>

<template>
  <p v-if="fault" class="late" role="alert">{{ fault }}</p>
  <ul>
    <li v-for="l in links" :key="l.id" :data-link="l.named" :class="{ quiet: !isOpen(l) }">
      <span>{{ about(l) }}</span>
      <b>{{ answered(l) }}</b>
      <button v-if="isOpen(l)" class="act" data-test="link-end" @click="end(l.id)">
        {{ wording('links.withdraw') }}
      </button>
      <slot v-if="l.answer && isOpen(l)" />
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  align-items: baseline;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
</style>
