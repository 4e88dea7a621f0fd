import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';

/** What this person likes, kept in the browser. */
export const usePreferences = defineStore('preferences', () => {
  const units = useLocalStorage<'metric' | 'us'>('utsuwa.units', 'metric');
  const theme = useLocalStorage<'paper' | 'dim'>('utsuwa.theme', 'paper');
  /** Gallons are two: what is meant is said. Litres, or the gallons of the US units, unless chosen. */
  const gallons = useLocalStorage<'as-units' | 'imperial'>('utsuwa.gallons', 'as-units');
  const hardness = useLocalStorage<'degree' | 'ppm' | 'mmol'>('utsuwa.hardness', 'degree');
  return {
    gallons,
    hardness,
    units,
    theme,
    toggleUnits: () => (units.value = units.value === 'metric' ? 'us' : 'metric'),
    toggleTheme: () => (theme.value = theme.value === 'paper' ? 'dim' : 'paper'),
  };
});
