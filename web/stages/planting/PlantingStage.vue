<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Plant, Planting } from '../../../core/commission/schema';
import { FIRST_PORTIONS, usualSpacingMm } from '../../../core/planting/spacing';
import { plugSpots } from '../../../core/planting/region';
import FrontView from '../../drawing/FrontView.vue';
import PlanView from '../../drawing/PlanView.vue';
import { useCommission } from '../../document/commissionStore';
import { useFigures } from '../../units/figures';
import { plantingOrigin } from '../../../core/commission/origin';
import { useStays } from '../../document/stays';
import FigureField from '../../document/FigureField.vue';
import OriginField from '../../document/OriginField.vue';
import { useFrame } from '../../frame/planKey';
import { useStudio } from '../../document/studioStore';
import PlantList from './PlantList.vue';
import { usePainting } from './usePainting';
import { useSteadySize } from '../../drawing/steadySize';

const commission = useCommission();
const studio = useStudio();
const { plan, field } = useFrame();
const f = useFigures();
const area = ref<HTMLElement>();
const { width, height } = useSteadySize(area);

const vessel = computed(() => commission.document!.vessel);
const option = computed(() => commission.option!);
const FORMS = [
  { value: 'tissue', title: 'tissue culture' },
  { value: 'emersed', title: 'grown above water' },
  { value: 'running', title: 'out of a running tank' },
];
const origins = computed(
  () => new Map(option.value.plants.map((p) => [p.id, plantingOrigin(commission.document!.brief, p)])),
);
const stays = useStays(() => option.value);
const materials = computed(() => commission.document!.catalogue.materials);
const LEFT = 22;
/** Room above the plan for the title, and between plan and front view. */
const TOP = 64;
const k = computed(() =>
  Math.max(
    0.1,
    Math.min(
      (width.value - 2 * LEFT) / vessel.value.innerMm.length,
      (height.value - TOP - 76) / (vessel.value.innerMm.width + vessel.value.innerMm.height),
    ),
  ),
);
const X = (mm: number) => mm * k.value;
const Y = (mm: number) => (vessel.value.innerMm.width - mm) * k.value;

/** The studio's plants, and those that only this document has. */
const plants = computed(() => {
  const own = commission.document!.catalogue.plants;
  const all = studio.studio?.catalogue.plants ?? [];
  return [...own, ...all.filter((p) => !own.some((o) => o.id === p.id))];
});
const plantOf = (id: string) => plants.value.find((p) => p.id === id);
const chosen = ref<string>();
const brush = shallowRef<Plant>();
const painting = usePainting({
  size: () => ({ length: vessel.value.innerMm.length, width: vessel.value.innerMm.width }),
  done: (region) => plantRegion(brush.value!, region),
});

function plantRegion(plant: Plant, region: [number, number][]): string | undefined {
  return addPlanting(plant, { region, spacingMm: usualSpacingMm(plant) });
}

function addPlanting(plant: Plant, how: Partial<Planting>): string | undefined {
  const ids = new Set(option.value.plants.map((p) => p.id));
  let n = 1;
  while (ids.has(`P-${n}`)) n++;
  // Where old plants stay, a new one has to say that it is new.
  const fresh = commission.document!.brief.rescape ? { origin: 'bought' as const } : {};
  const planting: Planting = { id: `P-${n}`, plant: plant.id, ...fresh, ...how };
  commission.endStep();
  const fault = commission.tryEdit(`plant ${planting.id}`, (d) => ({
    ...d,
    catalogue: d.catalogue.plants.some((p) => p.id === plant.id)
      ? d.catalogue
      : { ...d.catalogue, plants: [...d.catalogue.plants, plant] },
    options: d.options.map((o) =>
      o.id === commission.optionId ? { ...o, plants: [...o.plants, planting] } : o,
    ),
  }));
  if (!fault) {
    chosen.value = planting.id;
    brush.value = undefined;
  }
  return fault;
}
const shapes = computed(() =>
  option.value.plants.flatMap((p) => {
    const plant = plantOf(p.plant);
    if (!p.region || !plant) return [];
    const spots = plugSpots(p.region, p.spacingMm ?? usualSpacingMm(plant), 700)
      .map(([x, y]) => `M${X(x).toFixed(1)} ${Y(y).toFixed(1)}h0`)
      .join('');
    return [
      {
        id: p.id,
        name: plant.name,
        d: `M${p.region.map(([x, y]) => `${X(x)} ${Y(y)}`).join('L')}Z`,
        spots,
        colour: plant.colour ?? '#4f7f6b',
      },
    ];
  }),
);
const measured = (id: string) => plan.value?.survey.plantings.find((p) => p.id === id);
const findingOf = (id: string) => plan.value?.findings.filter((n) => n.at.plant === id) ?? [];
const current = computed(() => option.value.plants.find((p) => p.id === chosen.value));

