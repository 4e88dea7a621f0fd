import { createStore, entries, get, keys, promisifyRequest } from 'idb-keyval';
import type { Change } from '../../core/commission/changes';
import type { Day } from '../../core/calendar/day';
import { forgetPhotos } from './photoBox';

/*
 * What this browser keeps until the server has confirmed it: the changes that wait, a draft for each tab and
 * commission. Written twice: into local storage, which is done when the call returns and so still works while
 * a page goes; and into IndexedDB, which outlives a browser that is killed a moment later. The newer counts.
 */

export interface Draft {
  commission: string;
  tab: string;
  /** Counts up with every state that is kept. */
  seq: number;
  /** When it was kept, ms since 1970. */
  at: number;
  /** What the changes are based on. */
  revision: number;
  changes: Change[];
}

/** What can be undone and redone, each step the changes it made. */
export interface History {
  day: Day;
  past: Change[][];
  future: Change[][];
}

const DRAFT = 'utsuwa draft ';
const HISTORY = 'utsuwa history ';
const TYPED = 'utsuwa typed ';
const KINDS = [DRAFT, HISTORY, TYPED];
const keyOf = (commission: string, tab: string) => `${commission} ${tab}`;
const database = () => createStore('utsuwa', 'kept');
let opened: ReturnType<typeof createStore> | undefined;
const store = () => (opened ??= database());

/** Opens what is kept here, for whoever asks next: the first to ask waits for the browser. */
export function openJournal(): void {
  void keys(store()).catch(() => []);
}

/**
 * Writes into IndexedDB are asked for at once and come to pass in the order in which they were asked for. None
 * waits for the one before, nor for this page to hear that it was done: a page that is busy drawing would put
 * that off, and a browser killed then lose it.
 */
let writing: Promise<unknown> = Promise.resolve();
function write(work: (kept: IDBObjectStore) => void): Promise<unknown> {
  const done = store()('readwrite', (kept) => {
    work(kept);
    kept.transaction.commit();
    return promisifyRequest(kept.transaction);
  });
  writing = Promise.all([writing, done.catch(() => {})]);
  return writing;
}

/** Keeps a draft. Done in local storage when it returns; where that is full the other one has it. */
export function keepDraft(draft: Draft): void {
  const key = DRAFT + keyOf(draft.commission, draft.tab);
  const text = JSON.stringify(draft);
  void write((kept) => kept.put(text, key));
  try {
    localStorage.setItem(key, text);
  } catch {
    // Full, or not allowed: an older state there must not be taken for the newer one.
    remove(key);
  }
}

export function dropDraft(commission: string, tab: string): void {
  const key = DRAFT + keyOf(commission, tab);
  remove(key);
  void write((kept) => kept.delete(key));
}

function remove(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Not allowed at all: then nothing is there either.
  }
}

/** All drafts of this browser, the oldest first. */
export async function allDrafts(): Promise<Draft[]> {
  await writing;
  const found = new Map<string, Draft>();
  const add = (key: string, draft: Draft | undefined) => {
    const known = found.get(key);
    if (draft && isDraft(draft) && (!known || known.seq < draft.seq)) found.set(key, draft);
  };
  for (const [key, value] of await entries<string, string | Draft>(store()).catch(() => []))
    if (key.startsWith(DRAFT))
      add(key, typeof value === 'string' ? (read(value) as Draft | undefined) : value);
  for (const [key, text] of stored(DRAFT)) add(key, read(text) as Draft | undefined);
  return [...found.values()].sort((a, b) => a.at - b.at);
}

function stored(kind: string): [string, string][] {
  try {
    return Object.entries(localStorage).filter(([key]) => key.startsWith(kind));
  } catch {
    return [];
  }
}

function read(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

function isDraft(draft: Draft): boolean {
  return (
    typeof draft.commission === 'string' && Array.isArray(draft.changes) && typeof draft.seq === 'number'
  );
}

export async function readHistory(commission: string, tab: string): Promise<History | undefined> {
  await writing;
  return get<History>(HISTORY + keyOf(commission, tab), store()).catch(() => undefined);
}

/** The newest history of a commission that a tab left which is no more. */
export async function lastHistory(
  commission: string,
  living: ReadonlySet<string>,
): Promise<History | undefined> {
  await writing;
  const all = await entries<string, History & { at?: number }>(store()).catch(() => []);
  return all
    .filter(([key]) => key.startsWith(`${HISTORY}${commission} `))
    .filter(([key]) => !living.has(key.slice(`${HISTORY}${commission} `.length)))
    .map(([, history]) => history)
    .sort((a, b) => (b.at ?? 0) - (a.at ?? 0))[0];
}

export function keepHistory(commission: string, tab: string, history: History): void {
  const kept = { ...plain(history), at: Date.now() };
  void write((store) => store.put(kept, HISTORY + keyOf(commission, tab)));
}

/** Words that are no answer yet: a note that was begun and not added. The later of both places counts. */
interface Typed {
  at: number;
  text: string;
}

export function keepTyped(commission: string, field: string, text: string): void {
  const key = `${TYPED}${commission} ${field}`;
  const typed: Typed = { at: Date.now(), text };
  try {
    if (text === '') localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(typed));
  } catch {
    // Full or not allowed: the other place has it.
  }
  void write((kept) => (text === '' ? kept.delete(key) : kept.put(typed, key)));
}

export async function readTyped(commission: string, field: string): Promise<string> {
  const key = `${TYPED}${commission} ${field}`;
  await writing;
  const there = await get<Typed>(key, store()).catch(() => undefined);
  const [, here] = stored(TYPED).find(([k]) => k === key) ?? [];
  const last = [there, here ? (read(here) as Typed | undefined) : undefined]
    .filter((t) => t !== undefined)
    .sort((a, b) => b.at - a.at)[0];
  return last?.text ?? '';
}

/** Commissions of which this browser keeps anything: drafts, steps of undo, begun notes. */
export async function keptCommissions(): Promise<string[]> {
  await writing;
  const inDatabase = await keys<string>(store()).catch(() => []);
  const here = KINDS.flatMap((kind) => stored(kind).map(([key]) => key));
  const idOf = (key: string) => {
    const kind = KINDS.find((k) => key.startsWith(k));
    return kind === undefined ? [] : key.slice(kind.length).split(' ').slice(0, 1);
  };
  return [...new Set([...inDatabase, ...here].flatMap(idOf))];
}

/** Steps can be undone until the end of their day: those of earlier days go. */
export async function dropOldHistories(day: Day): Promise<void> {
  await writing;
  const all = await entries<string, History>(store()).catch(() => []);
  const old = all.filter(([key, history]) => key.startsWith(HISTORY) && history.day !== day);
  if (old.length > 0) await write((kept) => old.forEach(([key]) => kept.delete(key)));
}

/** Forgets everything of a commission, in every tab: it is no more, and what it said of people with it. */
export async function forget(commission: string): Promise<void> {
  const starts = KINDS.map((kind) => `${kind}${commission} `);
  for (const start of starts) for (const [key] of stored(start)) remove(key);
  await write((kept) => {
    for (const from of starts) {
      kept.delete(IDBKeyRange.bound(from, `${from}\uffff`));
    }
  });
  await forgetPhotos(commission);
}

/** Without the marks that the interface puts on what it watches. */
function plain<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T;
}
