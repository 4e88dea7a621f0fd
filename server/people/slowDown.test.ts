import { describe, expect, it } from 'vitest';
import { slowDown } from './slowDown';

describe('who guesses', () => {
  it('waits half a minute after five wrong ones, twice as long after each more, at most a quarter of an hour', () => {
    let now = 0;
    const slow = slowDown(() => now);
    for (let i = 0; i < 4; i++) slow.wrong('ines', 'hall');
    expect(slow.waitS('ines', 'hall')).toBe(0);
    const waits: number[] = [];
    for (let i = 0; i < 8; i++) {
      slow.wrong('ines', 'hall');
      waits.push(slow.waitS('ines', 'hall'));
      now += waits.at(-1)! * 1_000;
      expect(slow.waitS('ines', 'hall')).toBe(0);
    }
    expect(waits).toEqual([30, 60, 120, 240, 480, 900, 900, 900]);
    expect(slow.waitS('tom', 'hall')).toBe(0);
    now += 25 * 3_600_000;
    slow.wrong('ines', 'hall');
    expect(slow.waitS('ines', 'hall')).toBe(0);
  });

  it('waits by the place too, which those who know their password do not fill', () => {
    const slow = slowDown(() => 0);
    for (let i = 0; i < 100; i++) {
      slow.wrong('ines', 'office');
      slow.right('ines', 'office');
    }
    expect(slow.waitS('ines', 'office')).toBe(0);
    for (let i = 0; i < 30; i++) slow.wrong(`name ${i}`, 'office');
    expect(slow.waitS('tom', 'office')).toBe(30);
    expect(slow.waitS('tom', 'hall')).toBe(0);
  });
});
