import { onBeforeUnmount, onMounted } from 'vue';
import { withPhoto } from '../../core/edits/photo';
import { ApiProblem } from './api';
import { useCommission } from './commissionStore';
import { dropPhoto, keepPhoto, photosOf, waitingPhotos, type WaitingPhoto } from './photoBox';
import { uploadPicture } from './upload';

/** Tried again as often, ms: a network that is back is not always said. */
const AGAIN_MS = 15_000;

/** Sends the photographs that wait for the commission that is open: now, when the network is back, and now and then. */
export function useWaitingPhotos(): void {
  const commission = useCommission();
  let busy = false;

  async function send(): Promise<void> {
    const { id } = commission;
    if (busy || !commission.document) return;
    busy = true;
    try {
      for (const photo of await photosOf(id)) if (!photo.refused && !(await sent(photo))) return;
    } finally {
      busy = false;
    }
  }

  /** Sends one and notes it at its thing; false where nobody answered, or another commission is open by now. */
  async function sent(photo: WaitingPhoto): Promise<boolean> {
    const { commission: id, shows, caption, of, file } = photo;
    try {
      const kept = await uploadPicture(id, file, () => {}, new AbortController().signal);
      if (commission.id !== id) return false;
      commission.edit(`photo ${kept.id}`, (d) => withPhoto(d, { ...kept, shows, caption }, of));
      await dropPhoto(photo);
      return true;
    } catch (error) {
      const isRefused = error instanceof ApiProblem && error.status >= 400 && error.status < 500;
      if (isRefused) await keepPhoto({ ...photo, refused: error.message });
      return isRefused;
    }
  }

  const soon = () => void send().catch(() => {});
  let again: ReturnType<typeof setInterval> | undefined;
  onMounted(() => {
    soon();
    again = setInterval(
      () => waitingPhotos.value.some((w) => w.commission === commission.id && !w.refused) && soon(),
      AGAIN_MS,
    );
    window.addEventListener('online', soon);
  });
  onBeforeUnmount(() => {
    clearInterval(again);
    window.removeEventListener('online', soon);
  });
}
