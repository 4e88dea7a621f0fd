import { Router } from 'express';
import { isEmpty, taking, whileWaitedFor } from '../body';
import { MAX_PICTURE_BYTES, NoPictureError } from '../pictures/picture';
import type { Pictures } from '../pictures/pictures';
import { notFound, Problem } from '../problem';
import { keepPicture, pictureOf } from '../store/pictures';
import type { Store } from '../store/store';
import { known, living } from './commissions';

const KINDS = 'a JPEG, PNG, WebP, AVIF, TIFF or GIF picture';

/** Pictures of a commission: sent as they are, kept small and without where they were taken. */
export function pictureRoutes(store: Store, taken: Pictures): Router {
  const routes = Router();

  routes.post(
    '/:id/pictures',
    taking<{ id: string }>(store.folder, MAX_PICTURE_BYTES, 'picture', async (req, res, body) => {
      const { id } = await living(store, req.params.id);
      if (isEmpty(body)) throw new Problem(400, `The file is empty, must be ${KINDS}.`);
      const asker = { who: id, signal: whileWaitedFor(res) };
      const prepared = await taken.prepare(body, asker).catch((error: unknown) => {
        if (error instanceof NoPictureError)
          throw new Problem(415, `This is no picture that can be read, must be ${KINDS}${error.limit}.`);
        throw error;
      });
      await keepPicture(store, { ...prepared, commissionId: id, addedAt: new Date().toISOString() });
      res.status(201).json({ id: prepared.id, widthPx: prepared.widthPx, heightPx: prepared.heightPx });
    }),
  );

  routes.get('/:id/pictures/:picture', async (req, res) => {
    await known(store, req.params.id);
    const picture = await pictureOf(store, req.params.id, req.params.picture);
    if (!picture) throw notFound('picture');
    res
      .type('image/jpeg')
      // Of a client's home: it stays in no browser when the client is erased.
      .setHeader('Cache-Control', 'private, no-store')
      .send(picture.jpeg);
  });

  return routes;
}
