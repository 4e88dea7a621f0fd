import { MESHES_AT_ONCE, meshesOfBytes } from '../../core/exchange/meshBlob';
import type { Mesh } from '../../core/geometry/mesh';

/** As a scan is, for measuring; or with fewer triangles, for drawing. */
export type MeshPart = 'mesh' | 'drawn';

/** How long they may take to come, ms. */
const PATIENCE_MS = 30_000;

/**
 * Meshes by name that the commission `of` may have, many in one request: to ask for one costs more than most of them weigh.
 * Where one of many cannot be had each is asked for by itself, and those that cannot are left out.
 */
export async function fetchMeshes(
  of: string,
  part: MeshPart,
  names: readonly string[],
): Promise<Map<string, Mesh>> {
  const found = new Map<string, Mesh>();
  const take = (some: readonly string[]) =>
    asked(of, part, some).then((meshes) => some.forEach((name, i) => found.set(name, meshes[i])));
  for (let from = 0; from < names.length; from += MESHES_AT_ONCE) {
    const some = names.slice(from, from + MESHES_AT_ONCE);
    await take(some).catch(() =>
      some.length === 1 ? undefined : Promise.allSettled(some.map((name) => take([name]))),
    );
  }
  return found;
}

async function asked(of: string, part: MeshPart, names: readonly string[]): Promise<Mesh[]> {
  const answer = await fetch(`/api/meshes?${new URLSearchParams({ of, part, names: names.join() })}`, {
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (!answer.ok) throw new Error(`${answer.status}`);
  const meshes = meshesOfBytes(new Uint8Array(await answer.arrayBuffer()));
  if (meshes.length !== names.length) throw new Error(`${meshes.length} of ${names.length} meshes came`);
  return meshes;
}
