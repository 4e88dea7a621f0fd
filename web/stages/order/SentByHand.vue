<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
import { computed, ref } from 'vue';
import { orderMail } from '../../../core/ordering/orderMail';
import { api, type SentOrder, type Word } from '../../document/api';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import FileLink from '../../document/FileLink.vue';
import { useLocalForm } from '../../document/localForm';
import WordsField from '../../document/WordsField.vue';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** An order that a person sends: its letter to be copied or mailed, its lines as a file, and what the supplier then said. */
const props = defineProps<{ order: SentOrder }>();
const emit = defineEmits<{ confirmed: [said: Word] }>();
const commission = useCommission();
const f = useFigures();
useLocalForm();
const letter = computed(() => props.order.request && orderMail(props.order.request, commission.document?.studio)); // prettier-ignore
const text = computed(() => (letter.value?.lines ?? []).map((l) => f.words(l)).join('\n'));
const subject = computed(() => (letter.value ? f.words(letter.value.subject) : ''));
const mailto = computed(() => `mailto:?subject=${encodeURIComponent(subject.value)}&body=${encodeURIComponent(text.value)}`); // prettier-ignore
const { copy, copied } = useClipboard({ legacy: true });
const number = ref<string>();
const day = ref<string>();
</script>

<template>
  <div class="hand" data-test="by-hand">
    <pre data-test="letter">{{ text }}</pre>
    <p class="row">
      <a class="act" :href="mailto">{{ wording('byHand.mail') }}</a>
      <button class="act" @click="copy(`${subject}\n\n${text}`)">
        {{ copied ? wording('byHand.copied') : wording('byHand.copy') }}
      </button>
      <FileLink :href="api.orderFile(commission.id, order.reference, 'pdf')" data-test="order-pdf">{{
        wording('byHand.pdf')
      }}</FileLink>
      <FileLink :href="api.orderFile(commission.id, order.reference, 'csv')" data-test="order-csv">{{
        wording('byHand.csv')
      }}</FileLink>
    </p>
    <div class="figures">
      <WordsField
        :label="wording('byHand.number')"
        :value="number"
        :apply="(v) => void (number = v || undefined)"
        data-test="their-number"
      />
      <DayField
        :label="wording('byHand.day')"
        :value="day"
        :apply="(v) => void (day = v || undefined)"
        data-test="their-day"
      />
      <button
        class="solid"
        :disabled="!number"
        data-test="they-confirmed"
        @click="emit('confirmed', { supplierReference: number!, deliveryDay: day ?? null })"
      >
        {{ wording('byHand.confirmed') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
pre {
  white-space: pre-wrap;
  font: inherit;
  background: var(--paper);
  padding: 10px 14px;
  margin: 6px 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.figures {
  grid-template-columns: 1fr 1fr auto;
  align-items: end;
  max-width: 560px;
}
</style>
