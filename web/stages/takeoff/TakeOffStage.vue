<script setup lang="ts">
import { computed } from 'vue';
import { carriageAsked, comingOf, orderByOf, tooLate } from '../../../core/ordering/order';
import { materialCost } from '../../../core/takeoff/cost';
import type { LineKind, TakeOffLine } from '../../../core/takeoff/line';
import { api } from '../../document/api';
import FileLink from '../../document/FileLink.vue';
import { useCommission } from '../../document/commissionStore';
import { money, useFigures } from '../../units/figures';
import { openLine } from '../../frame/openLine';
import PendingWords from '../../design/PendingWords.vue';
import { useFrame } from '../../frame/planKey';
import LineFromShelf from './LineFromShelf.vue';
import LineSwaps from '../../frame/LineSwaps.vue';
import TakeOffRow from './TakeOffRow.vue';
import { wording } from '../../words/wording';

const commission = useCommission();
const { plan } = useFrame();
const f = useFigures();

const doc = computed(() => commission.document!);
/** What the sum has beyond its lines. */
const carriage = computed(() => (plan.value ? carriageAsked(plan.value.order) : 0));
const TITLES: Record<LineKind, string> = {
  substrate: 'Substrate',
  hardscape: 'Hardscape',
  plants: 'Plants',
  gear: 'Gear',
  consumables: 'Consumables',
};

interface Group {
  kind: LineKind;
  title: string;
  says: string;
  lines: TakeOffLine[];
}
const groups = computed((): Group[] =>
  (Object.keys(TITLES) as LineKind[]).flatMap((kind) => {
    const lines = plan.value?.takeOff.lines.filter((l) => l.kind === kind) ?? [];
    return lines.length ? [{ kind, title: TITLES[kind], says: summary(kind, lines), lines }] : [];
  }),
);

/** What a group comes to, in a few words. */
function summary(kind: LineKind, lines: TakeOffLine[]): string {
  const s = plan.value!.survey;
  const packs = lines.reduce((n, l) => n + l.packs.reduce((m, p) => m + p.count, 0), 0);
  switch (kind) {
    case 'substrate':
      return wording('takeOffStage.bed', { count: lines.length, litres: f.volume(s.bedL), mass: f.mass(s.masses.bedKg) }); // prettier-ignore
    case 'hardscape':
      return wording('takeOffStage.pieces', { count: s.pieces.length, mass: f.mass(s.masses.piecesKg) });
    case 'plants':
      return wording('takeOffStage.plants', { species: lines.length, packs });
    case 'gear':
      return wording('takeOffStage.gear');
    default:
      return wording('takeOffStage.supplies');
  }
}
/** What is still to be ordered. */
const packCount = computed(
  () => plan.value?.order.suppliers.flatMap((s) => s.lines).reduce((n, l) => n + l.count, 0) ?? 0,
);
const late = computed(() => (plan.value ? tooLate(plan.value.order) : new Set<string>()));
/** Lines of which some was taken off the studio's shelf. */
const offShelf = computed(
  () => new Set(plan.value?.shelfOffers.filter((o) => o.took > 0).map((o) => o.line)),
);
</script>

<template>
  <div class="takeoff">
    <header>
      <h1>Take-off</h1>
      <!-- Together, once it is known how much there is: they would move from under a finger. -->
      <template v-if="plan">
        <p class="quiet">
          {{ wording('takeOffStage.head', { lines: plan.takeOff.lines.length }) }}
        </p>
        <FileLink class="csv" :href="api.file(commission.id, 'takeoff.csv', commission.optionId)"
          >CSV</FileLink
        >
        <router-link class="act" :to="`/c/${commission.id}/quote`" data-test="to-quote">{{
          wording('takeOffStage.quote')
        }}</router-link>
        <router-link class="act" :to="`/c/${commission.id}/order`">{{
          wording('takeOffStage.order', { count: packCount })
        }}</router-link>
      </template>
    </header>
    <PendingWords v-if="!plan" :says="wording('takeOffStage.working')" />
    <table v-if="plan">
      <thead>
        <tr>
          <th>Item</th>
          <th class="right">Measured</th>
          <th class="right">Needed</th>
          <th class="packs">Packs</th>
          <th>From</th>
          <th class="right">Order by</th>
          <th class="right">Price</th>
        </tr>
      </thead>
      <tbody v-for="g in groups" :key="g.kind">
        <tr class="group">
          <td colspan="7">
            <h2>{{ g.title }}</h2>
            <span class="quiet">{{ g.says }}</span>
          </td>
        </tr>
        <TakeOffRow
          v-for="l in g.lines"
          :key="l.id"
          :line="l"
          :commission="doc"
          :order-by="orderByOf(plan.order, l.id)"
          :coming="comingOf(plan.order, l.id)"
          :late="late.has(l.id)"
          :open="openLine === l.id"
          :from-shelf="offShelf.has(l.id)"
          @toggle="openLine = openLine === l.id ? undefined : l.id"
        >
          <template #default="{ material }">
            <LineFromShelf :line="l" />
            <LineSwaps :material="material" />
          </template>
        </TakeOffRow>
      </tbody>
      <tfoot>
        <tr>
          <td colspan="6" class="right">
            material, without labour<template v-if="carriage"
              >, {{ wording('takeOffStage.carriage', { cost: money(carriage, doc.currency) }) }}</template
            >&ensp;
          </td>
          <td class="right">
            <b class="fig">{{ f.words(materialCost(plan.takeOff, doc.currency, plan.order.totalMinor)) }}</b>
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.takeoff {
  padding: 16px 30px 40px;
}
@media (max-width: 1150px) {
  .takeoff {
    padding: 14px 18px 40px;
  }
}
header {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
.csv {
  margin-left: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 10px;
}
th {
  text-align: left;
  font-weight: 400;
  font-size: 12px;
  color: var(--ink-2);
  padding: 6px 8px 8px 0;
  border-bottom: 1.5px solid var(--ink);
}
th.packs {
  padding-left: 14px;
}
th.right,
td.right {
  text-align: right;
}
.group td {
  padding: 13px 0 5px;
}
.group h2 {
  display: inline;
  font-size: 17px;
  margin-right: 10px;
}
tfoot td {
  padding: 10px 0;
}
@media (max-width: 700px) {
  .takeoff {
    padding: 12px 16px 40px;
  }
  header {
    flex-wrap: wrap;
    gap: 2px 16px;
  }
  thead {
    display: none;
  }
  table,
  tbody,
  tfoot,
  .group,
  .group td {
    display: block;
  }
}
</style>
