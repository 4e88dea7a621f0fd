<script setup lang="ts">
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { litresToHeight } from '../../../core/vessel/litres';
import { isNarrowed, openings, openingSize } from '../../../core/vessel/openings';
import { chamberFloors } from '../../../core/vessel/display';
import { polygonBounds } from '../../../core/geometry/polygon';
import { planPaths, ringPath } from '../../drawing/outline';
import { marks } from '../../drawing/sheet';
import { arrowStep } from '../../drawing/arrowStep';
import { usePointerDrag } from '../../drawing/usePointerDrag';
import { useCommission } from '../../document/commissionStore';
import { useFigures } from '../../units/figures';
import WaterChart from './WaterChart.vue';
import { gripsOfVessel, type VesselGrip } from './vesselGrips';

/** The vessel from the front, with litres beside its height, and from above; edges are dragged by hand. */
const props = defineProps<{ width: number; waterLineL?: number }>();
const commission = useCommission();
const f = useFigures();

const vessel = computed(() => commission.document!.vessel);
const inner = computed(() => vessel.value.innerMm);
/** Height the two drawings have together, px, and room for figures left and right of them. */
const DRAWN_PX = 440;
const BESIDE_PX = 168;
const k = computed(() =>
  Math.min(
    Math.max(160, props.width - BESIDE_PX) / inner.value.length,
    DRAWN_PX / (inner.value.height + inner.value.width),
  ),
);
const W = computed(() => inner.value.length * k.value);
const H = computed(() => inner.value.height * k.value);
const D = computed(() => inner.value.width * k.value);
const X = (mm: number) => mm * k.value;
const Y = (mm: number) => (inner.value.width - mm) * k.value;

const change = (key: string, part: Partial<Vessel>) =>
  commission.edit(`vessel ${key}`, (d) => ({ ...d, vessel: { ...d.vessel, ...part } }));

const grips = computed(() => gripsOfVessel(vessel.value));
const dragGrip = (grip: VesselGrip) =>
  usePointerDrag<Vessel>({
    start: () => {
      commission.beginStep();
      return vessel.value;
    },
    move: (from, { dx, dy }) =>
      void commission.tryEdit(`vessel ${grip.key}`, (d) => ({
        ...d,
        vessel: { ...d.vessel, ...grip.moved(from, dx / k.value, -dy / k.value) },
      })),
    end: () => commission.endStep(),
  });
function gripKey(event: KeyboardEvent, grip: VesselGrip): void {
  const step = arrowStep(event, 5, 20);
  if (!step) return;
  event.preventDefault();
  commission.tryEdit(`vessel ${grip.key}`, (d) => ({
    ...d,
    vessel: { ...d.vessel, ...grip.moved(d.vessel, ...step) },
  }));
}

const dragLine = usePointerDrag<number>({
  start: () => {
    commission.beginStep();
    return vessel.value.waterLineMm;
  },
  move: (from, { dy }) => moveLine(from - dy / k.value),
  end: () => commission.endStep(),
});
function moveLine(mm: number): void {
  change('line', { waterLineMm: Math.round(Math.min(Math.max(mm, 10), inner.value.height)) });
}
function lineKey(event: KeyboardEvent): void {
  const by = { ArrowUp: 5, ArrowDown: -5 }[event.key];
  if (!by) return;
  event.preventDefault();
  moveLine(vessel.value.waterLineMm + by * (event.shiftKey ? 4 : 1));
}

