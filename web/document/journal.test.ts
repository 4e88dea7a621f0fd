import 'fake-indexeddb/auto';
import { createStore, entries, set } from 'idb-keyval';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import {
  allDrafts,
  dropDraft,
  dropOldHistories,
  forget,
  keepDraft,
  keepHistory,
  keepTyped,
  keptCommissions,
  lastHistory,
  readHistory,
  readTyped,
  type Draft,
} from './journal';

const store = createStore('utsuwa', 'kept');
const draft = (seq: number, more: Partial<Draft> = {}): Draft => ({
  commission: 'c1',
  tab: 't1',
  seq,
  at: seq,
  revision: 1,
  changes: [{ path: ['title'], was: 'a', is: `state ${seq}` }],
  ...more,
});
const said = async () => (await allDrafts()).map((d) => [d.commission, d.tab, d.changes[0].is]);

const refuse = () => {
  throw new DOMException('full', 'QuotaExceededError');
};

beforeEach(async () => {
  vi.restoreAllMocks();
  for (const d of await allDrafts()) dropDraft(d.commission, d.tab);
  await forget('c1');
  localStorage.clear();
});

describe('a draft', () => {
  it('is in local storage when the call returns, and in the database soon after', async () => {
    keepDraft(draft(1));
    expect(JSON.parse(localStorage.getItem('utsuwa draft c1 t1')!).seq).toBe(1);
    keepDraft(draft(2));
    expect(await said()).toEqual([['c1', 't1', 'state 2']]);
    localStorage.clear();
    expect(await said()).toEqual([['c1', 't1', 'state 2']]);
  });

  it('counts in its newer state, wherever that is, and one that cannot be read is none', async () => {
    await set('utsuwa draft c1 t1', draft(7), store);
    localStorage.setItem('utsuwa draft c1 t1', JSON.stringify(draft(6)));
    localStorage.setItem('utsuwa draft c1 t2', '{"seq":');
    localStorage.setItem('utsuwa draft c1 t3', '{"seq":3}');
    expect(await said()).toEqual([['c1', 't1', 'state 7']]);
  });

  it('is kept by the database alone where local storage is full', async () => {
    keepDraft(draft(1));
    const full = { removeItem: (key: string) => here.removeItem(key), setItem: refuse };
    const here = localStorage;
    vi.stubGlobal('localStorage', Object.create(full));
    keepDraft(draft(2));
    vi.unstubAllGlobals();
    expect(localStorage.getItem('utsuwa draft c1 t1')).toBeNull();
    expect(await said()).toEqual([['c1', 't1', 'state 2']]);
  });

  it('that is dropped stays dropped, also right after it was kept', async () => {
    keepDraft(draft(1));
    dropDraft('c1', 't1');
    expect(await said()).toEqual([]);
    expect((await entries(store)).filter(([key]) => String(key).includes('draft'))).toEqual([]);
  });
});

describe('what is forgotten', () => {
  it('is all of a commission, in every tab, and nothing of another', async () => {
    keepDraft(draft(1));
    keepDraft(draft(1, { tab: 't2' }));
    keepDraft(draft(1, { commission: 'c10' }));
    keepHistory('c1', 't1', {
      day: '2026-11-25',
      past: [[{ path: ['title'], was: 'Ms Ash', is: 'x' }]],
      future: [],
    });
    keepTyped('c1', 'note', 'Ms Ash rang');
    await forget('c1');
    expect(await said()).toEqual([['c10', 't1', 'state 1']]);
    expect(JSON.stringify([Object.entries(localStorage), await entries(store)])).not.toContain('Ash');
    expect(await readTyped('c1', 'note')).toBe('');
    dropDraft('c10', 't1');
  });
});

describe('what is kept', () => {
  it('is known by its commissions, wherever it lies', async () => {
    keepDraft(draft(1));
    keepHistory('c2', 't1', { day: '2026-11-25', past: [], future: [] });
    keepTyped('c3', 'note', 'begun');
    localStorage.setItem('utsuwa.units', 'us');
    expect((await keptCommissions()).sort()).toEqual(['c1', 'c2', 'c3']);
    for (const id of ['c1', 'c2', 'c3']) await forget(id);
    expect(await keptCommissions()).toEqual([]);
  });

  it('for undo goes with its day', async () => {
    const step = [[{ path: ['title'], was: 'Ms Ash', is: 'x' }]];
    keepHistory('c1', 'yesterday', { day: '2026-11-24', past: step, future: [] });
    keepHistory('c1', 'today', { day: '2026-11-25', past: step, future: [] });
    await dropOldHistories('2026-11-25');
    expect(await readHistory('c1', 'yesterday')).toBeUndefined();
    expect((await readHistory('c1', 'today'))?.past).toEqual(step);
  });
});

describe('undo and begun notes', () => {
  it('are read back; a new tab takes over the history of one that is no more', async () => {
    const history = { day: '2026-11-25', past: [], future: [[{ path: ['title'], is: 'x' }]] };
    keepHistory('c1', 't1', history);
    expect(await readHistory('c1', 't1')).toMatchObject(history);
    expect(await lastHistory('c1', new Set(['t1']))).toBeUndefined();
    expect(await lastHistory('c1', new Set())).toMatchObject(history);
    keepTyped('c1', 'note', 'begun');
    expect(await readTyped('c1', 'note')).toBe('begun');
    localStorage.clear();
    expect(await readTyped('c1', 'note')).toBe('begun');
    keepTyped('c1', 'note', '');
    expect(await readTyped('c1', 'note')).toBe('');
  });
});
