<script setup lang="ts">
import { useTitle } from '@vueuse/core';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import PlantEntries from '../../document/catalogue/PlantEntries.vue';
import { useStudio } from '../../document/studioStore';
import { useLibrary } from '../../design/library';
import { lookWhoIsHere, may } from '../../document/people';
import { wording } from '../../words/wording';
import { usePlants } from '../../document/plants';
import AnimalsSection from './AnimalsSection.vue';
import HouseSection from './HouseSection.vue';
import LooksSection from './LooksSection.vue';
import MaterialsSection from './MaterialsSection.vue';
import PeopleSection from './PeopleSection.vue';
import ShelfSection from './ShelfSection.vue';
import SuppliersSection from './SuppliersSection.vue';

/** The studio itself: what it is called and works with, what it buys and grows. What is entered here is known everywhere. */
useLibrary();
useTitle('Studio · Utsuwa');
const studio = useStudio();
void studio.load();
void lookWhoIsHere();

/** What the house is called and asks is its owner's. */
const mayHouse = computed(() => may('house'));

const PARTS = [
  { id: 'house', title: 'House' },
  { id: 'suppliers', title: 'Suppliers' },
  { id: 'materials', title: 'Materials' },
  { id: 'plants', title: 'Plants' },
  { id: 'animals', title: 'Animals' },
  { id: 'shelf', title: 'Shelf' },
  { id: 'people', title: 'People' },
  { id: 'looks', title: 'Units and looks' },
] as const;
/** Who does not work with the studio's lists has their own account and how things look. */
const OWN = ['people', 'looks'];
const parts = computed(() => PARTS.filter((p) => may('studio') || OWN.includes(p.id)));
const route = useRoute();
const part = computed(() => (parts.value.find((p) => p.id === route.params.part) ?? parts.value[0]).id);
const counts = computed<Partial<Record<string, number>>>(() => studio.counts);
const plants = usePlants();
</script>

<template>
  <v-app class="app">
    <div class="page">
      <header>
        <router-link to="/" class="mark">Utsuwa</router-link>
        <!-- Its name and its counts would move what is pressed beside them. -->
        <h1 v-if="studio.studio">{{ studio.studio.name || 'Studio' }}</h1>
        <nav v-if="studio.studio" aria-label="The studio">
          <router-link
            v-for="p in parts"
            :key="p.id"
            :to="`/studio/${p.id}`"
            :class="{ on: part === p.id }"
            :aria-current="part === p.id ? 'page' : undefined"
            :data-part="p.id"
            >{{ p.title }}
            <span v-if="counts[p.id] && may('studio')" class="quiet">{{ counts[p.id] }}</span></router-link
          >
        </nav>
      </header>
      <main v-if="studio.studio">
        <p v-if="part === 'house' && !mayHouse" class="quiet">
          {{ wording('people.ownersOnly') }}
        </p>
        <HouseSection v-else-if="part === 'house'" :house="studio.studio" />
        <SuppliersSection v-else-if="part === 'suppliers'" />
        <MaterialsSection v-else-if="part === 'materials'" />
        <section v-else-if="part === 'plants'" class="card">
          <h2>Plants</h2>
          <PlantEntries :plants="plants" />
        </section>
        <AnimalsSection v-else-if="part === 'animals'" />
        <ShelfSection v-else-if="part === 'shelf'" />
        <PeopleSection v-else-if="part === 'people'" />
        <LooksSection v-else />
      </main>
    </div>
  </v-app>
</template>

<style scoped>
.page {
  height: 100vh;
  overflow: auto;
  padding: 26px clamp(20px, 7vw, 110px) 60px;
  background: var(--ash);
}
header {
  display: flex;
  align-items: baseline;
  gap: 6px 22px;
  flex-wrap: wrap;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--ink);
}
.mark {
  font-family: var(--display, inherit);
  font-size: 20px;
  color: var(--ink);
  text-decoration: none;
}
h1 {
  font-size: 30px;
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  margin-left: auto;
}
nav a {
  min-height: 36px;
  padding: 8px 0;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 3px solid transparent;
}
nav a.on {
  border-color: var(--clay);
  font-weight: 600;
}
main {
  padding-top: 18px;
}
.card {
  max-width: 900px;
}
@media (max-width: 700px) {
  .page {
    padding: 14px 16px 40px;
  }
  nav {
    margin-left: 0;
  }
}
</style>
