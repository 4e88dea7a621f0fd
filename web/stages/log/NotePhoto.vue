<script setup lang="ts">
import { api } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import { may } from '../../document/people';
import { usePhotograph } from '../../document/photograph';
import { wording } from '../../words/wording';

/** The photograph of a note: taken on the spot, kept here where nothing reaches the studio. */
const props = defineProps<{ id: string; photo?: string; caption: string }>();
const commission = useCommission();
const { fault, take, waiting } = usePhotograph('log', () => ({ kind: 'log', id: props.id }));
</script>

<template>
  <label v-if="may('change') && may('photograph')" class="act photo" data-test="note-photo"
    >{{ wording(photo ? 'logStage.anotherPhoto' : 'logStage.photo')
    }}<input type="file" accept="image/*" capture="environment" class="sr" @change="take($event, caption)"
  /></label>
  <p v-if="fault" class="late" role="alert">{{ fault }}</p>
  <p v-if="waiting" class="quiet" role="status" data-test="note-waits">{{ waiting }}</p>
  <img
    v-if="photo"
    :src="api.pictureUrl(commission.id, photo)"
    :alt="wording('logStage.photoOf', { what: caption })"
    loading="lazy"
    data-test="note-picture"
  />
</template>

<style scoped>
.photo {
  display: inline-flex;
  align-items: center;
}
img {
  display: block;
  max-width: min(100%, 420px);
  max-height: 260px;
  margin-top: 6px;
}
</style>
