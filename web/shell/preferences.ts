import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';

/** What this person likes, kept in the browser. */
export const usePreferences = defineStore('preferences', () => {
  const units = useLocalStorage<'metric' | 'us'>('utsuwa.units', 'metric');
  const theme = useLocalStorage<'paper' | 'dim'>('utsuwa.theme', 'paper');
  return {
    units,
    theme,
    toggleUnits: () => (units.value = units.value === 'metric' ? 'us' : 'metric'),
    toggleTheme: () => (theme.value = theme.value === 'paper' ? 'dim' : 'paper'),
  };
});
