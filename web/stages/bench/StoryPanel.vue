<script setup lang="ts">
import { computed } from 'vue';
import { api } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import { wording } from '../../words/wording';

/** The client's words and the reference pictures, beside the drawing while it is made. */
const commission = useCommission();
const pictures = computed(() => (commission.document?.pictures ?? []).filter((p) => p.shows === 'story'));
</script>

<template>
  <div class="story">
    <p v-if="commission.document?.brief.story">{{ commission.document.brief.story }}</p>
    <p v-else class="quiet">
      {{ wording('storyPanel.empty') }}
      <router-link class="act" :to="`/c/${commission.id}/brief`">Ask for it in the brief</router-link>
    </p>
    <img
      v-for="p in pictures"
      :key="p.id"
      :src="api.pictureUrl(commission.id, p.id)"
      :alt="p.caption || 'the story'"
    />
  </div>
</template>

<style scoped>
.story {
  display: flex;
  gap: 14px;
  height: 100%;
  padding: 8px 16px;
}
p {
  font: italic 15px/1.35 var(--title);
  width: 360px;
  flex: none;
  overflow-y: auto;
}
img {
  height: 98px;
  flex: none;
}
</style>
