import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { Vessel } from '../../../core/commission/schema';
import { dliOfPpfd } from '../../../core/light/ppfd';
import type { ScapeWork } from '../../frame/planKey';
import { wholeBed } from '../../frame/plants/wholeBed';
import type { Finger, ShownPlanted } from '../../workers/planWorker';

/** Where the pointer is: over the floor, or over the view from the front, mm. */
export type Pointed = Extract<Finger, { from: 'above' | 'front' }>;

/** The light under the pointer and at the spot last touched, on the bed or on stone and wood, and what there is for plants there. */
export function useSpot(
  shown: Ref<ShownPlanted | undefined>,
  /** The same with the light of the week that is looked at. */
  inWeek: Ref<ShownPlanted['living'] | undefined>,
  vessel: Ref<Vessel>,
  lightUnder: ScapeWork['lightUnder'],
) {
  const pointed = shallowRef<Pointed>();
  /** What the pointer last met of stone and wood; nothing where it was over the bed. */
  const met = shallowRef<{ piece: string; ppfd: number }>();
  let busy = false;
  async function ask(): Promise<void> {
    const at = pointed.value;
    if (!at) met.value = undefined;
    if (busy || !at || !inWeek.value?.lit) return;
    busy = true;
    met.value = await lightUnder(at).catch(() => undefined);
    busy = false;
    if (at !== pointed.value) await ask();
  }
  watch(pointed, () => void ask());

  const spot = computed(() => {
    const living = inWeek.value;
    if (!living?.lit || !pointed.value) return undefined;
    const ppfd = met.value?.ppfd ?? onBed(living.light, pointed.value, vessel.value);
    if (ppfd === undefined) return undefined;
    return { ppfd, dli: dliOfPpfd(ppfd, living.hours) + living.windowDli, on: met.value?.piece };
  });
  /** The spot last touched: its light of a day, mol/m², and how far from the left it is. */
  const touched = ref<{ dli: number; xMm: number }>();
  /** What plants are held against: that spot, else the bed as a whole; undefined where no light is known. */
  const here = computed(() => {
    const whole = wholeBed(shown.value);
    return whole && { ...whole, dli: touched.value?.dli ?? whole.dli, spot: touched.value !== undefined };
  });
  return { pointed, spot, touched, here };
}

/** Of the bed in the cell that is pointed at; nothing from the front. */
function onBed(
  { columns, rows, ppfd }: ShownPlanted['living']['light'],
  { from, spot: [x, y] }: Pointed,
  { innerMm: { length, width } }: Vessel,
): number | undefined {
  if (from === 'front') return undefined;
  const [i, j] = [(x / length) * columns, (y / width) * rows].map(Math.floor);
  return ppfd[Math.min(rows - 1, j) * columns + Math.min(columns - 1, i)];
}
