<script setup lang="ts">
import { computed, ref } from 'vue';
import { say } from '../../../core/words/text';
import type { Site } from '../../../core/commission/schema';
import { needOf, proposedGear } from '../../../core/gear/propose';
import { useCommission } from '../../document/commissionStore';
import { withoutDevice } from '../../../core/edits/devices';
import { freshId } from '../../../core/edits/ids';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import StackedBar from '../../drawing/StackedBar.vue';
import { useArticles } from '../../document/articles';
import { useFigures } from '../../units/figures';
import DeviceRow from './DeviceRow.vue';
import ProposedGear from './ProposedGear.vue';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** What every device draws, side by side, against the sockets and the circuit. */
const props = defineProps<{ visit: ShownPlan['visit']; freeWaterL: number }>();
const commission = useCommission();
const edit = useDocEdit();
const f = useFigures();
const site = computed(() => commission.document!.site);
const devices = computed(() => site.value?.devices ?? []);
const power = computed(() => props.visit.power);

const WIDTH = 320;
const FILLS = ['var(--clay-2)', 'var(--sand)', '#cfc4b6', '#d9d2c4', '#bfb29f'];
const bar = computed(() =>
  power.value.devices
    .filter((d) => d.watts > 0)
    .map((d, i) => ({
      key: `${i} ${d.name}`,
      value: d.watts,
      fill: FILLS[i % FILLS.length],
      says: `${d.name} ${d.watts} W`,
    })),
);
type Device = NonNullable<Site['devices']>[number];
const set = (i: number, part: Partial<Device>) =>
  edit.site('devices', devices.value.map((d, n) => (n === i ? touched({ ...d, ...part }) : d))); // prettier-ignore
/** What somebody has changed stays as it is, whatever becomes of the tank. */
function touched({ proposed: _p, ...device }: Device): Device {
  return device;
}
const begun = ref<string>();
function add(): void {
  begun.value = freshId('device', devices.value);
  edit.site('devices', [...devices.value, { id: begun.value, name: 'device', watts: 10 }]);
}
function remove(i: number): void {
  edit.site('devices', withoutDevice(devices.value, devices.value[i].id));
}
const { articles, withDevices } = useArticles();
/** Puts devices on the list, and the articles that they are into the document. */
const list = (key: string, devices: Device[]) => edit.edit(key, (d) => withDevices(d, devices));
const proposed = computed(() =>
  proposedGear(
    commission.document!,
    needOf(commission.option, { freeWaterL: props.freeWaterL, heatersW: props.visit.heat.heatersW }),
    f.words,
    articles.value,
  ),
);
const proposing = ref(false);
/** What is taken of the proposal goes to the end of the list, each under an id of its own. */
function take(taken: Device[]): void {
  const all = [...devices.value];
  for (const d of taken) all.push({ ...d, id: freshId(d.id, all), proposed: true });
  list('usual devices', all);
  proposing.value = false;
}
/** An article brings its name, watts and flow; it is bought unless something else was said. */
function setArticle(i: number, id: string | null): void {
  const a = articles.value.find((x) => x.id === id);
  const { material: _was, ...plain } = devices.value[i];
  const next: Device = a
    ? { ...plain, material: a.id, name: a.name, watts: a.watts ?? plain.watts, litresPerHour: a.litresPerHour, origin: plain.origin ?? 'bought' } // prettier-ignore
    : plain;
  list(`article ${devices.value[i].id}`, devices.value.map((d, n) => (n === i ? touched(next) : d))); // prettier-ignore
}
const YES_NO = [
  { value: null, title: 'not asked' },
  { value: true, title: 'yes' },
  { value: false, title: 'no' },
];
</script>

<template>
  <section>
    <header class="section-head">
      <h2>Power</h2>
      <span class="quiet">
        {{ power.plugs }} {{ power.plugs === 1 ? 'plug' : 'plugs' }}, {{ power.watts }} W
        <template v-if="power.stayW">{{
          wording('powerBar.mayStayOn', { watts: Math.round(power.stayW) })
        }}</template>
      </span>
    </header>
    <StackedBar v-if="bar.length" :parts="bar" :width="WIDTH" label="Watts of each device" />
    <p v-for="x in power.findings" :key="x.id" class="says">
      <b>{{ f.words(x.says) }}</b> {{ f.words(x.because) }}
    </p>
    <details>
      <summary class="act">Devices, sockets, circuit</summary>
      <DeviceRow
        v-for="(d, i) in devices"
        :key="d.id"
        :device="d"
        :articles="articles"
        :begun="begun === d.id"
        :set="(part) => set(i, part)"
        @article="(id) => setArticle(i, id)"
        @drop="remove(i)"
      />
      <p class="adds">
        <button class="act" data-test="add-device" @click="add()">Add a device</button>
        <button
          v-if="proposed.length && !proposing"
          class="act"
          data-test="usual-devices"
          @click="proposing = true"
        >
          {{ devices.length ? 'Propose what is not listed' : 'Propose from litres, heat and light' }}
        </button>
      </p>
      <ProposedGear
        v-if="proposing && proposed.length"
        :devices="proposed"
        :articles="articles"
        :currency="commission.document!.currency"
        @take="take"
        @close="proposing = false"
      />
      <p v-else-if="proposed.length && devices.length" class="quiet says" data-test="lacking">
        {{ wording('powerBar.notListed', { names: proposed.map((d) => d.name).join(', ') }) }}
      </p>
      <div class="figures">
        <FigureField
          label="sockets there"
          kind="plain"
          optional
          :value="site?.sockets"
          :apply="(n) => edit.site('sockets', n)"
          data-test="sockets"
        />
        <FigureField
          label="circuit"
          kind="plain"
          unit="A"
          optional
          :value="site?.circuitA"
          :apply="(a) => edit.site('circuitA', a)"
        />
        <FigureField
          label="mains"
          kind="plain"
          unit="V"
          optional
          :value="site?.volts"
          :apply="(v) => edit.site('volts', v)"
        />
      </div>
      <div class="figures guards">
        <v-select
          label="Residual-current device"
          :items="YES_NO"
          :model-value="site?.residualCurrent ?? null"
          data-test="rcd"
          @update:model-value="(x) => edit.site('residualCurrent', x ?? undefined)"
        />
        <v-select
          label="Room for drip loops"
          :items="YES_NO"
          :model-value="site?.dripLoops ?? null"
          @update:model-value="(x) => edit.site('dripLoops', x ?? undefined)"
        />
      </div>
    </details>
    <p class="quiet says">
      {{ wording('powerBar.caution', { electrician: f.words(say('power.electrician')) }) }}
    </p>
  </section>
</template>

<style scoped>
.guards {
  grid-template-columns: 1fr 1fr;
}
</style>
