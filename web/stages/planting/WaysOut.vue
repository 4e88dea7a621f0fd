<script setup lang="ts">
import type { Planted } from '../../../core/planted/planted';
import type { WayOut } from '../../../core/planted/waysOut';
import { shortDay } from '../../units/days';
import { money, useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** Where the packs leave a part bare: what can be done, what it costs more, and when it then closes. */
defineProps<{ part: Planted; currency: string }>();
defineEmits<{ take: [way: WayOut] }>();
const f = useFigures();
</script>

<template>
  <section class="out" data-test="ways-out">
    <b class="late">{{ wording('waysOut.short', { count: part.missing }) }}</b>
    <button v-for="w in part.waysOut" :key="w.kind" class="act" :data-way="w.kind" @click="$emit('take', w)">
      {{ f.words(w.says)
      }}<small class="quiet">
        {{ w.priceMinor ? `${money(w.priceMinor, currency, true)}, ` : ''
        }}{{ w.on === undefined ? 'does not close' : `closes ${shortDay(w.on)}` }}
      </small>
    </button>
  </section>
</template>

<style scoped>
.out {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  border-left: 3px solid var(--warn);
  padding-left: 8px;
  margin: 6px 0;
}
.act {
  text-align: left;
  padding: 2px 0;
}
small {
  margin-left: 6px;
  font-weight: 400;
}
</style>
