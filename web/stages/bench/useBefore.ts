import { computed, ref, type Ref } from 'vue';
import type { Commission, Option } from '../../../core/commission/schema';
import type { Ghost } from '../../drawing/GhostView.vue';
import type { ShownPlan } from '../../workers/planWorker';

/** The tank as it is now under the option that is looked at: what becomes of it, and its outline where that is wanted. */
export function useBefore(
  document: () => Commission,
  option: Readonly<Ref<Option>>,
  plan: Readonly<Ref<ShownPlan | undefined>>,
) {
  const isGhostShown = ref(true);
  const own = computed(() => (plan.value?.survey.optionId === option.value.id ? plan.value : undefined));
  const before = computed(() => own.value?.before);
  const ghost = computed((): Ghost | undefined => {
    const { now } = document();
    if (!before.value || !now || !isGhostShown.value) return undefined;
    const { pieces, frontMm } = before.value;
    return { pieces: now.pieces, zMm: new Map(pieces.map((p) => [p.id, p.zMm])), frontMm };
  });
  /** Height to which a running tank is drained for the work, where it is. */
  const drained = computed(() => {
    const fill = plan.value?.visit.water.fill;
    return fill && fill.drainedL > 0.5 && fill.drainToMm > 0
      ? { mm: fill.drainToMm, outL: fill.drainedL }
      : undefined;
  });
  return { before, ghost, isGhostShown, drained };
}
