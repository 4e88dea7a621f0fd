import type { Supplier } from '../commission/schema';

/** What a supplier asks beside its goods: the least it sends for, and carriage by what the goods come to, minor units. */
export interface Terms {
  minimumMinor: number;
  /** Rising by `fromMinor`; the first is from 0. */
  carriage: readonly { fromMinor: number; minor: number }[];
}

/** A supplier's terms; without any, and where one goes there oneself, nothing is asked. */
export function termsOf({ minimumMinor = 0, carriage = [], shop }: Pick<Supplier, 'minimumMinor' | 'carriage' | 'shop'>): Terms {
  if (shop) return { minimumMinor: 0, carriage: [{ fromMinor: 0, minor: 0 }] };
  const steps = [...carriage].sort((a, b) => a.fromMinor - b.fromMinor);
  const first = steps[0]?.fromMinor === 0 ? [] : [{ fromMinor: 0, minor: steps[0]?.minor ?? 0 }];
  return { minimumMinor, carriage: [...first, ...steps] };
} // prettier-ignore

/** Carriage of goods for so much: of the last step that they reach; nothing for no goods. */
export function carriageOf({ carriage }: Pick<Terms, 'carriage'>, goodsMinor: number): number {
  if (goodsMinor <= 0) return 0;
  return carriage.reduce((minor, step) => (goodsMinor >= step.fromMinor ? step.minor : minor), 0);
}
