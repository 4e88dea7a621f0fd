<script setup lang="ts">
import { computed } from 'vue';
import { plantIn } from '../../../core/catalogue/entries';
import { SMALL_KINDS } from '../../../core/commission/catalogueSchema';
import type { Commission, Origin } from '../../../core/commission/schema';
import type { ComingLine } from '../../../core/ordering/coming';
import type { TakeOffLine } from '../../../core/takeoff/line';
import { colourOf } from '../../drawing/colour';
import { shortDay, weekDay } from '../../units/days';
import { wording } from '../../words/wording';
import { money, useFigures } from '../../units/figures';
import LinePrice from './LinePrice.vue';

const props = defineProps<{
  line: TakeOffLine;
  commission: Commission;
  orderBy?: string;
  late: boolean;
  /** What suppliers have confirmed of it. */
  coming?: readonly ComingLine[];
  open: boolean;
  /** Some of it was taken off the studio's shelf. */
  fromShelf?: boolean;
}>();
defineEmits<{ toggle: [] }>();
const f = useFigures();

const material = computed(() => props.commission.catalogue.materials.find((m) => m.id === props.line.id));
const plant = computed(() => plantIn(props.commission, props.line.id));
/** Small things and gear have no colour of their own in a drawing. */
const NO_COLOUR: readonly string[] = [...SMALL_KINDS, 'equipment'];
const colour = computed(
  () =>
    plant.value?.colour ??
    (material.value && NO_COLOUR.includes(material.value.kind) ? 'var(--clay-2)' : colourOf(material.value)),
);
/** Where that comes from which nobody sells. */
const OWN: Record<Origin, string> = {
  bought: '',
  stock: 'own yard',
  client: 'the client',
  here: 'in the tank',
};
const from = computed(() => {
  const packs = (plant.value ?? material.value)?.packs ?? [];
  const ids = new Set(props.line.packs.map((c) => packs.find((p) => p.id === c.pack)?.supplier));
  const names = props.commission.catalogue.suppliers.filter((s) => ids.has(s.id)).map((s) => s.name);
  const own = [...props.line.origins.map((o) => (o === 'stock' && plant.value ? 'own plants' : OWN[o])), props.fromShelf ? 'own shelf' : ''].filter(Boolean).join(', '); // prettier-ignore
  return (
    [names.join(', '), own].filter(Boolean).join('; ') || (props.line.priced ? '' : 'not in the catalogue')
  );
});
/** The day on which all of it is there. */
const comes = computed(() => {
  const days = (props.coming ?? []).flatMap((c) => (c.given > 0 && c.day ? [c.day] : []));
  return days.length > 0 ? `comes ${shortDay(days.sort().at(-1)!)}` : '';
});
const isUnpriced = computed(() => !props.line.priced && props.line.needed.value > 0);
/** Money where packs are bought; what nobody has priced costs something, too. */
const price = computed(() => {
  if (props.line.packs.length > 0) return money(props.line.priceMinor, props.commission.currency);
  return isUnpriced.value ? 'no price' : '–';
});
const figure = (value: number, unit: string) => f.shown(value, unit, unit === 'm²' ? 3 : undefined);
const measured = computed(() => figure(props.line.measured.value, props.line.measured.unit));
const needed = computed(() => figure(props.line.needed.value, props.line.needed.unit));
const signed = (value: number, unit: string) => {
  const { text, unit: u } = figure(Math.abs(value), unit);
  return `${value < 0 ? '− ' : ''}${text} ${u}`;
};
</script>

<template>
  <tr class="line" :class="{ open }" :data-line="line.id" @click="$emit('toggle')">
    <td>
      <button
        class="plain name"
        :aria-expanded="open"
        :title="open ? 'Close the workings' : 'Open the workings'"
      >
        <i :style="{ background: colour }" /><em v-if="plant">{{ f.words(line.name) }}</em
        ><span v-else>{{ f.words(line.name) }}</span>
      </button>
    </td>
    <td class="right">{{ measured.text }} <span class="unit">{{ measured.unit }}</span></td>
    <td class="right">{{ needed.text }} <span class="unit">{{ needed.unit }}</span></td>
    <td class="packs">
      <b>{{ line.packWords ? f.words(line.packWords) : '–' }}</b>
    </td>
    <td>{{ from }}</td>
    <td class="right" :class="{ late }">
      {{ orderBy ? shortDay(orderBy) : comes }}<template v-if="late">, too late</template>
    </td>
    <td class="right" :class="{ quiet: !line.packs.length }">{{ price }}</td>
  </tr>
  <tr v-if="open" class="workings" data-test="workings">
    <td colspan="7">
      <ol>
        <li
          v-for="(w, i) in line.workings"
          :key="i"
          :class="{ last: i === line.workings.length - 1 && line.packs.length }"
        >
          <b>{{ signed(w.value, w.unit) }}</b><span>{{ f.words(w.step) }}</span
          ><small v-if="w.note" class="quiet">{{ f.words(w.note) }}</small>
        </li>
      </ol>
      <p v-for="(c, i) in coming" :key="i" class="comes" data-test="comes">
        <b>{{ f.words(c.packWords) }}</b>
        {{
          c.day
            ? wording('takeOffRow.comes', { reference: c.supplierReference, day: weekDay(c.day) })
            : wording('takeOffRow.noDay', { reference: c.supplierReference })
        }}
      </p>
      <LinePrice v-if="material && isUnpriced" :material="material" />
      <slot v-if="material && line.held > 0" :material="material" />
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: 6px 8px 6px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: baseline;
  line-height: 1.35;
}
td.right {
  white-space: nowrap;
  text-align: right;
}
.line {
  cursor: pointer;
}
.line:hover .name {
  color: var(--celadon);
}
.line.open td {
  background: var(--paper);
  border-bottom: 0;
}
.line.open .name {
  font-weight: 600;
}
.name {
  display: flex;
  gap: 9px;
  align-items: baseline;
}
.name i {
  width: 10px;
  height: 10px;
  flex: none;
}
.packs {
  white-space: nowrap;
  padding-left: 14px;
}
.workings td {
  background: var(--paper);
  padding: 4px 0 14px 19px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  row-gap: 10px;
}
li {
  display: flex;
  flex-direction: column;
  padding: 0 11px;
  border-left: 1px solid var(--clay-2);
  max-width: 152px;
  font-size: 12.5px;
  line-height: 1.35;
}
li:first-child {
  border: 0;
  padding-left: 0;
}
li b {
  font-size: 15px;
  white-space: nowrap;
}
li.last b,
li.last span {
  color: var(--celadon);
}
@media (max-width: 700px) {
  .line {
    display: grid;
    grid-template-columns: 1fr 1fr auto;
    column-gap: 12px;
    padding: 7px 0;
    border-bottom: 1px solid var(--rule);
  }
  .line td {
    padding: 0;
    border: 0;
    text-align: left;
  }
  .line td:first-child {
    grid-column: 1 / 4;
  }
  .line td:last-child,
  .line td:nth-child(4) {
    text-align: right;
  }
  .workings td {
    padding: 4px 0 14px;
  }
}
</style>
