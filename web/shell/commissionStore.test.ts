import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Commission } from '../../core/commission/schema';
import { example } from '../../core/testing/scape';
import { api, ApiProblem } from './api';
import { useCommission } from './commissionStore';
import { readDraft, writeDraft, type Draft } from './drafts';

vi.mock('./api', async (original) => ({
  ...(await original<typeof import('./api')>()),
  api: { read: vi.fn(), save: vi.fn() },
}));
vi.mock('./drafts', () => ({ readDraft: vi.fn(), writeDraft: vi.fn(), dropDraft: vi.fn() }));

const read = vi.mocked(api.read);
const save = vi.mocked(api.save);
const titled = (title: string): Commission => ({ ...example('held-root'), title });
const setTitle = (title: string) => (d: Commission) => ({ ...d, title });
const kept = () => vi.mocked(writeDraft).mock.lastCall![1];

beforeEach(() => {
  vi.useFakeTimers();
  setActivePinia(createPinia());
  vi.mocked(readDraft).mockReset().mockResolvedValue(undefined);
  vi.mocked(writeDraft).mockReset().mockResolvedValue(true);
  read
    .mockReset()
    .mockResolvedValue({ revision: 1, document: titled('first'), updatedAt: 't1', removedAt: null });
  save
    .mockReset()
    .mockImplementation((_id, revision) => Promise.resolve({ revision: revision + 1, updatedAt: 't2' }));
});
afterEach(() => vi.useRealTimers());

async function opened(draft?: Partial<Draft>) {
  if (draft) {
    const today = new Date().toLocaleDateString('sv-SE');
    const whole = {
      day: today,
      revision: 1,
      document: titled('first'),
      open: false,
      past: [],
      future: [],
      ...draft,
    };
    vi.mocked(readDraft).mockResolvedValue(whole);
  }
  const store = useCommission();
  await store.open('c1');
  return store;
}

describe('editing', () => {
  it('saves a moment after the last change, and says so', async () => {
    const store = await opened();
    store.edit('title', setTitle('second'));
    expect(store.state).toBe('unsaved');
    await vi.advanceTimersByTimeAsync(300);
    store.edit('title', setTitle('third'));
    await vi.advanceTimersByTimeAsync(2_000);
    expect(save).toHaveBeenCalledTimes(1);
    expect(save.mock.lastCall).toMatchObject(['c1', 1, { title: 'third' }]);
    expect([store.state, store.revision]).toEqual(['saved', 2]);
    expect(kept()).toMatchObject({ open: false, revision: 2 });
  });

  it('bases the next save on what the last one brought back, even when edited meanwhile', async () => {
    const store = await opened();
    let answer = (_: { revision: number; updatedAt: string }) => {};
    save.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(700);
    store.edit('story', setTitle('third'));
    await vi.advanceTimersByTimeAsync(700);
    expect(save).toHaveBeenCalledTimes(1);
    answer({ revision: 2, updatedAt: 't2' });
    await vi.advanceTimersByTimeAsync(0);
    expect(save.mock.lastCall).toMatchObject(['c1', 2, { title: 'third' }]);
    expect([store.state, store.revision]).toEqual(['saved', 3]);
  });

  it('undoes and redoes; typing in one field is one step, a gesture is one step', async () => {
    const store = await opened();
    store.edit('title', setTitle('a'));
    store.edit('title', setTitle('ab'));
    store.beginStep();
    store.edit('move', setTitle('moved'));
    store.edit('lift', setTitle('moved and lifted'));
    store.edit('move', setTitle('moved again'));
    store.endStep();
    expect(store.past.map((d) => d.title)).toEqual(['first', 'ab']);
    store.undo();
    expect(store.document!.title).toBe('ab');
    store.undo();
    store.undo();
    expect(store.document!.title).toBe('first');
    store.redo();
    store.redo();
    expect(store.document!.title).toBe('moved again');
    store.edit('title', setTitle('new'));
    expect(store.future).toEqual([]);
  });

  it('changes nothing when a typed value is not allowed, and says what is', async () => {
    const store = await opened();
    const says = store.tryEdit('crew', (d) => ({ ...d, brief: { ...d.brief, crew: 9 } }));
    expect(says).toBe('is 9, must be at most 4');
    expect(store.document!.brief.crew).toBe(2);
    expect([store.state, store.past]).toEqual(['saved', []]);
    expect(store.tryEditOption('title', (o) => ({ ...o, title: 'B' }))).toBeUndefined();
    expect(store.option!.title).toBe('B');
  });
});

