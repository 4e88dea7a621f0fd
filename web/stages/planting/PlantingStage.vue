<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { grownAt, type Grown } from '../../../core/planted/grown';
import { plantAt } from '../../../core/planted/plantAt';
import type { Planted } from '../../../core/planted/planted';
import { FIRST_PORTIONS } from '../../../core/planting/spacing';
import { plantingOrigin } from '../../../core/commission/origin';
import type { Plant } from '../../../core/commission/schema';
import { dayPlus } from '../../../core/calendar/day';
import { eyeFrom } from '../../../core/view/eye';
import PlanView from '../../drawing/PlanView.vue';
import PendingWords from '../../design/PendingWords.vue';
import { useCommission } from '../../document/commissionStore';
import { useSeats } from '../../document/seats';
import { useStays } from '../../document/stays';
import { useSteadySize } from '../../drawing/steadySize';
import { useFrame } from '../../frame/planKey';
import type { Finger } from '../../workers/planWorker';
import { wording } from '../../words/wording';
import BeltFields from './BeltFields.vue';
import DraftMarks from './DraftMarks.vue';
import FlowOverlay from './FlowOverlay.vue';
import LightLegend from './LightLegend.vue';
import LightOverlay from './LightOverlay.vue';
import LowerView from './LowerView.vue';
import { litOf, type Overlay } from './overlays';
import OverlayWords from './OverlayWords.vue';
import PlantCard from './PlantCard.vue';
import PlantingBar from './PlantingBar.vue';
import PlantingCharts from './PlantingCharts.vue';
import PlantingTable from './PlantingTable.vue';
import PlantList from './PlantList.vue';
import PlugMarks from '../../drawing/PlugMarks.vue';
import RegionCorners from './RegionCorners.vue';
import RegionShapes from './RegionShapes.vue';
import StudioPlants from './StudioPlants.vue';
import { BETWEEN, LEFT, TOP, usePlantingSheet } from './usePlantingSheet';
import { useAskedPlant } from './useAskedPlant';
import { useDrift } from './useDrift';
import { usePatchKeys } from './usePatchKeys';
import { usePlantings } from './usePlantings';
import { usePlantingTools } from './usePlantingTools';
import { useSpot } from './useSpot';
import { useWeekLight } from './useWeekLight';

/** Plan, front and seat of what is planted, on any day of the first sixteen weeks; and what is said of each planting. */
const GrowingSheet = defineAsyncComponent(() => import('../../drawing/growing/GrowingSheet.vue'));
const SeatView = defineAsyncComponent(() => import('../../drawing/SeatView.vue'));
const commission = useCommission();
const { plan, field, planted, scapeWork } = useFrame();
const middle = ref<HTMLElement>();
const area = ref<HTMLElement>();
const room = useSteadySize(middle);
const plantings = usePlantings();
const { plants, chosen, add } = plantings;

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
const below = ref<'table' | 'charts' | 'growing'>('table');
const section = ref(false);
/** What was worked out of this option; until it is there the drawing has no plants. */
const shown = computed(() => (planted.value?.optionId === option.value.id ? planted.value : undefined));
const parts = computed((): readonly Planted[] => shown.value?.parts ?? []);
const grown = computed((): Grown[] => parts.value.map((p) => grownAt(p, week.value * 7)));
const on = computed(() => dayPlus(doc.value.brief.buildDay, week.value * 7));
const current = computed(() => option.value.plants.find((p) => p.id === chosen.value));
const findings = computed(() => [...(plan.value?.findings ?? []), ...(shown.value?.findings ?? [])]);

const { isNarrow, k, X, Y, areaWidth, sideWidth, height, toFloor, toFront } = usePlantingSheet(
  vessel,
  room,
  area,
);

const patch = usePatchKeys(plantings, area);
watch(chosen, patch.reach);
const listing = ref(false);
const tools = usePlantingTools(plantings, current, vessel, area, scapeWork.touch);
const { brush, painting, cutting, picking, pick, take, begin, choose, layBelt, finger, keyed } = tools;
const { drawing, fault } = tools;
/** Where the list stands below the plan, the plan is brought into sight. */
function paint(plant: Plant): void {
  begin(plant);
  if (isNarrow.value) area.value?.scrollIntoView({ block: 'start' });
}
useAskedPlant(plants, (p) => (p.roots === 'bed' ? paint(p) : add(p, { count: FIRST_PORTIONS })));

