<script setup lang="ts">
import { computed } from 'vue';
import { dayPlus, WEEKDAYS } from '../../../core/calendar/day';
import { usualLight } from '../../../core/light/photoperiod';
import { DOSING_RULES } from '../../../core/regime/dosing';
import { SUPPLY_NAMES } from '../../../core/regime/usedUp';
import { SCHOOLS } from '../../../core/regime/waterSchools';
import { dosingSchoolOf, waterSchoolOf } from '../../../core/commission/usual';
import { GEAR_SCHOOLS, SUPPLIES, WATER_SCHOOLS, type Brief } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import WordsField from '../../document/WordsField.vue';
import { clockTyped } from '../../units/dayInput';
import { dayName } from '../../units/days';
import { useFigures } from '../../units/figures';

type Schools = NonNullable<Brief['schools']>;
/** Where practitioners disagree, the studio chooses; and the clock and weekday that suit the client. */
const commission = useCommission();
const edit = useDocEdit();
const { words } = useFigures();
const brief = computed(() => commission.document!.brief);

const setSchool = (part: Partial<Schools>) =>
  edit.edit(`school ${Object.keys(part).join()}`, (d) => ({
    ...d,
    brief: { ...d.brief, schools: { ...d.brief.schools, ...part } },
  }));
const WATER = WATER_SCHOOLS.map((value) => ({
  value,
  title: words(SCHOOLS[value].title),
  subtitle: words(SCHOOLS[value].rule),
}));
const DOSING = Object.entries(DOSING_RULES).map(([value, rule]) => ({ value, title: words(rule) }));
const MOISTURE = [
  { value: 'dry', title: 'into a dry bed' },
  { value: 'misted', title: 'into a misted bed' },
  { value: 'wet', title: 'water to the surface of the bed' },
  { value: 'flooded', title: 'flooded' },
];
const PLANTING = [
  { value: 'front', title: 'front to back' },
  { value: 'transition', title: 'at the foot of stone first' },
];
const SAND = [
  { value: 'last', title: 'last on the build day' },
  { value: 'before', title: 'before planting' },
  { value: 'later', title: 'three weeks later, at half fill' },
];
const GEAR = [
  { value: 'free', title: 'when hands are free' },
  { value: 'before', title: 'in before the plants' },
  { value: 'after', title: 'in after the plants' },
];
const SPACING = [
  { value: 'dense', title: 'dense from day one' },
  { value: 'economical', title: 'economical, weeks longer' },
];
const SPECIES = [
  { value: 'three', title: 'three at most' },
  { value: 'many', title: 'many, as drifts' },
];
const WEEKDAY_ITEMS = [
  { value: undefined, title: 'as the school has it' },
  // 3 January 2027 was a Sunday, with which the list begins.
  ...WEEKDAYS.map((value, i) => ({ value, title: dayName(dayPlus('2027-01-03', i)) })),
];
const SUPPLY_ITEMS = SUPPLIES.map((value) => ({ value, title: words(SUPPLY_NAMES[value]) }));
const TABS: { value: string; title: string; said?: 'none' | 'also' }[] = [
  { value: '', title: 'where the bed gives nothing' },
  { value: 'also', title: 'in soil too', said: 'also' },
  { value: 'none', title: 'none', said: 'none' },
];
type Care = NonNullable<Brief['care']>;
/** One choice of how it is kept; taken back it is as usual. */
function setCare(part: Partial<Care>): string | undefined {
  const care = Object.fromEntries(
    Object.entries({ ...brief.value.care, ...part }).filter(([, v]) => v !== undefined && v !== ''),
  );
  return edit.brief('care', Object.keys(care).length > 0 ? (care as Care) : undefined);
}
/** What is done where nobody says otherwise. */
const usual = computed(() => usualLight({ brief: brief.value }));
</script>

