<script setup lang="ts">
import { computed } from 'vue';
import type { Material } from '../../../core/commission/schema';
import { withPacks } from '../../../core/edits/packs';
import PackRows from '../../document/catalogue/PackRows.vue';
import { useCommission } from '../../document/commissionStore';
import { useLocalForm } from '../../document/localForm';
import { useStudio } from '../../document/studioStore';
import { wording } from '../../words/wording';

/** What a line without a price is bought in, said where it is missed. */
const props = defineProps<{ material: Material }>();
useLocalForm();
const commission = useCommission();
const studio = useStudio();
/** Those of this commission, then the studio's others. */
const sellers = computed(() => {
  const own = commission.document!.catalogue.suppliers;
  const more = studio.studio?.catalogue.suppliers ?? [];
  return [...own, ...more.filter((s) => !own.some((o) => o.id === s.id))];
});
</script>

<template>
  <div class="price" data-test="line-price" @click.stop>
    <p v-if="sellers.length === 0">
      {{ wording('suppliersSection.empty') }}
      <router-link class="act" to="/studio/suppliers">Enter one</router-link>
    </p>
    <template v-else>
      <p class="quiet">{{ wording('linePrice.what') }}</p>
      <PackRows
        :material="material"
        :suppliers="sellers"
        :currency="commission.document!.currency"
        @change="
          (packs) =>
            commission.edit(`packs ${props.material.id}`, (d) => withPacks(d, material.id, packs, sellers))
        "
      />
    </template>
  </div>
</template>

<style scoped>
.price {
  max-width: 640px;
  padding: 4px 0 10px;
}
</style>
