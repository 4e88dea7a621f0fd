<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { keepKeys } from '../../design/commands';
import type { Option, Origin, Plant } from '../../../core/commission/schema';
import { commonNames, isCalled } from '../../../core/catalogue/commonNames';
import { reasonsAgainst, type Spot } from '../../../core/planted/livesHere';
import { useFigures } from '../../units/figures';
import OriginMark from '../../drawing/OriginMark.vue';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';
import { useStudio } from '../../document/studioStore';
import { useHeldStill } from '../../frame/heldStill';

/** What is planted, then every plant of the studio to paint with. */
const props = defineProps<{
  plants: Plant[];
  option: Option;
  survey?: ShownPlan['survey'];
  brush?: Plant;
  /** What there is at the spot last touched, or on the mean of the bed; undefined until it is known. */
  here?: Spot & { spot: boolean };
  /** Where each planting comes from; bought where nothing is said. */
  origins?: ReadonlyMap<string, Origin>;
}>();
defineEmits<{ paint: [plant: Plant]; count: [plant: Plant]; choose: [id: string]; studio: [] }>();
const f = useFigures();
const search = ref('');
const list = ref<HTMLElement>();
// What is against a plant comes a moment after it, with the light.
useHeldStill(list, [() => props.here]);
/** Of a studio with more plants than came with the page those that are typed for come. */
const studio = useStudio();
const TYPED_MS = 120;
watch(
  search,
  useDebounceFn((words: string | null) => studio.lookUp('plants', words ?? ''), TYPED_MS),
);

const planted = computed(() =>
  props.option.plants.map((p) => ({
    ...p,
    entry: props.plants.find((q) => q.id === p.plant),
    measured: props.survey?.plantings.find((m) => m.id === p.id),
  })),
);
const found = computed(() => {
  const words = search.value;
  return props.plants.filter((p) => isCalled(`${p.name} ${p.habit} ${p.light}`, words));
});
/** Those that live here first; of the others why they are left out. It suggests: each can be painted all the same. */
const only = ref(false);
const listed = computed(() =>
  found.value
    .map((plant) => ({ plant, against: props.here ? reasonsAgainst(plant, props.here) : [] }))
    .filter(({ against }) => !only.value || against.length === 0),
);
const traits = (p: Plant) =>
  [
    commonNames(p.name).split(', ')[0],
    p.habit,
    p.heightMm && `${f.fromMm(p.heightMm[0])}–${f.length(p.heightMm[1])}`,
    p.light && `${p.light} light`,
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <aside ref="list" class="plants">
    <h2>Planted</h2>
    <ul>
      <li v-for="p in planted" :key="p.id">
        <button class="plain" @click="$emit('choose', p.id)">
          <i :style="{ background: p.entry?.colour }" /><em>{{ p.entry?.name }}</em
          ><OriginMark :origin="origins?.get(p.id) ?? 'bought'" /><span>{{
            f.said(p.measured?.plugs ?? 0, 'plug')
          }}</span>
        </button>
      </li>
    </ul>
    <h2>
      Paint with
      <button class="act own" data-test="studio-list" @click="$emit('studio')">Studio’s list</button>
    </h2>
    <v-text-field
      v-model="search"
      label="name, habit or light"
      clearable
      @keydown="keepKeys"
      @click:clear="search = ''"
    />
    <div class="lives">
      <label v-if="here" class="only quiet"
        ><input v-model="only" type="checkbox" data-test="lives-here" />
        {{
          wording(here.spot ? 'plantList.livesAtSpot' : 'plantList.livesHere', { dli: here.dli.toFixed(1) })
        }}</label
      >
    </div>
    <ul>
      <li v-for="{ plant: p, against } in listed" :key="p.id">
        <button
          class="plain paint"
          :class="{ chosen: brush?.id === p.id }"
          :data-plant="p.id"
          :title="
            p.roots === 'bed' ? `Paint ${p.name}` : `Count portions of ${p.name}: it does not root in the bed`
          "
          @click="p.roots === 'bed' ? $emit('paint', p) : $emit('count', p)"
        >
          <i :style="{ background: p.colour }" /><em>{{ p.name }}</em
          ><small class="quiet"
            >{{ traits(p)
            }}<b v-if="against.length" class="late"
              >: {{ against.map((t) => f.words(t)).join(', ') }}</b
            ></small
          >
        </button>
        <button v-if="p.habit === 'emersed'" class="act wet" :data-wet="p.id" @click="$emit('paint', p)">
          paint on wet soil
        </button>
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.plants {
  flex: 1;
  min-height: 0;
  padding: 8px 12px 20px;
  overflow-y: auto;
}
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0 16px;
}
button {
  display: grid;
  grid-template-columns: 12px 1fr auto auto;
  gap: 0 6px;
  width: 100%;
  align-items: baseline;
  padding: 3px 4px;
  line-height: 1.3;
}
button:hover {
  background: var(--celadon-wash);
}
.wet {
  display: inline;
  width: auto;
  padding: 0 4px 4px 22px;
  font: 600 12px var(--text);
}
.own {
  display: inline;
  width: auto;
  float: right;
  font: 600 13px var(--text);
  padding: 4px 0;
}
/* Its place, before the light is known. */
.lives {
  min-height: 19px;
}
.only {
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 12px;
}
.chosen {
  background: var(--celadon-wash);
  outline: 1px solid var(--celadon);
}
.paint small {
  grid-column: 2 / 5;
}
span {
  grid-column: 4;
  white-space: nowrap;
}
i {
  width: 10px;
  height: 10px;
}
em {
  font-style: italic;
}
small b {
  font-weight: 400;
}
</style>