<template>
  <div>
    <div class="pair">
      <v-select
        label="Water changes"
        :items="WATER"
        item-props
        :model-value="waterSchoolOf(brief)"
        @update:model-value="(v) => setSchool({ water: v })"
      />
      <v-select
        label="Plant food"
        :items="DOSING"
        :model-value="dosingSchoolOf(brief)"
        @update:model-value="(v) => setSchool({ dosing: v })"
      />
    </div>
    <div class="four">
      <v-select
        label="Planting"
        :items="MOISTURE"
        :model-value="brief.schools?.moisture ?? 'misted'"
        @update:model-value="(v) => setSchool({ moisture: v })"
      />
      <v-select
        label="Order of planting"
        :items="PLANTING"
        :model-value="brief.schools?.planting ?? 'front'"
        @update:model-value="(v) => setSchool({ planting: v })"
      />
      <v-select
        label="Plugs apart"
        :items="SPACING"
        :model-value="brief.schools?.spacing ?? 'dense'"
        @update:model-value="(v) => setSchool({ spacing: v })"
      />
      <v-select
        label="Species"
        :items="SPECIES"
        :model-value="brief.schools?.species ?? 'many'"
        data-test="species-school"
        @update:model-value="(v) => setSchool({ species: v })"
      />
      <v-select
        label="Sand that is only looked at"
        :items="SAND"
        :model-value="brief.schools?.sand ?? 'last'"
        @update:model-value="(v) => setSchool({ sand: v })"
      />
      <v-select
        label="Pipes and heater"
        :items="GEAR"
        :model-value="brief.schools?.gear ?? 'free'"
        data-test="school-gear"
        @update:model-value="(v) => setSchool({ gear: GEAR_SCHOOLS.find((g) => g === v) })"
      />
      <v-switch
        :model-value="brief.schools?.trial ?? false"
        label="Trial set-up first"
        @update:model-value="(x) => setSchool({ trial: Boolean(x) })"
      />
      <FigureField
        label="Break before planting"
        kind="plain"
        unit="min"
        optional
        :value="brief.schools?.breakMin"
        :apply="(breakMin) => setSchool({ breakMin })"
        data-test="break"
      />
      <FigureField
        label="Water clears for a picture"
        kind="plain"
        unit="min"
        optional
        :value="brief.schools?.clearMin"
        :apply="(clearMin) => setSchool({ clearMin })"
        data-test="clears"
      />
      <v-switch
        :model-value="brief.schools?.lookAfter ?? false"
        label="Looked at again the day after"
        @update:model-value="(x) => setSchool({ lookAfter: Boolean(x) || undefined })"
      />
      <v-switch
        v-if="brief.crew > 1"
        :model-value="brief.learner ?? false"
        label="One of the crew is learning"
        data-test="learner"
        @update:model-value="(x) => edit.brief('learner', Boolean(x) || undefined)"
      />
    </div>
    <div class="four">
      <WordsField
        label="Light comes on"
        :value="brief.care?.lightsOn"
        :usual="usual.on"
        :apply="(t) => setCare({ lightsOn: t ? clockTyped(t) : undefined })"
        data-test="lights-on"
      />
      <FigureField
        label="Hours of light"
        kind="plain"
        unit="h"
        optional
        :value="brief.care?.lightHours"
        :usual="usual.hours"
        :apply="(lightHours) => setCare({ lightHours })"
      />
      <v-switch
        :model-value="brief.care?.undimmed ?? false"
        label="No dimmer: fewer hours"
        data-test="undimmed"
        @update:model-value="(x) => setCare({ undimmed: Boolean(x) || undefined })"
      />
      <FigureField
        v-if="!brief.care?.undimmed"
        label="First output"
        kind="plain"
        unit="%"
        optional
        :usual="Math.round(usual.output * 100)"
        :value="brief.care?.firstOutput === undefined ? undefined : Math.round(brief.care.firstOutput * 100)"
        :apply="(v) => setCare({ firstOutput: v === undefined ? undefined : v / 100 })"
      />
      <FigureField
        v-if="brief.co2"
        label="Gas before light"
        kind="plain"
        unit="h"
        optional
        :value="brief.care?.co2AheadHours"
        :usual="usual.co2AheadHours"
        :apply="(co2AheadHours) => setCare({ co2AheadHours })"
      />
      <FigureField
        v-if="brief.co2"
        label="Gas from day"
        kind="plain"
        optional
        :value="brief.care?.co2FromDay"
        :usual="0"
        :apply="(co2FromDay) => setCare({ co2FromDay })"
      />
      <v-select
        label="Weekly change on"
        :items="WEEKDAY_ITEMS"
        :model-value="brief.care?.changeDay"
        data-test="change-day"
        @update:model-value="(changeDay) => setCare({ changeDay })"
      />
      <FigureField
        label="Sooner or later by"
        kind="plain"
        unit="days"
        optional
        :value="brief.care?.slackDays"
        :usual="0"
        :apply="(slackDays) => setCare({ slackDays: slackDays || undefined })"
        data-test="slack"
      />
      <v-select
        label="Root tabs"
        :items="TABS"
        :model-value="brief.care?.rootTabs ?? ''"
        data-test="root-tabs"
        @update:model-value="(t: string) => setCare({ rootTabs: TABS.find((x) => x.value === t)?.said })"
      />
      <v-select
        label="The client has and buys"
        placeholder="nothing: all of it is bought"
        persistent-placeholder
        multiple
        :items="SUPPLY_ITEMS"
        :model-value="brief.care?.clientHas ?? []"
        data-test="client-has"
        @update:model-value="(has) => setCare({ clientHas: has.length > 0 ? has : undefined })"
      />
    </div>
  </div>
</template>

<style scoped>
.pair,
.four {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 26px;
  padding-top: 4px;
  align-items: end;
}
.four {
  grid-template-columns: repeat(3, 1fr);
  gap: 6px 22px;
}
@media (max-width: 700px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
  .four {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
