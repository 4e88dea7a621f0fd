import { computed, ref, type Ref } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { dliOfPpfd } from '../../../core/light/ppfd';
import type { ShownPlanted } from '../../workers/planWorker';

/** The light under the pointer and at the spot last touched, and what there is for plants there. */
export function useSpot(
  shown: Ref<ShownPlanted | undefined>,
  /** The same with the light of the week that is looked at. */
  inWeek: Ref<ShownPlanted['living'] | undefined>,
  vessel: Ref<Vessel>,
) {
  /** The spot under the pointer, mm. */
  const pointed = ref<[number, number]>();
  const spot = computed(() => {
    const living = inWeek.value;
    if (!living?.lit || !pointed.value) return undefined;
    const { columns, rows, ppfd } = living.light;
    const { length, width } = vessel.value.innerMm;
    const [i, j] = [(pointed.value[0] / length) * columns, (pointed.value[1] / width) * rows].map(Math.floor);
    const there = ppfd[Math.min(rows - 1, j) * columns + Math.min(columns - 1, i)];
    return { ppfd: there, dli: dliOfPpfd(there, living.hours) + living.windowDli };
  });
  /** The spot last touched: its light of a day, mol/m², and how far from the left it is. */
  const touched = ref<{ dli: number; xMm: number }>();
  /** What plants are held against: that spot, else the bed as a whole; undefined where no light is known. */
  const here = computed(() => {
    const living = shown.value?.living;
    if (!living?.lit) return undefined;
    const { ppfd } = living.light;
    const mean = ppfd.reduce((a, b) => a + b, 0) / Math.max(1, ppfd.length);
    return {
      dli: touched.value?.dli ?? dliOfPpfd(mean, living.hours) + living.windowDli,
      co2: living.co2,
      waterC: living.waterC,
      gh: living.gh,
      spot: touched.value !== undefined,
    };
  });
  return { pointed, spot, touched, here };
}
