import { computed, ref, type Ref } from 'vue';
import type { Option, Vessel } from '../../../core/commission/schema';
import { cutRun, cutWithin, type Cut } from '../../../core/view/cut';
import { displayOutline } from '../../../core/vessel/display';

/** The section of the bench: first laid through a hill, where there is most to see, and then where it is drawn to. */
export function useCut(vessel: Ref<Vessel>, option: Ref<Option>) {
  const { length, width } = vessel.value.innerMm;
  const [hill] = option.value.bed.flatMap((l) => l.mounds ?? []);
  const laid = ref<Cut>({ at: [hill?.at[0] ?? Math.round(length / 3), width / 2], turnDeg: 0 });
  const display = computed(() => displayOutline(vessel.value));
  /** A vessel that was changed may have no floor any more where it was laid. */
  const cut = computed({
    get: () => cutWithin(display.value, laid.value),
    set: (to) => (laid.value = to),
  });
  const cutMm = computed(() => cutRun(display.value, cut.value)?.lengthMm);
  return { cut, cutMm };
}
