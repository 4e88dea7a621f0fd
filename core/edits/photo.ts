import type { Commission, Picture } from '../commission/schema';
import { withCandidateChanged } from './candidates';
import { withReceived } from './received';

/** What a photograph was taken of: a line of a parcel as it was counted, an actual piece, or with a note of the log. */
export type PhotoOf =
  | { kind: 'received'; line: Parameters<typeof withReceived>[1]; day: string }
  | { kind: 'candidate'; id: string }
  | { kind: 'log'; id: string };

/** The document with a photograph among its pictures, and noted at what it was taken of, if that is still there. */
export function withPhoto(document: Commission, picture: Picture, of: PhotoOf): Commission {
  const kept = { ...document, pictures: [...(document.pictures ?? []).filter((p) => p.id !== picture.id), picture] }; // prettier-ignore
  if (of.kind === 'received') return withReceived(kept, of.line, { photo: picture.id }, of.day);
  if (of.kind === 'log')
    return { ...kept, log: kept.log?.map((n) => (n.id === of.id ? { ...n, photo: picture.id } : n)) };
  const isThere = document.candidates?.some((c) => c.id === of.id);
  return isThere ? withCandidateChanged(kept, of.id, { photo: picture.id }) : kept;
}
