<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { polygonBounds, type Point } from '../../../../core/geometry/polygon';
import { useFigures } from '../../../units/figures';
import PhotoOutline from './PhotoOutline.vue';
import { wording } from '../../../words/wording';

/** Two photographs of a piece, from its front and from its right side: their outlines, with sizes read off. */
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ outlines: [found: { front: Point[]; side: Point[] }, photo: File | undefined] }>();
const f = useFigures();
const front = ref<Point[]>();
const side = ref<Point[]>();
const file = shallowRef<File>();
const sizeOf = (ring: Point[] | undefined) => {
  if (!ring) return undefined;
  const [l, b, r, t] = polygonBounds(ring);
  return [r - l, t - b] as const;
};
const read = computed(() => {
  const [a, b] = [sizeOf(front.value), sizeOf(side.value)];
  const parts = [
    a && wording('yardPhotos.front', { wide: f.length(Math.round(a[0])), high: f.length(Math.round(a[1])) }),
    b && wording('yardPhotos.side', { deep: f.length(Math.round(b[0])), high: f.length(Math.round(b[1])) }),
  ];
  return parts.filter(Boolean).join('; ');
});
function done(): void {
  emit('outlines', { front: front.value!, side: side.value! }, file.value);
  open.value = false;
}
</script>

<template>
  <v-dialog v-model="open" width="880">
    <div class="dialog" role="dialog" aria-label="A piece by two photographs" data-test="yard-photos">
      <h2>A piece by two photographs</h2>
      <div class="two">
        <PhotoOutline v-model:outline="front" title="From the front" @file="file = $event" />
        <PhotoOutline v-model:outline="side" title="From its right side" />
      </div>
      <p class="says" aria-live="polite" data-test="outlines-read">{{ read }}</p>
      <footer>
        <button class="solid" :disabled="!front || !side" data-test="use-outlines" @click="done">
          Use these outlines
        </button>
        <button class="act" @click="open = false">Close</button>
      </footer>
    </div>
  </v-dialog>
</template>

<style scoped>
.two {
  display: flex;
  flex-wrap: wrap;
  gap: 26px;
}
.says {
  min-height: 24px;
}
</style>
