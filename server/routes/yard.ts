import { Router, type Request } from 'express';
import { z } from 'zod';
import type { Material } from '../../core/commission/schema';
import { smallJson, taking, whileWaitedFor } from '../body';
import { dayNow } from '../dayNow';
import type { Jobs } from '../jobs/jobs';
import { MAX_PICTURE_BYTES, NoPictureError } from '../pictures/picture';
import type { Pictures } from '../pictures/pictures';
import { notFound, Problem } from '../problem';
import { entryOf } from '../store/lists';
import { readStudio } from '../store/studio';
import { addToYard, changeInYard, dropFromYard, isKnownInYard, partInYard, usedPieces } from '../store/yard';
import { keepYardPhoto, yardPhotoOf } from '../store/yardPhotos';
import { read } from './read';
import { seen } from '../../core/commission/sight';
import { scopeIn, sightIn } from '../people/door';
import { partAsk, yardAsk, yardFacts } from './yardAsks';
import type { Store } from '../store/store';

/** A scan file of so many bytes is taken. */
const MAX_SCAN_BYTES = 60 * 1024 * 1024;

/** The yard takes turns as one commission does. */
const YARD = { who: 'yard' };

/** The studio with its yard, and in which commissions each piece of it stands. */
export function yardRoutes(store: Store, jobs: Jobs, pictures: Pictures): Router {
  const routes = Router();

  routes.get('/', async (_req, res) => {
    const [studio, used] = await Promise.all([readStudio(store), usedPieces(store)]);
    const sight = sightIn(res);
    // Where a piece stands is said by the title of a commission, which not everybody knows of.
    res.json({ ...(sight ? seen(studio, sight) : studio), used: scopeIn(res) ? {} : used });
  });

  routes.post('/yard', smallJson(), async (req, res) => {
    const ask = read(yardAsk, req.body);
    const { id, material } = ask;
    const taken = () => new Problem(409, `${id} is or was a piece of the yard already, must be a number of its own.`); // prettier-ignore
    if (await isKnownInYard(store, id)) throw taken();
    const kind = await entryOf<Material>(store, 'materials', material);
    if (!kind) throw new Problem(400, `material is "${material}", must be one of the studio’s catalogue.`);
    const made = await jobs.run('yardPiece', YARD, () => ({ ask, material: kind }));
    if (!made.ok) throw new Problem(422, made.says);
    // Another of the same number may have come in meanwhile.
    if (!(await addToYard(store, made.value.piece))) throw taken();
    res.status(201).json(made.value);
  });

  routes.post(
    '/yard/scans',
    taking(store.folder, MAX_SCAN_BYTES, 'scan', async (req, res, body) => {
      const name = typeof req.query.file === 'string' ? req.query.file : '';
      const unit = z.enum(['mm', 'cm', 'm']).catch('mm').parse(req.query.unit);
      const asker = { who: 'scans', signal: whileWaitedFor(res) };
      const taken = await jobs.run('takeScan', asker, () => ({ body, name, unit }));
      if (!taken.ok) throw new Problem(422, taken.says);
      res.status(201).json(taken.value);
    }),
  );

  routes.patch('/yard/:id', smallJson(), async (req: Request<{ id: string }>, res) => {
    if (!(await changeInYard(store, req.params.id, read(yardFacts, req.body))))
      throw notFound('piece of the yard');
    res.status(204).end();
  });

  routes.post('/yard/:id/parts', smallJson(), async (req: Request<{ id: string }>, res) => {
    const ask = read(partAsk, req.body);
    const [{ yard, parted }, used] = await Promise.all([readStudio(store), usedPieces(store)]);
    const piece = yard.find((p) => p.id === req.params.id);
    if (!piece) throw notFound('piece of the yard');
    const others = (used[piece.id] ?? []).filter((c) => c.id !== ask.commission);
    if (others.length > 0)
      throw new Problem(409, `${piece.id} stands in ${others[0].title}: take it out there first.`);
    const material = await entryOf<Material>(store, 'materials', piece.material);
    if (!material) throw new Problem(409, `${piece.id} is of "${piece.material}", which the studio’s catalogue does not have.`); // prettier-ignore
    const ids = twoFree(piece.id, new Set([...yard, ...parted].map((p) => p.id)));
    const made = await jobs.run('partPiece', YARD, () => ({ piece, material, ask, ids }));
    if (!made.ok) throw new Problem(422, made.says);
    if (!(await partInYard(store, piece.id, made.value.parts)))
      throw new Problem(409, `${piece.id} was parted by somebody else at the same moment.`);
    res.status(201).json(made.value);
  });

  routes.put(
    '/yard/:id/photo',
    taking<{ id: string }>(
      store.folder,
      MAX_PICTURE_BYTES,
      'picture',
      async ({ params: { id } }, res, body) => {
        const prepared = await pictures
          .prepare(body, { ...YARD, signal: whileWaitedFor(res) })
          .catch((error: unknown) => {
            if (error instanceof NoPictureError) throw new Problem(415, `This is no picture that can be read, must be a JPEG, PNG or the like${error.limit}.`); // prettier-ignore
            throw error;
          });
        if (!(await changeInYard(store, id, { photo: prepared.id }))) throw notFound('piece of the yard');
        await keepYardPhoto(store, { id: prepared.id, jpeg: prepared.jpeg });
        res.status(201).json({ photo: prepared.id });
      },
    ),
  );

  routes.get('/yard/photos/:photo', async (req, res) => {
    const photo = await yardPhotoOf(store, req.params.photo);
    if (!photo) throw notFound('picture');
    res
      .type('image/jpeg')
      .setHeader('Cache-Control', 'private, max-age=31536000, immutable')
      .send(photo.jpeg);
  });

  routes.delete('/yard/:id', async (req, res) => {
    const ahead = (await usedPieces(store))[req.params.id]?.find((c) => c.buildDay >= dayNow());
    if (ahead) throw new Problem(409, `${req.params.id} stands in ${ahead.title}: take it out there first.`);
    if (!(await dropFromYard(store, req.params.id))) throw notFound('piece of the yard');
    res.status(204).end();
  });
  return routes;
}

/** Numbers of two parts: `S-14a` and `S-14b`, or the next letters that are free. */
function twoFree(id: string, taken: ReadonlySet<string>): [string, string] {
  const free = [...'abcdefghijklmnopqrstuvwxyz']
    .map((letter) => `${id}${letter}`)
    .filter((n) => !taken.has(n));
  return [free[0], free[1]];
}
