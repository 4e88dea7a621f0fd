import equal from 'fast-deep-equal';

/*
 * What changed between two states of a document, as data: it can be kept, sent, turned round for undo, and
 * laid over what somebody else made of the same document meanwhile. Entries of a list are named by their id,
 * so that a note added here and a stone moved there do not meet.
 */

/** A field by its name, or an entry of a list by its id. */
export type Step = string | { id: string };

/**
 * One change. A field that was or is left out has no `was` or no `is`. An entry that was put in or taken out
 * stood behind the entry `after`, first of all where that is null. `order` is that of entries in both.
 */
export interface Change {
  path: Step[];
  was?: unknown;
  is?: unknown;
  after?: string | null;
  order?: { was: string[]; is: string[] };
  /** One of the two states does not have the list at all: with its last entry the list goes. */
  listGoes?: true;
  /** Other values that were sent on the way, of which nobody knows whether they arrived. */
  sent?: unknown[];
}

/** All that has to be done to `was` so that it becomes `is`. What both share is not looked into. */
export function changesBetween(was: object, is: object): Change[] {
  const found: Change[] = [];
  compare([], was, is, found);
  return found;
}

type Fields = Record<string, unknown>;

export function isFields(value: unknown): value is Fields {
  return value !== null && typeof value === 'object' && !Array.isArray(value);
}

function compare(path: Step[], was: unknown, is: unknown, found: Change[]): void {
  if (was === is) return;
  if (isFields(was) && isFields(is) && was.kind === is.kind) compareFields(path, was, is, found);
  else if (isList(was, is) && isList(is, was)) compareEntries(path, was, is, found);
  else if (!equal(was, is)) found.push(changeOf(path, was, is));
}

/** A list of entries, or the place of one that the other has. */
function isList(value: unknown, other: unknown): value is Entry[] | undefined {
  if (value === undefined) return Array.isArray(other) && other.length > 0;
  return Array.isArray(value) && areEntries(value);
}

function changeOf(path: Step[], was: unknown, is: unknown): Change {
  return {
    path,
    ...(was === undefined ? {} : { was }),
    ...(is === undefined ? {} : { is }),
  };
}

function compareFields(path: Step[], was: Fields, is: Fields, found: Change[]): void {
  for (const key of new Set([...Object.keys(was), ...Object.keys(is)]))
    compare([...path, key], was[key], is[key], found);
}

type Entry = Fields & { id: string };

/** True for a list whose entries all have an id of their own; the empty list may become one. */
export function areEntries(list: readonly unknown[]): list is Entry[] {
  const ids = new Set<string>();
  for (const entry of list) {
    if (!isFields(entry) || typeof entry.id !== 'string' || ids.has(entry.id)) return false;
    ids.add(entry.id);
  }
  return true;
}

function compareEntries(
  path: Step[],
  wasThere: Entry[] | undefined,
  isThere: Entry[] | undefined,
  found: Change[],
): void {
  const [was, is] = [wasThere ?? [], isThere ?? []];
  const goes = wasThere && isThere ? {} : ({ listGoes: true } as const);
  const before = new Map(was.map((e) => [e.id, e]));
  const after = new Map(is.map((e) => [e.id, e]));
  // From the last to the first, so that putting them back begins with the one the next stands behind.
  for (let i = was.length - 1; i >= 0; i--)
    if (!after.has(was[i].id))
      found.push({ path: [...path, { id: was[i].id }], was: was[i], after: was[i - 1]?.id ?? null, ...goes });
  const order = { was: idsIn(was, after), is: idsIn(is, before) };
  if (!equal(order.was, order.is)) found.push({ path, order });
  is.forEach((entry, i) => {
    const old = before.get(entry.id);
    if (old) compare([...path, { id: entry.id }], old, entry, found);
    else found.push({ path: [...path, { id: entry.id }], is: entry, after: is[i - 1]?.id ?? null, ...goes });
  });
}

function idsIn(list: readonly Entry[], others: ReadonlyMap<string, unknown>): string[] {
  return list.filter((e) => others.has(e.id)).map((e) => e.id);
}

/** What takes the same changes back, in the order in which that has to be done. */
export function inverse(changes: readonly Change[]): Change[] {
  return changes
    .map(({ path, was, is, after, order, listGoes }) => ({
      ...changeOf(path, is, was),
      ...(after === undefined ? {} : { after }),
      ...(listGoes ? { listGoes } : {}),
      ...(order ? { order: { was: order.is, is: order.was } } : {}),
    }))
    .reverse();
}

/**
 * What is to be done to what is confirmed so that it becomes the present document, where earlier states were
 * sent and not answered: each change knows what its place may have become by them, and what was changed and
 * changed back is put back.
 */
export function waitingChanges(confirmed: object, sent: readonly object[], present: object): Change[] {
  const changes = changesBetween(confirmed, present);
  const at = new Map(changes.map((change) => [placeOf(change.path), change]));
  for (const state of sent) {
    if (state === present) continue;
    for (const { path, was, is, order } of changesBetween(confirmed, state)) {
      const change = at.get(placeOf(path));
      if (order) continue;
      if (change) change.sent = [...(change.sent ?? []), is ?? null];
      else changes.push({ ...changeOf(path, is, was), sent: [was ?? null] });
    }
  }
  return changes;
}

/** `options[a].pieces[S-1].at`: where a change is, in words for a list of them. */
export function placeOf(path: readonly Step[]): string {
  return path.reduce<string>(
    (place, step) =>
      typeof step === 'string' ? `${place}${place ? '.' : ''}${step}` : `${place}[${step.id}]`,
    '',
  );
}
