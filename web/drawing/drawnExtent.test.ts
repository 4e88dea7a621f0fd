import { afterEach, expect, it, vi } from 'vitest';
import { apart } from '../../core/exchange/apart';
import { scanned } from '../../core/testing/scanned';
import { piece, scape } from '../../core/testing/scape';
import { drawnExtent } from './drawnExtent';

afterEach(() => vi.unstubAllGlobals());

it('a scan reaches as far as its sizes until it is there, and then as far as it does', async () => {
  const { commission, meshes } = apart(scape({ option: { pieces: [piece({ shape: scanned(420, 93) })] } }));
  const [[, bytes]] = meshes;
  const { shape } = commission.options[0].pieces[0];
  if (shape.kind !== 'scan') throw new Error('a scan is expected');
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(bytes.slice())));
  const half = shape.sizeMm.map((mm) => mm / 2);
  expect(drawnExtent(shape, 0).hi).toEqual(half);
  // A quarter turn: length and width change places.
  const turned = drawnExtent(shape, 90).hi;
  expect([turned[0], turned[1]]).toEqual([expect.closeTo(half[1], 6), expect.closeTo(half[0], 6)]);
  await vi.waitFor(() => expect(drawnExtent(shape, 0).hi).not.toEqual(half));
  const there = drawnExtent(shape, 0);
  expect(there.hi[2] - there.lo[2]).toBeCloseTo(shape.sizeMm[2], 3);
});
