import { text } from './primitives';
import { commissionSchema, type Commission } from './schema';
import { fitting, type SchemaOf } from './unknown';

/**
 * A document with the fields that the format knows and none besides, and without running text: notes are written by
 * people about people. Needed is none of it; what is computed stays as it is.
 */
export function onlyKnown(commission: Commission): Commission {
  return kept(commissionSchema as unknown as SchemaOf, commission) as Commission;
}

function kept(schema: SchemaOf, value: unknown): unknown {
  const { innerType, element, shape, options } = schema.def;
  if (innerType) return kept(innerType, value);
  if (Array.isArray(value)) return element ? value.map((item) => kept(element, item)) : value;
  if (value === null || typeof value !== 'object') return value;
  if (options) {
    const form = fitting(options, value as Record<string, unknown>);
    return form ? kept(form, value) : value;
  }
  if (!shape) return value;
  const fields = Object.entries(value).filter(([key]) => Object.hasOwn(shape, key) && !isText(shape[key]));
  return Object.fromEntries(fields.map(([key, inner]) => [key, kept(shape[key], inner)]));
}

/** Running text, where it may be left out. */
function isText({ def }: SchemaOf): boolean {
  return (def.innerType as unknown) === text;
}
