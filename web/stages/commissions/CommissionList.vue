<script setup lang="ts">
import { MAX_FILE_BYTES } from '../../../core/commission/budgets';
import { useTitle } from '@vueuse/core';
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { api, ApiProblem, type Listed } from '../../document/api';
import { useCommands } from '../../design/commands';
import { useInView } from '../../design/inView';
import { may } from '../../document/people';
import { today } from '../../units/days';
import { waitingHere } from '../../document/outbox';
import { lastErasure, onErased } from '../../document/erased';
import ClockQuestion from './ClockQuestion.vue';
import CommissionRow from './CommissionRow.vue';
import ListChoice from './ListChoice.vue';
import { newCommission } from './newCommission';
import { sampleCommission } from './sample';
import { useListing } from './useListing';
import { wording } from '../../words/wording';

const router = useRouter();
const fault = ref<{ says: string; more: string[] }>();
const justRemoved = ref<Pick<Listed, 'id' | 'title'>>();
const file = ref<HTMLInputElement>();
useTitle('Utsuwa');

const end = ref<HTMLElement>();
const { search, show, sort, list, lately, unknown, count, load, more } = useListing(tell);
useInView(end, (isInView) => void (isInView && more()), { rootMargin: '400px' });

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

const nameOf = (id: string) =>
  [...(list.value ?? []), ...lately.value].find((c) => c.id === id)?.title ?? 'open it';

const create = () =>
  attempt(async () => {
    const studio = await api.studio();
    const { id } = await api.create(newCommission(studio));
    await router.push(`/c/${id}/brief`);
  });

/** The sample is a commission like any other: it is changed, duplicated, removed. */
const lookAround = () =>
  attempt(async () => {
    const { id } = await api.create(await sampleCommission(today()));
    await router.push(`/c/${id}/bench`);
  });

/** A file that was taken, with what is not known of it: said before it is opened. */
const imported = ref<{ id: string; notes: string[] }>();
const MAX_MB = MAX_FILE_BYTES / 1024 / 1024;
const take = (picked: File | undefined) =>
  attempt(async () => {
    imported.value = undefined;
    if (!picked) return;
    if (picked.size > MAX_MB * 1024 * 1024)
      throw new Error(
        `(document): has ${Math.ceil(picked.size / 1024 / 1024)} MB, must have at most ${MAX_MB} MB`,
      );
    const { id, notes } = await api.importFile(picked);
    if (notes.length === 0) return void (await router.push(`/c/${id}/bench`));
    imported.value = { id, notes: notes.map((n) => `${n.path} ${n.says}`) };
    await load();
  });

/** A commission whose orders are with suppliers, which removing it would not withdraw: it is asked once. */
type Named = Pick<Listed, 'id' | 'title'>;
const asking = ref<{ row: Named; orders: number }>();
const remove = (row: Named, isMeant = false) =>
  attempt(async () => {
    const { orders } = isMeant ? { orders: [] } : await api.orders(row.id);
    const sent = orders.filter((o) => o.state !== 'refused' && o.state !== 'unreachable').length;
    asking.value = sent > 0 ? { row, orders: sent } : undefined;
    if (asking.value) return;
    await api.remove(row.id);
    justRemoved.value = row;
    await load();
  });
const bringBack = (row: Pick<Listed, 'id'>) =>
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

/** From elsewhere: a commission is begun at once, or one is asked about as if its *Remove* were pressed. */
async function arrived(): Promise<void> {
  const { new: begun, remove: id } = router.currentRoute.value.query;
  // Going back must not do it again.
  if (begun !== undefined || id !== undefined) await router.replace('/');
  if (begun !== undefined) return create();
  await load();
  if (typeof id === 'string')
    await attempt(async () => remove({ id, title: (await api.read(id)).document.title }));
}
onMounted(arrived);
const erasure = lastErasure;
// What was erased in another tab is not left standing in this one’s list.
onBeforeUnmount(onErased(() => void load()));
useCommands([
  { id: 'new', title: 'New commission', isFor: () => may('create'), run: () => void create() },
  {
    id: 'import',
    title: 'Import a commission from a file',
    isFor: () => may('create'),
    run: () => file.value?.click(),
  },
]);
</script>

