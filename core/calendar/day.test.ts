import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayPlus, daysFrom, dayWords, isDay, weekdayOf } from './day';

describe('calendar days', () => {
  it('knows which days exist', () => {
    expect(isDay('2028-02-29')).toBe(true);
    expect(isDay('2027-02-29')).toBe(false);
    expect(isDay('2027-1-4')).toBe(false);
    expect(isDay('14 Jan 2027')).toBe(false);
  });

  it('names the weekday', () => {
    expect(weekdayOf('2027-01-14')).toBe('thu');
    expect(weekdayOf('2000-01-01')).toBe('sat');
    expect(dayWords('2027-01-04')).toBe('4 Jan 2027');
  });

  it('adds and counts days across months, leap days and clock changes', () => {
    expect(dayPlus('2027-01-14', -14)).toBe('2026-12-31');
    expect(dayPlus('2027-03-27', 2)).toBe('2027-03-29');
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (n) => {
        expect(daysFrom('2027-01-14', dayPlus('2027-01-14', n))).toBe(n);
      }),
    );
  });
});
