import type { Option, Vessel } from '../commission/schema';
import { polygonBounds } from '../geometry/polygon';
import { wayWithin } from './inside';

/**
 * An option in which the region of a planting has gone over the floor, mm to the right and back: until it meets a pane, by
 * the box around the inner outline. As it was where it is at the pane already, or has no region.
 */
export function shifted(
  option: Option,
  id: string,
  [dx, dy]: readonly [number, number],
  { innerMm }: Pick<Vessel, 'innerMm'>,
): Option {
  const region = option.plants.find((p) => p.id === id)?.region;
  if (!region) return option;
  const [left, front, right, back] = polygonBounds(region);
  const [x, y] = [wayWithin(dx, left, right, innerMm.length), wayWithin(dy, front, back, innerMm.width)];
  if (x === 0 && y === 0) return option;
  const moved = region.map(([u, v]): [number, number] => [u + x, v + y]);
  return { ...option, plants: option.plants.map((p) => (p.id === id ? { ...p, region: moved } : p)) };
}
