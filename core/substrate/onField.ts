import type { BedField } from './bedField';

/**
 * A figure that follows from a bed's field alone, worked out once for each field and name: while stones are moved
 * the field stays the same object.
 */
export function onField<T extends object | number>(field: BedField, name: string, work: () => T): T {
  let known = kept.get(field);
  if (!known) kept.set(field, (known = new Map()));
  if (!known.has(name)) known.set(name, work());
  return known.get(name) as T;
}

const kept = new WeakMap<BedField, Map<string, unknown>>();
