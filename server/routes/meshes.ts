import { existsSync } from 'node:fs';
import { Router, type Request, type Response } from 'express';
import { whileWaitedFor } from '../body';
import type { Jobs } from '../jobs/jobs';
import { notFound } from '../problem';
import { meshFile, MESH_NAME, type MeshPart } from '../store/meshes';
import { whoNames } from '../store/meshCare';
import type { Store } from '../store/store';

/**
 * Meshes by name: whole for measuring, with fewer triangles for drawing. `of` is the commission for which one is wanted:
 * only what that names is given, what lies in the studio's yard, and what nothing names any more or yet.
 */
export function meshRoutes(store: Store, jobs: Jobs): Router {
  const routes = Router();
  routes.get('/:name', (req, res) => send(req, res, 'mesh'));
  routes.get('/:name/drawn', (req, res) => send(req, res, 'drawn'));

  async function send(req: Request<{ name: string }>, res: Response, part: MeshPart): Promise<void> {
    const { name } = req.params;
    const file = meshFile(store.folder, name, part);
    if (!MESH_NAME.test(name) || !existsSync(meshFile(store.folder, name, 'json'))) throw notFound('scan');
    const of = typeof req.query.of === 'string' ? req.query.of : '';
    const by = await whoNames(store, name, of);
    if (by === 'others') throw notFound('scan');
    if (part === 'drawn' && !existsSync(file))
      await jobs.run('drawMesh', { who: of || 'yard', signal: whileWaitedFor(res) }, () => ({ name }));
    res.type('application/octet-stream');
    // A stone of the yard is nobody's secret, and its name stands for the same bytes for ever. What a client's commission
    // has stays in no browser when it is erased.
    if (by === 'yard') res.sendFile(file, { immutable: true, maxAge: '1y', dotfiles: 'allow' });
    else res.setHeader('Cache-Control', 'private, no-store').sendFile(file, { cacheControl: false, dotfiles: 'allow' }); // prettier-ignore
  }
  return routes;
}
