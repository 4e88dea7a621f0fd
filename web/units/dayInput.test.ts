import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayPlus } from '../../core/calendar/day';
import { clockTyped, dayShown, dayTyped, firstWeekday } from './dayInput';

it('reads a clock time as it is typed, and leaves what is none', () => {
  expect(['9:30', '930', '9.30', ' 09:30 ', '0930'].map(clockTyped)).toEqual(Array(5).fill('09:30'));
  expect(['8', '8.30', '8 am', '8:30 pm', '12 am', '12pm', '20h15'].map(clockTyped)).toEqual(['08:00', '08:30', '08:00', '20:30', '00:00', '12:00', '20:15']); // prettier-ignore
  expect(['nine', '24', '12:3', '13 pm', '9:60'].map(clockTyped)).toEqual([
    'nine',
    '24',
    '12:3',
    '13 pm',
    '9:60',
  ]);
});

it('begins the week with Monday in Britain and with Sunday in the United States', () => {
  expect(firstWeekday('en-GB')).toBe(1);
  expect([0, 1]).toContain(firstWeekday('en-US'));
  // What the studio says counts before what its place does.
  expect([firstWeekday('en-GB', 'sun'), firstWeekday('en-US', 'sat')]).toEqual([0, 6]);
});

describe('a day that is typed', () => {
  it('is read in the order of the studio’s place', () => {
    expect(dayTyped('3/4/2027', 'en-GB')).toBe('2027-04-03');
    expect(dayTyped('3/4/2027', 'en-US')).toBe('2027-03-04');
    expect(dayTyped('3.4.27', 'de-DE')).toBe('2027-04-03');
    expect(dayTyped('2027/4/3', 'ja-JP')).toBe('2027-04-03');
  });

  it('is read with the month in words, and as programs write it, everywhere', () => {
    for (const locale of ['en-GB', 'en-US', 'de-DE'])
      for (const text of [
        '14 Jan 2027',
        'Jan 14, 2027',
        '14 January 2027',
        'Thursday, 14 January 2027',
        '2027-01-14',
      ])
        // prettier-ignore
        expect(dayTyped(text, locale), `${text} in ${locale}`).toBe('2027-01-14');
  });

  it('is the next such day without a year, and so far ahead as is said; the last in a log', () => {
    const from = { day: '2026-11-30' };
    const read = (text: string) => dayTyped(text, 'en-GB', from);
    expect([read('15 Jan'), read('Jan 15'), read('30 November'), read('29 Feb')]).toEqual(['2027-01-15', '2027-01-15', '2026-11-30', '2028-02-29']); // prettier-ignore
    expect([read('in 7 weeks'), read('10 days'), read('tomorrow'), read('today')]).toEqual(['2027-01-18', '2026-12-10', '2026-12-01', '2026-11-30']); // prettier-ignore
    expect(dayTyped('15 Jan', 'en-GB', { ...from, past: true })).toBe('2026-01-15');
    expect(dayTyped('1/15/2027', 'en-US', from)).toBe('2027-01-15');
    expect([read('32 Jan'), read('in weeks'), read('Jan')]).toEqual([undefined, undefined, undefined]);
  });

  it('is none when it does not exist or is no day', () => {
    for (const text of ['31/2/2027', '2027-02-29', 'tomorrow', '', '14', '1/2/3/4'])
      expect(dayTyped(text, 'en-GB'), text).toBeUndefined();
  });

  it('is read back as it is shown, any day from 2000 to 2199', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 73_000 }),
        fc.constantFrom('en-GB', 'en-US', 'ja-JP'),
        (n, locale) => {
          const day = dayPlus('2000-01-01', n);
          expect(dayTyped(dayShown(day, locale), locale)).toBe(day);
        },
      ),
    );
  });
});