/** Litres beside the height, at each mark: what a fill or a change comes to. */
const scale = computed(() =>
  marks(inner.value.height, k.value).map((mm) => ({ mm, litres: litresToHeight(vessel.value, mm) })),
);
/** On a telephone there is room for the figure alone: the litres stand beside the heights, and below. */
const ROOMY_PX = 260;
const lineWords = computed(() => {
  const at = f.length(vessel.value.waterLineMm);
  if (W.value < ROOMY_PX) return at;
  return [`water line ${at}`, props.waterLineL && f.volume(props.waterLineL)].filter(Boolean).join(', ');
});
const plan = computed(() => planPaths(vessel.value, X, Y));
const open = computed(() => {
  if (!isNarrowed(vessel.value)) return [];
  return openings(vessel.value).map((ring) => {
    const [left, front, right, back] = polygonBounds(ring);
    return {
      d: ringPath(ring, X, Y),
      x: X((left + right) / 2),
      y: Y((front + back) / 2),
      wide: X(right - left) > 110,
      sizes: openingSize(ring).map((mm) => f.fromMm(Math.round(mm))),
    };
  });
});
const chambers = computed(() =>
  chamberFloors(vessel.value).map(({ chamber, outline, waterLineMm }) => {
    const [left, front, right, back] = polygonBounds(outline);
    return {
      id: chamber.id,
      title: chamber.title ?? 'chamber',
      d: ringPath(outline, X, Y),
      x: X((left + right) / 2),
      y: Y((front + back) / 2),
      upright: right - left < back - front,
      front: { x: X(left), w: X(right - left), z: X(inner.value.height - waterLineMm), h: X(waterLineMm) },
      side: chamber.side !== 'back',
    };
  }),
);
</script>

