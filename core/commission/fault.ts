import type { z } from 'zod';

/** One thing wrong with a document: where, and what is allowed there instead. */
export interface Fault {
  /** E.g. `options[0].bed[1].top.mm`; `(document)` for the whole. */
  path: string;
  says: string;
}

type Issue = z.core.$ZodIssue;

/** `['options', 0, 'bed']` is written `options[0].bed`. */
export function pathOf(keys: readonly PropertyKey[]): string {
  let path = '';
  for (const key of keys) {
    if (typeof key === 'number') path += `[${key}]`;
    else path += path === '' ? String(key) : `.${String(key)}`;
  }
  return path || '(document)';
}

/** A value as it is shown in a message: short, and told apart from a number of the same spelling. */
export function shown(value: unknown): string {
  if (value === undefined) return 'missing';
  if (value === null) return 'null';
  if (typeof value === 'string') return `"${value.length > 40 ? `${value.slice(0, 40)}…` : value}" (text)`;
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object') return 'an object';
  return String(value);
}

const WANTED: Record<string, string> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  boolean: 'true or false',
  array: 'a list',
  tuple: 'a list',
  object: 'an object',
};

/** What Zod found, in one sentence with what is there and what is allowed. */
export function faultOf(issue: Issue, document: unknown): Fault {
  return { path: pathOf(issue.path), says: `is ${shown(valueAt(document, issue.path))}, ${allowed(issue)}` };
}

function allowed(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `must be ${WANTED[issue.expected] ?? issue.expected}`;
    case 'invalid_value':
      return `must be ${issue.values.map((v) => JSON.stringify(v)).join(' or ')}`;
    case 'too_small':
      return `must ${bound(issue.origin, issue.inclusive ? 'at least' : 'more than', issue.minimum)}`;
    case 'too_big':
      return `must ${bound(issue.origin, issue.inclusive === false ? 'less than' : 'at most', issue.maximum)}`;
    case 'invalid_union': {
      const kinds = unionKinds(issue);
      return kinds ? `must have a kind of ${kinds}` : 'must be one of the forms that the format allows';
    }
    case 'custom':
    case 'invalid_format':
      return issue.message.startsWith('must') ? issue.message : 'must be written as the format says';
    default:
      return issue.message;
  }
}

function bound(origin: string, relation: string, limit: number | bigint): string {
  if (origin === 'array' || origin === 'tuple') return `have ${relation} ${limit} entries`;
  if (origin === 'string') return `have ${relation} ${limit} characters`;
  return `be ${relation} ${limit}`;
}

function unionKinds(issue: Issue): string | undefined {
  const options = (issue as { options?: unknown[] }).options;
  return options?.map((o) => JSON.stringify(o)).join(', ');
}

function valueAt(document: unknown, keys: readonly PropertyKey[]): unknown {
  let value = document;
  for (const key of keys) {
    if (value === null || typeof value !== 'object') return undefined;
    value = (value as Record<PropertyKey, unknown>)[key];
  }
  return value;
}
