<script setup lang="ts">
import { computed } from 'vue';
import { warmsOf } from '../../../core/site/warmth';
import { say } from '../../../core/words/text';
import type { Material, Origin, Site } from '../../../core/commission/schema';
import { GEAR_KINDS } from '../../../core/commission/primitives';
import { articleOf, gearKindOf } from '../../../core/gear/gear';
import { proposedGear } from '../../../core/gear/propose';
import { useCommission } from '../../document/commissionStore';
import { freshId, useDocEdit } from '../../document/docEdit';
import DayField from '../../document/DayField.vue';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import StackedBar from '../../drawing/StackedBar.vue';
import { useStudio } from '../../document/studioStore';
import { useFigures } from '../../units/figures';
import WordsField from '../../document/WordsField.vue';
import DeviceBody from './DeviceBody.vue';
import type { ShownPlan } from '../../workers/planWorker';

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
type Device = NonNullable<Site['devices']>[number];
const studio = useStudio();
/** Articles of the document and of the studio, each once. */
const articles = computed((): Material[] => {
  const own = commission.document!.catalogue.materials;
  const more = studio.studio?.catalogue.materials ?? [];
  return [...own, ...more.filter((m) => !own.some((o) => o.id === m.id))].filter(
    (m) => m.kind === 'equipment',
  );
});
/** Puts devices on the list, and the articles that they are into the document. */
function list(key: string, devices: Device[]): string | undefined {
  return edit.edit(key, (d) => {
    const missing = articles.value.filter(
      (a) => devices.some((x) => x.material === a.id) && !d.catalogue.materials.some((m) => m.id === a.id),
    );
    const catalogue = { ...d.catalogue, materials: [...d.catalogue.materials, ...missing] };
    return { ...d, catalogue: missing.length ? catalogue : d.catalogue, site: { ...d.site, devices } };
  });
}
function usual(): void {
  const need = {
    freeWaterL: props.freeWaterL,
    heatersW: props.visit.heat.heatersW,
    plants: (commission.option?.plants ?? []).map((p) => p.plant),
  };
  list('usual devices', proposedGear(commission.document!, need, articles.value));
}
/** An article brings its name, watts and flow; it is bought unless something else was said. */
function setArticle(i: number, id: string | null): void {
  const a = articles.value.find((x) => x.id === id);
  const { material: _was, ...plain } = devices.value[i];
  const next: Device = a
    ? { ...plain, material: a.id, name: a.name, watts: a.watts ?? plain.watts, litresPerHour: a.litresPerHour, origin: plain.origin ?? 'bought' } // prettier-ignore
    : plain;
  list(`article ${devices.value[i].id}`, devices.value.map((d, n) => (n === i ? next : d))); // prettier-ignore
}
const articlesFor = (d: Device) =>
  articles.value
    .filter((a) => !gearKindOf(commission.document!, d) || a.gear === gearKindOf(commission.document!, d))
    .map((a) => ({ value: a.id, title: a.name }));
const originOf = (d: Device): Origin => d.origin ?? 'client';
const KINDS = GEAR_KINDS.map((value) => ({
  value,
  title: value === 'co2' ? 'CO2' : value.replace('-', ' '),
}));
const isFilter = (d: Device) => gearKindOf(commission.document!, d) === 'filter';
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
        <div class="more">
          <v-select
            label="kind"
            :items="KINDS"
            :model-value="gearKindOf(commission.document!, d)"
            @update:model-value="(kind) => set(i, { kind })"
          />
          <OriginField :origin="originOf(d)" @change="(origin) => set(i, { origin })" />
          <v-select
            label="article"
            :items="articlesFor(d)"
            :model-value="articleOf(commission.document!, d)?.id"
            clearable
            data-test="article"
            @update:model-value="(id) => setArticle(i, id)"
          />
          <FigureField
            v-if="isFilter(d)"
            label="moves"
            kind="flow"
            optional
            :value="d.litresPerHour"
            :apply="(litresPerHour) => set(i, { litresPerHour })"
          />
          <DayField
            label="comes on"
            :value="d.arrives"
            :apply="(arrives) => set(i, { arrives: arrives || undefined })"
          />
          <DeviceBody
            :body="d.body"
            :vessel="commission.document!.vessel"
            :apply="(body) => set(i, { body })"
          />
        </div>
      </div>
      <p class="adds">
        <button class="act" data-test="add-device" @click="add()">Add a device</button>
        <button v-if="devices.length === 0" class="act" data-test="usual-devices" @click="usual">
          Propose from litres, heat and light
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
  grid-template-columns: 1.2fr 0.9fr 1.2fr auto;
  border-top: 1px solid var(--rule);
  padding-top: 4px;
}
.more {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 1.4fr;
  gap: 0 18px;
}
.guards {
  grid-template-columns: 1fr 1fr;
}
</style>
