import type { WaterSchool } from '../commission/schema';

/** A water change: days after the build day, and the share of the free water taken out. */
export interface Change {
  afterDays: number;
  share: number;
}

/** Length of the care plan: eight weeks after the build day. Week 1 is days 1 to 7. */
export const CARE_DAYS = 56;

interface School {
  title: string;
  /** The rule in a sentence, as the client reads it. */
  rule: string;
  changes: () => Change[];
}

/** Every `step` days from `from` to `to`, both included. */
function every(step: number, from: number, to: number, share: number): Change[] {
  const list: Change[] = [];
  for (let d = from; d <= to; d += step) list.push({ afterDays: d, share });
  return list;
}

/** The five schools of water change (common practice). */
export const SCHOOLS: Readonly<Record<WaterSchool, School>> = {
  taper: {
    title: 'taper',
    rule: '50 % daily in week 1, every second day in week 2, every third in week 3, twice a week in weeks 4 and 5, then weekly',
    changes: () => [
      ...every(1, 1, 7, 0.5),
      ...every(2, 9, 14, 0.5),
      ...every(3, 16, 21, 0.5),
      // Twice a week: the third and the sixth day of weeks 4 and 5.
      ...[24, 27, 31, 34].map((afterDays) => ({ afterDays, share: 0.5 })),
      ...every(7, 41, CARE_DAYS, 0.5),
    ],
  },
  'large-ro': {
    title: 'large vessel on RO',
    rule: '35 % daily for the first week, then weekly',
    changes: () => [...every(1, 1, 7, 0.35), ...every(7, 14, CARE_DAYS, 0.35)],
  },
  weekly: {
    title: 'weekly from the start',
    rule: '50 % weekly for a month, then fortnightly',
    changes: () => [...every(7, 7, 28, 0.5), ...every(14, 42, CARE_DAYS, 0.5)],
  },
  light: {
    title: 'lightly planted',
    rule: '55 % twice a week',
    changes: () =>
      Array.from({ length: CARE_DAYS / 7 }, (_, week) =>
        [3, 6].map((day) => ({ afterDays: week * 7 + day, share: 0.55 })),
      ).flat(),
  },
  'fish-in': {
    title: 'fish in',
    rule: '75 % next day, then 50 % daily for two weeks with bacteria after each, then weekly',
    changes: () => [{ afterDays: 1, share: 0.75 }, ...every(1, 2, 14, 0.5), ...every(7, 21, CARE_DAYS, 0.5)],
  },
};

/** Share of the old water that is left after changes: (1 − f) for each. Five of 50 % leave 3.1 %. */
export function remainingShare(shares: readonly number[]): number {
  return shares.reduce((left, f) => left * (1 - f), 1);
}
