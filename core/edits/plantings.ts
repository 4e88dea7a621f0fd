import { withGiven } from './given';
import type { Option, Planting, Vessel } from '../commission/schema';
import { polygonBounds } from '../geometry/polygon';
import { wayWithin } from './inside';

/** The option with a planting held in another way; what has grown onto its piece makes that a living one. */
export function withHeld(option: Option, id: string, held: NonNullable<Planting['held']>): Option {
  const plants = option.plants.map((p) => (p.id === id ? withGiven(p, { held: held === 'glue' ? undefined : held }) : p)); // prettier-ignore
  const on = held === 'grown' ? plants.find((p) => p.id === id)?.on : undefined;
  return {
    ...option,
    plants,
    pieces: option.pieces.map((p) => (p.id === on ? { ...p, state: 'living' } : p)),
  };
}

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
