import { describe, expect, it } from 'vitest';
import { arrowStep } from './arrowStep';

describe('an arrow key', () => {
  it('moves to the right and up, further with Shift, and no other key does', () => {
    expect(arrowStep({ key: 'ArrowUp', shiftKey: false }, 5, 20)).toEqual([0, 5]);
    expect(arrowStep({ key: 'ArrowLeft', shiftKey: true }, 5, 20)).toEqual([-20, 0]);
    expect(arrowStep({ key: 'Enter', shiftKey: false }, 5)).toBeUndefined();
  });
});
