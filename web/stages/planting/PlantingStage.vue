<script setup lang="ts">
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue';
import type { Plant } from '../../../core/commission/schema';
import { grownAt, type Grown } from '../../../core/planted/grown';
import type { Planted } from '../../../core/planted/planted';
import { FIRST_PORTIONS } from '../../../core/planting/spacing';
import { plantingOrigin } from '../../../core/commission/origin';
import { dayPlus } from '../../../core/calendar/day';
import { eyeFrom } from '../../../core/view/eye';
import FrontView from '../../drawing/FrontView.vue';
import PlanView from '../../drawing/PlanView.vue';
import { useCommission } from '../../document/commissionStore';
import { useSeats } from '../../document/seats';
import { useStays } from '../../document/stays';
import { useSteadySize } from '../../drawing/steadySize';
import { useFrame } from '../../frame/planKey';
import { shortDay } from '../../units/days';
import BeltFields from './BeltFields.vue';
import FlowOverlay from './FlowOverlay.vue';
import LightLegend from './LightLegend.vue';
import LightOverlay from './LightOverlay.vue';
import { OVERLAY_NAMES, OVERLAYS, type Overlay } from './overlays';
import OverlayWords from './OverlayWords.vue';
import PlantCard from './PlantCard.vue';
import PlantingCharts from './PlantingCharts.vue';
import PlantingTable from './PlantingTable.vue';
import PlantList from './PlantList.vue';
import PlugMarks from './PlugMarks.vue';
import RegionCorners from './RegionCorners.vue';
import StudioPlants from './StudioPlants.vue';
import { useDrift } from './useDrift';
import { usePainting } from './usePainting';
import { usePlantings } from './usePlantings';
import { useSpot } from './useSpot';

/** Plan, front and seat of what is planted, on any day of the first sixteen weeks; and what is said of each planting. */
const SeatView = defineAsyncComponent(() => import('../../drawing/SeatView.vue'));
const commission = useCommission();
const { plan, field, planted } = useFrame();
const area = ref<HTMLElement>();
const { width, height } = useSteadySize(area);
const { plants, chosen, add, addRegion, become, mirror, on: lyingOn, settle, remove } = usePlantings();

const doc = computed(() => commission.document!);
const vessel = computed(() => doc.value.vessel);
const option = computed(() => commission.option!);
const materials = computed(() => doc.value.catalogue.materials);
const stays = useStays(() => option.value);
const origins = computed(
  () => new Map(option.value.plants.map((p) => [p.id, plantingOrigin(doc.value.brief, p)])),
);

const overlay = ref<Overlay>('plants');
const flowAt = ref(0);
const week = ref(6);
const below = ref<'table' | 'charts'>('table');
/** What was worked out of this option; until it is there the drawing has no plants. */
const shown = computed(() => (planted.value?.optionId === option.value.id ? planted.value : undefined));
const parts = computed((): readonly Planted[] => shown.value?.parts ?? []);
const grown = computed((): Grown[] => parts.value.map((p) => grownAt(p, week.value * 7)));
const on = computed(() => dayPlus(doc.value.brief.buildDay, week.value * 7));
const current = computed(() => option.value.plants.find((p) => p.id === chosen.value));
const partOf = (id: string) => parts.value.find((p) => p.id === id);
const findings = computed(() => [...(plan.value?.findings ?? []), ...(shown.value?.findings ?? [])]);

const LEFT = 14;
const TOP = 22;
const BETWEEN = 26;
const k = computed(() =>
  Math.max(
    0.1,
    Math.min(
      (width.value - 2 * LEFT) / vessel.value.innerMm.length,
      (height.value - TOP - BETWEEN - 24) / (vessel.value.innerMm.width + vessel.value.innerMm.height),
    ),
  ),
);
const X = (mm: number) => mm * k.value;
const Y = (mm: number) => (vessel.value.innerMm.width - mm) * k.value;

const listing = ref(false);
const brush = shallowRef<Plant>();
const painting = usePainting({
  size: () => ({ length: vessel.value.innerMm.length, width: vessel.value.innerMm.width }),
  done: (region) => {
    const fault = addRegion(brush.value!, region);
    if (!fault) brush.value = undefined;
    return fault;
  },
});
function begin(plant: Plant): void {
  brush.value = plant;
  chosen.value = undefined;
  painting.begin();
}
/** A belt in the place of corners: one region, or one on each side of a path. */
function layBelt(regions: [number, number][][]): void {
  const plant = brush.value!;
  const faults = regions.flatMap((r) => addRegion(plant, r) ?? []);
  if (faults.length > 0) painting.fault.value = `The belt ${faults[0]}.`;
  else brush.value = undefined;
}
const toFloor = (event: MouseEvent): [number, number] => {
  const box = area.value!.getBoundingClientRect();
  return [
    (event.clientX - box.left - LEFT) / k.value,
    vessel.value.innerMm.width - (event.clientY - box.top - TOP) / k.value,
  ];
};

