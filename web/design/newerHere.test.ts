import { afterEach, describe, expect, it, vi } from 'vitest';
import { newerHere, partMissing } from './newerHere';

describe('a part of the page that cannot be fetched', () => {
  afterEach(() => {
    vi.unstubAllGlobals();
    newerHere.value = false;
  });

  it('is of a newer version where the server answers', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{}')));
    await partMissing();
    expect(newerHere.value).toBe(true);
  });

  it('says nothing of versions where the server is away or ails', async () => {
    for (const answer of [
      () => Promise.reject(new TypeError('away')),
      () => Promise.resolve(new Response('{}', { status: 503 })),
    ]) {
      vi.stubGlobal('fetch', answer);
      await partMissing();
      expect(newerHere.value).toBe(false);
    }
  });
});
