const [FACTOR, PRIME] = [48_271, 2_147_483_647];

/**
 * A row of numbers from 0 to 1 that is the same for the same seed: Park and Miller's minimal standard generator with the
 * factor 48271 (Communications of the ACM 31, 1988, and 36, 1993; from memory).
 */
export function seeded(seed: number): () => number {
  let state = (Math.abs(Math.round(seed)) % (PRIME - 1)) + 1;
  return () => (state = (state * FACTOR) % PRIME) / PRIME;
}
