import { ApiProblem } from './api';
import { wording } from '../words/wording';

/** Largest picture that is sent, bytes; the server has the same limit. */
export const MAX_PICTURE_BYTES = 40 * 1024 * 1024;

export interface Uploaded {
  id: string;
  widthPx: number;
  heightPx: number;
}

/** What is wrong with a file before it is sent, if anything. */
export function refusedFile(file: { name: string; size: number; type: string }): string | undefined {
  const mb = Math.ceil(file.size / 1024 / 1024);
  if (file.size > MAX_PICTURE_BYTES)
    return wording('upload.tooLarge', { name: file.name, mb, most: MAX_PICTURE_BYTES / 1024 ** 2 });
  if (file.size === 0) return wording('upload.empty', { name: file.name });
  if (file.type !== '' && !file.type.startsWith('image/'))
    return wording('upload.noPicture', { name: file.name, type: file.type });
  return undefined;
}

/**
 * Sends a picture, telling how far it is (0 to 1). Aborting the signal stops it; nothing is kept then. Done
 * with XMLHttpRequest: fetch does not tell how much has been sent.
 */
export function uploadPicture(
  commissionId: string,
  file: Blob,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<Uploaded> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', `/api/commissions/${encodeURIComponent(commissionId)}/pictures`);
    request.setRequestHeader('Content-Type', 'application/octet-stream');
    request.upload.onprogress = ({ loaded, total }) => onProgress(total > 0 ? loaded / total : 0);
    request.onload = () => {
      const answer = JSON.parse(request.responseText || '{}') as Uploaded & { title?: string };
      if (request.status === 201) resolve(answer);
      else reject(new ApiProblem(request.status, answer.title ?? wording('upload.refused')));
    };
    request.onerror = () => reject(new ApiProblem(0, wording('upload.away')));
    request.onabort = () => reject(new DOMException('Cancelled', 'AbortError'));
    signal.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}
