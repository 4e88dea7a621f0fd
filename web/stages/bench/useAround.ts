import { shallowRef, watch, type Ref } from 'vue';
import type { ScapeWork } from '../../frame/planKey';
import type { Around, ShownPlan } from '../../workers/planWorker';

/** What is around the selected piece, asked anew whenever the scape has been measured; a drag never queues questions. */
export function useAround(
  plan: Readonly<Ref<ShownPlan | undefined>>,
  selected: Readonly<Ref<string | undefined>>,
  work: ScapeWork,
) {
  const found = shallowRef<Around>();
  let busy = false;
  let again = false;
  const measured: (() => void)[] = [];

  async function ask(): Promise<void> {
    again = busy;
    const id = selected.value;
    if (!id) return void (found.value = undefined);
    if (busy) return;
    busy = true;
    const answer = await work.around(id).catch(() => undefined);
    busy = false;
    if (selected.value === id) found.value = answer;
    if (again) await ask();
  }
  watch(
    [plan, selected],
    () => {
      measured.splice(0).forEach((go) => go());
      void ask();
    },
    { immediate: true },
  );
  /** Resolves once the scape has been measured again, or a moment later where nothing changes any more. */
  const settled = () =>
    new Promise<void>((resolve) => {
      measured.push(resolve);
      setTimeout(resolve, LATEST_MS);
    });
  return { found, settled };
}

/** A plan that was on its way is there by then. */
const LATEST_MS = 400;
