<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core';
import type { EChartsCoreOption, EChartsType } from 'echarts/core';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { wording } from '../words/wording';

/**
 * A chart with axes that can be zoomed and asked at any place. The library comes when the first one is opened;
 * drawings with figures in them are drawn by hand elsewhere.
 */
const props = defineProps<{ option: EChartsCoreOption; label: string; height: number }>();
const box = ref<HTMLElement>();
const failed = ref(false);
let chart: EChartsType | undefined;
let gone = false;

onMounted(async () => {
  try {
    const { init } = await import('./echarts');
    if (gone || !box.value) return;
    chart = init(box.value, undefined, { renderer: 'svg', height: props.height });
    chart.setOption(props.option);
  } catch {
    failed.value = true;
  }
});
watch(
  () => props.option,
  (option) => chart?.setOption(option),
);
useResizeObserver(box, () => chart?.resize({ height: props.height }));
onBeforeUnmount(() => {
  gone = true;
  chart?.dispose();
});
</script>

<template>
  <p v-if="failed" class="quiet">{{ wording('chartView.failed') }}</p>
  <div v-else ref="box" role="img" :aria-label="label" :style="{ height: `${height}px` }" />
</template>
