import { getCurrentInstance, watch } from 'vue';
import { usePreferences } from '../units/preferences';
import { vuetify } from './vuetify';

/**
 * Hands the component library to the application, from whatever needs it first: the list of commissions does
 * without it, so that its rows come sooner.
 */
export function useLibrary(): void {
  const preferences = usePreferences();
  getCurrentInstance()!.appContext.app.use(vuetify);
  watch(
    () => preferences.light,
    (name) => vuetify.theme.change(name),
    { immediate: true },
  );
}
