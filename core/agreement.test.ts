import { beforeAll, describe, expect, it } from 'vitest';
import { gearOf, lateDevices } from './gear/gear';
import { BUYING } from './testing/agreements/buying';
import { DAY } from './testing/agreements/day';
import { GUIDE } from './testing/agreements/guide';
import {
  events,
  JOBS,
  plannedJobs,
  SEED,
  turnsToday,
  type Agreements,
  type Case,
} from './testing/agreements/planned';
import { PLANTING } from './testing/agreements/planting';

/*
 * What the stages say of one job agrees: any job of the trade is planned, and what two stages say of the same thing is held
 * against each other. `UTSUWA_SEED` repeats a run, `UTSUWA_JOBS` plans more.
 */

const AGREEMENTS: Agreements = { ...PLANTING, ...DAY, ...BUYING, ...GUIDE };

describe(`the stages agree (seed ${SEED}, ${JOBS} jobs)`, () => {
  let cases: Case[] = [];
  beforeAll(() => {
    cases = plannedJobs();
  }, 300_000);

  it('on jobs that have all there is', () => {
    const some = (test: (c: Case) => boolean) => expect(cases.filter(test).length).toBeGreaterThan(JOBS / 50);
    some((c) => c.doc.brief.rescape !== undefined);
    some((c) => c.p.build.visits.length > 0);
    some((c) => lateDevices({ gear: gearOf(c.doc) }).length > 0);
    some((c) => turnsToday(c).length > 2);
    some((c) => c.p.build.beforehand.some((b) => b.kind === 'soak'));
    some((c) => events(c).some(([, e]) => e.startsWith('closed by')));
  });

  it.each(Object.entries(AGREEMENTS))('%s', (_name, check) => {
    for (const [i, c] of cases.entries()) {
      const wrong = check(c);
      expect(wrong, `job ${i} of UTSUWA_SEED=${SEED}`).toEqual([]);
    }
  });
});
