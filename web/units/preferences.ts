import { useLocalStorage, useMediaQuery } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { Habits } from '../../core/words/scales';

/** What this person likes, kept in the browser. */
export const usePreferences = defineStore('preferences', () => {
  const units = useLocalStorage<'metric' | 'us'>('utsuwa.units', 'metric');
  const theme = useLocalStorage<'system' | 'paper' | 'dim'>('utsuwa.theme', 'paper');
  const dark = useMediaQuery('(prefers-color-scheme: dark)');
  /** The light in which it is read: what was chosen, or what the system has. */
  const light = computed(() => (theme.value === 'system' ? (dark.value ? 'dim' : 'paper') : theme.value));
  /** Gallons are two: what is meant is said. Litres, or the gallons of the US units, unless chosen. */
  const gallons = useLocalStorage<Habits['gallons']>('utsuwa.gallons', 'as-units');
  const masses = useLocalStorage<NonNullable<Habits['masses']>>('utsuwa.masses', 'as-units');
  const temperatures = useLocalStorage<NonNullable<Habits['temperatures']>>(
    'utsuwa.temperatures',
    'as-units',
  );
  const hardness = useLocalStorage<'degree' | 'ppm' | 'mmol'>('utsuwa.hardness', 'degree');
  return {
    gallons,
    masses,
    temperatures,
    hardness,
    units,
    theme,
    light,
    toggleUnits: () => (units.value = units.value === 'metric' ? 'us' : 'metric'),
    toggleTheme: () => (theme.value = light.value === 'paper' ? 'dim' : 'paper'),
  };
});
