import type { Commission } from '../commission/schema';
import { withGiven } from './given';

type Parcel = NonNullable<Commission['parcels']>[number];

/** The document with something said of a parcel; what is given as undefined is not said any more. */
export function withParcel(document: Commission, reference: string, change: Partial<Parcel>): Commission {
  const all = document.parcels ?? [];
  const old = all.find((p) => p.reference === reference);
  const next = withGiven<Parcel>(old ?? { reference }, change);
  return { ...document, parcels: old ? all.map((p) => (p === old ? next : p)) : [...all, next] };
}
