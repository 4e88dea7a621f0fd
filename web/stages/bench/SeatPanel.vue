<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { eyeAbove, eyeFrom } from '../../../core/view/eye';
import type { Drawing } from '../../drawing/drawing';
import { halfGrown } from '../../drawing/halfGrown';
import { api } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { useCommission } from '../../document/commissionStore';
import { useSeats } from '../../document/seats';
import { may } from '../../document/people';
import SendSheet from '../../frame/links/SendSheet.vue';
import { useFrame } from '../../frame/planKey';
import { wording } from '../../words/wording';
import type { GearSeen } from '../../workers/planWorker';
import { useAsked } from './useAsked';

/** The perspective from a seat of the brief or from above, by day, at night or lit from behind. */
const props = defineProps<Drawing & { width: number; height: number }>();
const SeatView = defineAsyncComponent(() => import('../../drawing/SeatView.vue'));
const commission = useCommission();
const ABOVE = ' above';
const { seats, seatId, seat } = useSeats();

const eye = computed(() =>
  seatId.value === ABOVE
    ? eyeAbove(props.vessel)
    : eyeFrom(props.vessel, seat.value, commission.document?.site?.baseHeightMm),
);
/** What of the gear is seen from there, where there is some inside. */
const { plan, scapeWork } = useFrame();
const { found: seen } = useAsked(
  plan,
  computed(() => (props.gear?.length ? eye.value : undefined)),
  (from) => scapeWork.gearSeen(from),
);
const NOTHING = 0.005;
/** One device in a few words: how much of it is seen, or what hides it. */
function saying({ name, share, hiddenBy }: GearSeen): string {
  const fixed = props.vessel.fixed?.find((f) => f.id === hiddenBy)?.title;
  const by = hiddenBy && ({ bed: 'the bed', chamber: 'its chamber' }[hiddenBy] ?? fixed);
  if (share < NOTHING) return `${name} hidden${hiddenBy ? ` by ${by ?? hiddenBy}` : ''}`;
  return `${name} ${Math.max(1, Math.round(share * 100))} % seen`;
}

const refraction = ref(false);
const light = ref<'day' | 'night' | 'backlit'>('day');
const squint = ref(false);
const planted = ref(true);
const grown = computed(() =>
  commission.document ? halfGrown(commission.document, props.option, props.field) : [],
);
const look = computed(() => ({
  refraction: refraction.value,
  light: light.value,
  plants: planted.value ? grown.value : [],
}));
const view = ref<{ picture: () => Promise<Blob | null> }>();
const taking = ref(false);
const sending = ref(false);
const looking = ref(false);
const picture = async () => (await view.value?.picture()) ?? null;
const seenFrom = computed(() =>
  seatId.value === ABOVE
    ? wording('seatPanel.above')
    : seat.value
      ? wording('seatPanel.seenFrom', { seat: seat.value.name })
      : wording('seatPanel.inFront'),
);
function send(): void {
  looking.value = false;
  sending.value = true;
}
async function save(): Promise<void> {
  taking.value = true;
  const blob = await picture().finally(() => (taking.value = false));
  if (!blob) return;
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = `${commission.document?.title ?? 'scape'}, ${seat.value?.name ?? 'from the seat'}.png`;
  link.click();
  URL.revokeObjectURL(link.href);
}
</script>

