import { afterEach, expect, it, vi } from 'vitest';
import { apart } from '../../core/exchange/apart';
import { scanned } from '../../core/testing/scanned';
import { piece, scape } from '../../core/testing/scape';
import { inEnglish } from '../../core/words/english';

afterEach(() => vi.unstubAllGlobals());

it('scans are fetched once each; one that cannot be is named by its piece, and asked for again', async () => {
  const shape = scanned(400, 71);
  const { commission, meshes } = apart(
    scape({ option: { pieces: [piece({ shape }), piece({ id: 'S-2', shape, at: [400, 180] })] } }),
  );
  const [[mesh, bytes]] = meshes;
  const asked: string[] = [];
  let there = false;
  vi.stubGlobal('fetch', (url: string) => {
    asked.push(url);
    return Promise.resolve(there ? new Response(bytes.slice()) : new Response('', { status: 404 }));
  });
  // What is held belongs to the module: a worker begins without any.
  vi.resetModules();
  const { scansAtHand } = await import('./scans');
  const { isHeld } = await import('../../core/hardscape/heldMeshes');
  expect(inEnglish((await scansAtHand('c 1', commission))!)).toMatch(/^The scan of S-1 could not be fetched/);
  there = true;
  expect(await scansAtHand('c 1', commission)).toBeUndefined();
  expect(isHeld(mesh)).toBe(true);
  expect(await scansAtHand('c 1', commission)).toBeUndefined();
  expect(asked).toEqual(Array(2).fill(`/api/meshes?of=c+1&part=mesh&names=${mesh}`));
});
