<script setup lang="ts">
import { useDebounceFn, useTitle } from '@vueuse/core';
import { onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { api, ApiProblem, type Listed } from '../../shell/api';
import { useCommands } from '../../shell/commands';
import CommissionRow from './CommissionRow.vue';
import { newCommission } from './newCommission';

const router = useRouter();
const search = ref('');
const removedToo = ref(false);
const list = ref<Listed[]>();
const fault = ref<{ says: string; more: string[] }>();
const justRemoved = ref<Listed>();
const file = ref<HTMLInputElement>();
useTitle('Utsuwa');

async function load(): Promise<void> {
  try {
    list.value = (await api.list(search.value, removedToo.value)).commissions;
  } catch (error) {
    tell(error);
  }
}

function tell(error: unknown): void {
  const faults = error instanceof ApiProblem ? (error.body.faults ?? []) : [];
  fault.value = {
    says: error instanceof Error ? error.message : String(error),
    more: faults.slice(1).map((f) => `${f.path}: ${f.says}`),
  };
}

async function attempt(work: () => Promise<unknown>): Promise<void> {
  fault.value = undefined;
  try {
    await work();
  } catch (error) {
    tell(error);
  }
}

const create = () =>
  attempt(async () => {
    const studio = await api.studio();
    const { id } = await api.create(newCommission(studio));
    await router.push(`/c/${id}/brief`);
  });

const MAX_MB = 20;
const take = (picked: File | undefined) =>
  attempt(async () => {
    if (!picked) return;
    if (picked.size > MAX_MB * 1024 * 1024)
      throw new Error(
        `(document): has ${Math.ceil(picked.size / 1024 / 1024)} MB, must have at most ${MAX_MB} MB`,
      );
    const { id } = await api.importFile(await picked.text());
    await router.push(`/c/${id}/bench`);
  });

const remove = (row: Listed) =>
  attempt(async () => {
    await api.remove(row.id);
    justRemoved.value = row;
    await load();
  });
const bringBack = (row: Listed) =>
  attempt(async () => {
    await api.restore(row.id);
    justRemoved.value = undefined;
    await load();
  });
const duplicate = (row: Listed) =>
  attempt(async () => {
    await api.duplicate(row.id);
    await load();
  });

watch(search, useDebounceFn(load, 120));
watch(removedToo, load);
onMounted(load);
useCommands([
  { id: 'new', title: 'New commission', run: () => void create() },
  { id: 'import', title: 'Import a commission from a file', run: () => file.value?.click() },
]);
</script>

<template>
  <div class="page">
    <header>
      <h1>Utsuwa</h1>
      <p class="quiet">
        {{ removedToo ? 'Removed commissions, kept for 30 days' : 'Commissions, soonest build first' }}
      </p>
      <div class="acts">
        <v-text-field
          v-model="search"
          label="Search title, client or place"
          class="search"
          clearable
          @click:clear="search = ''"
        />
        <button class="solid" data-test="new" @click="create">New commission</button>
        <button class="act" @click="file?.click()">Import</button>
        <input
          ref="file"
          class="sr"
          type="file"
          accept="application/json,.json"
          aria-label="Commission file"
          tabindex="-1"
          @change="
            take(($event.target as HTMLInputElement).files?.[0]);
            ($event.target as HTMLInputElement).value = '';
          "
        />
        <button class="act" @click="removedToo = !removedToo">
          {{ removedToo ? 'Back to all' : 'Removed' }}
        </button>
      </div>
    </header>
    <div v-if="fault" class="fault" role="alert">
      <b>{{ fault.says }}</b>
      <p v-for="line in fault.more" :key="line">{{ line }}</p>
      <p class="quiet">Nothing was changed.</p>
    </div>
    <p v-if="justRemoved" class="removed" role="status">
      {{ justRemoved.title }} is removed.
      <button class="act" @click="bringBack(justRemoved)">Bring it back</button>
    </p>
    <ul v-if="list">
      <CommissionRow
        v-for="row in list"
        :key="row.id"
        :row="row"
        @remove="remove(row)"
        @restore="bringBack(row)"
        @duplicate="duplicate(row)"
      />
    </ul>
    <p v-if="list?.length === 0" class="empty">
      {{ search ? 'No commission has all of these words.' : 'No commission yet.' }}
      <button v-if="!search" class="act" @click="create">Begin one with the brief</button>
    </p>
  </div>
</template>

<style scoped>
.page {
  height: 100vh;
  overflow: auto;
  padding: 26px clamp(20px, 7vw, 110px) 60px;
  background: var(--ash);
}
header {
  display: flex;
  align-items: baseline;
  gap: 18px;
  flex-wrap: wrap;
  padding-bottom: 14px;
  border-bottom: 1px solid var(--ink);
}
h1 {
  font-size: 34px;
}
.acts {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 18px;
}
.search {
  width: 250px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.fault {
  margin: 14px 0;
  padding: 10px 14px;
  background: var(--warn-wash);
  border-left: 3px solid var(--warn);
}
.removed,
.empty {
  padding: 14px 0;
}
</style>
