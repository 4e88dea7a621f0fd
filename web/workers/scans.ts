import type { Commission } from '../../core/commission/schema';
import { scansOf } from '../../core/exchange/apart';
import { holdMesh, isHeld } from '../../core/hardscape/heldMeshes';
import { say, type Text } from '../../core/words/text';
import { fetchMeshes } from './fetchMeshes';

/**
 * Fetches the meshes of a commission's scans that are not at hand yet; the server gives those of `id` alone.
 *
 * @returns what is missing, or undefined when all are there
 */
export async function scansAtHand(id: string, commission: Commission): Promise<Text | undefined> {
  const wanted = new Set(scansOf(commission).map((s) => s.mesh));
  const missing = [...wanted].filter((name) => !isHeld(name));
  const found = await fetchMeshes(id, 'mesh', missing);
  for (const [name, mesh] of found) holdMesh(name, mesh, wanted);
  const lost = missing.find((name) => !found.has(name));
  if (!lost) return undefined;
  const piece = commission.options[0].pieces.find((p) => p.shape.kind === 'scan' && p.shape.mesh === lost);
  return say('scan.away', { id: piece?.id ?? '' });
}
