import { describe, expect, it } from 'vitest';
import { pixelQueue } from './pixelQueue';

describe('work within a budget', () => {
  it('runs as much at once as fits, in the order in which it came, and alone what is larger', async () => {
    const queue = pixelQueue(10);
    const log: string[] = [];
    const ends: (() => void)[] = [];
    const job = (name: string, size: number) =>
      queue(size, () => {
        log.push(name);
        return new Promise<string>((resolve) => ends.push(() => resolve(name)));
      });
    const all = [job('a', 6), job('b', 4), job('c', 99), job('d', 1)];
    const settle = () => new Promise((resolve) => setTimeout(resolve));
    await settle();
    expect(log).toEqual(['a', 'b']);
    ends[0]();
    await settle();
    expect(log).toEqual(['a', 'b']);
    ends[1]();
    await settle();
    expect(log).toEqual(['a', 'b', 'c']);
    ends[2]();
    await settle();
    ends[3]();
    expect(await Promise.all(all)).toEqual(['a', 'b', 'c', 'd']);
  });

  it('goes on after a piece of work that fails', async () => {
    const queue = pixelQueue(1);
    await expect(queue(1, () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect(await queue(1, () => Promise.resolve(7))).toBe(7);
  });
});