<template>
  <main class="page">
    <header>
      <h1>Utsuwa</h1>
      <p class="quiet">Commissions</p>
      <div class="acts">
        <label class="search">
          <input
            v-model="search"
            type="search"
            aria-label="Search title, client or place"
            placeholder="Search title, client or place"
            maxlength="200"
          />
        </label>
        <button v-if="may('create')" class="solid" data-test="new" @click="create">New commission</button>
        <router-link v-if="may('week')" class="act" to="/week" data-test="week">Week</router-link>
        <router-link class="act" to="/studio" data-test="studio">{{
          may('studio') ? 'Studio' : wording('commissionList.account')
        }}</router-link>
        <button v-if="may('create')" class="act" @click="file?.click()">Import</button>
        <input
          ref="file"
          class="sr"
          type="file"
          accept="application/json,.json,application/zip,.zip"
          aria-label="Commission file"
          tabindex="-1"
          @change="
            take(($event.target as HTMLInputElement).files?.[0]);
            ($event.target as HTMLInputElement).value = '';
          "
        />
      </div>
    </header>
    <ListChoice v-if="may('glances')" v-model:show="show" v-model:sort="sort" :unknown="unknown" />
    <div v-if="fault" class="fault" role="alert">
      <b>{{ fault.says }}</b>
      <p v-for="line in fault.more" :key="line">{{ line }}</p>
      <p class="quiet">{{ wording('commissionList.unchanged') }}</p>
    </div>
    <ClockQuestion class="noted" />
    <div v-if="erasure" class="noted" role="status" data-test="erased">
      <template v-if="erasure.left.length === 0">
        {{ wording('commissionList.erased', { count: erasure.count }) }}
      </template>
      <template v-else>
        <b>{{ wording('commissionList.notAllErased') }}</b>
        <p v-for="line in erasure.left" :key="line">{{ line }}</p>
      </template>
      <button class="act" @click="lastErasure = undefined">Close</button>
    </div>
    <div v-if="imported" class="noted" role="status" data-test="imported">
      <b>{{ wording('commissionList.unknownFields') }}</b>
      <p v-for="line in imported.notes" :key="line">{{ line }}</p>
      <router-link class="act" :to="`/c/${imported.id}/bench`">Open it</router-link>
    </div>
    <p v-if="waitingHere.length" class="noted" role="status" data-test="waiting">
      {{ wording('commissionList.waiting', { count: waitingHere.length }) }}
      <router-link v-for="id in waitingHere" :key="id" class="act" :to="`/c/${id}/brief`">{{
        nameOf(id)
      }}</router-link>
    </p>
    <p v-if="lately.length > 1" class="lately">
      <span class="quiet">Last worked on</span>
      <router-link v-for="row in lately" :key="row.id" class="act" :to="`/c/${row.id}/bench`">{{
        row.title
      }}</router-link>
    </p>
    <p v-if="justRemoved" class="removed" role="status">
      {{ wording('commissionList.removed', { title: justRemoved.title }) }}
      <button class="act" @click="bringBack(justRemoved)">Bring it back</button>
    </p>
    <p v-if="asking" class="removed" role="alert" data-test="remove-ordered">
      {{ wording('commissionList.ordersStay', { count: asking.orders, title: asking.row.title }) }}
      <button class="act" @click="remove(asking.row, true)">Remove it all the same</button>
      <button class="act" @click="asking = undefined">Leave it</button>
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
    <p ref="end" class="quiet end" data-test="count">{{ count }}</p>
    <p v-if="list?.length === 0" class="empty">
      {{
        search
          ? wording('commissionList.noneFound')
          : show === 'removed'
            ? wording('commissionList.binEmpty')
            : show === 'current'
              ? wording(may('create') ? 'commissionList.empty' : 'commissionList.onNone')
              : wording('commissionList.noneOfThese')
      }}
    </p>
    <ol
      v-if="list?.length === 0 && !search && show === 'current' && may('create')"
      class="ways"
      data-test="ways"
    >
      <li>
        <router-link class="act" to="/studio/house">Enter your studio</router-link>
        {{ wording('commissionList.wayStudio') }}
      </li>
      <li>
        <button class="act" @click="create">Begin a commission</button>
        {{ wording('commissionList.wayBegin') }}
      </li>
      <li>
        <button class="act" data-test="sample" @click="lookAround">Look around in a sample</button>
        {{ wording('commissionList.waySample') }}
      </li>
    </ol>
  </main>
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
.search input {
  width: 100%;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.lately {
  align-items: baseline;
  display: flex;
  gap: 6px 18px;
  flex-wrap: wrap;
  padding: 10px 0;
  margin: 0;
  border-bottom: 1px solid var(--rule);
}
.end {
  min-height: 20px;
  padding-top: 10px;
}
.noted {
  margin: 14px 0 0;
  padding: 10px 14px;
  border-left: 3px solid var(--clay);
  background: var(--paper);
}
.noted .act {
  margin-right: 14px;
}
.fault {
  margin: 14px 0;
  padding: 10px 14px;
  background: var(--warn-wash);
  border-left: 3px solid var(--warn);
}
/* A way in, line by line. */
.ways {
  display: grid;
  gap: 10px;
  max-width: 620px;
  padding: 0 0 0 22px;
}
.ways .act {
  margin-right: 8px;
}
.removed,
.empty {
  padding: 14px 0;
}
@media (max-width: 700px) {
  .page {
    padding: 14px 16px 40px;
  }
  header {
    gap: 4px 14px;
  }
  .acts {
    margin-left: 0;
    width: 100%;
    flex-wrap: wrap;
    gap: 10px 18px;
  }
  .search {
    width: 100%;
    flex: none;
  }
}
</style>
