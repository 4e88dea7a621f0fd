<script setup lang="ts">
import { computed } from 'vue';
import { shareOf, type Repriced } from '../../../core/catalogue/priceChanges';
import type { PriceReport } from '../../../core/catalogue/priceList';
import { decimal, money } from '../../units/figures';
import { wording } from '../../words/wording';

/** What a price list would change: first of what the studio buys, then of all of it, with every line that was not read. */
const props = defineProps<{ report: PriceReport; currency: string; busy: boolean }>();
const emit = defineEmits<{ take: [digest: string]; leave: [] }>();

const percent = (share: number) =>
  Number.isFinite(share) ? `${share > 0 ? '+' : '−'}${decimal(Math.abs(share) * 100, 1)} %` : '';
const changed = (r: Repriced) =>
  wording('priceList.changed', {
    was: money(r.wasMinor, props.currency),
    is: money(r.isMinor, props.currency),
    share: percent(shareOf(r)),
  });
interface Line {
  key: string;
  name: string;
  says: string;
}
const repriced = (all: readonly Repriced[]): Line[] =>
  all.map((r) => ({ key: r.article, name: r.pack ? `${r.name}, ${r.pack}` : r.name, says: changed(r) }));
const resized = (all: PriceReport['resized']['some']): Line[] =>
  all.map((r) => ({ key: r.article, name: r.name, says: wording('priceList.resizedTo', { was: r.was, is: r.is }) })); // prettier-ignore
const gone = (all: PriceReport['gone']['some']): Line[] =>
  all.map((g) => ({ key: g.article, name: g.name, says: wording('priceList.goneNow') }));

const own = computed((): Line[] => {
  const { used } = props.report;
  return [...repriced(used.dearer), ...repriced(used.cheaper), ...resized(used.resized), ...gone(used.gone)];
});
const groups = computed(() => {
  const { dearer, cheaper, fresh, gone: left, resized: other, bad } = props.report;
  return [
    {
      key: 'dearer',
      title: wording('priceList.dearer', dearer),
      count: dearer.count,
      lines: repriced(dearer.some),
    },
    {
      key: 'cheaper',
      title: wording('priceList.cheaper', cheaper),
      count: cheaper.count,
      lines: repriced(cheaper.some),
    },
    {
      key: 'fresh',
      title: wording('priceList.fresh', fresh),
      count: fresh.count,
      lines: fresh.some.map((l) => ({
        key: l.article,
        name: l.name,
        says: money(l.priceMinor, props.currency),
      })),
    },
    { key: 'gone', title: wording('priceList.gone', left), count: left.count, lines: gone(left.some) },
    {
      key: 'resized',
      title: wording('priceList.resized', other),
      count: other.count,
      lines: resized(other.some),
    },
    {
      key: 'bad',
      title: wording('priceList.bad', bad),
      count: bad.count,
      lines: bad.some.map((b) => ({ key: String(b.line), name: '', says: wording('priceList.badLine', b) })),
    },
  ] as const;
});
const summary = computed(() => {
  const { lines, same, middle } = props.report;
  return wording('priceList.report', {
    lines,
    same,
    middle: middle === undefined ? 'none' : percent(middle),
  });
});
</script>

<template>
  <div class="sheet" data-test="prices-report">
    <p>{{ summary }}</p>
    <h3>{{ wording('priceList.used') }}</h3>
    <p v-if="own.length === 0" class="quiet">{{ wording('priceList.usedNone') }}</p>
    <ul data-test="prices-used">
      <li v-for="l in own" :key="l.key"><b>{{ l.name }}</b> <span>{{ l.says }}</span></li>
    </ul>
    <div class="groups">
      <details v-for="g in groups.filter((x) => x.count > 0)" :key="g.key" :data-group="g.key">
        <summary class="act">{{ g.title }}</summary>
        <ul>
          <li v-for="l in g.lines" :key="l.key">
            <span v-if="l.name">{{ l.name }}</span> <span class="quiet">{{ l.says }}</span>
          </li>
          <li v-if="g.count > g.lines.length" class="quiet">
            {{ wording('priceList.more', { count: g.count - g.lines.length }) }}
          </li>
        </ul>
      </details>
    </div>
    <p class="row">
      <button class="solid" :disabled="busy" data-test="prices-take" @click="emit('take', report.digest)">
        {{ wording('priceList.take') }}
      </button>
      <button class="act" @click="emit('leave')">{{ wording('priceList.leave') }}</button>
    </p>
  </div>
</template>

<style scoped>
.sheet {
  background: var(--paper);
  padding: 10px 16px 12px;
}
h3 {
  margin: 8px 0 2px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 300px;
  overflow: auto;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 18px;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
  font-variant-numeric: tabular-nums;
}
.groups {
  margin: 8px 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
}
</style>
