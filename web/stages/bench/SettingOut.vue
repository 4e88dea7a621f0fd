<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Piece } from '../../../core/commission/schema';
import { settingOut } from '../../../core/hardscape/settingOut';
import { MARGIN_MM, PAPERS, tiled, type Paper } from '../../../core/view/tiles';
import { usePage } from '../../design/paper';
import { api } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { useCommission } from '../../document/commissionStore';
import { colourOf, materialFor } from '../../drawing/colour';
import FrontView from '../../drawing/FrontView.vue';
import { planPaths } from '../../drawing/outline';
import PieceDrawing from '../../drawing/PieceDrawing.vue';
import PlanView from '../../drawing/PlanView.vue';
import { useFrame } from '../../frame/planKey';
import { useFigures } from '../../units/figures';
import PieceNumbers from './PieceNumbers.vue';
import { wording } from '../../words/wording';

/** To print: every piece numbered in the order of placing, with where it goes; and the floor in its own size. */
const commission = useCommission();
const { plan, field } = useFrame();
const f = useFigures();
const doc = computed(() => commission.document!);
const vessel = computed(() => doc.value.vessel);
const option = computed(() => commission.option!);
const materials = computed(() => doc.value.catalogue.materials);
const ready = computed(() => plan.value && field.value && plan.value.survey.optionId === option.value.id);
const materialOf = (p: Piece) => materialFor(materials.value, p.material);
const set = computed(() =>
  settingOut(option.value, plan.value!.survey.pieces, (p) => materialOf(p)?.kind ?? 'stone'),
);
const grips = computed(() => plan.value!.survey.groups.flatMap((g) => g.grip ?? []));
const surveyed = (p: Piece) => plan.value!.survey.pieces.find((s) => s.id === p.id)!;
function stands({ stand }: Piece): string {
  switch (stand.kind) {
    case 'bed':
      return `buried ${f.length(stand.buryMm)}`;
    case 'floor':
      return wording('settingOut.onPad', { pad: f.length(stand.pad ?? 0) });
    case 'on':
      return `on ${stand.piece}`;
    default:
      return `held at ${f.length(stand.zMm)}`;
  }
}
function turned({ turnDeg, tiltDeg = [0, 0] }: Piece): string {
  const parts = [`turned ${Math.round(turnDeg)}°`];
  if (tiltDeg[1]) parts.push(`leans right ${Math.round(tiltDeg[1])}°`);
  if (tiltDeg[0]) parts.push(`leans back ${Math.round(-tiltDeg[0])}°`);
  return parts.join(', ');
}

/** The drawings are as wide as a page. */
const PAGE_PX = 660;
const k = computed(() => PAGE_PX / vessel.value.innerMm.length);
const drawing = computed(() => ({
  vessel: vessel.value,
  option: option.value,
  materials: materials.value,
  field: field.value!,
  survey: plan.value!.survey,
  k: k.value,
}));

const paper = ref<Paper>('A4');
const what = ref<'sheet' | 'footprint'>('sheet');
const tiling = computed(() => tiled(vessel.value.innerMm.length, vessel.value.innerMm.width, paper.value));
/** The footprint lies on its own paper, to the edge. */
usePage(() => (what.value === 'footprint' ? { sizeMm: tiling.value.paperMm, marginMm: 0 } : undefined));
const outline = computed(() => planPaths(vessel.value, (mm) => mm, (mm) => vessel.value.innerMm.width - mm)); // prettier-ignore
const regions = computed(() =>
  option.value.bed.flatMap((l) =>
    l.region && l.cuts
      ? [`M${l.region.map(([x, y]) => `${x} ${vessel.value.innerMm.width - y}`).join('L')}Z`]
      : [],
  ),
);
const W = computed(() => vessel.value.innerMm.width);
const H = computed(() => vessel.value.innerMm.height);
const print = () => window.print();
</script>

