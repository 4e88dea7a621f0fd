<script setup lang="ts">
import { computed } from 'vue';
import { useCommission } from './commissionStore';

const commission = useCommission();
const open = computed(() => commission.state === 'conflict');
const when = computed(() => {
  const at = commission.theirs?.updatedAt;
  return at ? new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' }) : 'meanwhile';
});
</script>

<template>
  <v-dialog :model-value="open" width="460" persistent>
    <div class="sheet" role="alertdialog" aria-label="Two versions">
      <h2>Two versions of this commission</h2>
      <p>
        It was saved from another place at {{ when }}, after you had opened it. Both versions are here: keep
        one, and the other can be brought back by undo.
      </p>
      <div class="choices">
        <button class="solid" data-test="keep-mine" @click="commission.settle('mine')">Keep mine</button>
        <button class="act" data-test="keep-theirs" @click="commission.settle('theirs')">
          Take the other
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
.choices {
  display: flex;
  gap: 18px;
  align-items: center;
}
</style>
