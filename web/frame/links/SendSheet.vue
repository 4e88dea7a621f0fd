<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import { dayPlus } from '../../../core/calendar/day';
import type { SheetBlock } from '../../../core/commission/sheetView';
import { useAttempt } from '../../design/attempt';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import { links, type Link } from '../../document/links';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import { today } from '../../units/days';
import { wording } from '../../words/wording';
import OnceLink from '../OnceLink.vue';
import LinkList from './LinkList.vue';
import { sheetBlocks } from './sheetBlocks';

/** A sheet as it stands, or the dates of care for a calendar, by a link for who has no account. */
const props = defineProps<{
  /** Where on the page the sheet is. */
  sheet: string;
  title: string;
  /** The dates of care can be had for a calendar, too. */
  dates?: boolean;
}>();
useLocalForm();
const commission = useCommission();
const GOOD_DAYS = 60;
const all = shallowRef<readonly Link[]>([]);
const load = () => links.of(commission.id).then((l) => void (all.value = l.links));
void load().catch(() => undefined);
const named = ref<string>();
const until = ref(dayPlus(today(), GOOD_DAYS));
const made = ref<{ named: string; link: string }>();
const { fault, busy, attempt } = useAttempt();

const send = (what: 'sheet' | 'dates') =>
  attempt(async () => {
    const who = { named: named.value?.trim() ?? '', until: until.value };
    await commission.flush();
    const { secret } = await links.make(commission.id, what === 'dates' ? { ...who, kind: 'dates' } : { ...who, kind: 'sheet', shows: await shown() });
    const path = what === 'dates' ? `/api/link/dates/${secret}.ics` : `/l#${secret}`;
    made.value = { named: who.named, link: `${window.location.origin}${path}` };
    await load();
  }); // prettier-ignore

/** What stands on the sheet now, its drawings sent to the server. */
async function shown() {
  const { studio } = commission.document!;
  const blocks: SheetBlock[] = [];
  for (const block of await sheetBlocks(document.querySelector(props.sheet)!)) {
    if (block.as !== 'picture') blocks.push(block);
    else blocks.push({ as: 'picture', id: (await links.picture(commission.id, block.blob)).id, says: block.says }); // prettier-ignore
  }
  return {
    title: props.title,
    made: today(),
    ...(studio?.name ? { studio: studio.name } : {}),
    ...(studio?.phone ? { phone: studio.phone } : {}),
    blocks,
  };
}
</script>

<template>
  <details class="screen-only" data-test="send-sheet">
    <summary class="act">{{ wording('links.title') }}</summary>
    <p class="quiet">{{ wording('links.whatSheet') }}</p>
    <div class="figures">
      <WordsField
        :label="wording('links.named')"
        :value="named"
        :apply="(v) => void (named = v || undefined)"
        data-test="sheet-named"
      />
      <DayField
        :label="wording('links.until')"
        :value="until"
        :apply="(v) => void (until = v || until)"
        data-test="sheet-until"
      />
    </div>
    <p class="acts">
      <button class="solid" :disabled="busy || !named" data-test="sheet-make" @click="send('sheet')">
        {{ wording('links.makeSheet') }}
      </button>
      <button
        v-if="dates"
        class="act"
        :disabled="busy || !named"
        data-test="dates-make"
        @click="send('dates')"
      >
        {{ wording('links.makeDates') }}
      </button>
    </p>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <OnceLink v-if="made" :says="wording('links.made', { named: made.named })" :link="made.link" />
    <LinkList :links="all" @change="attempt(load)" />
  </details>
</template>

<style scoped>
.figures {
  grid-template-columns: 1fr 1fr;
}
.acts {
  display: flex;
  gap: 8px 20px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