<template>
  <article class="out">
    <p class="screen-only bar">
      <router-link class="act" :to="`/c/${commission.id}/bench`">Back to the bench</router-link>
      <label
        ><input v-model="what" type="radio" value="sheet" data-test="what-sheet" /> setting-out sheet</label
      >
      <label
        ><input v-model="what" type="radio" value="footprint" data-test="what-footprint" /> footprint 1 : 1 on
        <select v-model="paper" data-test="paper">
          <option v-for="(_, name) in PAPERS" :key="name" :value="name">{{ name }}</option>
        </select></label
      >
      <button class="solid" @click="print">Print</button>
      <FileLink :href="api.file(commission.id, 'scape.svg', commission.optionId)" data-test="svg"
        >As SVG, 1 : 1</FileLink
      >
    </p>
    <p v-if="!ready" class="quiet">{{ wording('settingOut.measuring') }}</p>
    <template v-else-if="what === 'sheet'">
      <header>
        <h1>Setting out</h1>
        <p>{{ doc.title }} · {{ option.title }} · {{ wording('settingOut.measuredFrom') }}</p>
      </header>
      <svg :width="PAGE_PX" :height="H * k" class="view">
        <FrontView v-bind="drawing" />
        <PieceNumbers :set="set" :at="(p) => [p.at[0] * k, (H - surveyed(p).topMm) * k - 10]" />
      </svg>
      <svg :width="PAGE_PX" :height="W * k" class="view">
        <PlanView v-bind="drawing" />
        <PieceNumbers :set="set" :at="(p) => [p.at[0] * k, (W - p.at[1]) * k]" />
      </svg>
      <table data-test="set-pieces">
        <thead>
          <tr>
            <th>No.</th>
            <th>Piece</th>
            <th>from left</th>
            <th>from front</th>
            <th>turn and lean</th>
            <th>stands</th>
            <th>top at</th>
            <th>mass</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in set" :key="s.piece.id">
            <td>{{ s.n }}</td>
            <td>{{ s.piece.id }}, {{ materialOf(s.piece)?.name }}</td>
            <td>{{ f.length(s.piece.at[0]) }}</td>
            <td>{{ f.length(s.piece.at[1]) }}</td>
            <td>{{ turned(s.piece) }}</td>
            <td>{{ stands(s.piece) }}</td>
            <td>{{ f.length(surveyed(s.piece).topMm) }}</td>
            <td>{{ f.mass(surveyed(s.piece).massKg) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="g in grips" :key="g.by.join()" data-test="set-grip">
        {{ wording('settingOut.carriedUnder', { mass: f.mass(g.massKg), by: g.by.join(' and ') }) }}
      </p>
      <footer>
        {{ wording('settingOut.lifting') }}
      </footer>
    </template>
    <template v-else>
      <p class="screen-only quiet" data-test="tiles">
        {{
          wording('settingOut.sheets', {
            sheets: tiling.tiles.length,
            paper,
            across: tiling.columns,
            deep: tiling.rows,
          })
        }}
      </p>
      <section
        v-for="t in tiling.tiles"
        :key="t.name"
        class="tile"
        :style="{ width: `${tiling.paperMm[0]}mm`, height: `${tiling.paperMm[1]}mm` }"
        data-test="tile"
      >
        <svg
          :style="{ width: `${t.w}mm`, height: `${t.h}mm`, margin: `${MARGIN_MM}mm` }"
          :viewBox="`${t.x} ${W - t.y - t.h} ${t.w} ${t.h}`"
        >
          <path v-for="(d, i) in regions" :key="i" :d="d" class="region" />
          <path :d="outline.display" class="glass" />
          <g
            v-for="s in set"
            :key="s.piece.id"
            :transform="`translate(${s.piece.at[0]} ${W - s.piece.at[1]})`"
          >
            <g class="piece">
              <PieceDrawing :piece="s.piece" view="above" :colour="colourOf(materialOf(s.piece))" />
            </g>
            <path d="M-6 0 H6 M0 -6 V6" class="cross" />
            <text y="-9" text-anchor="middle">{{ s.n }} {{ s.piece.id }}</text>
          </g>
          <g :transform="`translate(${t.x + 6} ${W - t.y - 6})`" class="scale">
            <path d="M0 0 H100 M0 -3 V3 M100 -3 V3" />
            <text x="104" y="3">100 mm · {{ t.name }}</text>
          </g>
          <rect :x="t.x" :y="W - t.y - t.h" :width="t.w" :height="t.h" class="lap" />
        </svg>
      </section>
    </template>
  </article>
</template>

<style scoped>
.out {
  padding: 20px 30px 40px;
  max-width: 820px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: center;
  margin-bottom: 14px;
}
.view {
  display: block;
  margin: 14px 0;
  overflow: visible;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12.5px;
  font-variant-numeric: tabular-nums;
}
th,
td {
  text-align: left;
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid var(--rule);
}
footer {
  margin-top: 14px;
  font-size: 12px;
}
.tile {
  break-after: page;
  background: #fff;
  border: 1px solid var(--rule);
  margin: 12px 0;
  overflow: hidden;
}
.tile svg {
  display: block;
}
.region {
  fill: #f2ead6;
  stroke: #8f8057;
  stroke-width: 0.6;
}
.glass {
  fill: none;
  stroke: #23211e;
  stroke-width: 1;
}
.piece {
  opacity: 0.45;
}
.cross {
  stroke: #23211e;
  stroke-width: 0.5;
}
.tile text {
  font: 600 6px var(--text);
  fill: #23211e;
}
.scale path {
  stroke: #23211e;
  stroke-width: 0.5;
  fill: none;
}
.lap {
  fill: none;
  stroke: #999;
  stroke-width: 0.4;
  stroke-dasharray: 4 3;
}
@media print {
  .out {
    padding: 0;
    max-width: none;
  }
  .tile {
    border: 0;
    margin: 0;
    /* A hair less than the page, or a sheet would need two. */
    max-height: calc(100vh - 0.1mm);
  }
  .tile:last-child {
    break-after: auto;
  }
}
</style>
