import { materialOf } from '../commission/lookup';
import type { Layer } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import type { Survey } from '../survey/survey';
import { litresOutTo } from '../survey/waterByHeight';
import { poursOf, type Role } from './pours';

/** Weeks after which a sand that a studio lays later goes in, at half fill (common practice: one to several). */
const SAND_LATER_DAYS = 21;

/** A layer that is poured on a later day. */
export interface LaterLayer {
  id: string;
  layer: Layer;
  role: Role;
  afterDays: number;
  litres: number;
}

/** Layers that belong to a later day: those that say so, and cosmetic sand where the school lays it later. */
export function laterLayers(commission: Resolved, survey: Survey): LaterLayer[] {
  const { bed } = commission.option;
  const sandLater = commission.brief.schools?.sand === 'later';
  return poursOf(commission, survey).flatMap(({ layer: id, role, litres }): LaterLayer[] => {
    const layer = bed.find((l) => l.id === id)!;
    const school = sandLater && role === 'cosmetic' && materialOf(commission, layer.material).kind === 'sand';
    const afterDays = layer.laterDays ?? (school ? SAND_LATER_DAYS : 0);
    return afterDays > 0 ? [{ id, layer, role, afterDays, litres }] : [];
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
