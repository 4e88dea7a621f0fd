<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAttempt } from '../../design/attempt';
import { links, type Opened } from '../../document/links';
import { longDay } from '../../units/days';
import { wording } from '../../words/wording';
import LinkOptions from './LinkOptions.vue';
import ProposalConditions from '../proposal/ProposalConditions.vue';
import ProposalDays from '../proposal/ProposalDays.vue';
import ProposalHead from '../proposal/ProposalHead.vue';
import ProposalPrice from '../proposal/ProposalPrice.vue';

/** A proposal that is read by a link, and a word back: yes to the option that is read, or a question. */
const props = defineProps<{
  secret: string;
  opened: Extract<Opened, { kind: 'proposal' }>;
  /** Addresses of its pictures, by their ids. */
  pictures: Readonly<Record<string, string>>;
}>();
const emit = defineEmits<{ answered: [] }>();
/** The option that is read; a yes is to it. */
const at = ref(0);
const view = computed(() => props.opened.shows[at.value]);
const studio = computed(() => view.value.studio.name ?? wording('linkPage.studio'));
const answer = computed(() => props.opened.answer);
const agreedTo = computed(() => {
  const said = answer.value;
  return said?.kind === 'yes' ? props.opened.shows.find((s) => s.option === said.option)!.heading : '';
});
const { fault: refused, busy, attempt } = useAttempt();
const [by, text, asks] = [ref(''), ref(''), ref(false)];
const send = (kind: 'yes' | 'question') =>
  attempt(async () => {
    const name = by.value.trim();
    await links.answer(props.secret, kind === 'yes' ? { kind, by: name, option: view.value.option } : { kind, by: name, text: text.value.trim() });
    emit('answered');
    asks.value = false;
  }); // prettier-ignore
</script>

<template>
  <article class="on-paper sheet" data-test="link-proposal">
    <ProposalHead :view="view" />
    <LinkOptions
      v-if="opened.shows.length > 1"
      :options="opened.shows"
      :pictures="pictures"
      :at="at"
      @choose="at = $event"
    />
    <figure v-for="p in view.pictures.slice(0, 1)" :key="p.id">
      <img v-if="pictures[p.id]" :src="pictures[p.id]" :alt="p.caption" />
      <figcaption>{{ p.caption }}</figcaption>
    </figure>
    <h2>{{ view.heading }}</h2>
    <p v-if="view.story" class="story">{{ view.story }}</p>
    <p v-for="m in view.made" :key="m">{{ m }}</p>
    <template v-if="view.pictures.length > 1">
      <h2>{{ wording('proposal.grows') }}</h2>
      <div class="stills">
        <figure v-for="p in view.pictures.slice(1)" :key="p.id">
          <img v-if="pictures[p.id]" :src="pictures[p.id]" :alt="p.caption" />
          <figcaption>{{ p.caption }}</figcaption>
        </figure>
      </div>
      <p class="small">{{ wording('proposal.varies') }}</p>
    </template>
    <ProposalDays :view="view" />
    <h2>{{ wording('proposal.price') }}</h2>
    <ProposalPrice :view="view" />
    <ProposalConditions :view="view" />
  </article>
  <section class="answer" data-test="answer">
    <p v-if="answer?.kind === 'yes'" role="status">
      <b>{{ wording('linkPage.saidYes', { option: agreedTo, day: longDay(answer.day), studio }) }}</b>
    </p>
    <template v-else>
      <h2>{{ wording('linkPage.answer') }}</h2>
      <p v-if="answer && !asks" role="status">{{ wording('linkPage.asked', { studio }) }}</p>
      <label class="boxed"
        >{{ wording('linkPage.name')
        }}<input v-model="by" autocomplete="name" maxlength="200" data-test="answer-by"
      /></label>
      <label v-if="asks" class="boxed"
        >{{ wording('linkPage.text')
        }}<textarea v-model="text" rows="3" maxlength="2000" data-test="answer-text" />
      </label>
      <p v-if="refused" class="late" role="alert">{{ refused }}</p>
      <p class="acts">
        <button
          v-if="asks"
          class="solid"
          :disabled="busy || !by.trim() || !text.trim()"
          data-test="answer-send"
          @click="send('question')"
        >
          {{ wording('linkPage.send') }}
        </button>
        <template v-else>
          <button class="solid" :disabled="busy || !by.trim()" data-test="answer-yes" @click="send('yes')">
            {{
              opened.shows.length > 1
                ? wording('linkPage.yesTo', { option: view.heading })
                : wording('linkPage.yes')
            }}
          </button>
          <button class="act" data-test="answer-ask" @click="asks = true">
            {{ wording('linkPage.question') }}
          </button>
        </template>
      </p>
    </template>
    <p class="small">{{ wording('linkPage.until', { day: longDay(opened.until) }) }}</p>
  </section>
</template>

<style scoped src="../proposal/sheet.css"></style>
<style scoped>
.sheet,
.answer {
  padding: 26px 34px 34px;
  border: 1px solid var(--rule);
  background: var(--paper);
}
.answer {
  border-top: 5px solid var(--clay);
  display: grid;
  gap: 10px;
}
img {
  display: block;
  width: 100%;
}
.stills {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 0 12px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
}
.acts button {
  min-height: 44px;
}
@media (max-width: 700px) {
  .sheet,
  .answer {
    padding: 16px;
  }
}
</style>