const change = (id: string, key: string, part: Partial<Planting>) =>
  commission.tryEditOption(`planting ${key} ${id}`, (o) => ({
    ...o,
    plants: o.plants.map((p) => (p.id === id ? { ...p, ...part } : p)),
  }));
function remove(id: string): void {
  commission.endStep();
  commission.editOption(`unplant ${id}`, (o) => ({ ...o, plants: o.plants.filter((p) => p.id !== id) }));
}
const toFloor = (event: MouseEvent): [number, number] => {
  const box = area.value!.getBoundingClientRect();
  return [
    (event.clientX - box.left - LEFT) / k.value,
    vessel.value.innerMm.width - (event.clientY - box.top - TOP) / k.value,
  ];
};
function begin(plant: Plant): void {
  brush.value = plant;
  chosen.value = undefined;
  painting.begin();
}
</script>

<template>
  <div class="planting">
    <div
      ref="area"
      class="area"
      :class="{ painting: brush }"
      tabindex="0"
      data-test="planting-plan"
      @click="brush && painting.corner(toFloor($event))"
      @mousemove="brush && painting.hover(toFloor($event))"
      @keydown="brush && painting.key($event, () => (brush = undefined))"
    >
      <header>
        <h1>Planting</h1>
        <p v-if="brush" class="alive">
          Click the corners of {{ brush.name }} on the plan; Enter or the first corner closes it, Esc leaves
          it.
        </p>
        <p v-else class="quiet">
          {{ shapes.length }} {{ shapes.length === 1 ? 'region' : 'regions' }} from above; choose a plant on
          the right to paint another, or to count what holds on to stone and wood
        </p>
        <p v-if="painting.fault.value" class="late">{{ painting.fault.value }}</p>
      </header>
      <svg v-if="plan && field" class="sheet" :width="width" :height="height">
        <g :transform="`translate(${LEFT} ${TOP})`">
          <PlanView
            :stays="stays"
            :vessel="vessel"
            :option="option"
            :materials="materials"
            :field="field"
            :survey="plan.survey"
            :k="k"
          >
            <g
              v-for="s in shapes"
              :key="s.id"
              class="region"
              :class="{ chosen: s.id === chosen }"
              :data-region="s.id"
              @click="brush || (chosen = s.id)"
            >
              <path :d="s.d" :fill="s.colour" fill-opacity="0.5" :stroke="s.colour" />
              <path :d="s.spots" stroke="#f3f7ee" stroke-width="2.6" stroke-linecap="round" opacity="0.85" />
            </g>
          </PlanView>
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
          <text :x="X(vessel.innerMm.length)" :y="Y(0) + 18" text-anchor="end" class="note">front glass</text>
        </g>
        <g :transform="`translate(${LEFT} ${TOP + Y(0) + 44})`" pointer-events="none">
          <text class="caption" y="-10">From the front, grown half-way</text>
          <FrontView
            :vessel="vessel"
            :option="option"
            :materials="materials"
            :field="field"
            :survey="plan.survey"
            :k="k"
            :plants="plants"
          />
          <path :d="`M0 -4 V ${X(vessel.innerMm.height)} H ${X(vessel.innerMm.length)} V -4`" class="glass" />
        </g>
      </svg>
      <section v-if="current" class="card" data-test="planting-card" @click.stop>
        <header>
          <b
            ><i>{{ plantOf(current.plant)?.name }}</i></b
          ><span class="quiet">{{ current.id }}</span>
        </header>
        <FigureField
          v-if="current.region"
          label="plugs apart"
          kind="length"
          :value="current.spacingMm"
          :apply="(v) => change(current!.id, 'spacing', { spacingMm: v })"
        />
        <FigureField
          v-else
          label="portions"
          kind="plain"
          :value="current.count"
          :apply="(v) => change(current!.id, 'count', { count: v })"
        />
        <FigureField
          v-if="current.region"
          label="its share of the ground"
          kind="plain"
          unit="%"
          :value="Math.round((current.share ?? 1) * 100)"
          :apply="(v) => change(current!.id, 'share', { share: v! >= 100 ? undefined : v! / 100 })"
          data-test="share"
        />
        <OriginField
          :origin="plantingOrigin(commission.document!.brief, current)"
          @change="(origin) => change(current!.id, 'origin', { origin })"
        />
        <v-select
          label="comes as"
          :items="FORMS"
          :model-value="current.form"
          clearable
          @update:model-value="(form) => change(current!.id, 'form', { form: form ?? undefined })"
        />
        <FigureField
          label="goes in after"
          kind="plain"
          unit="days"
          optional
          :value="current.laterDays"
          :apply="(v) => change(current!.id, 'later', { laterDays: v || undefined })"
          data-test="later"
        />
        <p v-if="measured(current.id)">
          <b class="fig">{{ f.said(measured(current.id)!.plugs, 'plug') }}</b><template v-if="current.region">
            on {{ f.said(measured(current.id)!.netM2, 'm²', 3) }} along the slope</template
          >
        </p>
        <p v-if="measured(current.id)?.thinnest" class="quiet">
          thinnest soil {{ f.length(measured(current.id)!.thinnest!.mm) }}
        </p>
        <p v-for="n in findingOf(current.id)" :key="n.id" class="late">{{ f.words(n.says) }}</p>
        <button class="act" @click="remove(current.id)">Take away</button>
      </section>
    </div>
    <PlantList
      :plants="plants"
      :option="option"
      :survey="plan?.survey"
      :brush="brush"
      :co2="commission.document!.brief.co2"
      :origins="origins"
      @paint="begin"
      @count="(plant) => addPlanting(plant, { count: FIRST_PORTIONS })"
      @choose="chosen = $event"
    />
  </div>
