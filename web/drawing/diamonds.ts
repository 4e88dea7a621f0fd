/** Marks for places seen from above, as one path: diamonds of so many px around each x, y of `spots` (x, y, z in mm), at k px/mm over a floor of `widthMm`. */
export function diamonds(
  spots: Float64Array | readonly number[],
  k: number,
  widthMm: number,
  px: number,
): string {
  let d = '';
  for (let i = 0; i < spots.length; i += 3)
    d += `M${(spots[i] * k).toFixed(1)} ${((widthMm - spots[i + 1]) * k - px).toFixed(1)}l${px} ${px}l${-px} ${px}l${-px} ${-px}Z`;
  return d;
}
