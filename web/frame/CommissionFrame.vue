<script setup lang="ts">
import '../workers/withoutEval';
import { useEventListener, useIntervalFn, useTitle } from '@vueuse/core';
import { computed, onBeforeUnmount, provide, ref, shallowRef, toRef, watch } from 'vue';
import { useLive } from '../document/live';
import { useWaitingPhotos } from '../document/waitingPhotos';
import { NOW } from '../../core/commission/scapes';
import { useScapeTabs } from './scapeTabs';
import { useRoute, useRouter } from 'vue-router';
import { me, mySight } from '../document/people';
import { useLibrary } from '../design/library';
import { pageOf, usePage } from '../design/paper';
import { bySeverity, type Finding } from '../../core/words/finding';
import { stageOf } from './stageOf';
import { api, ApiProblem, type SentOrder } from '../document/api';
import { typing, useCommands, useFinder } from '../design/commands';
import { useCommission } from '../document/commissionStore';
import { fetchAhead } from '../document/drawnMeshes';
import ConflictSheet from './ConflictSheet.vue';
import GoneSheet from './GoneSheet.vue';
import { useFigures } from '../units/figures';
import HeadBar from './HeadBar.vue';
import { useFollowedGear } from './followGear';
import { useFromTheTop } from './fromTheTop';
import { useHeldStill } from './heldStill';
import { useLivePlan } from './livePlan';
import { FRAME } from './planKey';
import { nothingChosen, selectedLayer, selectedPiece } from './selection';
import { instead, stagesSeen } from './sight';
import { STAGES, stageOfPage, strataOf } from './stages';
import StageStrip from './StageStrip.vue';
import StrataRail from './StrataRail.vue';
import { useStudio } from '../document/studioStore';
import PhoneBar from './PhoneBar.vue';
import TallyColumn from './TallyColumn.vue';
import { wording } from '../words/wording';
import { isCalled } from '../../core/catalogue/commonNames';
import { materialOf } from '../../core/commission/lookup';
import { usePlants } from '../document/plants';
import type { Piece } from '../../core/commission/schema';
import { ALSO } from './stages';
import type { Shelf } from '../../core/stock/shelf';
import { today } from '../units/days';
import { placedAmong, type Placed } from '../../core/ordering/confirmation';

const props = defineProps<{ id: string }>();
useLibrary();
const commission = useCommission();
const studio = useStudio();
const route = useRoute();
const router = useRouter();
const { volume } = useFigures();
const failure = shallowRef('');
const orders = shallowRef<SentOrder[]>([]);

const reloadOrders = async () => {
  const asked = props.id;
  const answer = await api.orders(asked).catch(() => undefined);
  if (answer && asked === props.id) orders.value = answer.orders;
};
// Before anything is planned: the store may still have the one that was open before.
watch(
  () => props.id,
  async (id) => {
    failure.value = '';
    orders.value = [];
    nothingChosen();
    try {
      // Together: nothing is said to be still to order that is confirmed.
      await Promise.all([commission.open(id), reloadOrders()]);
    } catch (error) {
      if (id !== props.id) return;
      failure.value = error instanceof ApiProblem ? error.message : wording('commissionFrame.notOpened');
    }
  },
  { immediate: true },
);

/** A page that is not for whoever is here leads to the first that is. */
watch(
  [me, () => route.name],
  () => {
    const other = instead(String(route.name));
    if (other) void router.replace(`/c/${props.id}/${other}`);
  },
  { immediate: true },
);

