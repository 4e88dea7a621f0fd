<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { litresToHeight } from '../../../core/vessel/litres';
import { marks } from '../../bench/sheet';
import { usePointerDrag } from '../../bench/usePointerDrag';
import { useCommission } from '../../shell/commissionStore';
import { useFigures } from '../../shell/figures';
import FigureField from '../../shell/FigureField.vue';
import { useFrame } from '../../shell/planKey';
import FloorLoad from './FloorLoad.vue';

const commission = useCommission();
const { plan } = useFrame();
const f = useFigures();
const area = ref<HTMLElement>();
const { width } = useElementSize(area);

const vessel = computed(() => commission.document!.vessel);
const inner = computed(() => vessel.value.innerMm);
/** Height the two drawings have together, px. */
const DRAWN_PX = 460;
const k = computed(() =>
  Math.min(
    Math.max(160, width.value - 150) / inner.value.length,
    DRAWN_PX / (inner.value.height + inner.value.width),
  ),
);
const W = computed(() => inner.value.length * k.value);
const H = computed(() => inner.value.height * k.value);
const D = computed(() => inner.value.width * k.value);

const change = (key: string, part: (v: Vessel) => Partial<Vessel>) =>
  commission.tryEdit(`vessel ${key}`, (d) => ({ ...d, vessel: { ...d.vessel, ...part(d.vessel) } }));
const setInner = (key: 'length' | 'width' | 'height') => (mm: number | undefined) =>
  change(key, (v) => ({ innerMm: { ...v.innerMm, [key]: mm! } }));
const setPlain = (key: 'glassMm' | 'waterLineMm' | 'labelL' | 'standKg') => (value: number | undefined) =>
  change(key, () => ({ [key]: value }));
const setFoot = (key: 'length' | 'width') => (mm: number | undefined) =>
  change(`foot ${key}`, (v) => {
    const base = { length: v.innerMm.length + 2 * v.glassMm, width: v.innerMm.width + 2 * v.glassMm };
    return { footprintMm: { ...base, ...v.footprintMm, [key]: mm ?? base[key] } };
  });

const dragLine = usePointerDrag<number>({
  start: () => {
    commission.beginStep();
    return vessel.value.waterLineMm;
  },
  move: (from, { dy }) => moveLine(from - dy / k.value),
  end: () => commission.endStep(),
});
function moveLine(mm: number): void {
  const waterLineMm = Math.round(Math.min(Math.max(mm, 10), inner.value.height));
  commission.edit('vessel line', (d) => ({ ...d, vessel: { ...d.vessel, waterLineMm } }));
}
function lineKey(event: KeyboardEvent): void {
  const by = { ArrowUp: 5, ArrowDown: -5 }[event.key];
  if (!by) return;
  event.preventDefault();
  moveLine(vessel.value.waterLineMm + by * (event.shiftKey ? 4 : 1));
}

/** Litres beside the height, at each mark. */
const scale = computed(() =>
  marks(inner.value.height).map((mm) => ({ mm, litres: litresToHeight(vessel.value, mm) })),
);
const survey = computed(() => plan.value?.survey);
const lineWords = computed(() =>
  [`water line ${f.length(vessel.value.waterLineMm)}`, survey.value && f.volume(survey.value.waterLineL)]
    .filter(Boolean)
    .join(', '),
);
const sentences = computed(() => {
  const s = survey.value;
  if (!s) return [];
  const label = vessel.value.labelL;
  return [
    `${f.volume(s.brimL)} to the brim, ${f.volume(s.waterLineL)} to the water line.`,
    `Of that ${f.volume(s.freeWaterL)} is free water above the bed, which is what is changed and dosed; ${f.volume(s.poreWaterL)} more stands between the grains.`,
    label === undefined
      ? 'No label noted: everything uses the inner size anyway.'
      : `The label says ${f.volume(label, 0)}; everything here uses the inner size.`,
  ];
});
</script>

