import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { forgetPhotos, keepPhoto, photosOf, waitingOf, type WaitingPhoto } from './photoBox';

const photo = (commission: string, id: string, caption: string): WaitingPhoto => ({
  commission,
  shows: 'offered',
  caption,
  of: { kind: 'candidate', id },
  file: new Blob(['x']),
});

describe('photographs that wait', () => {
  it('are one of each thing and commission, the newest, and go with what is erased', async () => {
    await keepPhoto(photo('a', 'A-1', 'first'));
    await keepPhoto(photo('b', 'A-1', 'of another commission'));
    await keepPhoto(photo('a', 'A-2', 'of another thing'));
    await keepPhoto(photo('a', 'A-1', 'second'));
    expect((await photosOf('a')).map((p) => p.caption).sort()).toEqual(['of another thing', 'second']);
    expect(waitingOf(photo('a', 'A-1', ''))?.caption).toBe('second');
    expect(waitingOf(photo('a', 'A-3', ''))).toBeUndefined();
    await keepPhoto({ ...photo('a', 'A-1', 'second'), refused: 'no picture' });
    expect(waitingOf(photo('a', 'A-1', ''))?.refused).toBe('no picture');
    // The same thing of another commission is another one.
    expect(waitingOf(photo('b', 'A-1', ''))?.caption).toBe('of another commission');
    await forgetPhotos('a');
    expect(waitingOf(photo('b', 'A-1', ''))).toBeDefined();
    expect([(await photosOf('a')).length, (await photosOf('b')).length]).toEqual([0, 1]);
  });
});
