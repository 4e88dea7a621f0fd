import { expect, it } from 'vitest';
import { diamonds } from './diamonds';

it('draws a diamond around each place, the back of the floor at the top', () => {
  // 10 mm from the left, 30 from the front of 50: at 2 px/mm the middle is 20 px across, 40 down; its tip 3 px above.
  expect(diamonds([10, 30, 0], 2, 50, 3)).toBe('M20.0 37.0l3 3l-3 3l-3 -3Z');
  expect(diamonds([], 2, 50, 3)).toBe('');
});
