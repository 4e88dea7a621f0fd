import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { changesBetween } from '../../core/commission/changes';
import type { Commission } from '../../core/commission/schema';
import { example } from '../../core/testing/scape';
import { api, ApiProblem } from './api';
import { useCommission } from './commissionStore';
import * as journal from './journal';
import type { Draft, History } from './journal';

vi.mock('./api', async (original) => ({
  ...(await original<typeof import('./api')>()),
  api: { read: vi.fn(), save: vi.fn(), restore: vi.fn(), saveOnLeaving: vi.fn() },
}));
vi.mock('./tab', () => ({
  tabName: () => Promise.resolve('this'),
  livingTabs: () => Promise.resolve(new Set(['this', 'other'])),
}));
vi.mock('./outbox', () => ({ sendWaiting: vi.fn(), openIs: vi.fn() }));
vi.mock('./journal', () => {
  const drafts = new Map<string, Draft>();
  const histories = new Map<string, History>();
  return {
    drafts,
    histories,
    keepDraft: vi.fn((d: Draft) => drafts.set(`${d.commission} ${d.tab}`, structuredClone(d))),
    dropDraft: vi.fn((c: string, tab: string) => drafts.delete(`${c} ${tab}`)),
    allDrafts: vi.fn(() => Promise.resolve([...drafts.values()])),
    keepHistory: vi.fn((c: string, tab: string, h: History) => histories.set(`${c} ${tab}`, h)),
    readHistory: vi.fn((c: string, tab: string) => Promise.resolve(histories.get(`${c} ${tab}`))),
    lastHistory: vi.fn(() => Promise.resolve(undefined)),
    forget: vi.fn(() => Promise.resolve([drafts.clear(), histories.clear()])),
  };
});

const { drafts, histories } = journal as unknown as {
  drafts: Map<string, Draft>;
  histories: Map<string, History>;
};
const read = vi.mocked(api.read);
const save = vi.mocked(api.save);
const titled = (title: string): Commission => ({ ...example('held-root'), title });
const setTitle = (title: string) => (d: Commission) => ({ ...d, title });
const setCrew = (crew: number) => (d: Commission) => ({ ...d, brief: { ...d.brief, crew } });
/** What this browser keeps of the open commission, laid over what the server has. */
const kept = () => drafts.get('c1 this')?.changes.map((c) => c.is);
const stored = (document: Commission, revision = 1) => ({
  revision,
  document,
  updatedAt: `t${revision}`,
  removedAt: null,
});
const problem = (theirs: Commission, revision: number) =>
  new ApiProblem(409, 'Somebody else saved.', { theirs: stored(theirs, revision) });

beforeEach(() => {
  vi.useFakeTimers();
  setActivePinia(createPinia());
  drafts.clear();
  histories.clear();
  read.mockReset().mockResolvedValue(stored(titled('first')));
  save
    .mockReset()
    .mockImplementation((_id, revision) =>
      Promise.resolve({ revision: revision + 1, updatedAt: `t${revision + 1}` }),
    );
  vi.mocked(api.saveOnLeaving).mockReset();
  vi.mocked(api.restore).mockReset();
});
afterEach(() => vi.useRealTimers());

async function opened() {
  const store = useCommission();
  await store.open('c1');
  return store;
}
/** A draft that a tab left behind. */
function left(tab: string, from: Commission, to: Commission, more: Partial<Draft> = {}): void {
  const draft = {
    commission: 'c1',
    tab,
    seq: 1,
    at: 1,
    revision: 1,
    changes: changesBetween(from, to),
    ...more,
  };
  drafts.set(`c1 ${tab}`, draft);
}

describe('editing', () => {
  it('saves a moment after the last change, and keeps nothing once that is confirmed', async () => {
    const store = await opened();
    store.edit('title', setTitle('second'));
    expect([store.state, kept()]).toEqual(['unsaved', ['second']]);
    await vi.advanceTimersByTimeAsync(300);
    store.edit('title', setTitle('third'));
    expect(kept()).toEqual(['third']);
    await vi.advanceTimersByTimeAsync(2_000);
    expect(save).toHaveBeenCalledTimes(1);
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 1, { title: 'third' }]);
    expect([store.state, store.revision, kept()]).toEqual(['saved', 2, undefined]);
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
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 2, { title: 'third' }]);
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
    expect(store.past).toHaveLength(2);
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
    expect(store.tryEdit('crew', setCrew(9))).toBe('is 9, must be at most 4');
    expect(store.document!.brief.crew).toBe(2);
    expect([store.state, store.past]).toEqual(['saved', []]);
    expect(store.tryEditOption('title', (o) => ({ ...o, title: 'B' }))).toBeUndefined();
    expect(store.option!.title).toBe('B');
  });
});

