<script setup lang="ts">
import { shallowRef } from 'vue';
import { api, type Kept } from '../../document/api';
import { momentDay, momentTime } from '../../units/days';
import { wording } from '../../words/wording';

/** Where copies of the studio are, and whether the one elsewhere follows. */
const kept = shallowRef<Kept>();
void api.kept().then(
  (answer) => (kept.value = answer),
  () => {},
);
const at = (moment: string) => ({ day: momentDay(moment), time: momentTime(moment) });
</script>

<template>
  <div v-if="kept" data-test="kept">
    <h3>{{ wording('kept.title') }}</h3>
    <p>
      {{ kept.backupAt ? wording('kept.backup', at(kept.backupAt)) : wording('kept.noBackup') }}
    </p>
    <p v-if="!kept.replica" class="quiet">{{ wording('kept.noReplica') }}</p>
    <p v-else-if="kept.replica.fault" class="wrong" role="alert">
      {{ wording('kept.replica.wrong', { to: kept.replica.to, fault: kept.replica.fault }) }}
    </p>
    <p v-else-if="kept.replica.lastAt">
      {{ wording('kept.replica', { to: kept.replica.to, ...at(kept.replica.lastAt) }) }}
    </p>
    <p v-else>{{ wording('kept.replica.none', { to: kept.replica.to }) }}</p>
  </div>
</template>

<style scoped>
h3 {
  margin: 26px 0 4px;
}
.wrong {
  color: var(--warn);
}
</style>
