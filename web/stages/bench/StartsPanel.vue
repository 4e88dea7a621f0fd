<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Material, Option } from '../../../core/commission/schema';
import { clientPiece } from '../../../core/catalogue/studio';
import { volumeMm3Of } from '../../../core/hardscape/columns';
import { massKgOf } from '../../../core/hardscape/mass';
import { starts, type Start, type Style } from '../../../core/yard/starts';
import { useCommission } from '../../document/commissionStore';
import { useScapeEdit } from '../../document/scapeEdit';
import { useMaterials } from '../../document/materials';
import { useStudio } from '../../document/studioStore';
import { colourOf } from '../../drawing/colour';
import { drawnExtent } from '../../drawing/drawnExtent';
import { facetsOf } from '../../drawing/facets';
import PieceDrawing from '../../drawing/PieceDrawing.vue';
import { useFigures } from '../../units/figures';
import type { ShownPlan } from '../../workers/planWorker';
import { wording } from '../../words/wording';

/** First arrangements from the pieces that are free, by style: each with how it keeps the rules; one is taken and changed. */
const props = defineProps<{ option: Option; materials: Material[]; survey?: ShownPlan['survey'] }>();
const commission = useCommission();
const studio = useStudio();
const atHand = useMaterials();
const edit = useScapeEdit();
const f = useFigures();

const NAMES: Record<Style, string> = {
  three: 'Three stones',
  five: 'Five stones',
  triangle: 'Triangle',
  island: 'Island',
  valley: 'Two hills, a valley',
  path: 'A path',
  riverbed: 'Riverbed',
  wood: 'Single wood',
  shallow: 'Shallow, wood above',
};
const seed = ref(1);
const vessel = computed(() => commission.document!.vessel);
const materialOf = (id: string) => atHand.value.find((m) => m.id === id);
/** Heights of the bed in its middle, mm: what the pieces will stand on. */
const bedMm = computed(() =>
  Math.max(0, ...(props.survey?.layers ?? []).map((l) => (l.minMm + l.maxMm) / 2)),
);
const found = computed((): Start[] => {
  const away = studio.elsewhere(commission.id);
  const own = (commission.document!.brief.owned ?? []).map(clientPiece);
  const free = (studio.studio?.yard ?? []).filter((p) => !away[p.id]);
  return starts(
    [...own, ...free],
    (id) => materialOf(id)?.kind,
    vessel.value,
    bedMm.value,
    seed.value,
    drawnExtent,
  );
});

const HIGH = 92;
const k = computed(() => Math.min(HIGH / vessel.value.innerMm.height, 180 / vessel.value.innerMm.length));
/** Farthest first; each stands so high that it is buried as told. */
const drawn = ({ pieces }: Start) =>
  [...pieces]
    .sort((a, b) => b.at[1] - a.at[1])
    .map((p) => {
      const bottom = facetsOf(p.shape, p.turnDeg, p.tiltDeg, 'front').box[3];
      const bury = p.stand.kind === 'bed' ? p.stand.buryMm : 0;
      const z = bedMm.value - bury + bottom;
      return { p, x: p.at[0] * k.value, y: (vessel.value.innerMm.height - z) * k.value };
    });
const massKg = ({ pieces }: Start) =>
  pieces.reduce((sum, p) => sum + massKgOf(p, volumeMm3Of(p.shape), materialOf(p.material)), 0);
</script>

<template>
  <div class="starts">
    <button class="act other" data-test="other-starts" @click="seed++">Others</button>
    <ul v-if="found.length">
      <li v-for="s in found" :key="s.style">
        <button
          class="plain"
          :data-start="s.style"
          :title="s.rules.map((r) => f.words(r)).join('\n')"
          @click="edit.takeStart(s)"
        >
          <svg :width="vessel.innerMm.length * k" :height="vessel.innerMm.height * k" aria-hidden="true">
            <rect width="100%" height="100%" class="water" />
            <g v-for="d in drawn(s)" :key="d.p.id" :transform="`translate(${d.x} ${d.y}) scale(${k})`">
              <PieceDrawing :piece="d.p" view="front" :colour="colourOf(materialOf(d.p.material))" />
            </g>
            <rect
              y="0"
              :transform="`translate(0 ${(vessel.innerMm.height - bedMm) * k})`"
              width="100%"
              :height="bedMm * k"
              class="ground"
            />
          </svg>
          <b>{{ NAMES[s.style] }}</b>
          <span class="quiet">{{
            wording('startsPanel.pieces', { count: s.pieces.length, mass: f.mass(massKg(s)) })
          }}</span>
        </button>
        <p class="quiet rules">{{ s.rules.map((r) => f.words(r)).join('; ') }}.</p>
      </li>
    </ul>
    <p v-else class="quiet empty">{{ wording('startsPanel.tooFewPieces') }}</p>
  </div>
</template>

<style scoped>
.starts {
  display: flex;
  height: 100%;
}
.other {
  flex: none;
  align-self: flex-start;
  padding: 10px 12px;
}
ul {
  display: flex;
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  border-left: 1px solid var(--rule);
  height: 100%;
}
li button {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  padding: 8px 10px;
  font-size: 12px;
  line-height: 1.35;
}
li button:hover {
  background: var(--celadon-wash);
}
.rules {
  width: 150px;
  font-size: 11.5px;
  line-height: 1.3;
  margin: 8px 10px 0 0;
  overflow: hidden;
}
.water {
  fill: var(--water);
}
.ground {
  fill: #5a4838;
}
.empty {
  padding: 20px;
}
@media (max-width: 700px) {
  ul {
    flex-direction: column;
  }
}
</style>