describe('typing', () => {
  it('is kept with every key though nothing changes yet; what is not allowed is not', async () => {
    const store = await opened();
    store.typing(() => store.tryEdit('title', setTitle('ty')));
    store.typing(() => store.tryEdit('title', setTitle('typed')));
    expect([store.document!.title, store.state, kept(), store.past]).toEqual([
      'first',
      'saved',
      ['typed'],
      [],
    ]);
    store.typing(() => store.tryEdit('title', setTitle('')));
    expect(kept()).toBeUndefined();
    store.typing(() => store.tryEdit('title', setTitle('typed')));
    store.goes();
    expect(vi.mocked(api.saveOnLeaving).mock.lastCall).toMatchObject(['c1', 1, [{ is: 'typed' }]]);
    store.tryEdit('title', setTitle('typed'));
    expect([store.document!.title, store.past.length]).toEqual(['typed', 1]);
  });
});

describe('when the server is not there, or has another version', () => {
  it('keeps trying, and keeps the draft meanwhile', async () => {
    const store = await opened();
    save.mockRejectedValueOnce(new ApiProblem(0, 'The server does not answer.'));
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(700);
    expect([store.state, store.unreached, kept()]).toEqual(['offline', true, ['second']]);
    save.mockRejectedValueOnce(new ApiProblem(507, 'The disk is full. Nothing was changed.'));
    await vi.advanceTimersByTimeAsync(3_100);
    expect([store.state, store.unreached, store.message]).toEqual([
      'offline',
      false,
      'The disk is full. Nothing was changed.',
    ]);
    await vi.advanceTimersByTimeAsync(3_100);
    expect([store.state, store.revision, kept()]).toEqual(['saved', 2, undefined]);
  });

  it('shows what the server refuses and does not send it again by itself', async () => {
    const store = await opened();
    const faults = [{ path: 'title', says: 'is "", must have at least 1 characters' }];
    save.mockRejectedValueOnce(new ApiProblem(422, 'title: is ""', { faults }));
    store.edit('title', setTitle(''));
    await vi.advanceTimersByTimeAsync(9_000);
    expect([store.state, store.faults, save.mock.calls.length]).toEqual(['refused', faults, 1]);
  });

  it('lays what was done here over what was done elsewhere, unasked where it is not the same', async () => {
    const store = await opened();
    save.mockRejectedValueOnce(problem(setCrew(3)(titled('first')), 5));
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(1_500);
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 5, { title: 'second', brief: { crew: 3 } }]);
    expect([store.state, store.revision]).toEqual(['saved', 6]);
    store.undo();
    expect([store.document!.title, store.document!.brief.crew]).toEqual(['first', 3]);
  });

  it.each([
    ['mine', 'second', 'theirs'],
    ['theirs', 'theirs', 'second'],
  ] as const)(
    'asks about the same thing; settled for %s, the other is one undo away',
    async (which, shown, undone) => {
      const store = await opened();
      save.mockRejectedValueOnce(problem(setCrew(3)(titled('theirs')), 5));
      store.edit('title', setTitle('second'));
      await vi.advanceTimersByTimeAsync(700);
      expect(store.state).toBe('conflict');
      expect(store.clashes.map((c) => [c.change.path, c.change.is, c.theirs])).toEqual([
        [['title'], 'second', 'theirs'],
      ]);
      expect(kept()).toEqual(['second']);
      await vi.advanceTimersByTimeAsync(5_000);
      expect(save).toHaveBeenCalledTimes(1);
      store.settle(() => which === 'mine');
      expect([store.document!.title, store.document!.brief.crew, store.revision]).toEqual([shown, 3, 5]);
      await vi.advanceTimersByTimeAsync(700);
      if (which === 'mine')
        expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 5, { title: 'second' }]);
      else expect([store.state, kept()]).toEqual(['saved', undefined]);
      store.undo();
      expect([store.document!.title, store.document!.brief.crew]).toEqual([undone, 3]);
    },
  );

  it('recognises its own save whose answer was lost, also when it went on typing', async () => {
    const store = await opened();
    save.mockImplementationOnce((_id, _revision, document) => {
      // The server sorts fields its own way.
      const { title, ...rest } = JSON.parse(JSON.stringify(document));
      store.edit('title', setTitle('more'));
      return Promise.reject(problem({ ...rest, title } as Commission, 2));
    });
    store.edit('title', setTitle('second'));
    await vi.advanceTimersByTimeAsync(2_000);
    expect([store.state, store.revision, store.document!.title]).toEqual(['saved', 3, 'more']);
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 2, { title: 'more' }]);
  });
});

