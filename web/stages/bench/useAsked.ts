import { shallowRef, watch, type Ref } from 'vue';
import type { ShownPlan } from '../../workers/planWorker';

/**
 * What is known about something of the scape, asked anew whenever the scape has been measured or something else is
 * asked about; a drag never queues questions.
 */
export function useAsked<About, Answer>(
  plan: Readonly<Ref<ShownPlan | undefined>>,
  about: Readonly<Ref<About | undefined>>,
  question: (about: About) => Promise<Answer | undefined>,
) {
  const found = shallowRef<Answer>();
  let busy = false;
  let again = false;
  const measured: (() => void)[] = [];

  async function ask(): Promise<void> {
    again = busy;
    const now = about.value;
    if (now === undefined) return void (found.value = undefined);
    if (busy) return;
    busy = true;
    const answer = await question(now).catch(() => undefined);
    busy = false;
    if (about.value === now) found.value = answer;
    if (again) await ask();
  }
  watch(
    [plan, about],
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
