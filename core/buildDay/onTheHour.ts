import { clockOf, minuteOf } from '../calendar/clock';
import { isLiving, nameOfEntry, nameOfSupplier } from '../commission/lookup';
import { hourOnTheDay, type ComingLine } from '../ordering/coming';
import type { Resolved } from '../resolved/resolved';
import type { Finding } from '../words/finding';
import { PRACTICE, say } from '../words/text';
import type { BuildPlan } from './buildPlan';
import { tasksOf } from './missing';
import { taskOf } from './task';

/** From the door until it can be used, min: unpacked; what lives is also looked through, rinsed and split (common practice). */
const UNPACKED_MIN = { living: 60, goods: 15 };

/**
 * What comes on the build day itself, by an hour that was said, later than the first task that uses it.
 * Valid for parcels of the build day. Leaves out: what comes on the day of another sitting, which counts by days.
 * Test: onTheHour.test.ts, "is in time as long as it is unpacked when the first task wants it".
 */
export function onTheHour(
  job: Resolved,
  build: Pick<BuildPlan, 'tasks' | 'startTime'>,
  coming: readonly ComingLine[],
): Finding[] {
  return coming.flatMap((c): Finding[] => {
    const hour = hourOnTheDay(job, c);
    if (hour === undefined || c.given === 0 || c.received) return [];
    const own = tasksOf(job, c.line);
    const starts = build.tasks.filter((t) => own.includes(taskOf(t))).map((t) => t.startMin);
    // What no task is of by name, glue or a bottle, may be wanted with the first.
    const firstMin = starts.length > 0 ? Math.min(...starts) : 0;
    const ready = minuteOf(hour) + UNPACKED_MIN[isLiving(job, c.line) ? 'living' : 'goods'];
    const wanted = minuteOf(build.startTime) + firstMin;
    if (ready <= wanted) return [];
    const at = (minute: number) => clockOf('00:00', minute);
    return [
      {
        id: 'build.hour',
        severity: 'warn',
        at: { line: c.line, supplier: c.supplier },
        measured: ready,
        limit: wanted,
        unit: 'minutes',
        says: say('build.hour.says', { supplier: nameOfSupplier(job, c.supplier), name: nameOfEntry(job, c.line), hour, wanted: at(wanted) }), // prettier-ignore
        because: say('build.hour.because', { ready: at(ready) }),
        source: PRACTICE,
      },
    ];
  });
}
