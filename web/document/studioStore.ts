import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { Studio } from '../../core/catalogue/studio';
import { api } from './api';

/** The studio's catalogue and yard, fetched once. */
export const useStudio = defineStore('studio', () => {
  const studio = shallowRef<Studio>();
  let asked: Promise<void> | undefined;
  const load = () =>
    (asked ??= api.studio().then(
      (s) => void (studio.value = s),
      () => void (asked = undefined),
    ));
  return { studio, load };
});
