import { afterEach, expect, it, vi } from 'vitest';
import { meshBytes, meshesOfBytes, NotAMesh } from '../../core/exchange/meshBlob';
import { solidMesh } from '../../core/hardscape/solid';
import { fetchMeshes } from './fetchMeshes';

afterEach(() => vi.unstubAllGlobals());

const bytesOf = (mm: number) => meshBytes(solidMesh({ kind: 'box', sizeMm: [mm, mm, mm] }));
const widthOf = (mesh: { vertices: Float64Array } | undefined) =>
  mesh && Math.max(...mesh.vertices) - Math.min(...mesh.vertices);

/** A server that has meshes by name, each a cube of so many millimetres; one that it has not keeps the others back. */
function serves(has: Record<string, number>): string[][] {
  const asked: string[][] = [];
  vi.stubGlobal('fetch', async (url: string) => {
    const names = new URL(url, 'http://here').searchParams.get('names')!.split(',');
    asked.push(names);
    if (names.some((n) => !(n in has))) return new Response('', { status: 404 });
    return new Response(new Blob(names.map((n) => bytesOf(has[n]))));
  });
  return asked;
}

it('meshes come in one request, each under its name', async () => {
  const asked = serves({ a: 10, b: 20 });
  const found = await fetchMeshes('c', 'drawn', ['a', 'b']);
  expect([widthOf(found.get('a')), widthOf(found.get('b'))]).toEqual([10, 20]);
  expect(asked).toEqual([['a', 'b']]);
});

it('one that is missing keeps none of the others back, and many are asked for in parts', async () => {
  const asked = serves({ a: 10, c: 30 });
  expect([...(await fetchMeshes('c', 'mesh', ['a', 'b', 'c'])).keys()]).toEqual(['a', 'c']);
  expect(asked).toEqual([['a', 'b', 'c'], ['a'], ['b'], ['c']]);
  const names = Array.from({ length: 90 }, (_, i) => `m${i}`);
  const parts = serves(Object.fromEntries(names.map((n) => [n, 5])));
  expect((await fetchMeshes('c', 'mesh', names)).size).toBe(90);
  expect(parts.map((p) => p.length)).toEqual([40, 40, 10]);
});

it('bytes that end in the middle of a mesh are none', () => {
  const two = new Uint8Array([...bytesOf(10), ...bytesOf(20)]);
  expect(meshesOfBytes(two)).toHaveLength(2);
  for (const length of [two.length - 1, two.length - 200, bytesOf(10).length + 5])
    expect(() => meshesOfBytes(two.slice(0, length))).toThrow(NotAMesh);
  expect(meshesOfBytes(new Uint8Array(0))).toEqual([]);
});
