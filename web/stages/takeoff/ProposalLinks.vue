<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Commission } from '../../../core/commission/schema';
import type { ProposalView } from '../../../core/pricing/proposalView';
import { grownIn } from '../../drawing/growing/weeks';
import { useFrame } from '../../frame/planKey';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import { links } from '../../document/links';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import LinkList from '../../frame/links/LinkList.vue';
import { useLinkMaking } from '../../frame/links/linkMaking';
import OnceLink from '../../frame/OnceLink.vue';
import type { OptionPlan } from '../../frame/optionPlans';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import type { ShownPlan } from '../../workers/planWorker';
import { offered, proposalView, SHOWN_WEEK } from './proposalView';
import { captionOf, fromTheSeat, shownBeside } from './shownBeside';
import { sheetPictures } from './sheetPictures';

/** The proposal as it is now, sent by a link to who has no account: whom it is for, until when, whether it was opened, what was answered. */
const props = defineProps<{
  plan: ShownPlan;
  /** Of the other options, as far as they are worked out. */
  plans: Readonly<Record<string, OptionPlan>>;
  /** A version is agreed: there is nothing to say yes to any more. */
  isAgreed: boolean;
}>();
useLocalForm();
const commission = useCommission();
const { field, planted } = useFrame();
const f = useFigures();
const GOOD_DAYS = 21;
const { all, named, until, made, fault, busy, make, reload } = useLinkMaking(
  GOOD_DAYS,
  commission.document?.brief.client?.name,
);
/** Options that can be shown beside the one that is looked at. */
const beside = computed(() =>
  commission.document!.options.filter((o) => o.id !== props.plan.survey.optionId && props.plans[o.id]),
);
const allOptions = ref(true);
/** The option that is looked at from the client's seat, then how it grows as far as the sheet has that already. */
async function picturesOf(doc: Commission): Promise<ProposalView['pictures']> {
  const option = doc.options.find((o) => o.id === props.plan.survey.optionId)!;
  const parts = planted.value?.optionId === option.id ? planted.value.parts : undefined;
  const grown = parts && grownIn(parts, SHOWN_WEEK);
  const first =
    field.value && (await fromTheSeat(doc, option, { plan: props.plan, field: field.value }, grown));
  const stills = await sheetPictures(document.querySelector('[data-test="proposal"] .grows'));
  const all = [...(first ? [{ caption: captionOf(doc), blob: first }] : []), ...stills];
  return Promise.all(all.map(async ({ caption, blob }) => ({ caption, id: (await links.picture(commission.id, blob)).id }))); // prettier-ignore
}
const send = () =>
  make(async () => {
    const doc = commission.document!;
    const pictures = await picturesOf(doc);
    const others = [];
    for (const o of allOptions.value ? beside.value : []) others.push(await shownBeside(commission.id, doc, o, props.plans[o.id], f));
    const shows = [{ ...proposalView(doc, props.plan, f), pictures }, ...others.map((o) => o.view)];
    return { kind: 'proposal', shows, offers: [offered(props.plan, f), ...others.map((o) => o.offers)] };
  }); // prettier-ignore
/** What a client answered was written by the server: this page has the document from before it. */
const loadAnswer = () => window.location.reload();
</script>

<template>
  <section class="links" data-test="links">
    <h2>{{ wording('links.title') }}</h2>
    <p class="quiet">{{ wording(isAgreed ? 'links.agreed' : 'links.what') }}</p>
    <div v-if="!isAgreed" class="figures">
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
      <label v-if="beside.length" class="all"
        ><input v-model="allOptions" type="checkbox" data-test="link-options" />
        {{
          wording('links.beside', { options: beside.map((o) => o.title || o.id.toUpperCase()).join(', ') })
        }}</label
      >
      <button class="solid" :disabled="busy || !named" data-test="link-make" @click="send">
        {{ wording(busy ? 'links.making' : 'links.make') }}
      </button>
    </div>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <OnceLink v-if="made" :says="wording('links.made', { named: made.named })" :link="made.link" />
    <LinkList :links="all" @change="reload">
      <button class="act" @click="loadAnswer">{{ wording('links.load') }}</button>
    </LinkList>
  </section>
</template>

<style scoped>
.links {
  margin: 20px 0;
}
.links .figures {
  grid-template-columns: 1fr 1fr;
}
.links .figures > :first-child,
.links .figures > .all {
  grid-column: 1 / -1;
}
</style>
