import { z } from 'zod';
import { isFields } from './changes';
import { faultOf, type Fault } from './fault';
import { referenceFaults } from './references';
import { commissionSchema, type Commission } from './schema';
import { geometryFaults } from './geometryFaults';

/**
 * What is wrong with a document that was made from another by replacing parts of it, as every edit does.
 * Only what was replaced is read again, down to the field of the entry: what both share, the same object in
 * both, is as good as it was, so that moving a stone reads neither the other stones nor its own surface. What
 * ties parts together, names and geometry, is always looked at. The faults are those of `parseCommission`,
 * with the same paths.
 *
 * @param before a document without faults
 */
export function faultsOfChange(before: Commission, after: Commission): Fault[] {
  const found = replacedFaults(commissionSchema, before, after, '');
  return found.length > 0 ? found : [...referenceFaults(after), ...geometryFaults(after)];
}

/** Faults of what is not the same in `is` as in `was`, which has none. */
function replacedFaults(schema: z.ZodType, was: unknown, is: unknown, path: string): Fault[] {
  if (was === is) return [];
  const inner = unwrapped(schema);
  if (inner instanceof z.ZodObject && !isChecked(inner) && isFields(was) && isFields(is))
    return fieldFaults(inner, was, is, path);
  if (inner instanceof z.ZodArray && Array.isArray(was) && Array.isArray(is))
    return entryFaults(inner, was, is, path);
  return readFaults(schema, is, path);
}

type Fields = Record<string, unknown>;

function fieldFaults(schema: z.ZodObject, was: Fields, is: Fields, path: string): Fault[] {
  return Object.entries(schema.shape).flatMap(([key, field]) =>
    replacedFaults(field as z.ZodType, was[key], is[key], path ? `${path}.${key}` : key),
  );
}

/** Entries that the list had before are passed over; one of the same id is held against what it was. */
function entryFaults(schema: z.ZodArray, was: unknown[], is: unknown[], path: string): Fault[] {
  const element = schema.element as z.ZodType;
  // Figures are read faster than they are looked up.
  if (!is.some((entry) => entry !== null && typeof entry === 'object')) return readFaults(schema, is, path);
  const known = new Set(was);
  const byId = new Map(was.flatMap((entry) => (isFields(entry) ? [[entry.id, entry]] : [])));
  const found = is.flatMap((entry, i) => {
    if (known.has(entry)) return [];
    const old = isFields(entry) ? byId.get(entry.id) : undefined;
    const at = `${path}[${i}]`;
    return old ? replacedFaults(element, old, entry, at) : readFaults(element, entry, at);
  });
  return [...found, ...readFaults(shallow(schema), is, path)];
}

function readFaults(schema: z.ZodType, value: unknown, path: string): Fault[] {
  const result = schema.safeParse(value);
  return result.success ? [] : result.error.issues.map((issue) => faultOf(issue, value, path));
}

/** What an optional field holds when it holds something. */
function unwrapped(schema: z.ZodType): z.ZodType {
  return schema instanceof z.ZodOptional || schema instanceof z.ZodDefault
    ? unwrapped(schema.unwrap() as z.ZodType)
    : schema;
}

/** Whether a schema asks something of its fields together. */
function isChecked(schema: z.ZodObject): boolean {
  return (schema.def.checks?.length ?? 0) > 0;
}

const lists = new WeakMap<z.ZodArray, z.ZodType>();

/** What a list is asked as a whole, its length, without its entries. */
function shallow(schema: z.ZodArray): z.ZodType {
  const known = lists.get(schema) ?? new z.ZodArray({ ...schema.def, element: z.unknown() });
  lists.set(schema, known);
  return known;
}
