<script setup lang="ts">
import { computed } from 'vue';
import { GLASS_U } from '../../../core/site/heat';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import { useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** Heater and cooling from the room, with the rule of thumb beside them. */
const props = defineProps<{ heat: ShownPlan['visit']['heat'] }>();
const commission = useCommission();
const edit = useDocEdit();
const f = useFigures();
const room = computed(() => commission.document!.site?.roomC);
const setRoom = (i: 0 | 1) => (c: number | undefined) => {
  if (c === undefined) return edit.site('roomC', undefined);
  const next: [number, number] = [...(room.value ?? props.heat.roomC)];
  next[i] = c;
  // Typed one after the other: the figure that has not been typed yet gives way.
  if (!room.value && next[0] > next[1]) next[1 - i] = c;
  return edit.site('roomC', next);
};
const w = (x: number) => `${Math.round(x)} W`;
</script>

<template>
  <section>
    <header class="section-head">
      <h2>Warmth</h2>
      <span class="quiet"
        >{{ f.temperature(heat.waterC) }} in a room of {{ f.temperature(heat.roomC[0], 0) }}</span
      >
    </header>
    <p>
      <b class="fig" data-test="heat">{{ w(heat.loss.totalW) }}</b>
      {{
        wording('heatSection.loss', {
          glass: w(heat.loss.glassW),
          u: GLASS_U,
          surface: w(heat.loss.surfaceW),
          evaporation: w(heat.loss.evaporationW),
        })
      }}
      <template v-if="heat.heatersW.length">Heater {{ heat.heatersW.map(w).join(' and ') }}.</template>
      {{ ' ' }}
      <span v-if="heat.heatersW.length" class="quiet">{{
        wording('heatSection.thumb', { watts: heat.thumbW.map(Math.round).join(' to ') })
      }}</span>
    </p>
    <p>
      {{
        wording('heatSection.warmest', {
          devices: w(heat.devicesW),
          room: f.temperature(heat.roomC[1], 0),
          rests: f.temperature(heat.warmC),
          most: f.temperature(heat.mostC, 0),
        })
      }}
      <b v-if="heat.coolW > 1">{{ wording('heatSection.cooling', { watts: w(heat.coolW) }) }}</b>
    </p>
    <div class="figures">
      <FigureField
        label="room, coldest"
        kind="temperature"
        optional
        :value="room?.[0]"
        :apply="setRoom(0)"
        data-test="room-low"
      />
      <FigureField
        label="room, warmest"
        kind="temperature"
        optional
        :value="room?.[1]"
        :apply="setRoom(1)"
        data-test="room-high"
      />
    </div>
    <v-switch
      :model-value="commission.document!.site?.unheated ?? false"
      :label="wording('heatSection.unheated')"
      data-test="unheated"
      @update:model-value="(on) => edit.site('unheated', on || undefined)"
    />
  </section>
</template>

<style scoped>
p {
  margin-top: 4px;
}
</style>
