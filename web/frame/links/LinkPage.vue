<script setup lang="ts">
import { useEventListener, useTitle } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { useAttempt } from '../../design/attempt';
import { linkPicture, links, type Opened } from '../../document/links';
import { wording } from '../../words/wording';
import LinkProposal from './LinkProposal.vue';
import LinkSheet from './LinkSheet.vue';

/** What a link opens: its one view. What opens it stands behind the #, which no server is sent. */
const secret = window.location.hash.slice(1);
// Another link that is opened over this one is another page.
useEventListener(window, 'hashchange', () => window.location.reload());
const opened = shallowRef<Opened>();
const pictures = ref<Record<string, string>>({});
const opening = useAttempt();
const title = computed(() => {
  const o = opened.value;
  if (o?.kind === 'sheet') return o.shows.title;
  return o?.kind === 'proposal' ? o.shows[0].title : 'Utsuwa';
});
useTitle(title);
void opening.attempt(async () => {
  opened.value = await links.open(secret);
  for (const id of picturesOf(opened.value)) {
    const address = await linkPicture(secret, id);
    if (address) pictures.value[id] = address;
  }
});
const answered = () => opening.attempt(async () => void (opened.value = await links.open(secret)));
onBeforeUnmount(() => Object.values(pictures.value).forEach((address) => URL.revokeObjectURL(address)));

/** Its pictures in the order in which they are looked at: the first of each option before the others, they are compared. */
function picturesOf(o: Opened): string[] {
  if (o.kind === 'sheet') return o.shows.blocks.flatMap((b) => (b.as === 'picture' ? [b.id] : []));
  if (o.kind !== 'proposal') return [];
  const shown = o.shows.map((s) => s.pictures.map((p) => p.id));
  return [...shown.flatMap((p) => p.slice(0, 1)), ...shown.flatMap((p) => p.slice(1))];
}
</script>

<template>
  <main v-if="opening.fault.value" class="gone">
    <p role="alert" data-test="link-fault">{{ opening.fault.value }}</p>
  </main>
  <main v-else-if="opened" class="page">
    <LinkProposal
      v-if="opened.kind === 'proposal'"
      :secret="secret"
      :opened="opened"
      :pictures="pictures"
      @answered="answered"
    />
    <LinkSheet v-else-if="opened.kind === 'sheet'" :view="opened.shows" :pictures="pictures" />
    <p v-else>{{ wording('linkPage.dates') }}</p>
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
  align-content: start;
  justify-content: center;
  grid-template-columns: minmax(0, 720px);
}
</style>
