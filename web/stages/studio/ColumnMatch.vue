<script setup lang="ts">
import { computed, ref } from 'vue';
import { NEEDED_ROLES, ROLES, type ListShape, type Role } from '../../../core/catalogue/priceList';
import { wording } from '../../words/wording';

/** The columns of a price list with some of its lines: what each says is chosen above it. */
const props = defineProps<{
  headings: readonly string[];
  sample: readonly (readonly string[])[];
  guess: ListShape['columns'];
  missing: readonly string[];
}>();
const emit = defineEmits<{ match: [columns: ListShape['columns']]; leave: [] }>();
const SAYS: Record<Role, string> = {
  name: wording('priceRole.name'),
  price: wording('priceRole.price'),
  article: wording('priceRole.article'),
  size: wording('priceRole.size'),
  unit: wording('priceRole.unit'),
  currency: wording('priceRole.currency'),
  leadDays: wording('priceRole.leadDays'),
};
const columns = ref<ListShape['columns']>({ ...props.guess });
const roleOf = (heading: string) => ROLES.find((role) => columns.value[role] === heading) ?? '';
/** One column is one thing, and each thing stands in one column. */
function set(heading: string, role: Role | ''): void {
  const rest = Object.entries(columns.value).filter(([r, h]) => h !== heading && r !== role);
  columns.value = Object.fromEntries(role === '' ? rest : [...rest, [role, heading]]);
}
const isWhole = computed(() => NEEDED_ROLES.every((role) => columns.value[role] !== undefined));
const shown = computed(() =>
  props.headings.flatMap((heading, i) => (heading === '' ? [] : [{ heading, i }])),
);
</script>

<template>
  <div class="sheet" data-test="prices-columns">
    <p>
      {{ wording('priceList.columns') }}
      <span v-if="missing.length">{{
        wording('priceList.missing', { names: missing.map((m) => `“${m}”`).join(', ') })
      }}</span>
    </p>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th v-for="c in shown" :key="c.i">
              <select
                :value="roleOf(c.heading)"
                :aria-label="c.heading"
                :data-column="c.heading"
                @change="set(c.heading, ($event.target as HTMLSelectElement).value as Role | '')"
              >
                <option value="">{{ wording('priceList.ignored') }}</option>
                <option v-for="role in ROLES" :key="role" :value="role">
                  {{ SAYS[role] }}
                </option>
              </select>
              <span>{{ c.heading }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, n) in sample" :key="n">
            <td v-for="c in shown" :key="c.i" :class="{ quiet: roleOf(c.heading) === '' }">{{ row[c.i] }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="row">
      <button
        class="solid"
        :disabled="!isWhole"
        data-test="prices-compare"
        @click="emit('match', { ...columns })"
      >
        {{ wording('priceList.compare') }}
      </button>
      <span v-if="!isWhole">{{ wording('priceList.needed') }}</span>
      <button class="act" @click="emit('leave')">{{ wording('priceList.leave') }}</button>
    </p>
  </div>
</template>

<style scoped>
.sheet {
  background: var(--paper);
  padding: 10px 16px 12px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 4px 14px 4px 0;
  max-width: 260px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  border-bottom: 1px solid var(--rule);
}
th {
  overflow: visible;
  min-width: 142px;
}
th span {
  display: block;
  font-weight: 500;
}
select {
  min-height: 44px;
  width: 100%;
  border: 0;
  border-bottom: 1.5px solid var(--celadon);
  background: var(--ash);
  color: var(--ink);
  font: inherit;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  margin-top: 10px;
}
</style>
