/** A figure with its unit, e.g. `{ value: 3.58, unit: 'L' }`. */
export interface Quantity {
  value: number;
  unit: string;
}

/** Units that are counted things and so have a plural. */
const COUNTED = [
  'plug',
  'piece',
  'pack',
  'contact',
  'joint',
  'bag',
  'stone',
  'portion',
  'cell',
  'day',
  'week',
  'animal',
];

export function isCounted(unit: string): boolean {
  return COUNTED.includes(unit);
}

/** The unit as it stands behind a figure: `1 plug`, `2 plugs`, `2 L`. */
export function unitFor(value: number, unit: string): string {
  return isCounted(unit) && Math.abs(value) !== 1 ? `${unit}s` : unit;
}

/** Decimal places by which a figure is handed out; the computation itself is never rounded. */
export function rounded(value: number, places: number): number {
  const scale = 10 ** places;
  const scaled = value * scale;
  // Nudged by a billionth so that 1.005, stored as 1.00499999…, still rounds as it is written.
  return (Math.round(scaled + Math.sign(scaled) * 1e-9) + 0) / scale;
}

/** A share as it is typed and written, in per cent with at most four decimals: 1.2 is 120 %; nothing where none is said. */
export function percentOf(share: number | undefined): number | undefined {
  return share === undefined ? undefined : rounded(share * 100, 4);
}

/** A typed per cent as a share; nothing where nothing was typed. */
export function shareOf(percent: number | undefined): number | undefined {
  return percent === undefined ? undefined : percent / 100;
}
