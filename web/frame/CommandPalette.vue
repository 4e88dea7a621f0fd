<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { api, type Listed } from '../document/api';
import { allCommands, allowed, allFound, answersTo, paletteOpen, shortcutsOpen, type Command } from '../design/commands'; // prettier-ignore
import { may } from '../document/people';
import { today } from '../units/days';
import { usePreferences } from '../units/preferences';
import { wording } from '../words/wording';

/** Entries that are shown at most. */
const MOST = 14;
const router = useRouter();
const preferences = usePreferences();
const text = ref('');
const commissions = ref<Listed[]>([]);
const chosen = ref(0);
const field = ref<HTMLInputElement>();

/** The studio's lists are not for everybody. */
const ofStudio = () => may('studio');
const always: Command[] = [
  { id: 'list', title: 'All commissions', run: () => void router.push('/') },
  {
    id: 'new',
    title: 'New commission',
    also: 'add begin job',
    isFor: () => may('create'),
    run: () => void router.push('/?new'),
  },
  { id: 'units', title: 'Metric or US units', also: 'inches gallons litres fahrenheit mm', run: () => preferences.toggleUnits() }, // prettier-ignore
  {
    id: 'theme',
    title: 'Paper or dim',
    also: 'dark light theme night',
    run: () => preferences.toggleTheme(),
  },
  { id: 'keys', title: 'Keyboard shortcuts', also: 'help keys how', keys: '?', run: () => (shortcutsOpen.value = true) }, // prettier-ignore
  { id: 'house', title: 'Studio: name, currency, days', also: 'settings address telephone crew date format', isFor: ofStudio, run: () => void router.push('/studio/house') }, // prettier-ignore
  { id: 'suppliers', title: 'Studio: suppliers', also: 'supplier add delivery shop', isFor: ofStudio, run: () => void router.push('/studio/suppliers') }, // prettier-ignore
  { id: 'materials', title: 'Studio: materials and prices', also: 'price list catalogue stone wood soil sand pack', isFor: ofStudio, run: () => void router.push('/studio/materials') }, // prettier-ignore
  { id: 'plants', title: 'Studio: plants', also: 'catalogue plant list price', isFor: ofStudio, run: () => void router.push('/studio/plants') }, // prettier-ignore
  { id: 'looks', title: 'Studio: units and looks', also: 'settings inches gallons hardness dark', run: () => void router.push('/studio/looks') }, // prettier-ignore
];

const found = computed((): Command[] => {
  const open = commissions.value.map((c) => ({
    id: `open ${c.id}`,
    title: `Open ${c.title}`,
    run: () => void router.push(`/c/${c.id}/bench`),
  }));
  const own = allCommands();
  const more = allowed(always).filter((c) => !own.some((o) => o.id === c.id));
  const fit = [...own, ...more].filter((c) => answersTo(c, text.value));
  return [...fit, ...allFound(text.value), ...open].slice(0, MOST);
});

/** The server knows every commission; it is asked with the words that were typed. */
async function find(): Promise<void> {
  const q = text.value.slice(0, 200);
  const { commissions: list } = await api
    .list({ q, today: today(), limit: MOST })
    .catch(() => ({ commissions: [] }));
  if (q === text.value.slice(0, 200)) commissions.value = list;
}
const findSoon = useDebounceFn(find, 80);

/** It may have been opened by the key that fetched it. */
watch(
  paletteOpen,
  async (open) => {
    if (!open) return;
    text.value = '';
    chosen.value = 0;
    await nextTick();
    field.value?.focus();
    await find();
  },
  { immediate: true, flush: 'post' },
);
watch(text, () => {
  chosen.value = 0;
  void findSoon();
});

function run(command: Command | undefined): void {
  paletteOpen.value = false;
  command?.run();
}

function onKey(event: KeyboardEvent): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step) {
    event.preventDefault();
    chosen.value = (chosen.value + step + found.value.length) % Math.max(1, found.value.length);
  } else if (event.key === 'Enter') run(found.value[chosen.value]);
  // At once: the library listens only when its own account of what lies uppermost is up to date.
  else if (event.key === 'Escape') paletteOpen.value = false;
}
</script>

<template>
  <v-dialog v-model="paletteOpen" width="520" location="top" :scrim="'#23211e'" content-class="palette">
    <div class="sheet" role="dialog" aria-label="Find or do" @keydown="onKey">
      <input ref="field" v-model="text" aria-label="Find or do" placeholder="Find or do" autocomplete="off" />
      <ul>
        <li v-for="(command, i) in found" :key="command.id">
          <button
            class="plain"
            :class="{ chosen: i === chosen }"
            @click="run(command)"
            @mousemove="chosen = i"
          >
            <span>{{ command.title }}</span><span class="quiet">{{ command.keys }}</span>
          </button>
        </li>
        <li v-if="found.length === 0" class="none">
          {{ wording('commandPalette.noneFound') }}
        </li>
      </ul>
    </div>
  </v-dialog>
</template>

<style scoped>
.sheet {
  border: 1px solid var(--rule);
}
input {
  width: 100%;
  padding: 14px 18px;
  font: 500 17px var(--text);
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  color: inherit;
  outline: none;
}
ul {
  list-style: none;
  margin: 0;
  padding: 6px 0;
  max-height: 420px;
  overflow: auto;
}
button {
  display: flex;
  justify-content: space-between;
  width: 100%;
  padding: 7px 18px;
}
button.chosen {
  background: var(--celadon-wash);
}
.none {
  padding: 8px 18px;
  color: var(--ink-2);
}
</style>
