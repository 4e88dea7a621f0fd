import type { Body } from '../incoming';
import { NoPictureError, preparePicture, type Prepared } from './picture';

/*
 * The process that reads pictures, one at a time. What reads them is native code and takes much memory: here neither a
 * fault of it nor that memory is the server's, and both end with the process.
 */

export type PictureAnswer = { ok: true; value: Prepared } | { ok: false; says: string; limit: string };

process.on('message', (body: Body) => {
  void preparePicture(body instanceof Uint8Array ? body : body.file)
    .then(
      (value): PictureAnswer => ({ ok: true, value }),
      (error: Error): PictureAnswer => ({
        ok: false,
        says: error.message,
        limit: error instanceof NoPictureError ? error.limit : '',
      }),
    )
    .then((answer) => process.send?.(answer));
});
// The server has gone, or wants it no longer.
process.on('disconnect', () => process.exit(0));
