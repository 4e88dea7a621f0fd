<script setup lang="ts">
import { computed } from 'vue';
import type { LineKind } from '../../../core/takeoff/line';
import PendingWords from '../../design/PendingWords.vue';
import { useCommission } from '../../document/commissionStore';
import { useFrame } from '../../frame/planKey';
import { longDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import ShoppingRow from './ShoppingRow.vue';

/** What is bought in the hand, for a telephone in a shop: by shop and aisle, with what is left of the budget above. */
const commission = useCommission();
const { plan } = useFrame();
const f = useFigures();
const shopping = computed(() => plan.value?.shopping);
const sum = (minor: number) => money(minor, commission.document!.currency);
const AISLES: Record<LineKind, string> = {
  substrate: wording('shopping.substrate'),
  hardscape: wording('shopping.hardscape'),
  plants: wording('shopping.plants'),
  gear: wording('shopping.gear'),
  consumables: wording('shopping.consumables'),
};
</script>

<template>
  <div class="shopping">
    <header>
      <h1>{{ wording('shopping.title') }}</h1>
      <p v-if="!shopping" class="quiet">&nbsp;</p>
      <p v-else class="quiet" data-test="running">
        {{ wording('shopping.paid', { paid: sum(shopping.paidMinor) })
        }}<template v-if="shopping.leftMinor !== undefined"
          >,
          <b :class="{ over: shopping.leftMinor < 0 }">{{
            shopping.leftMinor < 0
              ? wording('shopping.over', { over: sum(-shopping.leftMinor) })
              : wording('shopping.left', { left: sum(shopping.leftMinor) })
          }}</b></template
        >
      </p>
      <router-link class="act" :to="`/c/${commission.id}/order`">{{ wording('shopping.back') }}</router-link>
    </header>
    <PendingWords v-if="!shopping" :says="wording('orderStage.working')" />
    <p v-else-if="shopping.shops.length === 0" class="quiet">{{ wording('shopping.none') }}</p>
    <section v-for="s in shopping?.shops" :key="s.supplier" :data-shop="s.supplier">
      <h2>{{ s.name }} <span class="quiet">{{ sum(s.totalMinor) }}</span></h2>
      <p class="quiet">
        {{ s.by ? wording('shopping.by', { day: longDay(s.by) }) : wording('shopping.all')
        }}<template v-if="s.open"
          >, {{ wording('shopping.open', { from: s.open[0], until: s.open[1] }) }}</template
        >
      </p>
      <template v-for="a in s.aisles" :key="a.kind">
        <h3>{{ AISLES[a.kind] }}</h3>
        <ShoppingRow
          v-for="l in a.lines"
          :key="l.line"
          :line="l"
          :supplier="s.supplier"
          :name="f.words(l.name)"
        />
      </template>
    </section>
  </div>
</template>

<style scoped>
.shopping {
  padding: 16px 30px 60px;
  max-width: 760px;
}
header {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--ash);
  padding-bottom: 6px;
}
section {
  border-top: 1.5px solid var(--ink);
  padding: 8px 0 14px;
}
h2 span {
  font: 400 15px var(--text);
}
h3 {
  font: 500 15px var(--title);
  color: var(--ink-2);
  margin: 10px 0 2px;
}
.over {
  color: var(--warn);
}
@media (max-width: 700px) {
  .shopping {
    padding: 10px 16px 60px;
  }
}
</style>
