<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Material, Piece } from '../../../core/commission/schema';
import { ApiProblem } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import FigureField from '../../document/FigureField.vue';
import { useScapeEdit } from '../../document/scapeEdit';
import { useStudio } from '../../document/studioStore';
import { colourOf } from '../../drawing/colour';
import PieceDrawing from '../../drawing/PieceDrawing.vue';
import { selectPiece } from '../../frame/selection';
import { partingDrawn } from './partingDrawn';
import { wording } from '../../words/wording';

/** A stone split, or a twig broken off: the cut seen from the front and from above; the yard has two pieces then. */
const props = defineProps<{ piece: Piece; material: Material | undefined }>();
const commission = useCommission();
const studio = useStudio();
const edit = useScapeEdit();
const open = ref(false);
const way = ref<'upright' | 'level'>('upright');
const bearingDeg = ref(0);
const percent = ref(50);
const masses = ref<(number | undefined)[]>([undefined, undefined]);
const said = ref('');
const busy = ref(false);
const WAYS = [
  { value: 'upright', title: 'upright' },
  { value: 'level', title: 'level' },
];
const title = computed(() => (props.material?.kind === 'wood' ? 'Break off' : 'Split'));

const BOX = 190;
const drawn = computed(() =>
  partingDrawn(
    props.piece.shape,
    { way: way.value, bearingDeg: bearingDeg.value, share: percent.value / 100 },
    BOX,
  ),
);

async function part(): Promise<void> {
  busy.value = true;
  said.value = '';
  try {
    const { parts, doubts } = await studio.part(props.piece.id, {
      way: way.value,
      bearingDeg: bearingDeg.value,
      share: percent.value / 100,
      massKg: [masses.value[0] ?? null, masses.value[1] ?? null],
      commission: commission.id,
    });
    // The larger part takes its place; the other waits in the yard.
    selectPiece(edit.swap(props.piece.id, parts[0]));
    said.value = doubts.join(' ');
    open.value = doubts.length > 0;
  } catch (error) {
    said.value = error instanceof ApiProblem ? error.message : wording('splitPiece.failed');
  }
  busy.value = false;
}
const setPercent = (v: number | undefined) => {
  if (!v || v < 1 || v > 99) return wording('splitPiece.outOfRange');
  percent.value = v;
  return undefined;
};
const setMass = (i: 0 | 1) => (v: number | undefined) => {
  masses.value = masses.value.map((m, n) => (n === i ? v : m));
  return undefined;
};
</script>

<template>
  <button class="act offer" data-test="split" @click="open = true">{{ title }}…</button>
  <v-dialog v-model="open" width="560">
    <div class="dialog" role="dialog" :aria-label="`${title} ${piece.id}`" data-test="split-sheet">
      <h2>{{ title }} {{ piece.id }}</h2>
      <div class="drawn">
        <figure v-for="view in ['front', 'above'] as const" :key="view">
          <svg :width="BOX + 20" :height="BOX + 20" role="img" :aria-label="`The cut ${view}`">
            <g
              :transform="`translate(${10 + BOX / 2 - ((drawn[view].box[0] + drawn[view].box[2]) / 2) * drawn.k} ${10 + BOX / 2 - ((drawn[view].box[1] + drawn[view].box[3]) / 2) * drawn.k}) scale(${drawn.k})`"
            >
              <PieceDrawing
                :piece="{ shape: piece.shape, turnDeg: 0 }"
                :view="view"
                :colour="colourOf(material)"
              />
              <line
                v-if="drawn[view].line"
                :x1="drawn[view].line[0]"
                :y1="drawn[view].line[1]"
                :x2="drawn[view].line[2]"
                :y2="drawn[view].line[3]"
                class="cut"
                vector-effect="non-scaling-stroke"
              />
            </g>
          </svg>
          <figcaption class="quiet">{{ view === 'front' ? 'From its front' : 'From above' }}</figcaption>
        </figure>
      </div>
      <div class="fields">
        <v-select v-model="way" label="cut" :items="WAYS" />
        <FigureField
          v-if="way === 'upright'"
          label="towards"
          kind="degrees"
          :value="bearingDeg"
          :apply="(v) => void (bearingDeg = v ?? 0)"
        />
        <FigureField
          label="at"
          kind="plain"
          unit="%"
          :value="percent"
          :apply="setPercent"
          data-test="split-at"
        />
        <FigureField label="larger" kind="mass" optional :value="masses[0]" :apply="setMass(0)" />
        <FigureField label="smaller" kind="mass" optional :value="masses[1]" :apply="setMass(1)" />
      </div>
      <p class="quiet">
        {{ wording('splitPiece.caution', { id: piece.id }) }}
      </p>
      <p v-if="said" class="late" role="status" data-test="split-said">{{ said }}</p>
      <footer>
        <button class="solid" :disabled="busy" data-test="split-now" @click="part">It is parted so</button>
        <button class="act" @click="open = false">Close</button>
      </footer>
    </div>
  </v-dialog>
</template>

<style scoped>
.offer {
  text-align: left;
  padding: 4px 0;
}
.drawn {
  display: flex;
  gap: 20px;
}
figure {
  margin: 6px 0;
}
svg {
  background: var(--water);
}
.cut {
  stroke: #b3261e;
  stroke-width: 2;
}
.fields {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 0 12px;
  align-items: end;
}
</style>