describe('a commission that is no more', () => {
  it('that was removed elsewhere comes back with what was typed since, when that is wanted', async () => {
    const store = await opened();
    save.mockRejectedValueOnce(new ApiProblem(410, 'Removed elsewhere.', { gone: 'removed' }));
    store.edit('title', setTitle('typed'));
    await vi.advanceTimersByTimeAsync(5_000);
    expect([store.state, store.gone, save.mock.calls.length, kept()]).toEqual([
      'gone',
      'removed',
      1,
      ['typed'],
    ]);
    await store.bringBack();
    await vi.advanceTimersByTimeAsync(700);
    expect(vi.mocked(api.restore)).toHaveBeenCalledWith('c1');
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 1, { title: 'typed' }]);
    expect(store.state).toBe('saved');
  });

  it('that was erased leaves nothing in this browser', async () => {
    const store = await opened();
    save.mockRejectedValueOnce(new ApiProblem(410, 'Erased.', { gone: 'erased' }));
    store.edit('title', setTitle('typed'));
    await vi.advanceTimersByTimeAsync(700);
    expect([store.state, store.gone, drafts.size]).toEqual(['gone', 'erased', 0]);
    store.edit('title', setTitle('typed on'));
    store.goes();
    await vi.advanceTimersByTimeAsync(5_000);
    expect([drafts.size, save.mock.calls.length, vi.mocked(api.saveOnLeaving).mock.calls.length]).toEqual([
      0, 1, 0,
    ]);
    // Neither by the step typed last, nor when another commission is opened.
    await store.open('c2');
    expect([...histories.keys()].filter((key) => key.startsWith('c1 '))).toEqual([]);
  });
});

describe('opening', () => {
  it('takes up what was typed before the page went away, and saves it', async () => {
    left('this', titled('first'), titled('typed'));
    histories.set('c1 this', {
      day: new Date().toLocaleDateString('sv-SE'),
      past: [changesBetween(titled('first'), titled('typed'))],
      future: [],
    });
    const store = await opened();
    expect([store.document!.title, store.state]).toEqual(['typed', 'unsaved']);
    await vi.advanceTimersByTimeAsync(700);
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 1, { title: 'typed' }]);
    store.undo();
    expect(store.document!.title).toBe('first');
  });

  it('takes up what a closed tab left, and leaves alone what a living one has', async () => {
    left('closed', titled('first'), setCrew(4)(titled('first')));
    left('other', titled('first'), titled('being typed there'));
    const store = await opened();
    expect([store.document!.title, store.document!.brief.crew]).toEqual(['first', 4]);
    expect([...drafts.keys()].sort()).toEqual(['c1 other', 'c1 this']);
    await vi.advanceTimersByTimeAsync(700);
    expect([...drafts.keys()]).toEqual(['c1 other']);
  });

  it('asks when somebody else changed the same thing, and only then', async () => {
    left('this', titled('first'), titled('typed'));
    read.mockResolvedValue(stored(titled('theirs'), 2));
    const store = await opened();
    expect(store.state).toBe('conflict');
    store.settle(() => true);
    expect([store.document!.title, store.revision]).toEqual(['typed', 2]);
  });

  it('does not ask when what the server has is an earlier state of the draft itself', async () => {
    left('this', titled('first'), titled('typed'));
    drafts.get('c1 this')!.changes[0].sent = ['half'];
    read.mockResolvedValue(stored(titled('half'), 2));
    const store = await opened();
    expect([store.document!.title, store.state]).toEqual(['typed', 'unsaved']);
    await vi.advanceTimersByTimeAsync(700);
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 2, { title: 'typed' }]);
  });

  it('knows a draft again that another tab has sent meanwhile, though it was typed on', async () => {
    left('closed', titled('first'), titled('typed'));
    const store = await opened();
    store.edit('title', setTitle('typed on'));
    save.mockRejectedValueOnce(problem(titled('typed'), 2));
    await vi.advanceTimersByTimeAsync(2_000);
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['c1', 2, { title: 'typed on' }]);
    expect(store.state).toBe('saved');
  });

  it('lets go of a draft that the server has already', async () => {
    left('this', titled('first'), titled('typed'));
    read.mockResolvedValue(stored(titled('typed'), 2));
    const store = await opened();
    expect([store.state, drafts.size]).toEqual(['saved', 0]);
  });

  it('undoes over a reload within the day, not on another', async () => {
    const past = [changesBetween(titled('before'), titled('first'))];
    histories.set('c1 this', { day: new Date().toLocaleDateString('sv-SE'), past, future: [] });
    const store = await opened();
    store.undo();
    expect(store.document!.title).toBe('before');
    setActivePinia(createPinia());
    histories.set('c1 this', { day: '2020-01-01', past, future: [] });
    expect((await opened()).past).toEqual([]);
  });

  it('keeps what waits of one commission when another is opened', async () => {
    const store = await opened();
    store.edit('title', setTitle('left waiting'));
    await store.open('c2');
    expect(drafts.get('c1 this')?.changes[0].is).toBe('left waiting');
    expect([store.id, store.document!.title, store.state]).toEqual(['c2', 'first', 'saved']);
  });
});
