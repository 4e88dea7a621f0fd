<script setup lang="ts">
import { computed } from 'vue';
import { displayLitresTo } from '../../../core/vessel/litres';
import ChartView from '../../drawing/ChartView.vue';
import { useCommission } from '../../document/commissionStore';
import { decimal, useFigures } from '../../units/figures';
import { usePreferences } from '../../units/preferences';
import { useWaterScale } from './useWaterScale';
import { wording } from '../../words/wording';

/** Litres of the display at every height, empty and with the scape in it: for a fill, a change, a tank that is drained half-way. */
const commission = useCommission();
const preferences = usePreferences();
const f = useFigures();
const scale = useWaterScale();
const HEIGHT = 300;

const vessel = computed(() => commission.document!.vessel);
/** Read anew when the theme changes: the chart takes colours, not names of colours. */
const colours = computed(() => {
  void preferences.light;
  const style = getComputedStyle(document.documentElement);
  const of = (name: string) => style.getPropertyValue(name).trim();
  return { ink: of('--ink'), ink2: of('--ink-2'), rule: of('--rule'), paper: of('--paper'), water: of('--water-line'), clay: of('--clay') }; // prettier-ignore
});
const length = computed(() => f.scale('length'));
const volume = computed(() => f.scale('volume'));

const option = computed(() => {
  const c = colours.value;
  const points = (litres: (mm: number, i: number) => number) =>
    scale.value.map(({ mm }, i) => [volume.value.out(litres(mm, i)), length.value.out(mm)]);
  const axis = (name: string) => ({
    type: 'value',
    name,
    nameTextStyle: { color: c.ink2 },
    axisLabel: { color: c.ink2 },
    axisLine: { show: true, lineStyle: { color: c.ink2 } },
    splitLine: { lineStyle: { color: c.rule } },
  });
  const line = (name: string, color: string, data: number[][]) => ({
    type: 'line', name, data, color, showSymbol: false, lineStyle: { width: 2 },
  }); // prettier-ignore
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: { fontFamily: 'IBM Plex Sans Variable, sans-serif', fontSize: 12 },
    grid: { left: 56, right: 70, top: 34, bottom: 40 },
    legend: { top: 0, textStyle: { color: c.ink }, icon: 'roundRect', itemHeight: 3 },
    xAxis: { ...axis(volume.value.unit), nameLocation: 'end' },
    yAxis: { ...axis(`height, ${length.value.unit}`), max: length.value.out(vessel.value.innerMm.height) },
    tooltip: {
      trigger: 'axis',
      axisPointer: { type: 'line', axis: 'y' },
      backgroundColor: c.paper,
      borderColor: c.rule,
      textStyle: { color: c.ink },
      formatter: (at: { seriesName: string; value: [number, number] }[]) =>
        [
          `${decimal(at[0].value[1], 0)} ${length.value.unit}`,
          ...at.map((p) => `${p.seriesName}: ${decimal(p.value[0], 1)} ${volume.value.unit}`),
        ].join('<br>'),
    },
    dataZoom: [{ type: 'inside', yAxisIndex: 0, filterMode: 'none' }],
    series: [
      line('with the scape', c.water, points((_, i) => scale.value[i].litres)), // prettier-ignore
      line(
        'empty',
        c.clay,
        points((mm) => displayLitresTo(vessel.value, mm)),
      ),
    ],
  };
});
const label = computed(() => {
  const top = scale.value.at(-1);
  return top
    ? wording('litresChart.says', {
        litres: f.volume(top.litres),
        height: f.length(top.mm),
        empty: f.volume(displayLitresTo(vessel.value, top.mm)),
      })
    : 'Litres by height';
});
</script>

<template>
  <div data-test="litres-chart">
    <ChartView v-if="scale.length" :option="option" :label="label" :height="HEIGHT" />
    <p class="quiet">
      The display alone<template v-if="vessel.chambers?.length">, without its chambers</template
      >{{ wording('litresChart.how') }}
    </p>
  </div>
</template>
