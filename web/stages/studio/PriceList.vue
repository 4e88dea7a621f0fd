<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { priceIn, type DecimalSign } from '../../../core/catalogue/listFigures';
import type { KeptList, ListShape, PriceAnswer } from '../../../core/catalogue/priceList';
import { prices } from '../../document/prices';
import { shortDay, today } from '../../units/days';
import { money } from '../../units/figures';
import { wording } from '../../words/wording';
import ColumnMatch from './ColumnMatch.vue';
import PriceReportSheet from './PriceReportSheet.vue';

/** A supplier's price list: taken in as a file, its columns matched once, its changes looked at before any is taken. */
const props = defineProps<{ supplier: string; currency: string; kept?: KeptList }>();
const emit = defineEmits<{ taken: [] }>();
const file = shallowRef<File>();
const shape = shallowRef<ListShape>();
const answer = shallowRef<PriceAnswer>();
/** How far it is; nothing of it while the file is on its way. */
const read = ref<{ done: number; of: number }>();
const isBusy = ref(false);
const said = ref('');

function choose(event: Event): void {
  const input = event.target as HTMLInputElement;
  [file.value, shape.value, said.value] = [input.files?.[0], undefined, ''];
  input.value = '';
  if (file.value) void send();
}

async function send(take?: string): Promise<void> {
  [isBusy.value, read.value] = [true, undefined];
  try {
    const told = (done: number, of: number) => (read.value = { done, of });
    show(await prices.send(props.supplier, file.value!, { today: today(), shape: shape.value, take }, told));
  } catch (error) {
    said.value = error instanceof Error ? error.message : String(error);
    answer.value = undefined;
  } finally {
    isBusy.value = false;
  }
}

function show(found: PriceAnswer): void {
  answer.value = found.kind === 'refused' || found.kind === 'taken' ? undefined : found;
  if (found.kind === 'refused') said.value = found.says;
  if (found.kind === 'report') shape.value = found.report.shape;
  if (found.kind === 'sign') shape.value = { columns: found.columns };
  if (found.kind !== 'taken') return;
  said.value = wording('priceList.taken', found);
  file.value = undefined;
  emit('taken');
}

function matched(columns: ListShape['columns']): void {
  shape.value = { columns };
  void send();
}
function signed(sign: DecimalSign): void {
  shape.value = { columns: {}, ...shape.value, sign };
  void send();
}
const leave = () => ([file.value, answer.value, said.value] = [undefined, undefined, '']);

/** What the first price that may be two would be, each way. */
const readings = computed(() =>
  answer.value?.kind === 'sign'
    ? (['.', ','] as const).flatMap((sign) => {
        const price = (answer.value as { open: string[] }).open.find(
          (p) => typeof priceIn(p, sign, props.currency) === 'number',
        );
        const minor = price === undefined ? undefined : priceIn(price, sign, props.currency);
        return typeof minor === 'number'
          ? [
              {
                sign,
                says: wording('priceList.signIs', { price: price!, money: money(minor, props.currency) }),
              },
            ]
          : [];
      })
    : [],
);
const open = computed(() =>
  answer.value?.kind === 'sign' ? answer.value.open.map((p) => `“${p}”`).join(', ') : '',
);
const standing = computed(() =>
  props.kept
    ? wording('priceList.kept', { day: shortDay(props.kept.listedOn), lines: props.kept.lines })
    : wording('priceList.none'),
);
</script>

<template>
  <div class="list" :data-prices="supplier">
    <p>
      <span class="quiet">{{ standing }}</span>
      <label class="act">
        <input type="file" accept=".csv,text/csv,.txt" class="sr" data-test="prices-in" @change="choose" />
        {{ wording('priceList.takeIn') }}
      </label>
    </p>
    <div v-if="isBusy" class="busy" role="status">
      <progress :value="read?.done" :max="read?.of"></progress>
      {{ read ? wording('priceList.reading', read) : wording('priceList.sending') }}
    </div>
    <p v-if="said" role="status" data-test="prices-said">{{ said }}</p>
    <ColumnMatch
      v-if="answer?.kind === 'columns'"
      :headings="answer.headings"
      :sample="answer.sample"
      :guess="answer.guess"
      :missing="answer.missing"
      @match="matched"
      @leave="leave"
    />
    <div v-else-if="answer?.kind === 'sign'" class="sheet" data-test="prices-sign">
      <p>{{ wording('priceList.sign', { open }) }}</p>
      <p class="row">
        <button v-for="r in readings" :key="r.sign" class="solid" :data-sign="r.sign" @click="signed(r.sign)">
          {{ r.says }}
        </button>
        <button class="act" @click="leave">{{ wording('priceList.leave') }}</button>
      </p>
    </div>
    <PriceReportSheet
      v-else-if="answer?.kind === 'report'"
      :report="answer.report"
      :currency="currency"
      :busy="isBusy"
      @take="(digest) => void send(digest)"
      @leave="leave"
    />
  </div>
</template>

<style scoped>
.list {
  flex: 1 1 100%;
  min-width: 0;
}
.list > p,
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  margin: 2px 0;
}
.busy {
  display: flex;
  gap: 14px;
  align-items: center;
}
progress {
  accent-color: var(--celadon);
  width: 220px;
}
.sheet {
  background: var(--paper);
  padding: 10px 16px 12px;
}
</style>
