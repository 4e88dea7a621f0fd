import { createReadStream, existsSync } from 'node:fs';
import { stat } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { z } from 'zod';
import { MESHES_AT_ONCE } from '../../core/exchange/meshBlob';
import { whileWaitedFor } from '../body';
import type { Jobs } from '../jobs/jobs';
import { notFound } from '../problem';
import { meshFile, MESH_NAME } from '../store/meshes';
import { whoNames } from '../store/meshCare';
import type { Store } from '../store/store';

const asked = z.object({
  of: z.string().max(200).default(''),
  part: z.enum(['mesh', 'drawn']).default('mesh'),
  names: z.string().max(MESHES_AT_ONCE * 33).transform((names) => names.split(',')).pipe(z.array(z.string().regex(MESH_NAME)).min(1).max(MESHES_AT_ONCE)),
}); // prettier-ignore

/**
 * Meshes by name, one after the other as they were asked for: whole for measuring, or with fewer triangles for drawing.
 * `of` is the commission for which they are wanted: only what that names is given, what lies in the studio's yard, and what
 * nothing names any more or yet; where one of them is not to be had none is given.
 */
export function meshRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();
  routes.get('/', async (req, res) => {
    const { data } = asked.safeParse(req.query);
    if (!data) throw notFound('scan');
    const { of, part, names } = data;
    const there = (name: string) => existsSync(meshFile(store.folder, name, 'json'));
    const by = await Promise.all(names.map((name) => (there(name) ? whoNames(store, name, of) : 'others')));
    if (by.includes('others')) throw notFound('scan');
    const files = names.map((name) => meshFile(store.folder, name, part));
    const undrawn = names.filter((_, i) => part === 'drawn' && !existsSync(files[i]));
    const asks = { who: of || 'yard', signal: whileWaitedFor(res) };
    await Promise.all(undrawn.map((name) => jobs.run('drawMesh', asks, () => ({ name }))));
    const sizes = await Promise.all(files.map((file) => stat(file)));
    res.type('application/octet-stream');
    res.setHeader('Content-Length', sizes.reduce((sum, { size }) => sum + size, 0)); // prettier-ignore
    // A stone of the yard is nobody's secret, and its name stands for the same bytes for ever. What a client's commission
    // has stays in no browser when it is erased.
    const isYard = by.every((who) => who === 'yard');
    res.setHeader('Cache-Control', isYard ? 'public, max-age=31536000, immutable' : 'private, no-store');
    await pipeline(oneByOne(files), res);
  });
  return routes;
}

/** The bytes of some files, as fast as they are taken. */
async function* oneByOne(files: readonly string[]): AsyncGenerator<Buffer> {
  for (const file of files) yield* createReadStream(file);
}
