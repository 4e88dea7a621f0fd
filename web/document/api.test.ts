import { afterEach, describe, expect, it, vi } from 'vitest';
import { example } from '../../core/testing/scape';
import { api } from './api';

const sent = () => {
  const [path, init] = vi.mocked(fetch).mock.lastCall as [string, RequestInit];
  return { path, method: init.method, body: JSON.parse(String(init.body)) as Record<string, unknown> };
};
const document = example('held-root');

describe('a save', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('carries what changed and the revision it is based on, and the whole only where that is much', async () => {
    const answer = { revision: 4, updatedAt: '2026-11-26T00:00:00Z' };
    vi.stubGlobal(
      'fetch',
      vi.fn(async () => Response.json(answer)),
    );
    expect(await api.save('c 1', 3, { ...document, title: 'New' }, document)).toEqual(answer);
    expect(sent()).toEqual({
      path: '/api/commissions/c%201',
      method: 'PATCH',
      body: { revision: 3, changes: [{ path: ['title'], was: document.title, is: 'New' }] },
    });
    const unfit = { faults: [{ path: '(changes)', says: 'do not fit the document' }] };
    vi.mocked(fetch).mockResolvedValueOnce(Response.json(unfit, { status: 422 }));
    expect(await api.save('c1', 3, { ...document, title: 'New' }, document)).toEqual(answer);
    expect(sent()).toMatchObject({ method: 'PUT', body: { revision: 3, document: { title: 'New' } } });
    const faults = { faults: [{ path: 'title', says: 'is missing' }] };
    vi.mocked(fetch).mockResolvedValueOnce(Response.json(faults, { status: 422 }));
    await expect(api.save('c1', 3, { ...document, title: '' }, document)).rejects.toMatchObject({
      status: 422,
    });
    expect(sent().method).toBe('PATCH');
    const story = 'a word '.repeat(60_000);
    const long = { ...document, brief: { ...document.brief, story } };
    await api.save('c1', 4, long, document);
    expect(sent()).toEqual({
      path: '/api/commissions/c1',
      method: 'PUT',
      body: { revision: 4, document: long },
    });
  });
});

describe('a server that has too much to do', () => {
  afterEach(() => {
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });
  const full = (more = {}) => Response.json({ title: 'Too much', ...more }, { status: 503, headers: { 'Retry-After': '2' } }); // prettier-ignore

  it('is asked again when it said it would have room, and not where its database ails', async () => {
    vi.useFakeTimers();
    // Only what this test asks: a page that another file left open asks on.
    const answers = [full(), full(), Response.json({ orders: [] }), full({ trouble: 'busy' })];
    let asked = 0;
    vi.stubGlobal('fetch', (url: string) => {
      if (!url.endsWith('/c1/orders')) return new Promise(() => {});
      return Promise.resolve(answers[asked++]);
    });
    const orders = api.orders('c1');
    await vi.advanceTimersByTimeAsync(3_900);
    expect(asked).toBe(2);
    await vi.advanceTimersByTimeAsync(200);
    expect(await orders).toEqual({ orders: [] });
    await expect(api.orders('c1')).rejects.toMatchObject({ status: 503 });
    expect(asked).toBe(4);
  });
});
