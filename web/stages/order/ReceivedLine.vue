<script setup lang="ts">
import { computed } from 'vue';
import { RECEIVED_AT } from '../../../core/commission/receivedSchema';
import { withoutReceived, withReceived } from '../../../core/edits/received';
import type { ComingLine } from '../../../core/ordering/coming';
import { useCommission } from '../../document/commissionStore';
import { api } from '../../document/api';
import { usePhotograph } from '../../document/photograph';
import FigureField from '../../document/FigureField.vue';
import { today } from '../../units/days';
import { wording } from '../../words/wording';

/** One line of a parcel as it was counted: how many came, what of them is broken or dead, and where they are now. */
const props = defineProps<{ coming: ComingLine; living: boolean }>();
const commission = useCommission();
const r = computed(() => props.coming.received!);
const line = computed(() => ({
  reference: props.coming.reference,
  item: props.coming.line,
  pack: props.coming.pack,
}));
const set = (change: Parameters<typeof withReceived>[2]) =>
  commission.tryEdit(`received ${props.coming.line} ${Object.keys(change)[0]}`, (d) =>
    withReceived(d, line.value, change, today()),
  );
const { fault, take, waiting } = usePhotograph('received', () => ({
  kind: 'received',
  line: line.value,
  day: today(),
}));
const photograph = (event: Event) => take(event, props.coming.pack);
function back(): void {
  commission.endStep();
  commission.edit(`not received ${props.coming.line}`, (d) => withoutReceived(d, line.value));
}
const PLACES = { studio: wording('receivedLine.studio'), site: wording('receivedLine.site') } as const;
</script>

<template>
  <div class="received" :data-received="coming.line">
    <FigureField
      :label="wording('receivedLine.came')"
      kind="plain"
      :value="r.came"
      :apply="(came) => set({ came: came ?? 0 })"
      data-test="came"
    />
    <FigureField
      :label="wording('receivedLine.broken')"
      kind="plain"
      optional
      :value="r.broken"
      :apply="(broken) => set({ broken: broken || undefined })"
      data-test="broken"
    />
    <FigureField
      v-if="living"
      :label="wording('receivedLine.dead')"
      kind="plain"
      optional
      :value="r.dead"
      :apply="(dead) => set({ dead: dead || undefined })"
      data-test="dead"
    />
    <label class="where"
      ><span>{{ wording('receivedLine.where') }}</span>
      <select
        :value="r.at ?? ''"
        data-test="received-at"
        @change="void set({ at: RECEIVED_AT.find((p) => p === ($event.target as HTMLSelectElement).value) })"
      >
        <option value="">{{ wording('receivedLine.unsaid') }}</option>
        <option v-for="p in RECEIVED_AT" :key="p" :value="p">{{ PLACES[p] }}</option>
      </select></label
    >
    <label class="act" data-test="received-photo"
      >{{ wording('receivedLine.photo')
      }}<input type="file" accept="image/*" capture="environment" class="sr" @change="photograph"
    /></label>
    <button class="act" @click="back">{{ wording('receivedLine.back') }}</button>
    <p v-if="fault" class="late">{{ fault }}</p>
    <p v-if="waiting" class="quiet" role="status" data-test="photo-waits">{{ waiting }}</p>
    <img
      v-if="r.photo"
      :src="api.pictureUrl(commission.id, r.photo)"
      :alt="wording('receivedLine.photo')"
      loading="lazy"
    />
  </div>
</template>

<style scoped>
.received {
  display: grid;
  grid-template-columns: 80px 80px 80px minmax(110px, 1fr) auto auto;
  gap: 0 14px;
  align-items: end;
}
img {
  grid-column: 1 / -1;
  max-height: 140px;
}
.where span {
  display: block;
  font-size: 12px;
  color: var(--ink-2);
}
select {
  width: 100%;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  min-height: 36px;
}
@media (max-width: 700px) {
  .received {
    grid-template-columns: repeat(3, 1fr);
  }
  .where {
    grid-column: 1 / 3;
  }
  select {
    min-height: 44px;
  }
}
</style>
