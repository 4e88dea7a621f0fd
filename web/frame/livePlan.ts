import { proxy } from 'comlink';
import type { Shelf } from '../../core/stock/shelf';
import type { ScapeWork } from './planKey';
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import { scapeOf } from '../../core/commission/scapes';
import type { Commission } from '../../core/commission/schema';
import type { FieldView, ShownPlan, ShownPlanted } from '../workers/planWorker';
import { planThread } from '../workers/planThread';
import type { Placed } from '../../core/ordering/confirmation';
import type { Elsewhere } from '../../core/yard/reserved';
import { today } from '../units/days';
import { wording } from '../words/wording';
import { useFigures } from '../units/figures';

/** A vessel that has not changed for so long is at rest. */
const REST_MS = 150;
/** What is planted is worked out after so long without a change: where it is looked at, and elsewhere for its findings alone. */
const PLANTED_MS = 120;
const ELSEWHERE_MS = 3_000;
/** What follows from it comes once nobody plants on. */
const FOLLOW_MS = 250;

/**
 * The plan of an option, computed in a worker and renewed as the document changes. While one is under way
 * only the newest wish waits, so that a drag never queues up.
 */
export function useLivePlan(
  id: Readonly<Ref<string>>,
  commission: Ref<Commission | undefined>,
  optionId: Readonly<Ref<string>>,
  elsewhere: Readonly<Ref<Elsewhere>>,
  placed: Readonly<Ref<readonly Placed[]>>,
  shelf: Readonly<Ref<Shelf | undefined>>,
  /** Whether what is planted is looked at, wanted for its findings, or not wanted: nobody waits for its light then. */
  wantsPlanted: Readonly<Ref<'now' | 'later' | 'never'>>,
) {
  const { words } = useFigures();
  const { worker, remote, pack } = planThread();
  const plan = shallowRef<ShownPlan>();
  const field = shallowRef<FieldView>();
  const trouble = shallowRef<string>();
  const planted = shallowRef<ShownPlanted>();
  let planting: ReturnType<typeof setTimeout> | undefined;
  let following: ReturnType<typeof setTimeout> | undefined;
  /** The plan that what is planted was worked out with: with another it is out of date. */
  let plantedOf: ShownPlan | undefined;
  let busy = false;
  let again = false;
  let known: Commission['vessel'] | undefined;
  let refining: ReturnType<typeof setTimeout> | undefined;

  async function renew(): Promise<void> {
    again = busy;
    const option = commission.value && scapeOf(commission.value, optionId.value);
    if (busy || !commission.value || !option) return;
    busy = true;
    try {
      const { vessel } = commission.value;
      // A vessel that has just changed is read roughly at once, and finely when it has come to rest.
      const rough = known !== undefined && vessel !== known;
      known = vessel;
      const asked = id.value;
      const answer = await remote.compute(
        asked,
        pack(commission.value, option),
        today(),
        rough,
        elsewhere.value,
        placed.value,
        shelf.value,
      );
      if (asked !== id.value) return void (await next());
      clearTimeout(refining);
      if (rough) refining = setTimeout(() => void renew(), REST_MS);
      if (answer.field) field.value = answer.field;
      if (answer.plan) plan.value = answer.plan;
      // Plants come after everything else, once a hand has come to rest.
      clearTimeout(planting);
      clearTimeout(following);
      if (answer.plan && !rough) soonPlanted();
      trouble.value = answer.trouble && words(answer.trouble);
    } catch (error) {
      trouble.value = wording('livePlan.failed', {
        message: error instanceof Error ? error.message : String(error),
      });
    }
    await next();
  }

  async function next(): Promise<void> {
    busy = false;
    if (again) await renew();
  }

  /** Nothing of one commission is shown under another. */
  function forget(): void {
    [refining, planting, following].forEach(clearTimeout);
    [plan.value, field.value, planted.value, trouble.value] = [undefined, undefined, undefined, undefined];
    [known, plantedOf] = [undefined, undefined];
  }
  watch(id, forget, { flush: 'sync' });

  async function renewPlanted(): Promise<void> {
    const [of, asked] = [plan.value, id.value];
    const found = await remote.planted().catch(() => undefined);
    if (asked !== id.value) return;
    planted.value = found ?? planted.value;
    plantedOf = of;
    if (plan.value === of) following = setTimeout(() => void follow(of), FOLLOW_MS);
  }
  /** Build day and guide follow what is planted; a plan that came meanwhile is newer than this one. */
  async function follow(of: ShownPlan | undefined): Promise<void> {
    const found = await remote.followed().catch(() => undefined);
    if (!found || plan.value !== of) return;
    plan.value = found;
    plantedOf = found;
  }
  function soonPlanted(): void {
    clearTimeout(planting);
    clearTimeout(following);
    const ms = { now: PLANTED_MS, later: ELSEWHERE_MS, never: undefined }[wantsPlanted.value];
    const option = commission.value && scapeOf(commission.value, optionId.value);
    // Where nothing is planted nothing is said of plants.
    if (wantsPlanted.value === 'later' && !option?.plants.length) return void (planted.value = undefined);
    if (ms !== undefined) planting = setTimeout(() => void renewPlanted(), ms);
  }
  watch(wantsPlanted, (wanted) => {
    if (wanted === 'now' && plan.value) void renewPlanted();
    else if (plan.value && plantedOf !== plan.value) soonPlanted();
  });
  watch([commission, optionId, elsewhere, placed, shelf], () => void renew(), { immediate: true });
  onScopeDispose(() => {
    [refining, planting, following].forEach(clearTimeout);
    worker.terminate();
  });
  /** What is asked of the scape now and then, worked out where the plan is. */
  const scapeWork: ScapeWork = {
    settle: (onRound) => remote.settleBed(proxy(onRound)),
    stop: () => void remote.stopSettling(),
    fill: () => remote.fillBed(),
    around: (id) => remote.around(id),
    gearSeen: (eye) => remote.gearSeen(eye),
    letDown: (id) => remote.letDown(id),
    apart: (id) => remote.apart(id),
    touch: (finger) => remote.touch(finger),
    hides: () => remote.hides(),
    lightInWeek: (week) => remote.lightInWeek(week),
    buying: () => remote.buying(),
    swaps: (from, others, sellers) => {
      const plain = JSON.parse(JSON.stringify([others, sellers])) as [typeof others, typeof sellers];
      return remote.swaps(from, ...plain);
    },
    // What a page watches is no plain thing; what goes to the worker has to be.
    trial: (candidate) => remote.trial(JSON.parse(JSON.stringify(candidate)) as typeof candidate),
    lightUnder: (finger) => remote.lightUnder(finger),
  };
  return { plan, field, planted, trouble, waterScale: () => remote.waterScale(), scapeWork };
}
