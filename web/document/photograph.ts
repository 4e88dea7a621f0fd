import { ref } from 'vue';
import type { Commission, Picture } from '../../core/commission/schema';
import { wording } from '../words/wording';
import { useCommission } from './commissionStore';
import { refusedFile, uploadPicture } from './upload';

/** One photograph of a thing, taken on the spot: kept with the commission's pictures, and noted at the thing in the same step. */
export function usePhotograph(shows: Picture['shows']) {
  const commission = useCommission();
  const fault = ref('');
  /** Takes the file that was chosen; `note` puts its name where it belongs. */
  async function take(
    event: Event,
    caption: string,
    note: (doc: Commission, photo: string) => Commission,
  ): Promise<void> {
    // prettier-ignore
    const input = event.target as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    fault.value = refusedFile(file) ?? '';
    if (fault.value) return;
    const { id } = commission;
    try {
      const kept = await uploadPicture(id, file, () => {}, new AbortController().signal);
      if (commission.id !== id) return;
      const picture: Picture = { ...kept, shows, caption };
      commission.edit(`photo ${kept.id}`, (d) =>
        note({ ...d, pictures: [...(d.pictures ?? []).filter((p) => p.id !== kept.id), picture] }, kept.id),
      );
    } catch (error) {
      fault.value = wording('photograph.away', { why: error instanceof Error ? error.message : String(error) }); // prettier-ignore
    }
  }
  return { fault, take };
}
