import { nextTick, type Ref } from 'vue';
import { shifted } from '../../../core/edits/plantings';
import { useCommission } from '../../document/commissionStore';
import { arrowStep } from '../../drawing/arrowStep';
import type { usePlantings } from './usePlantings';

/** An arrow moves a patch by so much, mm; with Shift four times as far. */
const STEP_MM = 5;

/**
 * A patch of plants by keys: Enter chooses it, arrows move the chosen one and go on to the next before one is, Delete takes
 * it away, Escape lets go of it and returns to the list.
 */
export function usePatchKeys(
  { chosen, remove }: Pick<ReturnType<typeof usePlantings>, 'chosen' | 'remove'>,
  area: Ref<HTMLElement | undefined>,
) {
  const commission = useCommission();
  const patches = () => [...(area.value?.querySelectorAll<SVGElement>('[data-region]') ?? [])];
  const focus = (id: string) => patches().find((p) => p.getAttribute('data-region') === id)?.focus({ preventScroll: true }); // prettier-ignore

  /** What was chosen from a list by key is worked on where it grows. */
  async function reach(id: string | undefined): Promise<void> {
    await nextTick();
    const at = document.activeElement;
    // By key: the button that was pressed shows so, or it went with the list that it was in.
    const byKey = !at || at === document.body || at.matches('button:focus-visible');
    if (id && byKey) focus(id);
  }

  function key(event: KeyboardEvent, id: string): void {
    const by = arrowStep(event, STEP_MM, 4 * STEP_MM);
    if (by && chosen.value === id)
      commission.editOption(`move ${id}`, (o) => shifted(o, id, by, commission.document!.vessel));
    else if (by) next(event, by[0] + -by[1] > 0 ? 1 : -1);
    else if (event.key === 'Enter' || event.key === ' ') chosen.value = id;
    else if (event.key === 'Delete' && chosen.value === id) remove(id);
    else if (event.key === 'Escape') chosen.value = undefined;
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
  function next(event: KeyboardEvent, step: 1 | -1): void {
    const all = patches();
    const at = all.indexOf(event.currentTarget as SVGElement);
    all[(at + step + all.length) % all.length]?.focus({ preventScroll: true });
  }
  return { key, reach };
}
