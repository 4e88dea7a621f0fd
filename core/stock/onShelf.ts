import type { Shelf, ShelfEntry, Take } from './shelf';

/** An amount in another unit of the same thing; undefined where nobody knows what a litre of it weighs. */
export function amountIn(
  amount: number,
  from: ShelfEntry['unit'],
  to: Take['unit'],
  kgPerL: number | undefined,
): number | undefined {
  if (from === to) return amount;
  if (kgPerL === undefined) return undefined;
  if (from === 'kg' && to === 'L') return amount / kgPerL;
  return from === 'L' && to === 'kg' ? amount * kgPerL : undefined;
}

/** How much of a thing stands on the shelf and how much of it others take, in the unit in which it is taken. */
export function onShelf(
  { entries, reserved }: Shelf,
  { of, unit, kgPerL }: Pick<Take, 'of' | 'unit' | 'kgPerL'>,
) {
  const sum = (list: readonly { of: string; amount: number; unit: ShelfEntry['unit'] }[]) =>
    list.filter((e) => e.of === of).reduce((n, e) => n + (amountIn(e.amount, e.unit, unit, kgPerL) ?? 0), 0);
  return { has: sum(entries), reserved: sum(reserved) };
}
