<script setup lang="ts">
import { USUAL_WALL_MM } from '../../../core/commission/usual';
import { computed } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { useCommission } from '../../document/commissionStore';
import { freshId } from '../../../core/edits/ids';
import { useDocEdit } from '../../document/docEdit';
import FigureField from '../../document/FigureField.vue';
import WordsField from '../../document/WordsField.vue';
import SecondHand from './SecondHand.vue';
import { wording } from '../../words/wording';

/** What is built into or onto the vessel: rim, braces, chambers, fixed things, film, lid, mat, backlight. */
const commission = useCommission();
const edit = useDocEdit();
const v = computed(() => commission.document!.vessel);

type ListKey = 'braces' | 'chambers' | 'fixed';
function setItem<K extends ListKey>(key: K, i: number, part: Partial<NonNullable<Vessel[K]>[number]>) {
  const list = ((v.value[key] ?? []) as object[]).map((x, n) => (n === i ? { ...x, ...part } : x));
  return edit.vessel(key, list as Vessel[K]);
}
function removeItem(key: ListKey, i: number): void {
  const list = ((v.value[key] ?? []) as object[]).filter((_, n) => n !== i);
  edit.vessel(key, (list.length > 0 ? list : undefined) as Vessel[ListKey]);
}
function addBrace(): void {
  const { length } = v.value.innerMm;
  const middle = Math.round(length / 2);
  edit.vessel('braces', [...(v.value.braces ?? []), { fromMm: middle - 40, toMm: middle + 40 }]);
}
function addChamber(): void {
  const list = v.value.chambers ?? [];
  edit.vessel('chambers', [...list, { id: freshId('chamber', list), title: 'filter', side: 'right', mm: 100, wallMm: USUAL_WALL_MM }]); // prettier-ignore
}
function addFixed(): void {
  const list = v.value.fixed ?? [];
  const { width, height } = v.value.innerMm;
  const tall = Math.round(height * 0.8);
  edit.vessel('fixed', [
    ...list,
    { id: freshId('fixed', list), title: 'something fixed', at: [0, width - 100], sizeMm: [100, 100, tall] },
  ]);
}
const setFilm = (colour: string) =>
  edit.vessel(
    'background',
    colour === 'none' ? undefined : { sides: ['back'], ...v.value.background, colour },
  );
const COLOURS = ['none', 'black', 'white', 'frosted', 'grey'];
const SIDES = ['back', 'left', 'right'] as const;
const sized = (i: number, axis: number, mm: number) => {
  const sizeMm = [...v.value.fixed![i].sizeMm] as [number, number, number];
  sizeMm[axis] = mm;
  return setItem('fixed', i, { sizeMm });
};
const placed = (i: number, axis: number, mm: number) => {
  const at = [...v.value.fixed![i].at] as [number, number];
  at[axis] = mm;
  return setItem('fixed', i, { at });
};
</script>