const { pointed, spot, touched, here } = useSpot(shown, vessel);
function hover(event: MouseEvent): void {
  const at = toFloor(event);
  if (brush.value) painting.hover(at);
  const { length, width: deep } = vessel.value.innerMm;
  pointed.value = at[0] >= 0 && at[1] >= 0 && at[0] < length && at[1] < deep ? at : undefined;
}
const { drifting, drag, drew } = useDrift(area, brush, toFloor, painting.stroke);
function press(event: MouseEvent): void {
  if (drew()) return;
  if (brush.value) return painting.corner(toFloor(event));
  if (spot.value) touched.value = spot.value.dli;
}

const { seat } = useSeats();
const eye = computed(() => eyeFrom(vessel.value, seat.value, doc.value.site?.baseHeightMm));
const look = computed(() => ({ refraction: false, light: 'day' as const, plants: grown.value }));
const regionPath = (ring: readonly (readonly [number, number])[]) =>
  `M${ring.map(([x, y]) => `${X(x)} ${Y(y)}`).join('L')}Z`;
const regions = computed(() =>
  option.value.plants.flatMap((p) =>
    p.region
      ? [
          {
            id: p.id,
            d: regionPath(p.region),
            colour: plants.value.find((q) => q.id === p.plant)?.colour ?? '#4f7f6b',
          },
        ]
      : [],
  ),
);
</script>