<template>
  <svg :width="W + 168" :height="H + D + 132" class="sheet">
    <g transform="translate(66 34)">
      <text class="caption" y="-14">From the front</text>
      <text class="unit-of" x="-16" y="-14" text-anchor="end">{{ f.lengthUnit.value }}</text>
      <text class="unit-of" :x="W + 18" y="-14">{{ f.scale('volume').unit }} to here</text>
      <rect :width="W" :height="H" fill="var(--paper)" />
      <rect :y="H - vessel.waterLineMm * k" :width="W" :height="vessel.waterLineMm * k" fill="var(--water)" />
      <template v-for="c in chambers" :key="c.id">
        <template v-if="c.side">
          <rect :x="c.front.x" :width="c.front.w" :height="H" fill="var(--paper)" />
          <rect :x="c.front.x" :y="c.front.z" :width="c.front.w" :height="c.front.h" fill="var(--water-2)" />
          <path :d="`M${c.front.x} 0 V ${H} M${c.front.x + c.front.w} 0 V ${H}`" stroke="var(--ink)" />
        </template>
      </template>
      <rect
        v-for="t in vessel.fixed ?? []"
        :key="t.id"
        :x="X(t.at[0])"
        :y="H - X((t.zMm ?? 0) + t.sizeMm[2])"
        :width="X(t.sizeMm[0])"
        :height="X(t.sizeMm[2])"
        class="fixed"
      />
      <path
        :d="`M0 0 V ${H} H ${W} V 0`"
        fill="none"
        stroke="var(--ink)"
        :stroke-width="Math.max(2, vessel.glassMm * k)"
      />
      <WaterChart v-if="W >= ROOMY_PX" :width="W" :height="H" :inner-mm="inner.height" />
      <g v-for="m in scale" :key="m.mm" class="axis" :transform="`translate(0 ${H - m.mm * k})`">
        <path :d="`M-12 0 h6 M${W + 8} 0 h6`" />
        <text x="-16" y="4" text-anchor="end">{{ f.fromMm(m.mm) }}</text>
        <text :x="W + 18" y="4" data-test="litres-at">
          {{ f.shown(m.litres, 'L', m.litres > 0 && m.litres < 20 ? 1 : 0).text }}
        </text>
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
        <rect y="-14" :width="W" height="28" fill="transparent" />
        <path :d="`M0 0 H ${W}`" />
        <circle :cx="W / 2" r="7" />
        <text x="12" y="18">{{ lineWords }}</text>
      </g>
    </g>
    <g :transform="`translate(66 ${H + 92})`">
      <text class="caption" y="-14">From above</text>
      <path
        :d="plan.glass"
        fill="var(--water)"
        stroke="var(--ink)"
        :stroke-width="Math.max(2, vessel.glassMm * k)"
      />
      <path v-for="(o, i) in open" :key="i" :d="o.d" class="opening" />
      <g v-for="c in chambers" :key="c.id">
        <path :d="c.d" class="chamber" />
        <text
          :transform="`translate(${c.x} ${c.y}) ${c.upright ? 'rotate(-90)' : ''}`"
          dy="4"
          text-anchor="middle"
          class="quiet"
        >
          {{ c.title }}
        </text>
      </g>
      <rect
        v-for="t in vessel.fixed ?? []"
        :key="t.id"
        :x="X(t.at[0])"
        :y="Y(t.at[1] + t.sizeMm[1])"
        :width="X(t.sizeMm[0])"
        :height="X(t.sizeMm[1])"
        class="fixed"
      >
        <title>{{ t.title }}</title>
      </rect>
      <text v-for="(o, i) in open" :key="`t${i}`" :x="o.x" :y="o.y + 4" text-anchor="middle" class="quiet">
        {{ o.wide ? `open ${o.sizes.join(' × ')}` : o.sizes[0] }}
      </text>
      <text v-if="!open.length" :x="W / 2" :y="D / 2 + 4" text-anchor="middle" class="quiet">
        inside, front glass below
      </text>
      <g class="dim">
        <path
          :d="`M0 ${D + 18} H ${W / 2 - 44} M${W / 2 + 44} ${D + 18} H ${W} M0 ${D + 13} v10 M${W} ${D + 13} v10`"
        />
        <text :x="W / 2" :y="D + 22" text-anchor="middle">{{ f.length(inner.length) }}</text>
      </g>
      <g class="dim">
        <path :d="`M-24 0 V ${D / 2 - 36} M-24 ${D / 2 + 36} V ${D} M-29 0 h10 M-29 ${D} h10`" />
        <text :transform="`translate(-20 ${D / 2}) rotate(-90)`" text-anchor="middle">
          {{ f.length(inner.width) }}
        </text>
      </g>
      <g v-if="vessel.kind === 'bow' && vessel.bowMm" class="dim">
        <path :d="`M${W + 12} ${D - X(vessel.bowMm)} V ${D} m-4 0 h8 M${W + 8} ${D - X(vessel.bowMm)} h8`" />
        <text :x="W + 20" :y="D - X(vessel.bowMm) / 2 + 4">bow {{ f.length(vessel.bowMm) }}</text>
      </g>
      <g
        v-for="g in grips"
        :key="g.key"
        class="edge"
        tabindex="0"
        role="slider"
        :aria-label="g.name"
        :aria-valuenow="Math.round(g.value)"
        :data-grip="g.key"
        :transform="`translate(${X(g.at[0])} ${Y(g.at[1])})`"
        @pointerdown="dragGrip(g)($event)"
        @keydown="gripKey($event, g)"
      >
        <rect x="-16" y="-16" width="32" height="32" fill="transparent" />
        <circle r="6" />
      </g>
    </g>
  </svg>
</template>

<style scoped>
.sheet {
  display: block;
  overflow: visible;
  touch-action: pan-y;
}
.caption {
  font: italic 15px var(--title);
  fill: var(--ink);
}
.axis text,
.unit-of,
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
.fixed {
  fill: var(--rule);
  stroke: var(--ink-2);
}
.chamber {
  fill: var(--water-2);
  stroke: var(--ink);
}
.opening {
  fill: var(--paper);
  fill-opacity: 0.6;
  stroke: var(--clay);
  stroke-dasharray: 5 3;
}
.line,
.edge {
  outline: none;
  touch-action: none;
}
.line {
  cursor: ns-resize;
}
.edge {
  cursor: move;
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
.edge circle {
  fill: var(--paper);
  stroke: var(--celadon);
  stroke-width: 2;
}
.line:focus-visible circle,
.edge:focus-visible circle {
  stroke: var(--celadon);
  stroke-width: 4;
}
.line text {
  font: 600 12px var(--text);
  fill: #3d6472;
}
:root[data-theme='dim'] .line text {
  fill: #a9c8d4;
}
</style>
