import { distance } from 'fastest-levenshtein';
import { say, type Text } from '../words/text';
import { pathOf, type Fault } from './fault';
import { commissionSchema, type Commission } from './schema';

/** Notes at most: after that many the document is something else. */
const MOST_NOTES = 20;
/** Letters that may differ between a name and the one that was probably meant. */
const NEAR = 3;

/**
 * Fields that this version does not know, each with its path and the nearest name that it knows there. They
 * are kept as they are; but a name that was misspelt is an answer that nobody hears.
 */
export function unknownFields(commission: Commission): Fault[] {
  const notes: Fault[] = [];
  visit(commissionSchema as unknown as SchemaOf, commission, [], notes);
  return notes;
}

/** What is read of a Zod schema: its kind and its parts. */
export interface SchemaOf {
  def: {
    type: string;
    shape?: Record<string, SchemaOf>;
    element?: SchemaOf;
    innerType?: SchemaOf;
    options?: SchemaOf[];
    items?: SchemaOf[];
    values?: unknown[];
  };
}

function visit(schema: SchemaOf, value: unknown, path: PropertyKey[], notes: Fault[]): void {
  if (notes.length >= MOST_NOTES) return;
  const { type, shape, element, innerType, options } = schema.def;
  if (innerType) return visit(innerType, value, path, notes);
  if (type === 'array' && element && Array.isArray(value)) {
    // Corners and triangles have no fields to misspell.
    if (element.def.type !== 'tuple') value.forEach((item, i) => visit(element, item, [...path, i], notes));
    return;
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return;
  if (options) {
    const form = fitting(options, value as Record<string, unknown>);
    if (form) visit(form, value, path, notes);
  } else if (shape) visitFields(shape, value as Record<string, unknown>, path, notes);
}

function visitFields(
  shape: Record<string, SchemaOf>,
  value: Record<string, unknown>,
  path: PropertyKey[],
  notes: Fault[],
): void {
  for (const [key, inner] of Object.entries(value)) {
    if (Object.hasOwn(shape, key)) visit(shape[key], inner, [...path, key], notes);
    else if (notes.length < MOST_NOTES)
      notes.push({ path: pathOf([...path, key]), says: unknownSays(key, shape) });
  }
}

/** Which of several forms a value is of. */
export function fitting(options: readonly SchemaOf[], value: Record<string, unknown>): SchemaOf | undefined {
  return options.find((o) => fits(o, value));
}

/** Whether a value is of this one of several forms: the form's literal fields tell. */
function fits({ def }: SchemaOf, value: Record<string, unknown>): boolean {
  return Object.entries(def.shape ?? {}).every(
    ([key, field]) => field.def.type !== 'literal' || field.def.values?.includes(value[key]),
  );
}

function unknownSays(key: string, shape: Record<string, SchemaOf>): Text {
  const known = Object.keys(shape).filter((name) => distance(name.toLowerCase(), key.toLowerCase()) <= NEAR);
  const nearest = known.sort((a, b) => distance(a, key) - distance(b, key))[0];
  return nearest ? say('fault.misspelt.field', { meant: nearest }) : say('fault.unknown.field');
}
