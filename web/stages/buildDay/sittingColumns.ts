import type { BuildPlan } from '../../../core/buildDay/buildPlan';
import { isMovable } from '../../../core/buildDay/moves';
import { sittingTitle, type SittingPlan } from '../../../core/buildDay/sittingPlan';
import type { Phase } from '../../../core/buildDay/task';
import { visitPhase } from '../../../core/buildDay/visitPlan';
import type { LaterVisit } from '../../../core/buildDay/visits';
import { clockOf } from '../../../core/calendar/clock';
import { BUILD } from '../../../core/sittings/sittings';
import { taskKey } from '../../../core/sittings/homes';
import { say, type Said, type Text } from '../../../core/words/text';

/** A task as it stands in the column of its day. */
export interface Chip {
  /** What it is called in the order of work, by which it is moved; halves of one plant are one. */
  key: string;
  title: Said;
  minutes: number;
  phase?: Phase;
  isMovable: boolean;
}

/** A day of the work: one sitting, or a visit after the water. */
export interface Column {
  /** Id of the sitting; of a visit that only follows from something laid later none. */
  id?: string;
  title: Said;
  day: string;
  start?: string;
  end?: string;
  people?: number;
  minutes: number;
  chips: Chip[];
  /** How the tank is left until the next. */
  left?: Text;
}

/** The days of a work from the first to the last. */
export function sittingColumns(build: BuildPlan): Column[] {
  const day: SittingPlan = { ...build, id: BUILD, kind: BUILD, day: build.buildDay };
  return [...[...build.earlier, day].map(ofSitting), ...build.visits.map(ofVisit)];
}

function ofSitting(sitting: SittingPlan): Column {
  const { id, day, startTime, crew, tasks, doneMin, left } = sitting;
  return {
    id,
    title: sittingTitle(sitting),
    day,
    start: startTime,
    end: clockOf(startTime, doneMin),
    people: crew.length,
    minutes: doneMin,
    chips: joined(
      tasks.map((t) => ({
        key: taskKey(t.id),
        title: t.short ?? t.title,
        minutes: t.minutes,
        phase: t.phase,
        isMovable: isMovable(t.id),
      })),
    ),
    ...(left ? { left: left.says } : {}),
  };
}

/** Two halves of one plant are moved as one. */
function joined(chips: readonly Chip[]): Chip[] {
  const byKey = new Map<string, Chip>();
  for (const chip of chips) {
    const known = byKey.get(chip.key);
    byKey.set(chip.key, known ? { ...known, minutes: known.minutes + chip.minutes } : chip);
  }
  return [...byKey.values()];
}

function ofVisit(visit: LaterVisit): Column {
  const { sitting, title, day, startTime, crew, minutes, tasks, afterDays } = visit;
  return {
    ...(sitting ? { id: sitting } : {}),
    title: title ?? say('visit.title', { after: afterDays }),
    day,
    ...(startTime ? { start: startTime, end: clockOf(startTime, minutes) } : {}),
    ...(crew ? { people: crew } : {}),
    minutes,
    chips: joined(
      tasks.map((t, i) => ({
        key: t.task ?? `${t.id} ${i}`,
        title: t.title,
        minutes: Math.round(t.minutes),
        phase: visitPhase(t.id),
        isMovable: t.task !== undefined,
      })),
    ),
  };
}
