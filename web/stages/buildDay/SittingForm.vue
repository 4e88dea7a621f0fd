<script setup lang="ts">
import { computed } from 'vue';
import { startTimeOf } from '../../../core/commission/usual';
import { withoutSitting, withSittingChanged } from '../../../core/edits/sittingEdits';
import { BUILD, sittingTitle } from '../../../core/sittings/sittings';
import type { Commission } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import DayField from '../../document/DayField.vue';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import ThingNotes from '../../document/ThingNotes.vue';
import WordsField from '../../document/WordsField.vue';
import { clockTyped } from '../../units/dayInput';
import { today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** One sitting: its day, hours, hands and limit. The build day is answered in the brief. */
const props = defineProps<{ id: string }>();
const emit = defineEmits<{ gone: [] }>();
type Entry = NonNullable<Commission['brief']['sittings']>[number];
const commission = useCommission();
const { edit } = useDocEdit();
const { words } = useFigures();
const brief = computed(() => commission.document!.brief);
/** When the house lets people work, where nothing else is said of this day. */
const house = computed(() => commission.document!.site?.hours);
const sitting = computed(() => brief.value.sittings?.find((s) => s.id === props.id));

const PLACES = [
  { value: 'site', title: wording('sittings.site') },
  { value: 'studio', title: wording('sittings.studio') },
];
const set = (key: string, change: Partial<Entry>) =>
  edit(`sitting ${props.id} ${key}`, (d) => withSittingChanged(d, props.id, change));
/** A day that is over is nobody's plan; one that was planned and is over may stay. */
function setDay(day: string): string | undefined {
  if (day === '') return wording('sittings.past');
  if (day < today() && day !== sitting.value!.day) return wording('sittings.past');
  return set('day', { day });
}
function setHour(end: 0 | 1, text: string): string | undefined {
  const was = sitting.value!.hours ?? house.value ?? ['08:00', '20:00'];
  if (text === '') return set('hours', { hours: undefined });
  const at = clockTyped(text);
  return set('hours', { hours: end === 0 ? [at, was[1]] : [was[0], at] });
}
function remove(): void {
  commission.endStep();
  commission.edit(`sitting ${props.id} gone`, (d) => withoutSitting(d, props.id));
  emit('gone');
}
</script>

<template>
  <section class="sitting" data-test="sitting-form">
    <p v-if="id === BUILD" class="quiet">
      {{ wording('sittings.build') }}
      <router-link class="act" :to="`/c/${commission.id}/brief`">Brief →</router-link>
    </p>
    <template v-else-if="sitting">
      <WordsField
        label="Called"
        :value="sitting.title"
        :usual="words(sittingTitle({ kind: sitting.kind }))"
        :apply="(t) => set('title', { title: t || undefined })"
      />
      <DayField data-test="sitting-day" label="On" :value="sitting.day" :apply="setDay" />
      <div class="row">
        <WordsField
          label="From"
          :value="sitting.start ?? startTimeOf(brief)"
          :apply="(t) => set('start', { start: t ? clockTyped(t) : undefined })"
        />
        <FigureField
          label="People"
          narrow
          optional
          kind="plain"
          unit=""
          :usual="brief.crew"
          :value="sitting.crew"
          :apply="(n) => set('crew', { crew: n })"
        />
      </div>
      <div class="row">
        <WordsField
          label="House from"
          :usual="house?.[0]"
          :value="sitting.hours?.[0]"
          :apply="(t) => setHour(0, t)"
        />
        <WordsField
          label="House until"
          :usual="house?.[1]"
          :value="sitting.hours?.[1]"
          :apply="(t) => setHour(1, t)"
        />
      </div>
      <v-select
        v-if="sitting.day <= brief.buildDay"
        label="Held"
        :items="PLACES"
        :model-value="sitting.place ?? 'site'"
        data-test="place"
        @update:model-value="(p: string) => set('place', { place: p === 'studio' ? 'studio' : undefined })"
      />
      <FigureField
        label="Stops after"
        optional
        kind="plain"
        unit="min"
        :value="sitting.limitMin"
        :apply="(n) => set('limit', { limitMin: n })"
      />
      <WordsField
        label="Note"
        :lines="2"
        :value="sitting.note"
        :apply="(t) => set('note', { note: t || undefined })"
      />
      <ThingNotes :about="{ of: 'sittings', id }" />
      <button class="act" data-test="sitting-gone" @click="remove">Without this day</button>
    </template>
  </section>
</template>

<style scoped>
.sitting {
  display: grid;
  gap: 8px;
  margin-bottom: 16px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
button {
  justify-self: start;
}
</style>
