import { pathOf } from '../commission/fault';

/** Where a plan has a figure that is none, or undefined when every one of them is a number. */
export function unfinished(value: unknown, path: PropertyKey[] = []): string | undefined {
  if (typeof value === 'number') return Number.isFinite(value) ? undefined : pathOf(path);
  if (value === null || typeof value !== 'object' || ArrayBuffer.isView(value)) return undefined;
  for (const [key, inner] of Object.entries(value)) {
    const found = unfinished(inner, [...path, Array.isArray(value) ? Number(key) : key]);
    if (found) return found;
  }
  return undefined;
}
