import { existsSync } from 'node:fs';
import { Router, type Response } from 'express';
import { notFound } from '../problem';
import { meshFile, MESH_NAME, type MeshPart } from '../store/meshes';
import type { Store } from '../store/store';

/** Meshes by name: whole for measuring, with fewer triangles for drawing. */
export function meshRoutes({ folder }: Store): Router {
  const routes = Router();
  routes.get('/:name', (req, res) => send(res, req.params.name, 'mesh'));
  routes.get('/:name/drawn', (req, res) => send(res, req.params.name, 'drawn'));

  function send(res: Response, name: string, part: MeshPart): void {
    if (!MESH_NAME.test(name) || !existsSync(meshFile(folder, name, 'json'))) throw notFound('scan');
    // A name stands for the same bytes for ever.
    res.type('application/octet-stream').sendFile(meshFile(folder, name, part), { immutable: true, maxAge: '1y', dotfiles: 'allow' }); // prettier-ignore
  }
  return routes;
}
