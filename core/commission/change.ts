import type { z } from 'zod';
import { faultOf, type Fault } from './fault';
import { referenceFaults } from './references';
import { commissionSchema, optionSchema, type Commission, type Option } from './schema';
import { geometryFaults } from './shapes';

/**
 * What is wrong with a document that was made from another by replacing parts of it, as every edit does.
 * Only the parts that were replaced are read again: what both share, the same object in both, is as good as
 * it was, so that typing a size does not read every stone. What ties parts together, names and geometry,
 * is always looked at. The faults are those of `parseCommission`, with the same paths.
 */
export function faultsOfChange(before: Commission, after: Commission): Fault[] {
  const { options: listSchema, ...schemas } = commissionSchema.shape;
  const sameOptions = before.options.length === after.options.length;
  const found = [
    ...replacedFaults(schemas, before, after, ''),
    ...(sameOptions
      ? after.options.flatMap((option, i) => optionFaults(before.options, option, i))
      : replacedFaults({ options: listSchema }, before, after, '')),
  ];
  return found.length > 0 ? found : [...referenceFaults(after), ...geometryFaults(after)];
}

/** An option against the one of the same id before it; one that was not there is read whole. */
function optionFaults(before: readonly Option[], option: Option, i: number): Fault[] {
  const was = before.find((o) => o.id === option.id) ?? {};
  return replacedFaults(optionSchema.shape, was, option, `options[${i}].`);
}

/** The fields of one object that are not the same as before, each read by its own schema. */
function replacedFaults(schemas: Record<string, z.ZodType>, was: object, is: object, path: string): Fault[] {
  const [old, now] = [was as Record<string, unknown>, is as Record<string, unknown>];
  return Object.entries(schemas).flatMap(([key, schema]) => {
    if (now[key] === old[key] && key in old) return [];
    const result = schema.safeParse(now[key]);
    return result.success ? [] : result.error.issues.map((issue) => within(`${path}${key}`, issue, now[key]));
  });
}

/** A fault found inside a field, with the path from the top of the document. */
function within(path: string, issue: z.core.$ZodIssue, value: unknown): Fault {
  const fault = faultOf(issue, value);
  if (fault.path === '(document)') return { ...fault, path };
  return { ...fault, path: `${path}${fault.path.startsWith('[') ? '' : '.'}${fault.path}` };
}
