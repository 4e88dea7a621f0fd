import { computed, ref } from 'vue';
import type { Picture } from '../../core/commission/schema';
import { withPhoto, type PhotoOf } from '../../core/edits/photo';
import { wording } from '../words/wording';
import { ApiProblem } from './api';
import { useCommission } from './commissionStore';
import { refusedFile, uploadPicture } from './upload';
import { keepPhoto, waitingOf } from './photoBox';

/**
 * One photograph of a thing, taken on the spot: kept with the commission's pictures, and noted at the thing in the same step. Where
 * nothing reaches the studio it waits here.
 */
export function usePhotograph(shows: Picture['shows'], of: () => PhotoOf) {
  const commission = useCommission();
  const fault = ref('');
  /** Takes the file that was chosen, under a caption. */
  async function take(event: Event, caption: string): Promise<void> {
    const input = event.target as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    fault.value = refusedFile(file) ?? '';
    if (fault.value) return;
    const { id } = commission;
    const what = of();
    try {
      const kept = await uploadPicture(id, file, () => {}, new AbortController().signal);
      if (commission.id !== id) return;
      const picture: Picture = { ...kept, shows, caption };
      commission.edit(`photo ${kept.id}`, (d) => withPhoto(d, picture, what));
    } catch (error) {
      const isAway = error instanceof ApiProblem && error.status === 0;
      const kept = isAway && (await keepPhoto({ commission: id, shows, caption, of: what, file }).then(() => true, () => false)); // prettier-ignore
      if (!kept) fault.value = wording('photograph.away', { why: error instanceof Error ? error.message : String(error) }); // prettier-ignore
    }
  }
  /** What is said of one that waits. */
  const waiting = computed(() => {
    const waits = waitingOf({ commission: commission.id, of: of() });
    if (!waits) return '';
    return waits.refused
      ? wording('photograph.refused', { why: waits.refused })
      : wording('photograph.waits');
  });
  return { fault, take, waiting };
}
