<script setup lang="ts">
import { useTitle } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { linkPicture, links, type Opened } from '../../document/links';
import { longDay, shortDay } from '../../units/days';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';

/** What a link opens: a proposal to read, and a word back. What opens it stands behind the #, which no server is sent. */
const secret = window.location.hash.slice(1);
const opened = shallowRef<Opened>();
const pictures = ref<Record<string, string>>({});
const fault = ref('');
useTitle(computed(() => opened.value?.shows.title ?? 'Utsuwa'));

async function load(): Promise<void> {
  try {
    opened.value = await links.open(secret);
    for (const { id } of opened.value.shows.pictures) {
      const address = await linkPicture(secret, id);
      if (address) pictures.value[id] = address;
    }
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
}
void load();
onBeforeUnmount(() => Object.values(pictures.value).forEach((address) => URL.revokeObjectURL(address)));

const view = computed(() => opened.value?.shows);
const sum = (minor: number) => money(minor, view.value!.currency);
const studio = computed(() => view.value?.studio.name ?? wording('linkPage.studio'));
const answer = computed(() => opened.value?.answer);
const [by, text, asks, refused, busy] = [ref(''), ref(''), ref(false), ref(''), ref(false)];
async function send(kind: 'yes' | 'question'): Promise<void> {
  [refused.value, busy.value] = ['', true];
  try {
    const name = by.value.trim();
    await links.answer(secret, kind === 'yes' ? { kind, by: name } : { kind, by: name, text: text.value.trim() });
    opened.value = await links.open(secret);
    asks.value = false;
  } catch (error) {
    refused.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = false;
} // prettier-ignore
</script>

<template>
  <main v-if="fault" class="gone">
    <p role="alert" data-test="link-fault">{{ fault }}</p>
  </main>
  <main v-else-if="view && opened" class="page">
    <article class="on-paper sheet" data-test="link-proposal">
      <header>
        <div>
          <h1>{{ view.title }}</h1>
          <p>
            {{ wording('proposal.for', { client: view.client ?? wording('proposal.you') })
            }}<template v-if="view.place">, {{ view.place }}</template>
          </p>
        </div>
        <p class="studio">
          <b>{{ view.studio.name }}</b><br /><template v-if="view.studio.address"
            >{{ view.studio.address }}<br /></template
          >{{ view.studio.phone }}
        </p>
      </header>
      <figure v-for="p in view.pictures.slice(0, 1)" :key="p.id">
        <img v-if="pictures[p.id]" :src="pictures[p.id]" :alt="p.caption" />
        <figcaption>{{ p.caption }}</figcaption>
      </figure>
      <h2>{{ view.heading }}</h2>
      <p v-if="view.story" class="story">{{ view.story }}</p>
      <p v-for="m in view.made" :key="m">{{ m }}</p>
      <div v-if="view.pictures.length > 1" class="stills">
        <figure v-for="p in view.pictures.slice(1)" :key="p.id">
          <img v-if="pictures[p.id]" :src="pictures[p.id]" :alt="p.caption" />
          <figcaption>{{ p.caption }}</figcaption>
        </figure>
      </div>
      <h2>{{ wording('proposal.when') }}</h2>
      <table>
        <tbody>
          <tr v-for="d in view.days" :key="`${d.day} ${d.says}`">
            <td class="day">{{ shortDay(d.day) }}</td>
            <td>{{ d.says }}</td>
          </tr>
        </tbody>
      </table>
      <h2>{{ wording('proposal.yours') }}</h2>
      <p>{{ view.asks }}</p>
      <h2>{{ wording('proposal.price') }}</h2>
      <table>
        <tbody>
          <tr v-for="l in view.lines" :key="l.name">
            <td>{{ l.name }}</td>
            <td class="right">{{ sum(l.minor) }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr v-if="view.tax">
            <td>{{ view.tax.name }} {{ view.tax.percent }} %</td>
            <td class="right">{{ sum(view.tax.minor) }}</td>
          </tr>
          <tr class="total">
            <td>{{ wording('proposal.total') }}</td>
            <td class="right" data-test="link-total">{{ sum(view.totalMinor) }}</td>
          </tr>
        </tfoot>
      </table>
      <p v-if="view.validUntil">{{ wording('proposal.until', { day: longDay(view.validUntil) }) }}</p>
      <p v-if="view.notIncluded"><b>{{ wording('proposal.not') }}</b> {{ view.notIncluded }}</p>
      <p v-if="view.dependsOn"><b>{{ wording('proposal.depends') }}</b> {{ view.dependsOn }}</p>
      <p v-if="view.terms">{{ view.terms }}</p>
      <p class="small">{{ wording('proposal.caution') }}</p>
    </article>
    <section class="answer" data-test="answer">
      <p v-if="answer?.kind === 'yes'" role="status">
        <b>{{ wording('linkPage.saidYes', { day: longDay(answer.day), studio }) }}</b>
      </p>
      <template v-else>
        <h2>{{ wording('linkPage.answer') }}</h2>
        <p v-if="answer && !asks" role="status">{{ wording('linkPage.asked', { studio }) }}</p>
        <label
          >{{ wording('linkPage.name')
          }}<input v-model="by" autocomplete="name" maxlength="200" data-test="answer-by"
        /></label>
        <label v-if="asks"
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
              {{ wording('linkPage.yes') }}
            </button>
            <button class="act" data-test="answer-ask" @click="asks = true">
              {{ wording('linkPage.question') }}
            </button>
          </template>
        </p>
      </template>
      <p class="small">{{ wording('linkPage.until', { day: longDay(opened.until) }) }}</p>
    </section>
  </main>
</template>

<style scoped>
.gone {
  padding: 30vh 24px;
  text-align: center;
}
.page {
  min-height: 100vh;
  background: var(--ash);
  padding: 24px 16px 60px;
  display: grid;
  gap: 18px;
  justify-content: center;
  grid-template-columns: minmax(0, 720px);
}
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
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 10px 20px;
}
.studio {
  text-align: right;
  font-size: 12.5px;
  white-space: pre-line;
}
p {
  margin: 0 0 6px;
}
h2 {
  margin: 16px 0 6px;
}
figure {
  margin: 12px 0 0;
}
img {
  display: block;
  width: 100%;
}
figcaption {
  font: italic 400 13px var(--title);
  color: var(--ink-2);
}
.stills {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 0 12px;
}
.story {
  font: italic 400 15px var(--title);
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  border-bottom: 1px solid var(--rule);
  padding: 4px 8px 4px 0;
  vertical-align: top;
}
.day {
  white-space: nowrap;
  width: 70px;
}
.right {
  text-align: right;
  white-space: nowrap;
}
.total td {
  font: 500 20px var(--title);
  border-bottom: 2px solid var(--ink);
}
.small {
  font-size: 12px;
  color: var(--ink-2);
}
label {
  display: grid;
  gap: 3px;
}
input,
textarea {
  min-height: 44px;
  padding: 8px 10px;
  font: inherit;
  font-size: 16px;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--ink-2);
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
  .studio {
    text-align: left;
  }
  .sheet,
  .answer {
    padding: 16px;
  }
}
</style>
