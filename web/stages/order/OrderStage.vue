<script setup lang="ts">
import { useIntervalFn, useTimeout, whenever } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { toSettle } from '../../../core/words/finding';
import { settleBy } from '../../../core/words/settleBy';
import type { ComingLine } from '../../../core/ordering/coming';
import { materialCost } from '../../../core/takeoff/cost';
import PendingWords from '../../design/PendingWords.vue';
import { api, type SentOrder, type Word } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { useCommission } from '../../document/commissionStore';
import { useStudio } from '../../document/studioStore';
import { may } from '../../document/people';
import { longDay, today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { useFrame } from '../../frame/planKey';
import AfterBuild from './AfterBuild.vue';
import BuyingBar from './BuyingBar.vue';
import MoodPanel from './MoodPanel.vue';
import OrderPreview from './OrderPreview.vue';
import OrderTimeline from './OrderTimeline.vue';
import SupplierOrderCard from './SupplierOrderCard.vue';
import TodaysPrices from './TodaysPrices.vue';
import { useTodaysPrices } from './useTodaysPrices';
import { useWays } from './useWays';
import { usePreferences } from '../../units/preferences';
import { wording } from '../../words/wording';

const commission = useCommission();
const preferences = usePreferences();
const { words } = useFigures();
const { plan, orders, reloadOrders } = useFrame();
const fault = ref('');
const print = () => window.print();

const order = computed(() => plan.value?.order);
const { buying, isKnown: areWaysKnown } = useWays();
const { others, isKnown: arePricesKnown } = useTodaysPrices(order);
const studio = useStudio();
void studio.load();
/** For so long, once there is an order, what the server has to say of prices and terms is waited for. */
const ASIDE_MS = 1_000;
const { ready: isWaitedFor, start } = useTimeout(ASIDE_MS, { controls: true, immediate: false });
whenever(order, () => start(), { immediate: true, once: true });
/** What stands above the suppliers is there before them: it would push from under a finger what is about to be pressed. */
const isWhole = computed(() => {
  if (!order.value || !may('prices')) return order.value !== undefined;
  return areWaysKnown.value && (isWaitedFor.value || (arePricesKnown.value && studio.studio !== undefined));
});
/** What was sent to a supplier; the server lists the newest first. */
const sentTo = (supplier: string): SentOrder[] => orders.value.filter((o) => o.supplier === supplier);

/** The supplier to whom something is about to be sent. */
const previewed = ref<string>();
const preview = computed(() => order.value?.suppliers.find((s) => s.supplier === previewed.value));
/** What ought to be settled before anything is ordered. */
const before = computed(() => toSettle(plan.value?.findings ?? []).filter((f) => settleBy(f) === 'order'));

/** While an answer is out, it is looked for every second. */
const poll = useIntervalFn(reloadOrders, 1_000, { immediate: false });
watch(orders, (list) => (list.some((o) => o.state === 'sending') ? poll.resume() : poll.pause()), {
  immediate: true,
});

const send = (supplier: string) =>
  noted(async () => {
    previewed.value = undefined;
    // What is ordered is what the server has: the last edit goes there first.
    await commission.flush();
    await api.sendOrder(commission.id, supplier, commission.document!.chosen, today());
  });

/** What was sent by mail, or said on the telephone; the supplier's word is typed when it comes. */
const sendByHand = (supplier: string) =>
  noted(async () => {
    previewed.value = undefined;
    await commission.flush();
    await api.sentByHand(commission.id, supplier, commission.document!.chosen, today());
  });
const confirmed = (reference: string, said: Word) =>
  noted(() => api.confirmedByWord(commission.id, reference, said));
const takeInstead = ({ reference, line, pack }: ComingLine) =>
  noted(() => api.takeInstead(commission.id, reference, { item: line, pack }, today()));
const withdraw = (reference: string) => noted(() => api.withdrawOrder(commission.id, reference));

async function noted(work: () => Promise<unknown>): Promise<void> {
  fault.value = '';
  try {
    await work();
    await reloadOrders();
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <div class="order">
    <header>
      <h1>Order</h1>
      <template v-if="order && isWhole">
        <p class="quiet">
          {{
            wording('orderStage.suppliers', { count: order.suppliers.length, day: longDay(order.buildDay) })
          }}
        </p>
        <button class="act dates screen-only" @click="print">Print</button>
        <router-link
          v-if="plan?.shopping.shops.length && may('prices')"
          class="act screen-only"
          :to="`/c/${commission.id}/shopping`"
          >{{ wording('supplierOrderCard.shopping') }}</router-link
        >
        <FileLink
          class="screen-only"
          :href="api.calendar(commission.id, commission.document!.chosen, preferences)"
          >Dates for the calendar</FileLink
        >
      </template>
    </header>
    <p v-if="fault" class="late" role="alert">{{ fault }}</p>
    <PendingWords v-if="!isWhole" :says="wording('orderStage.working')" />
    <template v-if="order && isWhole">
      <OrderTimeline :order="order" :beforehand="plan!.build.beforehand" />
      <template v-if="may('prices')">
        <BuyingBar :buying="buying" />
        <TodaysPrices :others="others" />
      </template>
      <SupplierOrderCard
        v-for="s in order.suppliers"
        :key="s.supplier"
        :group="s"
        :sent="sentTo(s.supplier)"
        :currency="commission.document!.currency"
        :findings="order.findings.filter((f) => f.at.supplier === s.supplier)"
        @order="previewed = s.supplier"
        @again="send(s.supplier)"
        @withdraw="withdraw"
        @confirmed="confirmed"
        @instead="takeInstead"
      />
      <p v-if="order.unpriced.length && may('prices')" class="quiet">
        {{ wording('orderStage.unpriced', { names: order.unpriced.map((u) => words(u.name)).join('; ') }) }}
      </p>
      <p v-if="may('prices')" class="total">
        Material
        <b class="fig">{{
          words(materialCost(plan!.takeOff, commission.document!.currency, order.totalMinor))
        }}</b>
      </p>
      <AfterBuild v-if="order.buildDay <= today() && may('studio')" />
      <MoodPanel :suppliers="order.suppliers" />
    </template>
    <OrderPreview
      v-if="preview"
      :group="preview"
      :currency="commission.document!.currency"
      :before="before"
      @send="send(preview.supplier)"
      @by-hand="sendByHand(preview.supplier)"
      @close="previewed = undefined"
    />
  </div>
</template>

<style scoped>
.order {
  padding: 16px 30px 40px;
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
@media (max-width: 700px) {
  .order {
    padding: 12px 16px 40px;
  }
  header {
    flex-wrap: wrap;
    gap: 2px 16px;
  }
}
.dates {
  margin-left: auto;
}
.total {
  text-align: right;
  padding-top: 12px;
}
</style>
