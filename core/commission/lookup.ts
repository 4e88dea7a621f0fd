import type { Commission, Material, Option, Plant, Supplier } from './schema';

/** The option asked for, or the chosen one. Throws a RangeError that names the options there are. */
export function optionOf(commission: Commission, optionId = commission.chosen): Option {
  const option = commission.options.find((o) => o.id === optionId);
  if (!option) {
    const known = commission.options.map((o) => `"${o.id}"`).join(', ');
    throw new RangeError(`option: is "${optionId}", must be one of ${known}`);
  }
  return option;
}

/** A material of the document's own catalogue. Parsing has made sure that it is there. */
export function materialOf(commission: Commission, id: string): Material {
  return found(commission.catalogue.materials, id, 'material');
}

export function plantOf(commission: Commission, id: string): Plant {
  return found(commission.catalogue.plants, id, 'plant');
}

export function supplierOf(commission: Commission, id: string): Supplier {
  return found(commission.catalogue.suppliers, id, 'supplier');
}

function found<T extends { id: string }>(list: readonly T[], id: string, what: string): T {
  const entry = list.find((e) => e.id === id);
  if (!entry) throw new RangeError(`${what} "${id}" is not in the document's catalogue`);
  return entry;
}
