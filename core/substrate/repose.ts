import { USUAL_REPOSE_DEG } from '../commission/limits';
import type { Material } from '../commission/schema';

/** Slope at which the grain of a material holds, degrees: as its entry says, otherwise as usual. */
export function reposeOf(material: Pick<Material, 'reposeDeg'> | undefined): number {
  return material?.reposeDeg ?? USUAL_REPOSE_DEG;
}
