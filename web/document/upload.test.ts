import { describe, expect, it } from 'vitest';
import { MAX_PICTURE_BYTES, refusedFile } from './upload';

const file = (part: Partial<{ name: string; size: number; type: string }>) =>
  refusedFile({ name: 'hall.jpg', size: 4e6, type: 'image/jpeg', ...part });

describe('a file before it is sent', () => {
  it('goes when it is a picture of a telephone, or of a kind that the browser does not know', () => {
    expect(file({})).toBeUndefined();
    expect(file({ type: '' })).toBeUndefined();
    expect(file({ size: MAX_PICTURE_BYTES })).toBeUndefined();
  });

  it('is refused with the reason when it is huge, empty, or something else', () => {
    expect(file({ size: 500 * 1024 * 1024 })).toBe('hall.jpg has 500 MB, must have at most 40 MB.');
    expect(file({ size: 0 })).toBe('hall.jpg is empty.');
    expect(file({ type: 'application/pdf' })).toMatch(/is no picture \(application\/pdf\)/);
  });
});