</template>

<style scoped>
.planting {
  display: flex;
  height: 100%;
}
.area {
  flex: 1;
  min-width: 0;
  position: relative;
  outline: none;
}
.area.painting {
  cursor: crosshair;
}
.area > header {
  position: absolute;
  left: 22px;
  top: 14px;
  display: flex;
  gap: 16px;
  align-items: center;
  z-index: 1;
  flex-wrap: nowrap;
  right: 14px;
  line-height: 1.3;
}
.sheet {
  position: absolute;
  inset: 0;
}
.region {
  cursor: pointer;
}
.chosen path:first-child {
  stroke: var(--ink);
  stroke-width: 2;
}
.draft {
  fill: #42715e44;
  stroke: var(--celadon);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
.corner {
  fill: var(--paper);
  stroke: var(--celadon);
  stroke-width: 2;
}
.caption {
  font: italic 15px var(--title);
  fill: var(--ink);
}
.glass {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.note {
  font: 400 12px var(--text);
  fill: var(--ink-2);
}
.card {
  position: absolute;
  right: 14px;
  bottom: 14px;
  width: 240px;
  background: var(--paper);
  border: 1px solid var(--celadon);
  padding: 10px 14px;
}
.card header {
  display: flex;
  justify-content: space-between;
}
@media (max-width: 700px) {
  .planting {
    flex-direction: column;
    overflow: auto;
  }
  .area {
    flex: none;
    height: 400px;
  }
  .area > header .quiet {
    display: none;
  }
}
</style>
