import type { PathD } from 'clipper2-ts';
import { anticlockwise, type Point, type Polygon } from './polygon';

/** A ring as the path that clipping works on, anticlockwise: two that run opposite ways would cut each other out. */
export const pathOf = (ring: Polygon): PathD => anticlockwise(ring).map(([x, y]) => ({ x, y }));

/** A path of clipping as a ring, mm. */
export const ringOf = (path: PathD): Point[] => path.map(({ x, y }): Point => [x, y]);
