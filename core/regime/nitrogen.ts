import { dayPlus, daysFrom, type Day } from '../calendar/day';
import { livesThrough } from '../commission/usual';
import type { Resolved } from '../resolved/resolved';
import type { Finding } from '../words/finding';
import { PRACTICE, say } from '../words/text';

/** A drop test shows nothing below this, mg/L: it reads zero (common practice). */
export const ZERO_MG_L = 0.05;
/** Ammonia, mg/L, at which something is done at once (common practice: 1 to 2). */
const ACT_AT_MG_L = 1;

/** Ammonia and nitrite of one day after the build. */
interface Read {
  day: Day;
  ammoniaMgL: number;
  nitriteMgL: number;
}

/** What the log says of ammonia and nitrite since the build: the readings that have both, in order. */
export interface NitrogenRead {
  last?: Read;
  /** Days of the zero readings at the end of the row, the latest last. */
  zeros: Day[];
}

const isZero = ({ ammoniaMgL, nitriteMgL }: Read) => Math.max(ammoniaMgL, nitriteMgL) < ZERO_MG_L;

/** Readings of the build day and after; those before it were of another tank. */
export function nitrogenRead({ brief, log = [] }: Pick<Resolved, 'brief' | 'log'>): NitrogenRead {
  const rows = log
    .flatMap(({ date, reading }): Read[] => {
      const { ammoniaMgL, nitriteMgL } = reading ?? {};
      if (ammoniaMgL === undefined || nitriteMgL === undefined || date < brief.buildDay) return [];
      return [{ day: date, ammoniaMgL, nitriteMgL }];
    })
    .sort((a, b) => a.day.localeCompare(b.day));
  const notZero = rows.findLastIndex((r) => !isZero(r));
  return { last: rows.at(-1), zeros: rows.slice(notZero + 1).map((r) => r.day) };
}

/** Days that a second zero is away where no test is planned any more. */
const TWO_WEEKS = 14;

/**
 * First day after the build on which animals may come by what was read: where the last reading was not zero, the day
 * after as many planned tests as have to read zero; 0 where nothing was read that stands against it.
 */
export function heldUntil(
  { brief }: Pick<Resolved, 'brief'>,
  { last, zeros }: NitrogenRead,
  tests: readonly number[],
  wanted: number,
): number {
  if (!last || zeros.length >= wanted) return 0;
  const read = daysFrom(brief.buildDay, last.day);
  const next = tests.filter((day) => day > read)[wanted - zeros.length - 1];
  return (next ?? read + TWO_WEEKS) + 1;
}

/** The last reading, while it is not zero: what it asks for where animals live in it, and where some are to come. */
export function readingFindings(commission: Resolved, { last }: NitrogenRead): Finding[] {
  if (!last || isZero(last)) return [];
  const { ammoniaMgL, nitriteMgL } = last;
  const lived = livesThrough(commission.brief);
  const most = Math.max(ammoniaMgL, nitriteMgL);
  return [
    {
      id: 'care.reading',
      severity: lived && most >= ACT_AT_MG_L ? 'stop' : 'warn',
      at: { field: 'log' },
      measured: most,
      limit: 0,
      unit: 'mg/L',
      says: say('care.reading.says', {
        ammonia: ammoniaMgL,
        nitrite: nitriteMgL,
        day: { day: last.day },
      }),
      because: say(
        !lived
          ? 'care.reading.because.empty'
          : most >= ACT_AT_MG_L
            ? 'care.reading.because.act'
            : 'care.reading.because.lived',
        { next: { day: dayPlus(last.day, 1) } },
      ),
      source: PRACTICE,
    },
  ];
}
