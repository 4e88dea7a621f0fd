<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { keepKeys } from '../design/commands';
import type { Picture } from '../../core/commission/schema';
import { api } from './api';
import { useCommission } from './commissionStore';
import { refusedFile, uploadPicture } from './upload';
import { wording } from '../words/wording';

/** Pictures of some subjects: added by hand, kept small, each with what it shows. */
const props = defineProps<{ title: string; subjects: readonly Picture['shows'][]; hint?: string }>();
const commission = useCommission();
const NAMES: Record<Picture['shows'], string> = {
  story: 'the story',
  place: 'the place',
  floor: 'floor and stand',
  route: 'the way in',
  power: 'sockets',
  water: 'tap and drain',
  tank: 'the tank',
  owned: 'what is reused',
  'mock-up': 'the mock-up',
  offered: 'an actual piece',
  received: 'what came',
  log: 'with a note',
};

const shown = computed(() =>
  (commission.document?.pictures ?? []).filter((p) => props.subjects.includes(p.shows)),
);
interface Sending {
  name: string;
  share: number;
  stop: AbortController;
}
const sending = ref<Sending[]>([]);
const fault = shallowRef('');
/** A document that came from elsewhere names pictures that this server does not have. */
const missing = shallowRef(new Set<string>());

async function add(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const files = [...(input.files ?? [])];
  input.value = '';
  fault.value = '';
  for (const file of files) await send(file);
}

async function send(file: File): Promise<void> {
  const refusal = refusedFile(file);
  if (refusal) return void (fault.value = refusal);
  const commissionId = commission.id;
  sending.value.push({ name: file.name, share: 0, stop: new AbortController() });
  const entry = sending.value[sending.value.length - 1];
  try {
    const kept = await uploadPicture(commissionId, file, (share) => (entry.share = share), entry.stop.signal);
    if (commission.id !== commissionId) return;
    const picture: Picture = { ...kept, shows: props.subjects[0], caption: '' };
    commission.edit(`picture ${kept.id}`, (d) => ({
      ...d,
      pictures: [...(d.pictures ?? []).filter((p) => p.id !== kept.id), picture],
    }));
  } catch (error) {
    const stopped = error instanceof DOMException && error.name === 'AbortError';
    fault.value = stopped ? '' : `${file.name}: ${error instanceof Error ? error.message : String(error)}`;
  } finally {
    sending.value = sending.value.filter((s) => s !== entry);
  }
}

const set = (id: string, part: Partial<Picture>) =>
  void commission.tryEdit(`picture ${id}`, (d) => ({
    ...d,
    pictures: (d.pictures ?? []).map((p) => (p.id === id ? { ...p, ...part } : p)),
  }));
function remove(id: string): void {
  commission.edit(`picture away ${id}`, (d) => ({
    ...d,
    pictures: (d.pictures ?? []).filter((p) => p.id !== id),
  }));
}
const typedCaption = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <section class="strip">
    <header>
      <h2>{{ title }}</h2>
      <label class="act add">
        Add a picture
        <input type="file" accept="image/*" multiple class="sr" data-test="add-picture" @change="add" />
      </label>
    </header>
    <p v-if="hint && !shown.length" class="quiet">{{ hint }}</p>
    <ul v-if="shown.length">
      <li v-for="p in shown" :key="p.id">
        <p v-if="missing.has(p.id)" class="quiet gone">{{ wording('pictureStrip.elsewhere') }}</p>
        <img
          v-else
          :src="api.pictureUrl(commission.id, p.id)"
          :alt="p.caption || NAMES[p.shows]"
          loading="lazy"
          @error="missing = new Set([...missing, p.id])"
        />
        <select
          v-if="subjects.length > 1"
          aria-label="Shows"
          :value="p.shows"
          @change="set(p.id, { shows: ($event.target as HTMLSelectElement).value as Picture['shows'] })"
        >
          <option v-for="s in subjects" :key="s" :value="s">{{ NAMES[s] }}</option>
        </select>
        <input
          class="caption"
          placeholder="what it shows"
          aria-label="What it shows"
          :value="p.caption"
          maxlength="200"
          @change="set(p.id, { caption: typedCaption($event) })"
          @keydown="keepKeys"
        />
        <button class="act" @click="remove(p.id)">Take away</button>
      </li>
    </ul>
    <p v-for="s in sending" :key="s.name" class="sending" role="status">
      <progress :value="s.share" max="1" /> {{ s.name }}, {{ Math.round(s.share * 100) }} %
      <button class="act" data-test="cancel-upload" @click="s.stop.abort()">Cancel</button>
    </p>
    <p v-if="fault" class="late" data-test="picture-fault">{{ fault }}</p>
  </section>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.add {
  cursor: pointer;
  font-weight: 600;
  color: var(--celadon);
  padding: 8px 0;
}
.add:focus-within {
  outline: 2px solid var(--celadon);
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
}
li {
  width: 150px;
  display: flex;
  flex-direction: column;
}
img {
  width: 150px;
  height: 104px;
  object-fit: cover;
  background: var(--water);
}

.gone {
  width: 150px;
  height: 104px;
  padding: 8px;
  background: var(--water);
}
select,
.caption {
  font: inherit;
  font-size: 12px;
  color: var(--ink);
  background: none;
  border: 0;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
.sending {
  display: flex;
  align-items: center;
  gap: 10px;
}
progress {
  accent-color: var(--celadon);
}
</style>