describe('when the server is not there, or has another version', () => {
  it('keeps trying, and keeps the draft meanwhile', async () => {
    const store = await opened();
    save.mockRejectedValueOnce(new ApiProblem(0, 'The server does not answer.'));
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(700);
    expect(store.state).toBe('offline');
    expect(kept()).toMatchObject({ open: true, document: { title: 'second' } });
    await vi.advanceTimersByTimeAsync(3_100);
    expect([store.state, store.revision]).toEqual(['saved', 2]);
  });

  it('shows what the server refuses and does not send it again by itself', async () => {
    const store = await opened();
    const faults = [{ path: 'title', says: 'is "", must have at least 1 characters' }];
    save.mockRejectedValueOnce(new ApiProblem(422, 'title: is ""', { faults }));
    store.edit('title', setTitle(''));
    await vi.advanceTimersByTimeAsync(9_000);
    expect([store.state, store.faults, save.mock.calls.length]).toEqual(['refused', faults, 1]);
  });

  it.each([
    ['mine', 'second', 'theirs'],
    ['theirs', 'theirs', 'second'],
  ] as const)('settles two versions for %s; the other is one undo away', async (which, shown, undone) => {
    const store = await opened();
    const theirs = { revision: 5, document: titled('theirs'), updatedAt: 't5' };
    save.mockRejectedValueOnce(new ApiProblem(409, 'Somebody else saved.', { theirs }));
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(700);
    expect(store.state).toBe('conflict');
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(5_000);
    expect(save).toHaveBeenCalledTimes(1);
    store.settle(which);
    expect([store.document!.title, store.revision]).toEqual([shown, 5]);
    await vi.advanceTimersByTimeAsync(700);
    if (which === 'mine') expect(save.mock.lastCall).toMatchObject(['c1', 5, { title: 'second' }]);
    store.undo();
    expect(store.document!.title).toBe(undone);
  });

  it('recognises its own save whose answer was lost', async () => {
    const store = await opened();
    save.mockImplementationOnce((_id, _revision, document) => {
      // The server sorts fields its own way.
      const { title, ...rest } = JSON.parse(JSON.stringify(document));
      return Promise.reject(
        new ApiProblem(409, '', { theirs: { revision: 2, document: { ...rest, title } } }),
      );
    });
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(700);
    expect([store.state, store.revision, store.theirs]).toEqual(['saved', 2, undefined]);
  });
});

describe('opening', () => {
  it('takes up what was typed before the page went away, and saves it', async () => {
    const store = await opened({ open: true, document: titled('typed'), past: [titled('first')] });
    expect([store.document!.title, store.state]).toEqual(['typed', 'unsaved']);
    await vi.advanceTimersByTimeAsync(700);
    expect(save.mock.lastCall).toMatchObject(['c1', 1, { title: 'typed' }]);
    store.undo();
    expect(store.document!.title).toBe('first');
  });

  it('asks when somebody else saved over the draft', async () => {
    read.mockResolvedValue({ revision: 2, document: titled('theirs'), removedAt: null });
    const store = await opened({ open: true, document: titled('typed'), past: [titled('first')] });
    expect(store.state).toBe('conflict');
    store.settle('mine');
    expect([store.document!.title, store.revision]).toEqual(['typed', 2]);
  });

  it('does not ask when what the server has is an earlier state of the draft itself', async () => {
    read.mockResolvedValue({ revision: 2, document: titled('half'), removedAt: null });
    const store = await opened({
      open: true,
      document: titled('typed'),
      past: [titled('first'), titled('half')],
    });
    expect([store.document!.title, store.state]).toEqual(['typed', 'unsaved']);
    await vi.advanceTimersByTimeAsync(700);
    expect(save.mock.lastCall).toMatchObject(['c1', 2, { title: 'typed' }]);
  });

  it('undoes over a reload within the day, not on another', async () => {
    expect((await opened({ past: [titled('before')] })).past).toHaveLength(1);
    setActivePinia(createPinia());
    expect((await opened({ past: [titled('before')], day: '2020-01-01' })).past).toEqual([]);
  });

  it('forgets what can be undone when the server has moved on', async () => {
    read.mockResolvedValue({ revision: 7, document: titled('newer'), removedAt: null });
    const store = await opened({ past: [titled('before')] });
    expect([store.document!.title, store.past, store.state]).toEqual(['newer', [], 'saved']);
  });
});
