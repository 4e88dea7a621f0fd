import { Router } from 'express';
import { bytes, bytesOf } from '../body';
import { MAX_PICTURE_BYTES, NoPictureError, preparePicture } from '../documents/picture';
import { notFound, Problem } from '../problem';
import { keepPicture, pictureOf } from '../store/pictures';
import type { Store } from '../store/store';
import { known, living } from './commissions';

const KINDS = 'a JPEG, PNG, WebP, AVIF, TIFF or GIF picture';

/** Pictures of a commission: sent as they are, kept small and without where they were taken. */
export function pictureRoutes(store: Store): Router {
  const routes = Router();

  routes.post('/:id/pictures', bytes(MAX_PICTURE_BYTES, 'picture'), async (req, res) => {
    const row = await living(store, req.params.id as string);
    const body = bytesOf(req);
    if (body.length === 0) throw new Problem(400, `The file is empty, must be ${KINDS}.`);
    const prepared = await preparePicture(body).catch((error: unknown) => {
      if (error instanceof NoPictureError)
        throw new Problem(415, `This is no picture that can be read, must be ${KINDS}${error.limit}.`);
      throw error;
    });
    await keepPicture(store, { ...prepared, commissionId: row.id, addedAt: new Date().toISOString() });
    res.status(201).json({ id: prepared.id, widthPx: prepared.widthPx, heightPx: prepared.heightPx });
  });

  routes.get('/:id/pictures/:picture', async (req, res) => {
    await known(store, req.params.id);
    const picture = await pictureOf(store, req.params.id, req.params.picture);
    if (!picture) throw notFound('picture');
    res
      .type('image/jpeg')
      .setHeader('Cache-Control', 'private, max-age=31536000, immutable')
      .send(picture.jpeg);
  });

  return routes;
}
