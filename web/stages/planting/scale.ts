/** Colours from dark to bright that keep their order for every eye and in grey print, red, green and blue. */
const STOPS: readonly (readonly [number, number, number])[] = [
  [38, 34, 62],
  [54, 72, 110],
  [58, 116, 122],
  [92, 156, 104],
  [176, 188, 84],
  [248, 222, 120],
];

/** The colour at a share from 0 to 1. */
export function brightness(share: number): [number, number, number] {
  const at = Math.min(Math.max(share, 0), 1) * (STOPS.length - 1);
  const i = Math.min(STOPS.length - 2, Math.floor(at));
  const [a, b] = [STOPS[i], STOPS[i + 1]];
  return [0, 1, 2].map((k) => Math.round(a[k] + (b[k] - a[k]) * (at - i))) as [number, number, number];
}
