import equal from 'fast-deep-equal';
import { areEntries, isFields, type Change, type Step } from './changes';
import type { Fault } from './fault';

/** The same thing was changed in two places: what it was for both, what either made of it. */
export interface Clash {
  change: Change;
  /** What stands there now; undefined when it is gone. */
  theirs: unknown;
  /** Why the change cannot be made any more at all: the document would not be one. */
  unfit?: Fault;
}

export interface Merged<T> {
  document: T;
  /** Changes that were not made, because somebody else changed the same thing. */
  clashes: Clash[];
}

/**
 * Lays changes over a document that may have moved on since they were made. Each is made where the document
 * still has what it had; one that is already there counts as made; one whose place has another value now is
 * a clash and left out, or made all the same where `force` is set. The document is not changed in place.
 */
export function merged<T extends object>(document: T, changes: readonly Change[], force = false): Merged<T> {
  const clashes: Clash[] = [];
  let current: unknown = document;
  const names = newNames();
  for (const asSent of changes) {
    const change = named(current, asSent, names, force);
    const said = made(current, change.path, change, force);
    if (said.clash) clashes.push({ change, theirs: said.theirs });
    else current = said.value;
  }
  return { document: current as T, clashes };
}

type Made = { clash: true; theirs: unknown } | { clash?: undefined; value: unknown };

/** The value with the change made at the end of the path. Goes down one step a call. */
function made(value: unknown, path: readonly Step[], change: Change, force: boolean): Made {
  const [step, ...rest] = path;
  if (step === undefined)
    return change.order ? reordered(value, change, force) : replaced(value, change, force);
  if (typeof step === 'string') {
    if (!isFields(value)) return { clash: true, theirs: undefined };
    const inner = made(value[step], rest, change, force);
    if (inner.clash) return inner;
    if (inner.value === value[step]) return { value };
    const next = { ...value, [step]: inner.value };
    if (inner.value === undefined) delete next[step];
    return { value: next };
  }
  return madeInList(value, step.id, rest, change, force);
}

function madeInList(list: unknown, id: string, rest: readonly Step[], change: Change, force: boolean): Made {
  const entries = list === undefined && rest.length === 0 ? [] : list;
  if (!Array.isArray(entries) || !areEntries(entries)) return { clash: true, theirs: undefined };
  const at = entries.findIndex((e) => e.id === id);
  // An entry that somebody else took out has nothing left to change in it.
  if (at < 0 && rest.length > 0) return { clash: true, theirs: undefined };
  const inner = made(entries[at], rest, change, force);
  if (inner.clash) return inner;
  if (at >= 0 && inner.value === entries[at]) return { value: list };
  if (at < 0) return { value: inner.value === undefined ? list : putIn(entries, inner.value, change.after) };
  if (inner.value === undefined && change.listGoes && entries.length === 1) return { value: undefined };
  return {
    value: inner.value === undefined ? entries.toSpliced(at, 1) : entries.with(at, inner.value as never),
  };
}

function putIn(list: readonly { id: string }[], entry: unknown, after: string | null | undefined): unknown[] {
  const behind = list.findIndex((e) => e.id === after);
  return list.toSpliced(behind >= 0 ? behind + 1 : after === null ? 0 : list.length, 0, entry as never);
}

function replaced(value: unknown, change: Change, force: boolean): Made {
  if (has(value, change.is)) return { value };
  const ours = force || same(value, change.was) || wasSent(value, change);
  return ours ? { value: change.is } : { clash: true, theirs: value };
}

/** Whether a value is one that was sent on the way; nothing is sent as null. */
function wasSent(value: unknown, { sent = [] }: Change): boolean {
  return sent.some((v) => (v === null ? value === undefined : has(value, v)));
}

/** Entries that both know stand in the new order; those that only one knows stay behind their neighbour. */
function reordered(value: unknown, { order }: Change, force: boolean): Made {
  if (!Array.isArray(value) || !areEntries(value)) return { clash: true, theirs: value };
  const known = new Set(value.map((e) => e.id));
  const [was, is] = [order!.was, order!.is].map((ids) => ids.filter((id) => known.has(id)));
  const now = value.map((e) => e.id).filter((id) => is.includes(id));
  if (equal(now, is)) return { value };
  if (!force && !equal(now, was)) return { clash: true, theirs: now };
  const byId = new Map(value.map((e) => [e.id, e]));
  let next = 0;
  return { value: value.map((e) => (is.includes(e.id) ? byId.get(is[next++]) : e)) };
}

/** Equal, a field that is left out and one that is undefined being the same. */
function same(a: unknown, b: unknown): boolean {
  return a === b || equal(a, b) || (a !== undefined && b !== undefined && equal(plain(a), plain(b)));
}

