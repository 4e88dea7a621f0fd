<script setup lang="ts">
import { computed, ref } from 'vue';
import { GEAR_KINDS } from '../../../core/commission/primitives';
import type { Material, Site } from '../../../core/commission/schema';
import { articleOf, deviceOrigin, gearKindOf, gearOf, warmsOf } from '../../../core/gear/gear';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import WordsField from '../../document/WordsField.vue';
import OriginMark from '../../drawing/OriginMark.vue';
import { longDate } from '../../units/days';
import { useFigures } from '../../units/figures';
import DeviceBody from './DeviceBody.vue';
import { deviceFigures } from './deviceFigures';
import { wording } from '../../words/wording';
import LampFields from './LampFields.vue';

/** One device: a line among many, and all that is asked of it once it is opened. */
type Device = NonNullable<Site['devices']>[number];
const props = defineProps<{
  device: Device;
  articles: readonly Material[];
  /** It was added by hand a moment ago: its name has to be typed. */
  begun?: boolean;
  /** Answers with what is wrong, if anything. */
  set: (part: Partial<Device>) => string | undefined;
}>();
defineEmits<{ article: [id: string | null]; drop: [] }>();

const commission = useCommission();
const f = useFigures();
const open = ref(props.begun ?? false);
const kind = computed(() => gearKindOf(commission.document!, props.device));
const choices = computed(() =>
  props.articles
    .filter((a) => !kind.value || a.gear === kind.value)
    .map((a) => ({ value: a.id, title: a.name })),
);
const origin = computed(() => deviceOrigin(commission.document!, props.device));
const figures = computed(() => {
  const { arrives } = props.device;
  return [
    ...deviceFigures(f, props.device),
    ...(arrives ? [`comes on ${longDate(arrives)}`] : []),
    ...(props.device.leaves ? [wording('deviceRow.goesOut')] : []),
    ...(props.device.proposed ? [wording('deviceRow.follows')] : []),
  ].join(', ');
});
const KINDS = GEAR_KINDS.map((value) => ({
  value,
  title: value === 'co2' ? 'CO2' : value.replace('-', ' '),
}));
const GOES = [
  { value: '', title: wording('deviceRow.stays') },
  { value: 'client', title: wording('deviceRow.toClient') },
  { value: 'waste', title: wording('deviceRow.toWaste') },
  { value: 'stock', title: wording('deviceRow.toStock') },
];
/** What it may take the place of. */
const others = computed(() =>
  gearOf(commission.document!)
    .filter((g) => g.id !== props.device.id && !g.late)
    .map((g) => ({ value: g.id, title: g.name })),
);
const WARMTH = [
  { value: 'water', title: 'the water' },
  { value: 'above', title: 'by day' },
  { value: 'elsewhere', title: 'nothing' },
];
</script>

<template>
  <div class="device" :data-device="device.id">
    <button class="plain line" :aria-expanded="open" data-test="device" @click="open = !open">
      <span class="name">{{ device.name }} <OriginMark :origin="origin" /></span>
      <span class="quiet">{{ figures }}</span>
    </button>
    <div v-if="open" class="figures fields">
      <WordsField label="Device" :value="device.name" :apply="(name) => set({ name })" />
      <FigureField
        label="draws"
        kind="plain"
        unit="W"
        :value="device.watts"
        :apply="(watts) => set({ watts })"
      />
      <v-select
        label="kind"
        :items="KINDS"
        :model-value="kind"
        @update:model-value="(k) => set({ kind: k })"
      />
      <v-select
        label="article"
        :items="choices"
        :model-value="articleOf(commission.document!, device)?.id"
        clearable
        data-test="article"
        @update:model-value="(id: string | null) => $emit('article', id)"
      />
      <OriginField
        :origin="origin"
        :from="device.from"
        parts
        @change="(o, from) => set({ origin: o, from, leaves: undefined })"
      />
      <v-select
        v-if="commission.document!.brief.rescape && origin !== 'bought' && !device.from"
        :label="wording('deviceRow.leaves')"
        :items="GOES"
        :model-value="device.leaves ?? ''"
        data-test="device-leaves"
        @update:model-value="(to: string) => set({ leaves: (to || undefined) as Device['leaves'] })"
      />
      <DayField
        label="comes on"
        :value="device.arrives"
        :apply="(day) => set({ arrives: day || undefined })"
      />
      <v-select
        v-if="device.arrives && others.length"
        :label="wording('deviceRow.replaces')"
        :items="others"
        :model-value="device.replaces"
        clearable
        data-test="replaces"
        @update:model-value="(id: string | null) => set({ replaces: id ?? undefined })"
      />
      <v-select
        v-if="device.watts > 0 && kind !== 'heater'"
        label="warms"
        :items="WARMTH"
        :model-value="warmsOf(device, kind)"
        @update:model-value="(warms) => set({ warms })"
      />
      <FigureField
        v-if="kind === 'filter' || kind === 'pump'"
        label="moves"
        kind="flow"
        optional
        :value="device.litresPerHour"
        :apply="(litresPerHour) => set({ litresPerHour })"
      />
      <FigureField
        v-if="kind === 'pump'"
        :label="wording('deviceRow.towards')"
        kind="plain"
        unit="°"
        optional
        :value="device.towardsDeg"
        :apply="(towardsDeg) => set({ towardsDeg })"
        data-test="towards"
      />
      <LampFields
        v-if="kind === 'lamp'"
        :light="device.light"
        :vessel="commission.document!.vessel"
        :apply="(light) => set({ light })"
      />
      <DeviceBody
        :body="device.body"
        :vessel="commission.document!.vessel"
        :apply="(body) => set({ body })"
      />
      <button class="act off" @click="$emit('drop')">Take away</button>
    </div>
  </div>
</template>

<style scoped>
.device {
  border-top: 1px solid var(--rule);
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  width: 100%;
  padding: 6px 0;
  text-align: left;
}
.line:hover .name {
  text-decoration: underline;
  text-decoration-color: var(--rule);
}
.name {
  font-weight: 600;
}
.line .quiet {
  text-align: right;
  white-space: nowrap;
}
.fields {
  grid-template-columns: 1fr 1fr;
  padding-bottom: 8px;
}
.off {
  justify-self: start;
}
</style>
