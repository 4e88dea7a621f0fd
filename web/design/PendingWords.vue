<script setup lang="ts">
/** What stands where nothing is known yet: nothing for a moment, then what is being done. */
defineProps<{ says: string }>();
</script>

<template>
  <p class="pending quiet" role="status">{{ says }}</p>
</template>

<style scoped>
.pending {
  padding: 18px 0;
}
</style>