/** How often it is asked whether the commission is still there, ms. */
const LOOK_MS = 20_000;
/** Order, build day and handover are of the chosen option, whichever is being looked at elsewhere. */
const OF_CHOSEN = ['order', 'build', 'run-sheet', 'handover', 'quote', 'shopping'];
const planned = computed(() =>
  OF_CHOSEN.includes(String(route.name)) ? (commission.document?.chosen ?? '') : commission.optionId,
);
/** What suppliers have confirmed; the same list for as long as nothing new is among it. */
const placed = computed<readonly Placed[]>((before) => {
  const now = placedAmong(orders.value);
  const isSame = before?.length === now.length && now.every((o, i) => o.reference === before[i].reference);
  return isSame ? before : now;
});
/** Pages that show what follows from how plants live: they are worked out at once. */
const PLANTED = ['brief', 'planting', 'planting-plan', 'build', 'run-sheet', 'handover', 'quote', 'shopping'];
const tallied = computed(() =>
  ['vessel', 'bench', 'planting', 'take-off', 'order'].includes(String(route.name)),
);
/** What stands on the studio's shelf; without an answer nothing is said of it. */
const shelf = shallowRef<Shelf>();
watch(
  () => props.id,
  (id) =>
    void api.shelf(today(), id).then(
      (now) => {
        if (id === props.id) shelf.value = now;
      },
      () => undefined,
    ),
  { immediate: true },
);
const { plan, field, planted, trouble, waterScale, scapeWork } = useLivePlan(
  toRef(commission, 'id'),
  toRef(commission, 'document'),
  planned,
  computed(() => studio.elsewhere(props.id)),
  placed,
  shelf,
  computed(() => (PLANTED.includes(String(route.name)) ? 'now' : tallied.value ? 'later' : 'never')),
);
watch(
  () => commission.option,
  (option) => option && fetchAhead(commission.id, option),
);
useWaitingPhotos();
provide(FRAME, { plan, field, planted, orders, reloadOrders, waterScale, scapeWork });
const workbench = ref<HTMLElement>();
usePage(() => pageOf(studio.locale));
useFollowedGear(plan, () => placed.value.length > 0);
useHeldStill(workbench, [plan, planted, trouble]);
useFromTheTop(workbench);
useTitle(computed(() => (commission.document ? `${commission.document.title} · Utsuwa` : 'Utsuwa')));
void studio.load();

const strata = computed(() => {
  if (!commission.document) return [];
  const all = strataOf(commission.document, plan.value, (l) => volume(l, 0));
  return stagesSeen().map(({ name, page }) => ({ ...all.find((s) => s.name === name)!, page }));
});
/** Those of the plan, and of how plants will live where that has been worked out. */
const findings = computed(() =>
  bySeverity([
    ...(plan.value?.findings ?? []),
    ...(planted.value?.optionId === planned.value ? planted.value.findings : []),
  ]),
);
function show(finding: Finding): void {
  selectedPiece.value = finding.at.piece;
  selectedLayer.value = finding.at.layer;
  void router.push(`/c/${props.id}/${stageOf(finding.at)}`);
}

