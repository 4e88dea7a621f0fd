import { grownHeightMm } from '../../core/catalogue/sizes';
import { plantIn } from '../../core/catalogue/entries';
import type { Commission, Option } from '../../core/commission/schema';
import { plugSpots } from '../../core/planting/region';
import { spacingOf } from '../../core/planting/spacing';
import type { Grown } from '../../core/planted/grown';
import type { FieldView } from '../workers/planWorker';
import { drawnSurfaceAt } from './bedPaths';

/** How far towards its grown height a plant is drawn where no day is said. */
const GROWN = 0.6;
/** More than these no planting has. */
const MOST_PLUGS = 3_000;

/**
 * Plants grown more than half-way, in even rows: for pictures beside which nobody asks for a day, without waiting for where
 * each plug goes.
 */
export function halfGrown(commission: Commission, option: Option, field: FieldView): Grown[] {
  return option.plants.flatMap((planting) => {
    const plant = plantIn(commission, planting.plant);
    if (!plant || !planting.region) return [];
    const spacing = spacingOf(commission, planting, plant)!;
    const flat = plugSpots(planting.region, spacing, MOST_PLUGS);
    const spots = new Float64Array(flat.length * 3);
    flat.forEach(([x, y], i) => spots.set([x, y, drawnSurfaceAt(field, x, y)], i * 3));
    const [low, high] = grownHeightMm(plant);
    return [{ id: planting.id, plant, spots, heightMm: low + (high - low) * GROWN, radiusMm: spacing * 0.6, cover: 1, melted: 0 }]; // prettier-ignore
  });
}
