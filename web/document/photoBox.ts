import { createStore, del, entries, set } from 'idb-keyval';
import { ref } from 'vue';
import type { Picture } from '../../core/commission/schema';
import type { PhotoOf } from '../../core/edits/photo';

/* Photographs taken where nothing reaches the studio: they wait in this browser, one of each thing. */

export interface WaitingPhoto {
  commission: string;
  shows: Picture['shows'];
  caption: string;
  of: PhotoOf;
  file: Blob;
  /** Why the server did not take it: it is not sent again, another one takes its place. */
  refused?: string;
}

let opened: ReturnType<typeof createStore> | undefined;
const database = () => (opened ??= createStore('utsuwa-photographs', 'waiting'));

/** Photographs that wait for the commission that was looked at last. */
export const waitingPhotos = ref<WaitingPhoto[]>([]);

const nameOf = (of: PhotoOf) => JSON.stringify(of.kind === 'received' ? of.line : of.id);
const keyOf = ({ commission, of }: Pick<WaitingPhoto, 'commission' | 'of'>) => `${commission} ${nameOf(of)}`;

/** The photograph of a thing that waits here, if one does. */
export function waitingOf(of: PhotoOf): WaitingPhoto | undefined {
  return waitingPhotos.value.find((w) => nameOf(w.of) === nameOf(of));
}

/** Keeps a photograph; one of the same thing that waits already is let go. */
export async function keepPhoto(photo: WaitingPhoto): Promise<void> {
  await set(keyOf(photo), photo, database());
  await lookFor(photo.commission);
}

export async function dropPhoto(photo: WaitingPhoto): Promise<void> {
  await del(keyOf(photo), database());
  await lookFor(photo.commission);
}

/** Lets go of all that wait for a commission: it was erased. */
export async function forgetPhotos(commission: string): Promise<void> {
  for (const photo of await photosOf(commission)) await dropPhoto(photo);
}

export async function photosOf(commission: string): Promise<WaitingPhoto[]> {
  const all = await entries<string, WaitingPhoto>(database());
  return all.map(([, photo]) => photo).filter((p) => p.commission === commission);
}

/** Looks what waits for a commission, for whoever shows it. */
export async function lookFor(commission: string): Promise<void> {
  waitingPhotos.value = await photosOf(commission);
}
