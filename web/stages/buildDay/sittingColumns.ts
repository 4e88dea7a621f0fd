import { buildDayOf, type BuildPlan, type SittingPlan } from '../../../core/buildDay/buildPlan';
import { isMovable } from '../../../core/buildDay/moves';
import { taskOf, type Phase } from '../../../core/buildDay/task';
import { visitPlan } from '../../../core/buildDay/visitPlan';
import { visitTitle } from '../../../core/buildDay/visits';
import { clockOf } from '../../../core/calendar/clock';
import type { Brief } from '../../../core/commission/schema';
import { sittingTitle } from '../../../core/sittings/sittings';
import type { Said, Text } from '../../../core/words/text';

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
export function sittingColumns(build: BuildPlan, brief: Brief): Column[] {
  const visits = build.visits.map((v): Column => {
    const given = new Set(v.sitting ? v.tasks.flatMap((t) => t.task ?? []) : []);
    const column = columnOf(visitPlan(v, brief), (task) => given.has(task));
    if (v.sitting) return column;
    const { id: _id, start: _start, end: _end, people: _people, ...rest } = column;
    return { ...rest, title: visitTitle(v) };
  });
  return [...[...build.earlier, buildDayOf(build)].map((s) => columnOf(s)), ...visits];
}

/** On a visit only what was given to it may be given elsewhere; the rest has a day of its own. */
function columnOf(sitting: SittingPlan, mayGo: (task: string) => boolean = isMovable): Column {
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
      tasks.map((t) => ({ key: taskOf(t), title: t.short ?? t.title, minutes: t.minutes, phase: t.phase, isMovable: mayGo(taskOf(t)) })), // prettier-ignore
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
