import { afterEach, describe, expect, it, vi } from 'vitest';
import { mustBeIn } from './people';

/** What the server says of who is there. */
const answered = (me: object) => vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(me), { headers: { 'Content-Type': 'application/json' } }))); // prettier-ignore

describe('who was let in', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('is in, or is told that the browser keeps no cookie', async () => {
    answered({ open: false, person: { id: 'p', name: 'Ines', email: 'i@x.example', role: 'owner' } });
    await mustBeIn();
    answered({ open: true });
    await mustBeIn();
    answered({ open: false });
    await expect(mustBeIn()).rejects.toThrow(/allow cookies for this address/);
  });
});
