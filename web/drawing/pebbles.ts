import { MM3_PER_L } from '../../core/units/volume';

/** A loose stone as it is drawn: where its middle is and how far across it is, mm. */
export interface Pebble {
  at: [number, number];
  mm: number;
  /** How it is turned, radians. */
  turn: number;
}

/** More than these nobody tells apart on a sheet. */
const MOST = 90;
/** Grain of which nobody said a size is drawn as coarse sand, mm. */
const GRAIN_MM: readonly [number, number] = [4, 8];
/** The angle by which seeds follow each other in a flower head: no two of them in one line. */
const GOLDEN = Math.PI * (3 - Math.sqrt(5));

/**
 * Loose stones around the feet of pieces (left, front, right, back, mm): as many as are in so many solid litres, each foot by
 * turns, the largest nearest to it. The same lot always lies the same.
 */
export function pebblesRound(
  feet: readonly (readonly [number, number, number, number])[],
  solidL: number,
  sizeMm: readonly [number, number] = GRAIN_MM,
): Pebble[] {
  const [small, large] = sizeMm;
  const each = (Math.PI / 6) * ((small + large) / 2) ** 3;
  const count = Math.max(feet.length, Math.min(MOST, Math.round((solidL * MM3_PER_L) / each)));
  return Array.from({ length: count }, (_, i): Pebble => {
    const [left, front, right, back] = feet[i % feet.length];
    const [along, angle] = [i / Math.max(1, count - 1), i * GOLDEN];
    const mm = large + (small - large) * along;
    // Further out as they get smaller.
    const out = mm / 2 + along * large * 0.8;
    const at = (from: number, to: number, share: number) => (from + to) / 2 + ((to - from) / 2 + out) * share;
    return { at: [at(left, right, Math.cos(angle)), at(front, back, Math.sin(angle))], mm, turn: angle };
  });
}