const overLight = computed(() => overlay.value === 'light');
const { living, of: litWeek } = useWeekLight(shown, week, overLight, scapeWork.lightInWeek);
const { pointed, spot, touched, here } = useSpot(shown, living, vessel, scapeWork.lightUnder);
function hover(event: MouseEvent): void {
  const at = toFloor(event);
  if (brush.value) painting.hover(at);
  const { length, width: deep, height: high } = vessel.value.innerMm;
  const front = toFront(event);
  const within = ([u, v]: [number, number], most: number) => u >= 0 && v >= 0 && u < length && v < most;
  pointed.value = within(at, deep)
    ? { from: 'above', spot: at }
    : within(front, high) && !section.value
      ? { from: 'front', spot: front }
      : undefined;
}
const { drifting, drag, drew } = useDrift(area, drawing, toFloor, tools.stroke);
/** In the view from the front a press sets a portion, chooses what is planted there, or touches the stone that hides it. */
async function pressFront(event: MouseEvent): Promise<void> {
  const at: Finger = { from: 'front', spot: toFront(event) };
  if (picking.value) return finger(at);
  const plant = plantAt(grown.value, ...at.spot);
  const hit = await scapeWork.touch(at);
  const hides = option.value.pieces.find((p) => p.id === hit?.piece);
  if (plant && !(hides && hides.at[1] < plant.yMm)) choose(plant.id);
  else if (spot.value) touched.value = { dli: spot.value.dli, xMm: at.spot[0] };
}
function press(event: MouseEvent): void {
  if (drew()) return;
  if (picking.value) return void finger({ from: 'above', spot: toFloor(event) });
  if (brush.value) return painting.corner(toFloor(event));
  if (spot.value) touched.value = { dli: spot.value.dli, xMm: toFloor(event)[0] };
}

/** The section runs through the spot last touched, otherwise through the middle. */
const sectionMm = computed(() => touched.value?.xMm ?? vessel.value.innerMm.length / 2);
const { seat } = useSeats();
const eye = computed(() => eyeFrom(vessel.value, seat.value, doc.value.site?.baseHeightMm));
const look = computed(() => ({
  refraction: false,
  light: 'day' as const,
  plants: overLight.value ? [] : grown.value,
  chosen: chosen.value,
  ...(overLight.value && living.value?.lit ? { lit: litOf(living.value) } : {}),
}));
</script>

