import { beforeEach, describe, expect, it, vi } from 'vitest';
import { changesBetween } from '../../core/commission/changes';
import type { Commission } from '../../core/commission/schema';
import { example } from '../../core/testing/scape';
import { api, ApiProblem } from './api';
import * as journal from './journal';
import type { Draft } from './journal';
import { openIs, sendWaiting, waitingHere } from './outbox';

vi.mock('./api', async (original) => ({
  ...(await original<typeof import('./api')>()),
  api: { read: vi.fn(), save: vi.fn(), orders: vi.fn() },
}));
vi.mock('./tab', () => ({
  tabName: () => Promise.resolve('this'),
  livingTabs: () => Promise.resolve(new Set(['this', 'other'])),
}));
vi.mock('./journal', () => {
  const drafts = new Map<string, Draft>();
  const kept = new Set<string>();
  return {
    drafts,
    kept,
    keptCommissions: () => Promise.resolve([...kept]),
    dropOldHistories: vi.fn(),
    allDrafts: () => Promise.resolve([...drafts.values()]),
    dropDraft: (c: string, tab: string) => drafts.delete(`${c} ${tab}`),
    forget: vi.fn((c: string) => {
      for (const key of [...drafts.keys()]) if (key.startsWith(`${c} `)) drafts.delete(key);
      return Promise.resolve();
    }),
  };
});

const { drafts, kept } = journal as unknown as { drafts: Map<string, Draft>; kept: Set<string> };
const orders = vi.mocked(api.orders);
const read = vi.mocked(api.read);
const save = vi.mocked(api.save);
const titled = (title: string): Commission => ({ ...example('held-root'), title });
const stored = (title: string, revision: number, removedAt: string | null = null) => ({
  revision,
  document: titled(title),
  removedAt,
});
function left(commission: string, tab: string, is: string, at = Date.now()): void {
  const changes = changesBetween(titled('first'), titled(is));
  drafts.set(`${commission} ${tab}`, { commission, tab, seq: 1, at, revision: 1, changes });
}

beforeEach(() => {
  drafts.clear();
  kept.clear();
  orders.mockReset().mockResolvedValue({ orders: [] });
  vi.mocked(journal.forget).mockClear();
  openIs(() => 'open');
  read.mockReset().mockImplementation(() => Promise.resolve(stored('first', 3)));
  save.mockReset().mockResolvedValue({ revision: 4, updatedAt: '' });
});

describe('what waits of commissions that are not open', () => {
  it('goes out, of this tab and of tabs that are no more; not of the open one nor of living tabs', async () => {
    left('a', 'this', 'typed in a');
    left('b', 'closed', 'typed in b');
    left('c', 'other', 'typed elsewhere');
    left('open', 'this', 'being typed');
    await sendWaiting();
    expect(save.mock.calls.map(([id, revision, d]) => [id, revision, d.title])).toEqual([
      ['a', 3, 'typed in a'],
      ['b', 3, 'typed in b'],
    ]);
    expect([...drafts.keys()]).toEqual(['c other', 'open this']);
    expect(waitingHere.value).toEqual([]);
  });

  it('is tried again when somebody saved between, and is laid over theirs', async () => {
    left('a', 'this', 'mine');
    save.mockRejectedValueOnce(new ApiProblem(409, 'meanwhile'));
    read.mockResolvedValueOnce(stored('first', 3)).mockResolvedValueOnce({
      ...stored('first', 4),
      document: { ...titled('first'), currency: 'EUR' },
    });
    await sendWaiting();
    expect(save.mock.lastCall?.slice(0, 3)).toMatchObject(['a', 4, { title: 'mine', currency: 'EUR' }]);
    expect(drafts.size).toBe(0);
  });

  it('is not sent twice when it has arrived, and waits where it has to be asked about', async () => {
    left('there', 'this', 'arrived');
    left('asked', 'this', 'mine');
    left('removed', 'this', 'mine');
    read.mockImplementation((id) =>
      Promise.resolve(
        id === 'there'
          ? stored('arrived', 2)
          : id === 'asked'
            ? stored('theirs', 2)
            : stored('first', 2, 'then'),
      ),
    );
    await sendWaiting();
    expect(save).not.toHaveBeenCalled();
    expect([...drafts.keys()]).toEqual(['asked this', 'removed this']);
    expect(waitingHere.value).toEqual(['asked', 'removed']);
  });

  it('stays while the server is away, is forgotten when its client was erased', async () => {
    left('away', 'this', 'x');
    left('erased', 'this', 'Ms Ash');
    read.mockImplementation((id) =>
      Promise.reject(
        id === 'away' ? new ApiProblem(0, 'no answer') : new ApiProblem(410, 'erased', { gone: 'erased' }),
      ),
    );
    await sendWaiting();
    expect([...drafts.keys()]).toEqual(['away this']);
    expect(vi.mocked(journal.forget)).toHaveBeenCalledWith('erased');
  });

  it('of a commission that this server never had is kept for a month, then let go', async () => {
    left('new', 'this', 'x');
    left('old', 'this', 'x', Date.now() - 31 * 86_400_000);
    read.mockRejectedValue(new ApiProblem(404, 'no such commission'));
    await sendWaiting();
    expect([...drafts.keys()]).toEqual(['new this']);
  });

  it('leaves nothing of what was erased or deleted elsewhere, though nothing of it waited', async () => {
    for (const id of ['lives', 'erased-2', 'deleted-2', 'removed-2', 'away', 'open']) kept.add(id);
    orders.mockImplementation(async (id) => {
      const gone = ({ 'erased-2': 'erased', 'deleted-2': 'deleted', 'removed-2': 'removed' } as const)[id];
      if (gone) throw new ApiProblem(410, 'gone', { gone });
      if (id === 'away') throw new ApiProblem(0, 'The server does not answer.');
      return { orders: [] };
    });
    await sendWaiting();
    expect(vi.mocked(journal.forget).mock.calls).toEqual([['erased-2'], ['deleted-2']]);
    expect(orders.mock.calls.map(([id]) => id)).not.toContain('open');
    expect(vi.mocked(journal.dropOldHistories)).toHaveBeenCalled();
    // Asked again after an hour, not with every round.
    const times = orders.mock.calls.length;
    await sendWaiting();
    expect(orders).toHaveBeenCalledTimes(times);
  });

  it('can be sent of one commission alone', async () => {
    left('a', 'this', 'x');
    left('b', 'this', 'x');
    await sendWaiting('b');
    expect(save.mock.calls.map(([id]) => id)).toEqual(['b']);
    expect(waitingHere.value).toEqual(['a']);
  });
});
