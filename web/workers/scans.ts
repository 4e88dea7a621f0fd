import type { Commission } from '../../core/commission/schema';
import { scansOf } from '../../core/exchange/apart';
import { meshOfBytes } from '../../core/exchange/meshBlob';
import { holdMesh, isHeld } from '../../core/hardscape/heldMeshes';
import { say, type Text } from '../../core/words/text';

/** How long a scan may take to come, ms. */
const PATIENCE_MS = 30_000;

/**
 * Fetches the meshes of a commission's scans that are not at hand yet; the server gives those of `id` alone.
 *
 * @returns what is missing, or undefined when all are there
 */
export async function scansAtHand(id: string, commission: Commission): Promise<Text | undefined> {
  const wanted = new Set(scansOf(commission).map((s) => s.mesh));
  const missing = [...wanted].filter((name) => !isHeld(name));
  const results = await Promise.allSettled(missing.map((name) => fetched(id, name, wanted)));
  const lost = missing.find((_, i) => results[i].status === 'rejected');
  if (!lost) return undefined;
  const piece = commission.options[0].pieces.find((p) => p.shape.kind === 'scan' && p.shape.mesh === lost);
  return say('scan.away', { id: piece?.id ?? '' });
}

async function fetched(id: string, name: string, wanted: ReadonlySet<string>): Promise<void> {
  const answer = await fetch(`/api/meshes/${name}?of=${encodeURIComponent(id)}`, {
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (!answer.ok) throw new Error(`${answer.status}`);
  holdMesh(name, meshOfBytes(new Uint8Array(await answer.arrayBuffer())), wanted);
}