<template>
  <div class="vessel">
    <header>
      <h1>Vessel</h1>
      <p class="quiet">inner sizes; drag the water line or type over a figure</p>
    </header>
    <div class="columns">
      <div ref="area" class="drawing">
        <svg :width="W + 150" :height="H + D + 116" class="sheet">
          <g transform="translate(62 34)">
            <text class="caption" y="-14">From the front</text>
            <rect :width="W" :height="H" fill="var(--paper)" />
            <rect
              :y="H - vessel.waterLineMm * k"
              :width="W"
              :height="vessel.waterLineMm * k"
              fill="var(--water)"
            />
            <path
              :d="`M0 0 V ${H} H ${W} V 0`"
              fill="none"
              stroke="var(--ink)"
              :stroke-width="Math.max(2, vessel.glassMm * k)"
            />
            <g v-for="m in scale" :key="m.mm" class="axis" :transform="`translate(0 ${H - m.mm * k})`">
              <path :d="`M-12 0 h6 M${W + 8} 0 h6`" />
              <text x="-16" y="4" text-anchor="end">{{ f.fromMm(m.mm) }}</text>
              <text :x="W + 18" y="4">{{ f.volume(m.litres, 0) }}</text>
            </g>
            <g
              class="line"
              tabindex="0"
              role="slider"
              aria-label="Water line"
              :aria-valuenow="vessel.waterLineMm"
              aria-valuemin="10"
              :aria-valuemax="inner.height"
              data-test="water-line"
              :transform="`translate(0 ${H - vessel.waterLineMm * k})`"
              @pointerdown="dragLine"
              @keydown="lineKey"
            >
              <rect y="-10" :width="W" height="20" fill="transparent" />
              <path :d="`M0 0 H ${W}`" />
              <circle :cx="W / 2" r="6" />
              <text x="12" y="17">
                {{ lineWords }}
              </text>
            </g>
          </g>
          <g :transform="`translate(62 ${H + 86})`">
            <text class="caption" y="-12">From above</text>
            <rect
              :width="W"
              :height="D"
              fill="var(--water)"
              stroke="var(--ink)"
              :stroke-width="Math.max(2, vessel.glassMm * k)"
            />
            <text :x="W / 2" :y="D / 2 + 4" text-anchor="middle" class="quiet">
              inside, the front glass is below
            </text>
            <g class="dim">
              <path
                :d="`M0 ${D + 16} H ${W / 2 - 40} M${W / 2 + 40} ${D + 16} H ${W} M0 ${D + 11} v10 M${W} ${D + 11} v10`"
              />
              <text :x="W / 2" :y="D + 20" text-anchor="middle">{{ f.length(inner.length) }}</text>
            </g>
            <g class="dim">
              <path :d="`M-22 0 V ${D / 2 - 34} M-22 ${D / 2 + 34} V ${D} M-27 0 h10 M-27 ${D} h10`" />
              <text :transform="`translate(-18 ${D / 2}) rotate(-90)`" text-anchor="middle">
                {{ f.length(inner.width) }}
              </text>
            </g>
          </g>
        </svg>
        <div class="sizes">
          <FigureField
            label="length, left to right"
            kind="length"
            :value="inner.length"
            :apply="setInner('length')"
            data-test="length"
          />
          <FigureField
            label="width, front to back"
            kind="length"
            :value="inner.width"
            :apply="setInner('width')"
          />
          <FigureField
            label="height"
            kind="length"
            :value="inner.height"
            :apply="setInner('height')"
            data-test="height"
          />
          <FigureField
            label="water line"
            kind="length"
            :value="vessel.waterLineMm"
            :apply="setPlain('waterLineMm')"
            data-test="line"
          />
          <FigureField label="glass" kind="length" :value="vessel.glassMm" :apply="setPlain('glassMm')" />
          <FigureField
            label="on the label"
            kind="volume"
            optional
            :value="vessel.labelL"
            :apply="setPlain('labelL')"
          />
        </div>
      </div>
      <div class="says">
        <section>
          <h2>Litres</h2>
          <p v-for="s in sentences" :key="s">{{ s }}</p>
        </section>
        <section v-if="survey">
          <h2>On the floor</h2>
          <FloorLoad :survey="survey" />
          <div class="foot">
            <FigureField
              label="stand"
              kind="mass"
              optional
              :value="vessel.standKg"
              :apply="setPlain('standKg')"
            />
            <FigureField
              label="base, length"
              kind="length"
              optional
              :value="vessel.footprintMm?.length"
              :apply="setFoot('length')"
            />
            <FigureField
              label="base, width"
              kind="length"
              optional
              :value="vessel.footprintMm?.width"
              :apply="setFoot('width')"
            />
          </div>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
.vessel {
  padding: 18px 24px 30px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 20px;
  margin-top: 10px;
}
.sheet {
  display: block;
  overflow: visible;
}
.caption {
  font: italic 15px var(--title);
  fill: var(--ink);
}
.axis text,
text.quiet {
  font: 400 11.5px var(--text);
  fill: var(--ink-2);
}
.axis path {
  stroke: var(--ink-3);
}
.dim path {
  stroke: var(--celadon);
  fill: none;
}
.dim text {
  font: 600 12.5px var(--text);
  fill: var(--celadon);
}
.line {
  cursor: ns-resize;
  outline: none;
}
.line path {
  stroke: var(--water-line);
  stroke-width: 1.6;
}
.line circle {
  fill: var(--paper);
  stroke: var(--water-line);
  stroke-width: 2;
}
.line:focus-visible circle {
  stroke: var(--celadon);
  stroke-width: 3;
}
.line text {
  font: 600 12px var(--text);
  fill: #3d6472;
}
.sizes {
  padding-top: 10px;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 4px 24px;
  max-width: 560px;
  margin-top: 4px;
}
section {
  border-top: 1px solid var(--rule);
  padding: 10px 0 14px;
}
section p {
  margin-top: 6px;
}
.foot {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 0 16px;
  margin-top: 8px;
}
@media (max-width: 1150px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
