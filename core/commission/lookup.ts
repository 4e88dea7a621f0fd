import { scapeOf } from './scapes';
import type { Commission, Material, Option, Pack, Supplier } from './schema';

/** The option asked for, or the chosen one; by the id `now` the tank as it is now. Throws a RangeError that names the options there are. */
export function optionOf(commission: Commission, optionId = commission.chosen): Option {
  const option = scapeOf(commission, optionId);
  if (!option) {
    const known = commission.options.map((o) => `"${o.id}"`).join(', ');
    throw new RangeError(`option: is "${optionId}", must be one of ${known}`);
  }
  return option;
}

/** A material of the document's own catalogue. Parsing has made sure that it is there. */
export function materialOf({ catalogue }: Catalogued, id: string): Material {
  return found(catalogue.materials, id, 'material');
}

/** The material of an id, where it is one: an id may be a plant's, or of nothing in the catalogue. */
export function materialIn({ catalogue }: Catalogued, id: string): Material | undefined {
  return catalogue.materials.find((m) => m.id === id);
}

/** The first material of a kind, the one that is used and bought; undefined where the catalogue has none. */
export function materialOfKind(
  { catalogue }: Catalogued,
  kind: Material['kind'],
  also: (material: Material) => boolean = () => true,
): Material | undefined {
  return catalogue.materials.find((m) => m.kind === kind && also(m));
}

export function supplierOf({ catalogue }: Catalogued, id: string): Supplier {
  return found(catalogue.suppliers, id, 'supplier');
}

/** A pack of the document's catalogue, by what it holds and its own id: two plants may both come in a `cup`. */
export function packOf(commission: Catalogued, entry: string, pack: string): Pack | undefined {
  return entryPacks(commission, entry).find((p) => p.id === pack);
}

/** All packs in which a material or a plant is sold; none where the catalogue has no such entry. */
export function entryPacks({ catalogue }: Catalogued, entry: string): readonly Pack[] {
  const holds = ({ id }: { id: string }) => id === entry;
  return (catalogue.materials.find(holds) ?? catalogue.plants.find(holds))?.packs ?? [];
}

/** True for what lives: it comes on days for living goods, and may be dead when it does. */
export function isLiving({ catalogue }: Catalogued, entry: string): boolean {
  return catalogue.plants.some(({ id }) => id === entry);
}

/** Packs of an order line, as it was counted, that are neither broken nor dead. */
export function wholeOf({ came, broken = 0, dead = 0 }: NonNullable<Commission['received']>[number]): number {
  return came - broken - dead;
}

/** A supplier as the document has it; undefined where it does not have it any more, as in an order from before. */
export function knownSupplier({ catalogue }: Catalogued, id: string): Supplier | undefined {
  return catalogue.suppliers.find((s) => s.id === id);
}

/** A supplier's name; its id where the document does not have it any more, as in an order from before. */
export function nameOfSupplier(commission: Catalogued, id: string): string {
  return knownSupplier(commission, id)?.name ?? id;
}

/** What a material or a plant is called; its id where the catalogue has it no more. */
export function nameOfEntry({ catalogue }: Catalogued, entry: string): string {
  return [...catalogue.materials, ...catalogue.plants].find((e) => e.id === entry)?.name ?? entry;
}

type Catalogued = Pick<Commission, 'catalogue'>;

/** Documents are never changed in place: what stands where in a list stays true of it. */
const listed = new WeakMap<readonly { id: string }[], ReadonlyMap<string, { id: string }>>();

function found<T extends { id: string }>(list: readonly T[], id: string, what: string): T {
  let known = listed.get(list) as ReadonlyMap<string, T> | undefined;
  if (!known) listed.set(list, (known = new Map(list.map((e) => [e.id, e]))));
  const entry = known.get(id);
  if (!entry) throw new RangeError(`${what} "${id}" is not in the document's catalogue`);
  return entry;
}