function plain(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value));
}

/** Whether a value has all that another one has: reading a document fills in what was left out. */
function has(value: unknown, asked: unknown): boolean {
  if (value === asked) return true;
  if (isFields(value) && isFields(asked))
    return Object.keys(asked).every((key) => asked[key] === undefined || has(value[key], asked[key]));
  if (Array.isArray(value) && Array.isArray(asked))
    return value.length === asked.length && asked.every((item, i) => has(value[i], item));
  return false;
}

/**
 * Ids that entries were given because others of the same id stood there by now: two places counted alike. By list and
 * by the id they were sent with; those of pieces apart, since other fields name them.
 */
interface Names {
  inLists: Map<string, Map<string, string>>;
  pieces: Map<string, string>;
}
const newNames = (): Names => ({ inLists: new Map(), pieces: new Map() });

/** The list that a path leads to, as one word. */
const listAt = (path: readonly Step[]) => JSON.stringify(path);

/** A change as it has to be made here: an entry that it puts in may need another id, earlier ones may have been given one. */
function named(document: unknown, change: Change, names: Names, force: boolean): Change {
  const path = names.inLists.size === 0 ? change.path : renamedPath(change, names);
  const list = path.slice(0, -1);
  const last = change.path.at(-1);
  const isPutIn = !force && change.was === undefined && change.is !== undefined && typeof last === 'object';
  if (names.inLists.size === 0 && !isPutIn) return change;
  const known = names.inLists.get(listAt(list));
  const mine: Change = {
    ...change,
    path,
    ...(change.is === undefined ? {} : { is: renamedIn(change.is, NAMING.has(String(last)), names.pieces) }),
    ...(typeof change.after === 'string' ? { after: known?.get(change.after) ?? change.after } : {}),
    ...(change.order ? { order: renamedOrder(change.order, names.inLists.get(listAt(path))) } : {}),
  };
  const fresh = isPutIn ? ownId(document, mine, last.id, list) : undefined;
  if (!fresh || typeof last !== 'object') return mine;
  names.inLists.set(listAt(list), (known ?? new Map<string, string>()).set(last.id, fresh));
  if (list.at(-1) === 'pieces') names.pieces.set(last.id, fresh);
  return { ...mine, path: [...list, { id: fresh }], is: { ...(mine.is as object), id: fresh } };
}

/** An id of its own for an entry that is put in where another of the same id stands; none where it may keep it. */
function ownId(document: unknown, change: Change, id: string, path: readonly Step[]): string | undefined {
  const list = valueAt(document, path);
  if (!Array.isArray(list)) return undefined;
  const there = list.find((e) => isFields(e) && e.id === id);
  if (there === undefined || has(there, change.is) || wasSent(there, change)) return undefined;
  const taken = new Set(list.map((e) => (isFields(e) ? e.id : undefined)));
  for (let n = 2; ; n++) if (!taken.has(`${id}-${n}`)) return `${id}-${n}`;
}

/** Each entry on the way by the id it has here; one that is put in is judged by the id it was sent with. */
function renamedPath({ path, was, is }: Change, { inLists }: Names): Step[] {
  const puts = was === undefined && is !== undefined;
  return path.reduce<Step[]>((at, step, i) => {
    const kept = typeof step === 'string' || (puts && i === path.length - 1);
    const fresh = kept ? undefined : inLists.get(listAt(at))?.get(step.id);
    return [...at, fresh === undefined ? step : { id: fresh }];
  }, []);
}

function renamedOrder({ was, is }: { was: string[]; is: string[] }, names?: ReadonlyMap<string, string>) {
  const own = (id: string) => names?.get(id) ?? id;
  return { was: was.map(own), is: is.map(own) };
}

function valueAt(value: unknown, path: readonly Step[]): unknown {
  return path.reduce<unknown>((at, step) => {
    if (typeof step === 'string') return isFields(at) ? at[step] : undefined;
    return Array.isArray(at) ? at.find((e) => isFields(e) && e.id === step.id) : undefined;
  }, value);
}

/** Fields that name a piece of the same option. */
const NAMING = new Set(['piece', 'pieces', 'on']);

/** A value with the pieces that it names under the ids that they have here. */
function renamedIn(value: unknown, naming: boolean, pieces: ReadonlyMap<string, string>): unknown {
  if (pieces.size === 0) return value;
  if (typeof value === 'string') return naming ? (pieces.get(value) ?? value) : value;
  if (Array.isArray(value)) return value.map((v) => renamedIn(v, naming, pieces));
  if (!isFields(value)) return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, renamedIn(v, NAMING.has(k), pieces)]));
}
