import type { z } from 'zod';
import { measure } from '../words/measure';
import { say, type MessageKey, type Text, type Value } from '../words/text';
import { fieldUnit } from './fieldUnit';
import { mustText } from './must';

/** One thing wrong with a document: where, and what is allowed there instead. */
export interface Fault {
  /** E.g. `options[0].bed[1].top.mm`; `(document)` for the whole. */
  path: string;
  says: Text;
}

/** A fault at a path, by the key of its message. */
export function fault<K extends MessageKey>(path: string, ...said: Parameters<typeof say<K>>): Fault {
  return { path, says: say(...said) };
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

/** Decimals of a figure as somebody wrote it. */
const MOST_PLACES = 3;
/** Lists whose figures are places, mm. */
const PLACES = new Set(['at', 'wasAt', 'region', 'corners']);
/** The unit of the figures at a path, by the name of the field they are in: `sizeMm[0]` and `innerMm.length` are mm. */
function unitAt(path: string): string | undefined {
  for (const name of (path.match(/[a-z]\w*/gi) ?? []).reverse()) {
    const unit = PLACES.has(name) ? 'mm' : fieldUnit(name).unit;
    if (unit || !['length', 'width', 'height'].includes(name)) return unit;
  }
  return undefined;
}

/** A figure of a field, as a quantity where the field has a unit. */
function inUnit(value: number, unit: string | undefined): Value {
  const isSeen = value === 0 || Math.abs(value) >= 10 ** -MOST_PLACES;
  // Rounded it would be another figure; an angle has its sign beside it.
  if (!Number.isFinite(value) || !isSeen) return String(value);
  if (unit === '°') return `${value}°`;
  return unit ? measure(unit, MOST_PLACES)(value) : value;
}

/** A length as somebody wrote it. */
export const asWritten = measure('mm', MOST_PLACES);

/** A value as it is shown in a message: short, and told apart from a number of the same spelling. */
export function shown(value: unknown, unit?: string): Value {
  if (value === undefined) return say('value.missing');
  if (value === null) return say('value.null');
  if (typeof value === 'string')
    return say('value.text', { text: value.length > 40 ? `${value.slice(0, 40)}…` : value });
  if (typeof value === 'number') return inUnit(value, unit);
  if (Array.isArray(value)) return say('value.list', { count: value.length });
  if (typeof value === 'object') return say('value.object');
  return String(value);
}

const WANTED: Record<string, MessageKey> = {
  number: 'type.number',
  int: 'type.whole',
  string: 'type.text',
  boolean: 'type.boolean',
  array: 'type.list',
  tuple: 'type.list',
  object: 'type.object',
};

/** What Zod found in a value, with what is there and what is allowed; the value may itself be at a path. */
export function faultOf(issue: Issue, value: unknown, at = ''): Fault {
  const path = joined(at, pathOf(issue.path));
  const unit = unitAt(path);
  const is = shown(valueAt(value, issue.path), unit);
  return fault(path, 'fault.is', { value: is, allowed: allowed(issue, unit) });
}

/** A path within what is at another. */
function joined(at: string, path: string): string {
  if (at === '' || path === '(document)') return at || path;
  return `${at}${path.startsWith('[') ? '' : '.'}${path}`;
}

function allowed(issue: Issue, unit: string | undefined): Text {
  switch (issue.code) {
    case 'invalid_type': {
      const wanted = WANTED[issue.expected];
      return say('must.be.type', { type: wanted ? { say: wanted } : issue.expected });
    }
    case 'invalid_value':
      return say('must.be.one', { values: issue.values.map((v) => JSON.stringify(v)).join(' or ') });
    case 'too_small':
      return bound(issue.origin, issue.inclusive ? 'atLeast' : 'more', issue.minimum, unit);
    case 'too_big':
      return bound(issue.origin, issue.inclusive === false ? 'less' : 'atMost', issue.maximum, unit);
    case 'invalid_union': {
      const kinds = unionKinds(issue);
      return kinds ? say('must.have.kind', { kinds }) : say('must.have.form');
    }
    case 'custom':
    case 'invalid_format':
      return mustText(issue.message) ?? ownWords(issue.message);
    default:
      return say('must.other', { says: issue.message });
  }
}

/** A check that was given its own words. */
function ownWords(message: string): Text {
  return message.startsWith('must ') ? say('must.other', { says: message }) : say('must.be.written');
}

type Relation = 'atLeast' | 'more' | 'atMost' | 'less';

function bound(origin: string, relation: Relation, limit: number | bigint, unit: string | undefined): Text {
  const most = Number(limit);
  if (origin === 'array' || origin === 'tuple')
    return say(`must.have.${relation}`, { limit: most, things: say('things.entries') });
  if (origin === 'string')
    return say(`must.have.${relation}`, { limit: most, things: say('things.characters') });
  return say(`must.be.${relation}`, { limit: inUnit(most, unit) });
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
