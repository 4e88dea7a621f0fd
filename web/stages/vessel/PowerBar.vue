<script setup lang="ts">
import { computed } from 'vue';
import { warmsOf } from '../../../core/site/warmth';
import { say } from '../../../core/words/text';
import { usualDevices } from '../../../core/visit/power';
import { useCommission } from '../../document/commissionStore';
import { freshId, useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import StackedBar from '../../drawing/StackedBar.vue';
import { useFigures } from '../../units/figures';
import WordsField from '../../document/WordsField.vue';
import type { ShownPlan } from '../../workers/planWorker';

/** What every device draws, side by side, against the sockets and the circuit. */
const props = defineProps<{ visit: ShownPlan['visit'] }>();
const commission = useCommission();
const edit = useDocEdit();
const f = useFigures();
const site = computed(() => commission.document!.site);
const devices = computed(() => site.value?.devices ?? []);
const power = computed(() => props.visit.power);

const WIDTH = 320;
const FILLS = ['var(--clay-2)', 'var(--sand)', '#cfc4b6', '#d9d2c4', '#bfb29f'];
const bar = computed(() =>
  power.value.devices.map((d, i) => ({
    key: `${i} ${d.name}`,
    value: d.watts,
    fill: FILLS[i % FILLS.length],
    says: `${d.name} ${d.watts} W`,
  })),
);
const set = (i: number, part: object) =>
  edit.site('devices', devices.value.map((d, n) => (n === i ? { ...d, ...part } : d))); // prettier-ignore
function add(name = 'device', watts = 10): void {
  edit.site('devices', [...devices.value, { id: freshId(name, devices.value), name, watts }]);
}
function remove(i: number): void {
  const left = devices.value.filter((_, n) => n !== i);
  edit.site('devices', left.length > 0 ? left : undefined);
}
function usual(): void {
  edit.site('devices', usualDevices(commission.document!, props.visit.heat));
}
const WARMTH = [
  { value: 'water', title: 'the water' },
  { value: 'above', title: 'by day' },
  { value: 'elsewhere', title: 'nothing' },
];
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
        {{ power.plugs }} {{ power.plugs === 1 ? 'plug' : 'plugs' }}, {{ power.watts }} W<template
          v-if="power.stayW"
        >
          of {{ Math.round(power.stayW) }} W that may stay on</template
        >
      </span>
    </header>
    <StackedBar v-if="bar.length" :parts="bar" :width="WIDTH" label="Watts of each device" />
    <p v-for="x in power.findings" :key="x.id" class="says">
      <b>{{ f.words(x.says) }}</b> {{ f.words(x.because) }}
    </p>
    <details>
      <summary class="act">Devices, sockets, circuit</summary>
      <div v-for="(d, i) in devices" :key="d.id" class="figures device">
        <WordsField label="Device" :value="d.name" :apply="(name) => set(i, { name })" />
        <FigureField
          label="draws"
          kind="plain"
          unit="W"
          :value="d.watts"
          :apply="(watts) => set(i, { watts })"
        />
        <v-select
          label="warms"
          :items="WARMTH"
          :model-value="warmsOf(d)"
          @update:model-value="(warms) => set(i, { warms })"
        />
        <button class="act" @click="remove(i)">Take away</button>
      </div>
      <p class="adds">
        <button class="act" data-test="add-device" @click="add()">Add a device</button>
        <button v-if="devices.length === 0" class="act" data-test="usual-devices" @click="usual">
          Start with the usual ones
        </button>
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
      Hands out of the water while anything is powered. {{ f.words(say('power.electrician')) }}
    </p>
  </section>
</template>

<style scoped>
.device {
  grid-template-columns: 1.2fr 0.75fr 1.2fr auto;
}
.guards {
  grid-template-columns: 1fr 1fr;
}
</style>