<template>
  <div class="head">
    <div class="caption" @pointerdown.stop>
      <span class="from"
        >From
        <label
          ><span class="sr">Seat</span>
          <select v-model="seatId" data-test="seat">
            <option value="">{{ wording('seat.usual') }}</option>
            <option v-for="s in seats" :key="s.id" :value="s.id">{{ s.name }}</option>
            <option :value="ABOVE">above</option>
          </select></label
        ></span
      >
      <!-- Over everything, wherever there is room: the view itself may be smaller than what is chosen here. -->
      <v-menu v-model="looking" :close-on-content-click="false" location="bottom start">
        <template #activator="{ props: opens }">
          <button class="plain looks" v-bind="opens" data-test="looks">Look ▾</button>
        </template>
        <div class="choices">
          <label
            >lit
            <select v-model="light" data-test="seat-light">
              <option value="day">by day</option>
              <option value="night">at night</option>
              <option value="backlit">from behind</option>
            </select></label
          >
          <label><input v-model="planted" type="checkbox" /> planted</label>
          <label
            ><input v-model="refraction" type="checkbox" data-test="refraction" /> bent at the pane</label
          >
          <label><input v-model="squint" type="checkbox" data-test="squint" /> squint: masses only</label>
          <button class="act" data-test="seat-picture" :disabled="taking" @click="save">
            {{ wording(taking ? 'seatPanel.taking' : 'seatPanel.picture') }}
          </button>
          <FileLink :href="api.file(commission.id, 'scape.glb', commission.optionId)" data-test="glb"
            >Scape as GLB</FileLink
          >
          <FileLink :href="api.file(commission.id, 'scape.stl', commission.optionId)">Scape as STL</FileLink>
          <button v-if="may('links')" class="act" data-test="seat-send" @click="send">
            {{ wording('links.title') }}
          </button>
        </div>
      </v-menu>
    </div>
  </div>
  <SeatView
    ref="view"
    :vessel="vessel"
    :option="option"
    :materials="materials"
    :field="field"
    :survey="survey"
    :width="width"
    :height="height"
    :eye="eye"
    :seat-name="seat?.name"
    :from-above="seatId === ABOVE"
    :look="look"
    :squint="squint"
  />
  <v-dialog v-model="sending" width="560">
    <v-card class="send">
      <SendSheet open :picture="picture" :title="commission.document?.title ?? ''" :says="seenFrom" />
    </v-card>
  </v-dialog>
  <ul v-if="seen?.length" class="gear" data-test="gear-seen" title="Without plants, braces and rims">
    <li v-for="g in seen" :key="g.id" :class="{ open: g.share >= NOTHING }">{{ saying(g) }}</li>
  </ul>
</template>

<style scoped>
.head {
  height: 24px;
  position: relative;
  container-type: inline-size;
}
/* Beside a view that is hardly as wide as its name the seat is chosen in large. */
@container (max-width: 150px) {
  .from {
    display: none;
  }
}
/* Beside a narrow view it stands on two lines, which grow upwards. */
.caption {
  position: absolute;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  width: 100%;
  min-height: 24px;
  gap: 0 12px;
  align-items: baseline;
  padding-right: 28px;
}
.from {
  font: italic 15px var(--title);
  white-space: nowrap;
  overflow: hidden;
}
/* For fingers it is as high as they are, and stands on the view. */
@media (pointer: coarse) {
  .caption {
    bottom: -44px;
    z-index: 2;
    flex-wrap: nowrap;
    align-items: center;
    padding-left: 8px;
    background: color-mix(in srgb, var(--paper) 80%, transparent);
  }
}
.gear {
  position: absolute;
  left: 0;
  bottom: 0;
  margin: 0;
  padding: 4px 8px;
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  font: 400 12px var(--text);
  color: var(--ink);
  background: color-mix(in srgb, var(--paper) 88%, transparent);
}
.gear .open {
  font-weight: 600;
}
select {
  font: 400 12px var(--text);
  color: var(--celadon);
  background: none;
  border: 0;
  max-width: 156px;
}
.looks {
  font-size: 12px;
  color: var(--celadon);
}
.send {
  padding: 20px 24px;
}
.choices {
  display: grid;
  gap: 5px;
  padding: 10px 14px;
  white-space: nowrap;
  font: 400 12.5px var(--text);
  background: var(--paper);
  border: 1px solid var(--rule);
}
.choices .act {
  justify-self: start;
}
</style>
