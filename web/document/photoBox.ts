import { createStore, del, entries, set } from 'idb-keyval';
import { shallowRef } from 'vue';
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

/** All photographs that wait here, as they were looked at last. */
export const waitingPhotos = shallowRef<WaitingPhoto[]>([]);

const nameOf = (of: PhotoOf) => JSON.stringify(of.kind === 'received' ? of.line : of.kind === 'log' ? [of.kind, of.id] : of.id); // prettier-ignore
const keyOf = ({ commission, of }: Pick<WaitingPhoto, 'commission' | 'of'>) => `${commission} ${nameOf(of)}`;

/** The photograph of a thing of a commission that waits here, if one does. */
export function waitingOf(thing: Pick<WaitingPhoto, 'commission' | 'of'>): WaitingPhoto | undefined {
  return waitingPhotos.value.find((w) => keyOf(w) === keyOf(thing));
}

/** Keeps a photograph; one of the same thing that waits already is let go. */
export async function keepPhoto(photo: WaitingPhoto): Promise<void> {
  await set(keyOf(photo), photo, database());
  await lookAtPhotos();
}

export async function dropPhoto(photo: WaitingPhoto): Promise<void> {
  await del(keyOf(photo), database());
  await lookAtPhotos();
}

/** Lets go of all that wait for a commission: it was erased. */
export async function forgetPhotos(commission: string): Promise<void> {
  for (const photo of await photosOf(commission)) await dropPhoto(photo);
}

export async function photosOf(commission: string): Promise<WaitingPhoto[]> {
  await lookAtPhotos();
  return waitingPhotos.value.filter((p) => p.commission === commission);
}

async function lookAtPhotos(): Promise<void> {
  waitingPhotos.value = (await entries<string, WaitingPhoto>(database())).map(([, photo]) => photo);
}
