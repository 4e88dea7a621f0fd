import { computed, ref } from 'vue';
import { dayPlus } from '../../../core/calendar/day';
import { buildDayOf, type BuildPlan } from '../../../core/buildDay/buildPlan';
import { movesWith } from '../../../core/buildDay/moves';
import type { SittingPlan } from '../../../core/buildDay/sittingPlan';
import { visitPlan } from '../../../core/buildDay/visitPlan';
import type { Commission, SittingKind } from '../../../core/commission/schema';
import { withMoves, withSitting } from '../../../core/edits/sittingEdits';
import { BUILD } from '../../../core/sittings/sittings';
import { useCommission } from '../../document/commissionStore';
import { today } from '../../units/days';
import { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';

/** The sittings of a commission on the Build: which is looked at, another one, tasks that get another day. */
export function useSittings(build: () => BuildPlan | undefined) {
  const commission = useCommission();
  const { words } = useFigures();
  const chosen = ref<string>(BUILD);
  /** What was moved last, in words. */
  const said = ref('');

  const hasSeveral = computed(() => build()?.graph !== undefined);
  /** The sitting that is looked at with its clock: the build day until another is chosen. */
  const shown = computed((): (SittingPlan & Pick<BuildPlan, 'waterInMin'>) | undefined => {
    const plan = build();
    if (!plan) return undefined;
    const earlier = plan.earlier.find((s) => s.id === chosen.value);
    const visit = plan.visits.find((v) => v.sitting?.id === chosen.value);
    if (visit) return visitPlan(visit, commission.document!.brief);
    return earlier ?? buildDayOf(plan);
  });

  function add(kind: SittingKind, aheadDays?: number): void {
    commission.endStep();
    const known = new Set(commission.document?.brief.sittings?.map((s) => s.id));
    commission.edit('sitting added', (d: Commission) => {
      const usual = dayPlus(d.brief.buildDay, -(aheadDays ?? (kind === 'detail' ? -1 : 1)));
      // Nothing is planned into the past.
      return withSitting(d, kind, usual < today() ? today() : usual);
    });
    chosen.value = commission.document?.brief.sittings?.find((s) => !known.has(s.id))?.id ?? BUILD;
  }

  function move(key: string, from: string, to: string): void {
    const graph = build()?.graph;
    const moves = graph && movesWith(graph, key, to, from).moves;
    if (!graph || !moves) return;
    commission.endStep();
    commission.edit(`task ${key} ${to}`, (d: Commission) => withMoves(d, moves, from));
    said.value = wording('sittings.moved', { tasks: moves.map((m) => words(graph.tasks[m.task].title)).join(', ') }); // prettier-ignore
  }
  return { chosen, hasSeveral, shown, said, add, move };
}
