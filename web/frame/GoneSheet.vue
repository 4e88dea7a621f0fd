<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useCommission } from '../document/commissionStore';
import { wording } from '../words/wording';

/** The commission that is open was removed somewhere else. */
const commission = useCommission();
const router = useRouter();
const fault = ref('');
const open = computed(() => commission.state === 'gone');
const title = computed(() => (commission.gone === 'removed' ? wording('goneSheet.asks') : 'No longer kept'));
const SAYS = {
  removed: wording('goneSheet.removed'),
  erased: wording('goneSheet.erased'),
  deleted: wording('goneSheet.deleted'),
};

async function bringBack(): Promise<void> {
  try {
    await commission.bringBack();
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
}
function leave(): void {
  commission.abandon();
  void router.push('/');
}
</script>

<template>
  <v-dialog :model-value="open" width="460" persistent>
    <div v-if="commission.gone" class="sheet" role="alertdialog" :aria-label="title">
      <h2>{{ title }}</h2>
      <p>{{ SAYS[commission.gone] }}</p>
      <p v-if="fault" class="fault">{{ fault }}</p>
      <div class="choices">
        <button v-if="commission.gone === 'removed'" class="solid" data-test="bring-back" @click="bringBack">
          Bring it back
        </button>
        <button class="act" data-test="leave-gone" @click="leave">
          {{ commission.gone === 'removed' ? 'Leave it removed' : 'All commissions' }}
        </button>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.sheet {
  padding: 22px 26px;
  border-left: 3px solid var(--warn);
}
p {
  margin: 8px 0 16px;
}
.fault {
  color: var(--warn);
}
.choices {
  display: flex;
  gap: 18px;
  align-items: center;
}
</style>