<template>
  <div class="planting">
    <header class="bar">
      <h1>Planting</h1>
      <span role="group" aria-label="Laid over the plan" class="overlays">
        <button
          v-for="o in OVERLAYS"
          :key="o"
          class="plain"
          :class="{ on: overlay === o }"
          :aria-pressed="overlay === o"
          :data-overlay="o"
          @click="overlay = o"
        >
          {{ OVERLAY_NAMES[o] }}
        </button>
      </span>
      <label class="weeks"
        ><span class="quiet">{{ week === 0 ? 'planting day' : `week ${week}` }}, {{ shortDay(on) }}</span>
        <input
          v-model.number="week"
          type="range"
          min="0"
          max="16"
          step="1"
          aria-label="Week after planting"
          data-test="week"
        />
      </label>
      <router-link class="act" :to="`/c/${commission.id}/planting-plan`" data-test="planting-plan-link"
        >Planting plan</router-link
      >
    </header>
    <div class="middle">
      <div
        ref="area"
        class="area"
        :class="{ painting: brush }"
        tabindex="0"
        data-test="planting-plan"
        @pointerdown="drag"
        @click="press"
        @mousemove="hover"
        @mouseleave="pointed = undefined"
        @keydown="brush && painting.key($event, () => (brush = undefined))"
      >
        <svg v-if="plan && field" class="sheet" :width="width" :height="height">
          <g :transform="`translate(${LEFT} ${TOP})`">
            <text y="-7" class="caption">From above</text>
            <text
              v-if="spot"
              :x="X(vessel.innerMm.length)"
              y="-7"
              text-anchor="end"
              class="note"
              data-test="spot"
            >
              {{ Math.round(spot.ppfd) }} µmol/m²/s, {{ spot.dli.toFixed(1) }} mol/m²/d here
            </text>
            <PlanView
              :stays="stays"
              :vessel="vessel"
              :option="option"
              :materials="materials"
              :field="field"
              :survey="plan.survey"
              :k="k"
            >
              <LightOverlay
                v-if="overlay === 'light' && shown?.living.lit"
                :living="shown.living"
                :vessel="vessel"
                :k="k"
              />
              <g
                v-for="r in regions"
                :key="r.id"
                class="region"
                :class="{ chosen: r.id === chosen }"
                :data-region="r.id"
                @click="brush || (chosen = r.id)"
              >
                <path
                  :d="r.d"
                  :fill="r.colour"
                  :fill-opacity="overlay === 'plants' ? 0.28 : 0.02"
                  :stroke="r.colour"
                />
              </g>
              <template v-if="overlay === 'plants'">
                <PlugMarks
                  v-for="(p, i) in parts"
                  :key="p.id"
                  :part="p"
                  :grown="grown[i]"
                  :vessel="vessel"
                  :k="k"
                  :chosen="p.id === chosen"
                />
              </template>
              <FlowOverlay
                v-if="overlay === 'flow' && shown?.living.flow.length"
                :living="shown.living"
                :height="flowAt"
                :vessel="vessel"
                :k="k"
              />
            </PlanView>
            <LightLegend
              v-if="overlay === 'light' && shown?.living.lit"
              :hours="shown.living.hours"
              :y="Y(0) - 34"
            />
            <path
              v-if="drifting.length"
              :d="`M${drifting.map(([x, y]) => `${X(x)} ${Y(y)}`).join('L')}Z`"
              class="draft"
            />
            <path
              v-if="brush && painting.path.value.length"
              :d="`M${painting.path.value.map(([x, y]) => `${X(x)} ${Y(y)}`).join('L')}`"
              class="draft"
            />
            <circle
              v-for="(p, i) in brush ? painting.corners.value : []"
              :key="i"
              :cx="X(p[0])"
              :cy="Y(p[1])"
              r="4"
              class="corner"
            />
          </g>
          <g v-if="current?.region && !brush" :transform="`translate(${LEFT} ${TOP})`">
            <RegionCorners
              :id="current.id"
              :region="current.region"
              :vessel="vessel"
              :k="k"
              @fault="painting.fault.value = $event"
            />
          </g>
          <g :transform="`translate(${LEFT} ${TOP + Y(0) + BETWEEN})`" pointer-events="none">
            <text class="caption" y="-7">
              From the front, {{ week === 0 ? 'as planted' : `in week ${week}` }}
            </text>
            <FrontView
              :vessel="vessel"
              :option="option"
              :materials="materials"
              :field="field"
              :survey="plan.survey"
              :k="k"
              :plants="grown"
              data-test="planting-front"
            />
            <path
              :d="`M0 -4 V ${X(vessel.innerMm.height)} H ${X(vessel.innerMm.length)} V -4`"
              class="glass"
            />
          </g>
        </svg>
        <OverlayWords
          v-model:flow-at="flowAt"
          :brush="brush"
          :overlay="overlay"
          :living="shown?.living"
          :free-water-l="plan?.survey.freeWaterL ?? 1"
        />
        <p v-if="painting.fault.value" class="tell late">{{ painting.fault.value }}</p>
      </div>
      <aside class="side">
        <div class="seat">
          <SeatView
            v-if="plan && field"
            :vessel="vessel"
            :option="option"
            :materials="materials"
            :field="field"
            :survey="plan.survey"
            :width="292"
            :height="186"
            :eye="eye"
            :seat-name="seat?.name"
            :look="look"
          />
        </div>
        <PlantCard
          v-if="current"
          :key="current.id"
          :planting="current"
          :lit="shown?.living.lit ?? false"
          :part="partOf(current.id)"
          :findings="findings.filter((n) => n.at.plant === current!.id)"
          :thinnest-mm="plan?.survey.plantings.find((p) => p.id === current!.id)?.thinnest?.mm"
          :plants="plants"
          :sharing="lyingOn(current)"
          @become="become(current.id, $event)"
          @mirror="mirror(current.id)"
          @settle="settle(current.id, $event)"
          @remove="remove(current.id)"
        />
        <BeltFields v-if="brush" :plant="brush" :option="option" :vessel="vessel" @belt="layBelt" />
        <PlantList
          v-if="!current"
          :plants="plants"
          :option="option"
          :survey="plan?.survey"
          :brush="brush"
          :here="here"
          :origins="origins"
          @paint="begin"
          @count="(plant) => add(plant, { count: FIRST_PORTIONS })"
          @choose="chosen = $event"
          @studio="listing = true"
        />
        <StudioPlants v-model:open="listing" :plants="plants" />
        <button v-if="current" class="act back" data-test="all-plants" @click="chosen = undefined">
          All plants
        </button>
      </aside>
    </div>
    <section class="below">
      <span role="group" aria-label="Below" class="tabs">
        <button class="plain" :class="{ on: below === 'table' }" @click="below = 'table'">Plantings</button>
        <button
          class="plain"
          :class="{ on: below === 'charts' }"
          data-test="charts"
          @click="below = 'charts'"
        >
          Charts
        </button>
      </span>
      <PlantingTable
        v-if="below === 'table'"
        :lit="shown?.living.lit ?? false"
        :parts="parts"
        :findings="findings"
        :chosen="chosen"
        :currency="doc.currency"
        @choose="chosen = $event"
      />
      <PlantingCharts v-else :parts="parts" />
    </section>
  </div>
</template>

<style scoped src="./planting.css"></style>