async function duplicate(): Promise<void> {
  const { id } = await api.duplicate(props.id);
  await router.push(`/c/${id}/brief`);
}
/** A plant to paint with, a piece of the scape, by whatever name. */
const LEAST_LETTERS = 3;
const plants = usePlants();
useFinder((words) => {
  const doc = commission.document;
  // They lead to where one draws.
  if (!doc || mySight() || words.trim().length < LEAST_LETTERS) return [];
  const pieces = commission.option?.pieces ?? [];
  const nameOf = (p: Piece) => `${p.id}, ${materialOf(doc, p.material).name}`;
  return [
    ...pieces
      .filter((p) => isCalled(nameOf(p), words))
      .map((p) => ({
        id: `piece ${p.id}`,
        title: nameOf(p),
        run: () => {
          selectedPiece.value = p.id;
          void router.push(`/c/${props.id}/bench`);
        },
      })),
    ...plants.value
      .filter((p) => isCalled(p.name, words))
      .map((p) => ({
        id: `plant ${p.id}`,
        title: `Plant ${p.name}`,
        run: () => void router.push(`/c/${props.id}/planting?plant=${p.id}`),
      })),
  ];
});
const all = [
  { id: 'undo', title: 'Undo', keys: 'Ctrl Z', run: () => commission.undo() },
  { id: 'redo', title: 'Redo', keys: 'Ctrl Y', run: () => commission.redo() },
  {
    id: 'export',
    title: 'Export this commission as a document',
    also: 'save file backup download',
    run: () => window.location.assign(api.file(props.id, 'file')),
  },
  { id: 'duplicate', title: 'Duplicate this commission', also: 'copy', run: () => void duplicate() },
  {
    id: 'remove',
    title: 'Remove this commission',
    also: 'delete bin',
    run: () => void router.push(`/?remove=${props.id}`),
  },
  {
    id: 'options',
    title: 'Options side by side',
    also: 'compare variants',
    run: () => void router.push(`/c/${props.id}/options`),
  },
  {
    id: 'setting out',
    title: 'Setting-out sheet and footprint on paper',
    also: 'print template',
    run: () => void router.push(`/c/${props.id}/setting-out`),
  },
  {
    id: 'planting plan',
    title: 'Planting plan on paper',
    also: 'print',
    run: () => void router.push(`/c/${props.id}/planting-plan`),
  },
  {
    id: 'run sheet',
    title: 'Run sheet of the build day on paper',
    also: 'print tasks',
    run: () => void router.push(`/c/${props.id}/run-sheet`),
  },
  {
    id: 'sheet',
    title: 'Visit sheet on paper',
    also: 'print',
    run: () => void router.push(`/c/${props.id}/visit-sheet`),
  },
  ...STAGES.map(([name, title]) => ({
    id: `go ${name}`,
    title: `Go to ${title}`,
    also: ALSO[name],
    run: () => void router.push(`/c/${props.id}/${name}`),
  })),
];
/** What is done with a whole commission is the designers'; others go to what they see. */
const isFor = (id: string) => !mySight() || stagesSeen().some((s) => id === `go ${s.name}`);
useCommands(all.map((c) => ({ ...c, isFor: () => isFor(c.id) })));
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const key = event.key.toLowerCase();
  if (!(event.ctrlKey || event.metaKey) || !['z', 'y'].includes(key) || typing(event)) return;
  event.preventDefault();
  if (event.shiftKey || key === 'y') commission.redo();
  else commission.undo();
});
useLive(
  toRef(props, 'id'),
  computed(() => ({
    stage: stageOfPage(route.name),
    ...(selectedPiece.value && route.name === 'bench' ? { chosen: selectedPiece.value } : {}),
  })),
);
useEventListener(window, 'pagehide', () => commission.goes());
const look = () => document.visibilityState === 'visible' && void commission.look();
useIntervalFn(look, LOOK_MS);
useEventListener(document, 'visibilitychange', look);
onBeforeUnmount(() => void commission.flush());
const { isDrawn } = useScapeTabs();
watch(isDrawn, (drawn) => {
  if (!drawn && commission.optionId === NOW) commission.optionId = commission.document!.chosen;
});
</script>

<template>
  <v-app>
    <div class="frame">
      <StrataRail :id="id" :strata="strata" />
      <div class="rest">
        <HeadBar />
        <StageStrip :id="id" :strata="strata" />
        <div class="body">
          <main ref="workbench" class="workbench">
            <p v-if="failure" class="failure">
              {{ failure }} <router-link to="/" class="act">All commissions</router-link>
            </p>
            <template v-else-if="commission.document && commission.id === id">
              <p v-if="trouble" class="trouble" role="alert" data-test="trouble">
                {{ wording('commissionFrame.before', { trouble }) }}
              </p>
              <router-view />
            </template>
          </main>
          <TallyColumn v-if="tallied && commission.document" :plan="plan" :findings="findings" @show="show" />
        </div>
        <PhoneBar :id="id" :plan="plan" :findings="findings" @show="show" />
      </div>
      <ConflictSheet />
      <GoneSheet />
    </div>
  </v-app>
</template>

<style scoped>
.frame {
  display: flex;
  height: 100vh;
  overflow: hidden;
}
.rest {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.body {
  flex: 1;
  display: flex;
  min-height: 0;
}
.workbench {
  flex: 1;
  min-width: 0;
  overflow: auto;
  /* What is held is what is under the pointer (heldStill.ts), not what is uppermost. */
  overflow-anchor: none;
  background: var(--ash);
  position: relative;
}
.trouble {
  margin: 0;
  padding: 10px 30px;
  background: var(--warn-wash);
  border-left: 3px solid var(--warn);
}
.failure {
  padding: 32px;
  color: var(--warn);
  font-weight: 600;
}
@media print {
  .frame,
  .rest,
  .body,
  .workbench {
    display: block;
    height: auto;
    overflow: visible;
    background: #fff;
  }
}
</style>
