<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import { dayPlus } from '../../../core/calendar/day';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import { links, type Link } from '../../document/links';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import { shortDay, today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import type { ShownPlan } from '../../workers/planWorker';
import { offered, proposalView } from './proposalView';
import { sheetPictures } from './sheetPictures';

/** The proposal as it is now, sent by a link to who has no account: whom it is for, until when, whether it was opened, what was answered. */
const props = defineProps<{ plan: ShownPlan }>();
useLocalForm();
const commission = useCommission();
const f = useFigures();
const GOOD_DAYS = 21;
const all = shallowRef<readonly Link[]>([]);
const load = () => links.of(commission.id).then((l) => (all.value = l.links));
void load().catch(() => undefined);

const named = ref<string | undefined>(commission.document?.brief.client?.name);
const until = ref(dayPlus(today(), GOOD_DAYS));
const made = ref<{ named: string; link: string }>();
const [fault, busy, isCopied] = [ref(''), ref(false), ref(false)];

async function attempt(work: () => Promise<unknown>): Promise<void> {
  [fault.value, busy.value] = ['', true];
  try {
    await work();
    await load();
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = false;
}
const make = () =>
  attempt(async () => {
    const who = named.value?.trim() ?? '';
    // What they say yes to is what the studio has: the last edit goes there first.
    await commission.flush();
    const sheet = document.querySelector('[data-test="proposal"]')!;
    const pictures = await Promise.all(
      (await sheetPictures(sheet)).map(async ({ caption, blob }) => ({ caption, id: (await links.picture(commission.id, blob)).id })),
    );
    const shows = { ...proposalView(commission.document!, props.plan, f), pictures };
    const { secret } = await links.make(commission.id, { named: who, until: until.value, shows, offers: offered(props.plan, f) });
    [made.value, isCopied.value] = [{ named: who, link: `${window.location.origin}/l#${secret}` }, false];
  }); // prettier-ignore
const end = (id: string) => attempt(() => links.end(commission.id, id));
const copy = () =>
  navigator.clipboard.writeText(made.value!.link).then(
    () => (isCopied.value = true),
    () => (isCopied.value = false),
  );
const day = (moment: string) => shortDay(moment.slice(0, 10));
const isOpen = (l: Link) => l.endedAt === null && l.until >= today();
function about(l: Link): string {
  if (l.endedAt) return wording('links.ended', { named: l.named });
  return wording(isOpen(l) ? 'links.open' : 'links.over', { named: l.named, day: shortDay(l.until) });
}
function answered({ answer, usedAt }: Link): string {
  if (answer) return wording(answer.kind === 'yes' ? 'links.yes' : 'links.question', { day: shortDay(answer.day), by: answer.by }); // prettier-ignore
  return usedAt ? wording('links.read', { day: day(usedAt) }) : wording('links.unread');
}
/** What a client answered was written by the server: this page has the document from before it. */
const reload = () => window.location.reload();
</script>

<template>
  <section class="links" data-test="links">
    <h2>{{ wording('links.title') }}</h2>
    <p class="quiet">{{ wording('links.what') }}</p>
    <div class="figures">
      <WordsField
        :label="wording('links.named')"
        :value="named"
        :apply="(v) => void (named = v || undefined)"
        data-test="link-named"
      />
      <DayField
        :label="wording('links.until')"
        :value="until"
        :apply="(v) => void (until = v || until)"
        data-test="link-until"
      />
      <button class="solid" :disabled="busy || !named" data-test="link-make" @click="make">
        {{ wording(busy ? 'links.making' : 'links.make') }}
      </button>
    </div>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <p v-if="made" class="made" role="status">
      {{ wording('links.made', { named: made.named }) }}
      <code data-test="link">{{ made.link }}</code>
      <button class="act" @click="copy">{{ wording(isCopied ? 'people.copied' : 'people.copy') }}</button>
    </p>
    <ul>
      <li v-for="l in all" :key="l.id" :data-link="l.named" :class="{ quiet: !isOpen(l) }">
        <span>{{ about(l) }}</span>
        <b>{{ answered(l) }}</b>
        <button v-if="isOpen(l)" class="act" data-test="link-end" @click="end(l.id)">
          {{ wording('links.withdraw') }}
        </button>
        <button v-if="l.answer && isOpen(l)" class="act" @click="reload">{{ wording('links.load') }}</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.links {
  margin: 20px 0;
}
.links .figures {
  grid-template-columns: 1fr 1fr;
}
.links .figures > :first-child {
  grid-column: 1 / -1;
}
.made {
  border-left: 3px solid var(--celadon);
  padding: 6px 12px;
}
code {
  display: block;
  overflow-wrap: anywhere;
  user-select: all;
}
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
