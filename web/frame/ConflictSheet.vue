<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { clashRows, type ClashRow } from '../document/clashes';
import { useCommission } from '../document/commissionStore';
import { useFigures } from '../units/figures';
import { wording } from '../words/wording';

/** The same thing was changed in two places: both values, side by side, and which is to stand. */
const commission = useCommission();
const { words } = useFigures();
const open = computed(() => commission.state === 'conflict');
/** As it was asked: it stands unchanged while the sheet fades away. */
const rows = shallowRef<ClashRow[]>([]);
watch(
  () => commission.clashes,
  (clashes) => {
    if (clashes.length > 0) rows.value = clashRows(clashes, words);
  },
  { immediate: true },
);
const asked = computed(() => rows.value.filter((r) => !r.unfit));
const mine = ref<boolean[]>([]);
watch(rows, (list) => (mine.value = list.map(() => true)), { immediate: true });
const when = computed(() => {
  const at = commission.savedAt;
  return at ? new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' }) : 'meanwhile';
});
const settle = (choice: (i: number) => boolean) =>
  commission.settle((clash) => choice(commission.clashes.indexOf(clash)));
</script>

<template>
  <v-dialog :model-value="open" width="620" persistent>
    <div class="sheet" role="alertdialog" aria-label="Two versions">
      <h2>{{ asked.length > 0 ? 'Changed in two places' : 'Does not fit any more' }}</h2>
      <p>
        {{ wording('conflictSheet.what', { when }) }}
      </p>
      <table>
        <thead>
          <tr>
            <td />
            <th>Here</th>
            <th>Elsewhere</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in rows" :key="i" data-test="clash">
            <th scope="row">{{ r.place }}</th>
            <template v-if="r.unfit">
              <td colspan="2" class="unfit">{{ r.mine }} was left out: {{ r.unfit }}</td>
            </template>
            <template v-else>
              <td>
                <label
                  ><input v-model="mine[i]" type="radio" :value="true" :name="`clash ${i}`" />{{
                    r.mine
                  }}</label
                >
              </td>
              <td>
                <label
                  ><input v-model="mine[i]" type="radio" :value="false" :name="`clash ${i}`" />{{
                    r.theirs
                  }}</label
                >
              </td>
            </template>
          </tr>
        </tbody>
      </table>
      <div class="choices">
        <template v-if="asked.length > 0">
          <button class="solid" data-test="keep-mine" @click="settle(() => true)">
            {{ asked.length > 1 ? 'Keep all from here' : 'Keep mine' }}
          </button>
          <button class="act" data-test="keep-theirs" @click="settle(() => false)">
            {{ asked.length > 1 ? 'Take all from elsewhere' : 'Take the other' }}
          </button>
          <button v-if="asked.length > 1" class="act" data-test="keep-chosen" @click="settle((i) => mine[i])">
            As marked
          </button>
        </template>
        <button v-else class="solid" data-test="go-on" @click="settle(() => false)">Go on</button>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.sheet {
  padding: 22px 26px;
  border-left: 3px solid var(--warn);
  max-height: 80vh;
  overflow: auto;
}
p {
  margin: 8px 0 14px;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-bottom: 16px;
}
th {
  text-align: left;
  font-weight: 600;
  padding: 5px 14px 5px 0;
  vertical-align: top;
}
td {
  padding: 5px 14px 5px 0;
  vertical-align: top;
  overflow-wrap: anywhere;
  border-top: 1px solid var(--rule);
}
tbody th {
  border-top: 1px solid var(--rule);
}
label {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.unfit {
  color: var(--warn);
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: center;
}
</style>
