import { priceKey, takeable, type OtherPrice } from '../catalogue/listed';
import type { Brief, Commission, Pack, Supplier } from '../commission/schema';
import { withGiven } from './given';

type Buying = NonNullable<Brief['buying']>;

/** The document with what suppliers are chosen for; line by line again when that is left out. */
export function withAim(document: Commission, aim: Buying['aim']): Commission {
  return withBuying(document, ({ aim: _was, ...rest }) => (aim ? { ...rest, aim } : rest));
}

/** The document with a line bought from one supplier whatever is chosen, or free again. */
export function withPin(document: Commission, line: string, supplier: string | undefined): Commission {
  return withBuying(document, ({ pins = [], ...rest }) => {
    const left = pins.filter((p) => p.line !== line);
    const all = supplier ? [...left, { line, supplier }] : left;
    return all.length > 0 ? { ...rest, pins: all } : rest;
  });
}

/** What is said of buying, changed; nothing of it where nothing is said any more. */
function withBuying(document: Commission, change: (buying: Buying) => Buying): Commission {
  const { buying = {}, ...brief } = document.brief;
  const next = change(buying);
  return { ...document, brief: Object.keys(next).length > 0 ? { ...brief, buying: next } : brief };
}

/** What a supplier asks and when it brings, beside its name: what a document has as it was when it was taken in. */
const TERMS = [
  'days',
  'closed',
  'livingDays',
  'cutOff',
  'minimumMinor',
  'carriage',
  'contact',
  'shop',
  'open',
] as const;
const termsIn = (supplier: Supplier) => JSON.stringify(TERMS.map((key) => supplier[key] ?? null));

/** Suppliers of a document whose terms are others in the studio now. */
export function otherTerms({ catalogue }: Commission, studio: readonly Supplier[]): Supplier[] {
  return catalogue.suppliers.flatMap((own) => {
    const now = studio.find((s) => s.id === own.id);
    return now && termsIn(now) !== termsIn(own) ? [now] : [];
  });
}

/** The document with the terms of some suppliers as the studio has them now. */
export function withTerms(document: Commission, now: readonly Supplier[]): Commission {
  const suppliers = document.catalogue.suppliers.map((own) => {
    const other = now.find((s) => s.id === own.id);
    return other ? withGiven(own, Object.fromEntries(TERMS.map((key) => [key, other[key]]))) : own;
  });
  return { ...document, catalogue: { ...document.catalogue, suppliers } };
}

/** The document with packs at today's prices; what is gone or of another size is left to whoever chooses anew. */
export function withPrices(document: Commission, others: readonly OtherPrice[]): Commission {
  const now = new Map(takeable(others).map((o) => [priceKey(o.supplier, o.pack.id), o.isMinor]));
  const priced = <T extends { packs?: Pack[] }>(entry: T): T => {
    const packs = entry.packs?.map((p) => withGiven(p, { priceMinor: now.get(priceKey(p.supplier, p.id)) ?? p.priceMinor })); // prettier-ignore
    return packs ? { ...entry, packs } : entry;
  };
  const { catalogue } = document;
  return {
    ...document,
    catalogue: {
      ...catalogue,
      materials: catalogue.materials.map(priced),
      plants: catalogue.plants.map(priced),
    },
  };
}
