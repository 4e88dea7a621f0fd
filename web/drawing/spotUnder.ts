/**
 * Where the pointer is on an overlay, mm to the right of and above its lower left corner. The overlay is the group
 * around a sheet, its first rectangle; `k` is px to a millimetre.
 */
export function spotUnder(event: MouseEvent, k: number): [number, number] {
  const sheet = (event.currentTarget as Element).querySelector('rect')!.getBoundingClientRect();
  const tenth = (px: number) => Math.round((px / k) * 10) / 10;
  return [tenth(event.clientX - sheet.left), tenth(sheet.bottom - event.clientY)];
}
