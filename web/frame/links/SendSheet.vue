<script setup lang="ts">
import type { SheetBlock } from '../../../core/commission/sheetView';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import { links } from '../../document/links';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import { today } from '../../units/days';
import { wording } from '../../words/wording';
import OnceLink from '../OnceLink.vue';
import LinkList from './LinkList.vue';
import { useLinkMaking } from './linkMaking';
import { sheetBlocks, type ReadBlock } from './sheetBlocks';

/** A sheet as it stands, one picture, or the dates of care for a calendar, by a link for who has no account. */
const props = defineProps<{
  /** Where on the page the sheet is. */
  sheet?: string;
  /** In its place one picture, taken when the link is made; null where the browser takes none. */
  picture?: () => Promise<Blob | null>;
  title: string;
  /** What the picture shows. */
  says?: string;
  /** The dates of care can be had for a calendar, too. */
  dates?: boolean;
  /** It stands by itself, and has been asked for. */
  open?: boolean;
}>();
useLocalForm();
const commission = useCommission();
const GOOD_DAYS = 60;
const { all, named, until, made, fault, busy, make, reload } = useLinkMaking(GOOD_DAYS);
const sendSheet = () => make(async () => ({ kind: 'sheet', shows: await shown() }));
const sendDates = () => make(() => ({ kind: 'dates' }));

async function read(): Promise<ReadBlock[]> {
  if (!props.picture) return sheetBlocks(document.querySelector(props.sheet!)!);
  const blob = await props.picture();
  if (!blob) throw new Error(wording('links.noPicture'));
  const says = props.says ?? '';
  return [
    { as: 'h1', text: props.title },
    ...(says ? [{ as: 'p' as const, text: says }] : []),
    { as: 'picture', blob, says },
  ];
}

/** What stands on the sheet now, its drawings sent to the server. */
async function shown() {
  const { studio } = commission.document!;
  const blocks: SheetBlock[] = [];
  for (const block of await read()) {
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
  <details class="screen-only" data-test="send-sheet" :open="open">
    <summary class="act">{{ wording('links.title') }}</summary>
    <p class="quiet">{{ picture ? wording('links.whatPicture') : wording('links.whatSheet') }}</p>
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
      <button class="solid" :disabled="busy || !named" data-test="sheet-make" @click="sendSheet">
        {{ wording('links.makeSheet') }}
      </button>
      <button v-if="dates" class="act" :disabled="busy || !named" data-test="dates-make" @click="sendDates">
        {{ wording('links.makeDates') }}
      </button>
    </p>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <OnceLink v-if="made" :says="wording('links.made', { named: made.named })" :link="made.link" />
    <LinkList :links="all" @change="reload" />
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
