import { layerOf, type Resolved, type ResolvedLayer } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { litresOutTo } from '../survey/waterByHeight';
import { poursOf } from './pours';

/** A layer that is poured on a later day, with its litres. */
export interface LaterLayer extends ResolvedLayer {
  id: string;
  litres: number;
}

/** Layers that belong to a later day. */
export function laterLayers(commission: Resolved, survey: Survey): LaterLayer[] {
  return poursOf(commission, survey).flatMap(({ layer: id, litres }) => {
    const resolved = layerOf(commission, id);
    return resolved.laterDays > 0 ? [{ ...resolved, id, litres }] : [];
  });
}

/** Sand is laid and stems are set at half fill: the look is truer, and an arm reaches (common practice). */
const HALF = 0.5;

/** Height to which a planted tank is drained for such work, mm, and the water that goes for it, L. */
export function halfFill(
  commission: Pick<Resolved, 'vessel' | 'catalogue'>,
  survey: Survey,
): { mm: number; outL: number } {
  const mm = HALF * commission.vessel.waterLineMm;
  return { mm, outL: litresOutTo(survey, commission, mm) };
}
