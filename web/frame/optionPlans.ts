import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import { scapesOf } from '../../core/commission/scapes';
import type { Commission } from '../../core/commission/schema';
import { today } from '../units/days';
import type { FieldView, ShownPlan } from '../workers/planWorker';
import { planThread } from '../workers/planThread';

export interface OptionPlan {
  plan: ShownPlan;
  field: FieldView;
}

/** The plan of every option, or of one, one after the other in a worker of its own; renewed as the document changes. */
export function useOptionPlans(
  id: Readonly<Ref<string>>,
  commission: Readonly<Ref<Commission | undefined>>,
  only?: Readonly<Ref<string>>,
) {
  const { worker, remote, pack } = planThread();
  const plans = shallowRef<Record<string, OptionPlan>>({});
  let last: { id: string; field: FieldView } | undefined;
  let round = 0;

  async function renew(): Promise<void> {
    const mine = ++round;
    const all = commission.value ? scapesOf(commission.value) : [];
    for (const option of only ? all.filter((o) => o.id === only.value) : all) {
      if (!commission.value) return;
      const answer = await remote.compute(id.value, pack(commission.value, option), today());
      // What follows from how plants live, the minutes of trims, comes with it.
      const settled = answer.plan && (await remote.planted().then(() => remote.followed()).catch(() => undefined)); // prettier-ignore
      if (mine !== round) return;
      // The worker sends a bed only when it is another one than it sent last.
      const field = answer.field ?? last?.field;
      if (!field || !answer.plan) continue;
      last = { id: option.id, field };
      plans.value = { ...plans.value, [option.id]: { plan: settled ?? answer.plan, field } };
    }
  }
  watch([commission, ...(only ? [only] : [])], () => void renew(), { immediate: true });
  onScopeDispose(() => {
    round++;
    worker.terminate();
  });
  return plans;
}