<template>
  <section class="parts">
    <h2>Top, back and inside</h2>
    <div class="figures">
      <FigureField
        label="rim, inwards"
        kind="length"
        optional
        :value="v.rimMm"
        :apply="(mm) => edit.vessel('rimMm', mm)"
      />
      <v-switch
        v-if="v.rimMm"
        :model-value="v.rimOpaque ?? false"
        :label="wording('vesselParts.opaqueRim')"
        data-test="rim-opaque"
        @update:model-value="(on) => edit.vessel('rimOpaque', on || undefined)"
      />
      <v-switch
        :model-value="v.lid ?? false"
        label="Lid"
        @update:model-value="(x) => edit.vessel('lid', Boolean(x))"
      />
      <v-switch
        :model-value="v.mat ?? true"
        label="Mat"
        @update:model-value="(x) => edit.vessel('mat', Boolean(x))"
      />
      <FigureField
        :label="wording('vesselParts.sump')"
        kind="volume"
        optional
        :value="v.sumpL"
        :apply="(sumpL) => edit.vessel('sumpL', sumpL || undefined)"
        data-test="sump"
      />
    </div>
    <SecondHand />
    <div class="figures">
      <v-select
        label="Background film"
        :items="COLOURS"
        :model-value="v.background?.colour ?? 'none'"
        @update:model-value="setFilm"
      />
      <v-select
        v-if="v.background"
        label="on the"
        multiple
        :items="SIDES"
        :model-value="v.background.sides"
        @update:model-value="
          (sides) => sides.length && edit.vessel('background', { ...v.background!, sides })
        "
      />
      <FigureField
        v-if="v.background"
        label="film dries"
        kind="plain"
        unit="h"
        optional
        :value="v.background.dryHours"
        :apply="(h) => edit.vessel('background', { ...v.background!, dryHours: h })"
      />
      <FigureField
        label="backlight"
        kind="plain"
        unit="W"
        optional
        :value="v.backlightW"
        :apply="(w) => edit.vessel('backlightW', w)"
      />
    </div>
    <div v-for="(b, i) in v.braces ?? []" :key="`b${i}`" class="figures item">
      <span>Brace</span>
      <FigureField
        label="from the left"
        kind="length"
        :value="b.fromMm"
        :apply="(mm) => setItem('braces', i, { fromMm: mm! })"
        data-test="brace-from"
      />
      <FigureField
        label="to"
        kind="length"
        :value="b.toMm"
        :apply="(mm) => setItem('braces', i, { toMm: mm! })"
        data-test="brace-to"
      />
      <v-switch
        :model-value="b.opaque ?? false"
        :label="wording('vesselParts.opaque')"
        data-test="brace-opaque"
        @update:model-value="(on) => setItem('braces', i, { opaque: on || undefined })"
      />
      <button class="act" @click="removeItem('braces', i)">Take away</button>
    </div>
    <div v-for="(c, i) in v.chambers ?? []" :key="c.id" class="figures item">
      <WordsField label="Chamber" :value="c.title" :apply="(title) => setItem('chambers', i, { title })" />
      <v-select
        label="at the"
        :items="SIDES"
        :model-value="c.side"
        @update:model-value="(side) => setItem('chambers', i, { side })"
      />
      <FigureField
        label="clear depth"
        kind="length"
        :value="c.mm"
        :apply="(mm) => setItem('chambers', i, { mm: mm! })"
      />
      <FigureField
        label="wall"
        kind="length"
        optional
        :value="c.wallMm"
        :apply="(mm) => setItem('chambers', i, { wallMm: mm })"
      />
      <FigureField
        label="its water line"
        kind="length"
        optional
        :value="c.waterLineMm"
        :apply="(mm) => setItem('chambers', i, { waterLineMm: mm })"
      />
      <button class="act" @click="removeItem('chambers', i)">Take away</button>
    </div>
    <div v-for="(t, i) in v.fixed ?? []" :key="t.id" class="figures item">
      <WordsField label="Fixed inside" :value="t.title" :apply="(title) => setItem('fixed', i, { title })" />
      <FigureField
        v-for="(n, axis) in ['from the left', 'from the front']"
        :key="n"
        :label="n"
        kind="length"
        :value="t.at[axis]"
        :apply="(mm) => placed(i, axis, mm!)"
      />
      <FigureField
        v-for="(n, axis) in ['long', 'deep', 'high']"
        :key="n"
        :label="n"
        kind="length"
        :value="t.sizeMm[axis]"
        :apply="(mm) => sized(i, axis, mm!)"
      />
      <button class="act" @click="removeItem('fixed', i)">Take away</button>
    </div>
    <div class="adds">
      <button class="act" data-test="add-brace" @click="addBrace">Add a brace</button>
      <button class="act" data-test="add-chamber" @click="addChamber">Add a chamber</button>
      <button class="act" data-test="add-fixed" @click="addFixed">Add something fixed</button>
    </div>
  </section>
</template>

<style scoped>
.parts {
  border-top: 1px solid var(--rule);
  padding: 10px 0 6px;
  margin-top: 14px;
  max-width: 620px;
}
.item {
  grid-template-columns: repeat(4, 1fr);
  border-top: 1px dotted var(--rule);
  padding-top: 4px;
}
.item > span {
  padding-bottom: 8px;
}
</style>