<template>
  <div class="planting" :class="{ narrow: isNarrow }">
    <PlantingBar
      v-model:overlay="overlay"
      v-model:week="week"
      :on="on"
      :to="`/c/${commission.id}/planting-plan`"
    />
    <div ref="middle" class="middle">
      <div
        ref="area"
        class="area"
        :class="{ painting: drawing || picking }"
        :style="{ width: `${areaWidth}px`, ...(isNarrow ? { height: `${height}px` } : {}) }"
        tabindex="0"
        data-test="planting-plan"
        @pointerdown="drag"
        @click="press"
        @mousemove="hover"
        @mouseleave="pointed = undefined"
        @keydown="keyed"
      >
        <svg v-if="plan && field" class="sheet" :width="areaWidth" :height="height">
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
              {{ Math.round(spot.ppfd) }} µmol/m²/s, {{ spot.dli.toFixed(1) }} mol/m²/d
              {{ spot.on ? `on ${spot.on}` : 'here' }}
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
              <LightOverlay v-if="overLight && living?.lit" :living="living" :vessel="vessel" :k="k" />
              <RegionShapes
                :option="option"
                :plants="plants"
                :grown="grown"
                :overlay="overlay"
                :chosen="chosen"
                :x="X"
                :y="Y"
                @choose="choose"
                @key="patch.key"
              />
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
            <LightLegend v-if="overLight && living?.lit" :hours="living.hours" :y="Y(0) - 34" />
            <DraftMarks
              :drifting="drifting"
              :corners="brush ? painting.corners.value : []"
              :path="brush ? painting.path.value : []"
              :is-cut="cutting"
              :section-mm="section ? sectionMm : undefined"
              :width-mm="vessel.innerMm.width"
              :x="X"
              :y="Y"
            />
          </g>
          <g v-if="current?.region && !drawing" :transform="`translate(${LEFT} ${TOP})`">
            <RegionCorners
              :id="current.id"
              :region="current.region"
              :vessel="vessel"
              :k="k"
              @fault="painting.fault.value = $event"
            />
          </g>
          <g :transform="`translate(${LEFT} ${TOP + Y(0) + BETWEEN})`">
            <LowerView
              :vessel="vessel"
              :option="option"
              :materials="materials"
              :field="field"
              :survey="plan.survey"
              :k="k"
              :grown="grown"
              :section="section"
              :section-mm="sectionMm"
              :chosen="chosen"
              @press="pressFront"
            />
          </g>
        </svg>
        <p class="lower" :style="{ top: `${TOP + Y(0) + 1}px` }" @click.stop @pointerdown.stop>
          <button class="caption plain" :class="{ on: !section }" data-test="front" @click="section = false">
            From the front
          </button>
          <button class="caption plain" :class="{ on: section }" data-test="section" @click="section = true">
            Section
          </button>
          <span class="note">{{ week === 0 ? 'as planted' : `in week ${week}` }}</span>
        </p>
        <OverlayWords
          v-model:flow-at="flowAt"
          :brush="brush"
          :tool="cutting ? 'cut' : picking ? 'pick' : undefined"
          :overlay="overlay"
          :living="living"
          :lit-week="litWeek"
          :free-water-l="plan?.survey.freeWaterL ?? 1"
          :section="section"
        />
        <p v-if="fault" class="tell late" data-test="fault">{{ fault }}</p>
      </div>
      <aside class="side">
        <div class="seat" :style="{ height: `${Math.round(sideWidth * 0.62)}px` }">
          <SeatView
            v-if="plan && field"
            :vessel="vessel"
            :option="option"
            :materials="materials"
            :field="field"
            :survey="plan.survey"
            :width="sideWidth"
            :height="Math.round(sideWidth * 0.62)"
            :eye="eye"
            :seat-name="seat?.name"
            :look="look"
            :touches="picking ? 'pieces' : 'plants'"
            @touch="(at) => finger({ from: 'seat', spot: at })"
            @plant="choose"
          />
        </div>
        <PlantCard
          v-if="current"
          :key="current.id"
          :planting="current"
          :lit="shown?.living.lit ?? false"
          :parts="parts"
          :here="here"
          :findings="findings.filter((n) => n.at.plant === current!.id)"
          :thinnest-mm="plan?.survey.plantings.find((p) => p.id === current!.id)?.thinnest?.mm"
          :plants="plants"
          :sharing="plantings.on(current)"
          :joinable="plantings.joinable(current).map((j) => j.id)"
          :picking="picking"
          @become="plantings.become(current.id, $event)"
          @mirror="plantings.mirror(current.id)"
          @settle="plantings.settle(current.id, $event)"
          @remove="plantings.remove(current.id)"
          @split="take('cut')"
          @behind="plantings.giveBack(current, $event)"
          @join="plantings.join(current, $event)"
          @pick="take(picking ? undefined : 'pick')"
          @hide="(h) => pick.place(current!, { piece: h.on, at: h.at })"
          @forget="pick.forget(current.id)"
          @packed="plantings.packed(current.plant, $event)"
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
          @paint="paint"
          @count="(plant) => add(plant, { count: FIRST_PORTIONS })"
          @choose="chosen = $event"
          @studio="listing = true"
        />
        <StudioPlants v-model:open="listing" :plants="plants" />
        <button
          v-if="current"
          class="act back"
          data-test="all-plants"
          @click="(take(undefined), (chosen = undefined))"
        >
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
        <button
          class="plain"
          :class="{ on: below === 'growing' }"
          data-test="growing"
          @click="below = 'growing'"
        >
          Growing
        </button>
      </span>
      <PlantingTable
        v-if="below === 'table'"
        :lit="shown?.living.lit ?? false"
        :parts="parts"
        :findings="findings"
        :chosen="chosen"
        :currency="doc.currency"
        @choose="(id) => (take(undefined), (chosen = id))"
      />
      <PlantingCharts v-else-if="below === 'charts'" :parts="parts" />
      <GrowingSheet
        v-else-if="plan && field && shown"
        :drawing="{ vessel, option, materials, field, survey: plan.survey }"
        :parts="parts"
        :eye="eye"
        :build-day="doc.brief.buildDay"
        :title="doc.title"
      />
      <PendingWords v-else :says="wording('growing.waits')" />
    </section>
  </div>
</template>

<style scoped src="./planting.css"></style>
