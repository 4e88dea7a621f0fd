import { describe, expect, it } from 'vitest';
import type { Change } from '../../core/commission/changes';
import { bytesOf, lastSteps } from './stepSize';

const step = (is: unknown): Change[] => [{ path: ['title'], is }];

describe('what can be undone', () => {
  it('takes eight bytes a figure and two a character, besides what holds them', () => {
    const heights = Array.from({ length: 24_000 }, (_, i) => i);
    expect(bytesOf(heights) - bytesOf([0])).toBe(8 * 23_999);
    expect(bytesOf('x'.repeat(100)) - bytesOf('')).toBe(200);
    expect(bytesOf({ a: { b: 1 } })).toBeGreaterThan(bytesOf({ b: 1 }));
  });

  it('is so many steps at most, the last ones', () => {
    const steps = Array.from({ length: 1_200 }, (_, i) => step(i));
    expect(lastSteps(steps, 1_000, 1e9)).toEqual(steps.slice(200));
    expect(lastSteps([], 1_000, 1e9)).toEqual([]);
  });

  it('is no more than so many bytes, but always the last one', () => {
    const brush = Array.from({ length: 100 }, () => step(Array(10_000).fill(1)));
    const kept = lastSteps(brush, 1_000, 1_000_000);
    expect(kept.length).toBeGreaterThanOrEqual(11);
    expect(kept.length).toBeLessThanOrEqual(12);
    expect(lastSteps(brush, 1_000, 10)).toEqual(brush.slice(-1));
  });
});
