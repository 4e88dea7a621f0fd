import { nameOfEntry } from '../commission/lookup';
import { notThere } from '../ordering/order';
import type { Resolved } from '../resolved/resolved';
import { taskOfPiece, taskOfPlant, taskOfStrewn } from '../sittings/homes';
import { taskKind } from '../sittings/taskKinds';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { say, type Said } from '../words/text';
import { jobOf } from './job';
import { wholeWork, type WholeWork } from './wholeWork';

/** What waits where something has not come, and how much of the work does not. */
export interface WithoutIt {
  waits: Said[];
  /** Tasks that can be done all the same. */
  goesOn: number;
  /** It can be set, poured or planted when the water is in. */
  mayBeLater: boolean;
}

/** Of each line that will not be there in time, what can be built without it. */
export function missingFindings(
  commission: Resolved,
  survey: Survey,
  ofOrder: readonly Finding[],
): Finding[] {
  const gone = [...notThere(ofOrder)];
  if (gone.length === 0) return [];
  const whole = wholeWork(jobOf(commission, survey, commission.brief.crew));
  return gone.flatMap((line): Finding[] => {
    const found = withoutIt(whole, tasksOf(commission, line));
    if (!found) return [];
    const { waits, goesOn, mayBeLater } = found;
    return [
      {
        id: 'build.without',
        severity: 'note',
        at: { line },
        measured: waits.length,
        limit: 0,
        unit: 'tasks',
        says: say('build.without.says', { name: nameOfEntry(commission, line), tasks: waits, count: goesOn }),
        because: say(mayBeLater ? 'build.without.because.later' : 'build.without.because'),
        source: ofOrder.find((f) => f.at.line === line)!.source,
      },
    ];
  });
}

/** The tasks that set, pour or plant what a line is bought for. */
export function tasksOf({ pieces, layers, strewn, plantings }: Resolved, line: string): string[] {
  const tasks = [
    ...[...pieces.values()].filter((p) => p.material.id === line).map((p) => taskOfPiece(p.piece, p.material.kind)), // prettier-ignore
    ...[...layers.values()].filter((l) => l.parts.some((p) => p.material.id === line)).flatMap((l) => l.task ?? []), // prettier-ignore
    ...strewn.filter((s) => s.material.id === line).map((s) => taskOfStrewn(s.material)),
    ...[...plantings.values()].filter((p) => p.plant.id === line).map((p) => taskOfPlant(p.plant)),
  ];
  return [...new Set(tasks)];
}

/**
 * What waits without some tasks: all that comes after them in the order of work. What may come when the water is in, and bears
 * nothing that may not, keeps nothing waiting: it gets a day of its own.
 * Valid for tasks of the whole work. Leaves out: that half of a delivery is enough to begin with.
 * Test: missing.test.ts, "waits for nothing that does not rest on it, and goes on with the rest".
 *
 * @returns undefined where none of the tasks is in the work
 */
export function withoutIt({ tasks, needs }: WholeWork, without: readonly string[]): WithoutIt | undefined {
  const own = without.filter((id) => tasks.has(id));
  if (own.length === 0) return undefined;
  const after = allAfter(needs, own);
  const bears = [...after].some((id) => taskKind(id).ofThings && !taskKind(id).mayBeLater);
  const mayBeLater = !bears && own.every((id) => taskKind(id).mayBeLater);
  const waits = new Set(mayBeLater ? own : after);
  const works = [...tasks].filter(([id]) => !taskKind(id).isFrame);
  const said = works.filter(([id]) => waits.has(id));
  return { waits: said.map(([, t]) => t.title), goesOn: works.length - said.length, mayBeLater };
}

/** Some tasks, and all that waits for one of them, however far down. */
function allAfter(needs: WholeWork['needs'], own: readonly string[]): Set<string> {
  const after = new Set(own);
  const open = [...own];
  while (open.length > 0) {
    const first = open.pop()!;
    for (const need of needs) {
      if (need.first !== first || after.has(need.then)) continue;
      after.add(need.then);
      open.push(need.then);
    }
  }
  return after;
}
