<script setup lang="ts">
import { ref } from 'vue';
import type { House } from '../../../core/catalogue/house';
import type { Studio } from '../../../core/catalogue/studio';
import { ApiProblem } from '../../document/api';
import CurrencyField from '../../document/CurrencyField.vue';
import FigureField from '../../document/FigureField.vue';
import { useLocalForm } from '../../document/localForm';
import { useStudio } from '../../document/studioStore';
import WordsField from '../../document/WordsField.vue';
import { may } from '../../document/people';
import KeptState from './KeptState.vue';
import { percentOf, shareOf } from '../../../core/units/quantity';
import { WEEKDAYS } from '../../../core/calendar/day';
import { dayExample, firstWeekday } from '../../units/dayInput';
import { wording } from '../../words/wording';

/** What the studio is called, where it is reached, and what new commissions begin with. */
defineProps<{ house: Studio }>();
const studio = useStudio();
useLocalForm();
const said = ref('');

/** Places whose way of writing days is offered; the day itself shows which is which. */
const LOCALES = ['en-GB', 'en-US', 'en-CA', 'de-DE', 'fr-FR', 'nl-NL', 'sv-SE', 'ja-JP'];
const days = LOCALES.map((value) => ({ value, title: `${dayExample(value)} (${value})` }));

const WEEKS = [
  { value: 'mon', title: 'Monday' },
  { value: 'sun', title: 'Sunday' },
  { value: 'sat', title: 'Saturday' },
];
function namesIn(typed: string): string[] | undefined {
  const names = typed.split(/[,\n]/).map((n) => n.trim()).filter(Boolean); // prettier-ignore
  return names.length > 0 ? names : undefined;
}

/** Kept with every field that is left. */
async function change(part: Partial<House>): Promise<void> {
  try {
    await studio.keepHouse(part);
    said.value = wording('houseSection.kept');
  } catch (error) {
    said.value = error instanceof ApiProblem ? error.message : wording('entries.notKept');
  }
}
</script>

<template>
  <section class="house">
    <h2>House</h2>
    <p class="quiet">{{ wording('houseSection.what') }}</p>
    <div class="figures">
      <WordsField
        label="name of the studio"
        :value="house.name"
        :apply="(name) => void change({ name })"
        data-test="house-name"
      />
      <WordsField
        label="telephone"
        :value="house.phone"
        :apply="(phone) => void change({ phone: phone || undefined })"
      />
      <FigureField
        label="hands on a build day"
        kind="plain"
        unit="people"
        optional
        :value="house.crew"
        :apply="(crew) => void change({ crew })"
        data-test="house-crew"
      />
      <FigureField
        label="usual pace, of common minutes"
        kind="plain"
        unit="%"
        optional
        :value="percentOf(house.pace)"
        :apply="(p) => void change({ pace: shareOf(p) })"
        data-test="house-pace"
      />
      <FigureField
        label="tubs to soak in"
        kind="plain"
        unit="tubs"
        optional
        :value="house.tubs"
        :apply="(tubs) => void change({ tubs })"
        data-test="house-tubs"
      />
      <FigureField
        label="room for the goods of"
        kind="plain"
        unit="commissions"
        optional
        :value="house.bays"
        :apply="(bays) => void change({ bays })"
        data-test="house-bays"
      />
      <FigureField
        label="RO unit makes"
        kind="plain"
        unit="L/h"
        optional
        :value="house.roLitresPerHour"
        :apply="(roLitresPerHour) => void change({ roLitresPerHour })"
        data-test="house-ro"
      />
      <FigureField
        label="RO store holds"
        kind="volume"
        optional
        :value="house.roStoreL"
        :apply="(roStoreL) => void change({ roStoreL })"
        data-test="house-store"
      />
      <CurrencyField
        label="currency"
        :value="house.currency"
        data-test="house-currency"
        @change="(currency) => change({ currency })"
      />
      <v-select
        label="days are written"
        :items="days"
        :model-value="studio.locale"
        data-test="house-days"
        @update:model-value="(locale: string) => change({ locale })"
      />
      <v-select
        label="weeks begin on"
        :items="WEEKS"
        :model-value="WEEKDAYS[firstWeekday(studio.locale, house.weekBegins)]"
        data-test="house-week"
        @update:model-value="(weekBegins: House['weekBegins']) => change({ weekBegins })"
      />
      <WordsField
        class="address"
        label="people, those who usually come first"
        :value="house.people?.join(', ')"
        :apply="(typed) => void change({ people: namesIn(typed) })"
        data-test="house-people"
      />
      <WordsField
        class="address"
        label="address"
        :lines="2"
        :value="house.address"
        :apply="(address) => void change({ address: address || undefined })"
      />
    </div>
    <p v-if="said" class="says" role="status" data-test="house-said">{{ said }}</p>
    <KeptState v-if="may('kept')" />
  </section>
</template>

<style scoped>
.house {
  max-width: 900px;
}
.address {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .figures {
    grid-template-columns: 1fr;
  }
}
</style>
