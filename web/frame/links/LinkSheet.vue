<script setup lang="ts">
import type { SheetView } from '../../../core/commission/sheetView';
import { longDay } from '../../units/days';
import { wording } from '../../words/wording';

/** A sheet that was handed out, as it stood on its day: to read, and to tick off on paper. */
defineProps<{
  view: SheetView;
  /** Addresses of its pictures, by their ids. */
  pictures: Readonly<Record<string, string>>;
}>();
const print = () => window.print();
</script>

<template>
  <article class="on-paper sheet" data-test="link-sheet">
    <p class="asof">
      {{ wording('linkPage.asOf', { day: longDay(view.made) }) }}
      <template v-if="view.studio"> {{ [view.studio, view.phone].filter(Boolean).join(', ') }}</template>
      <button class="act screen-only" @click="print">{{ wording('linkPage.print') }}</button>
    </p>
    <template v-for="(b, i) in view.blocks" :key="i">
      <h1 v-if="b.as === 'h1'">{{ b.text }}</h1>
      <h2 v-else-if="b.as === 'h2'">{{ b.text }}</h2>
      <div v-else-if="b.as === 'table'" class="wide">
        <table>
          <tbody>
            <tr v-for="(row, r) in b.rows" :key="r">
              <td v-for="(cell, c) in row" :key="c">{{ cell }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <template v-else-if="b.as === 'picture'"
        ><img v-if="pictures[b.id]" :src="pictures[b.id]" :alt="b.says"
      /></template>
      <p v-else-if="b.as === 'tick'" class="tick">
        <i />
        <span v-if="b.when" class="when">{{ b.when }}</span>
        <span><b>{{ b.text }}</b> {{ b.how }} <em v-if="b.caution">{{ b.caution }}</em></span>
      </p>
      <p v-else :class="b.as">{{ b.text }}</p>
    </template>
  </article>
</template>

<style scoped>
.sheet {
  padding: 26px 34px 34px;
  border: 1px solid var(--rule);
  background: var(--paper);
}
h2 {
  margin: 16px 0 4px;
}
p {
  margin: 0 0 6px;
}
.asof {
  font: italic 400 13px var(--title);
  color: var(--ink-2);
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: baseline;
}
.tick {
  display: grid;
  grid-template-columns: 14px 150px 1fr;
  column-gap: 10px;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
.tick i {
  width: 12px;
  height: 12px;
  margin-top: 4px;
  border: 1.4px solid var(--ink);
}
.tick em {
  display: block;
  font-style: normal;
  color: var(--warn);
}
.li {
  padding-left: 18px;
}
.wide {
  overflow-x: auto;
}
td {
  border-bottom: 1px solid var(--rule);
  padding: 3px 10px 3px 0;
  vertical-align: top;
}
img {
  display: block;
  max-width: 100%;
}
@media (max-width: 700px) {
  .sheet {
    padding: 16px;
  }
  .tick {
    grid-template-columns: 14px 1fr;
  }
  .tick span {
    grid-column: 2;
  }
}
@media print {
  .sheet {
    border: 0;
    padding: 0;
  }
}
</style>
