import type { Task } from './task';

/** A task with its time: minutes from the start of the day, and who does it (0 is the first of the crew). */
export interface Scheduled extends Task {
  startMin: number;
  endMin: number;
  crew: number[];
  /** What its start had to wait for: the task before it in the chain that fixes the length of the day. */
  waitedFor?: string;
}

/** Times over the usual ones that somebody takes who is learning, and is alone at it (common practice). */
export const LEARNER = 1.5;

/**
 * Gives every task a time for a crew; where `learns`, the last of them takes longer over what that person does alone. Tasks are taken up as soon as what they need is done and has cured,
 * those with the longest way still to go first (list scheduling by longest path: Graham, SIAM J. Appl. Math.
 * 17, 1969, from memory). A crew of one does two-person tasks with a helper of the house.
 *
 * @throws RangeError when tasks need each other in a ring.
 */
export function schedule(tasks: readonly Task[], crewSize: number, learns = false): Scheduled[] {
  const learner = learns && crewSize > 1 ? crewSize - 1 : undefined;
  const toGo = longestWays(tasks);
  const done = new Map<string, Scheduled>();
  const freeAt = new Array<number>(crewSize).fill(0);
  const lastTask = new Array<string | undefined>(crewSize).fill(undefined);
  const open = [...tasks];
  while (open.length > 0) {
    let best: { task: Task; start: number; crew: number[]; waitedFor?: string } | undefined;
    for (const task of open) {
      const ready = readyAt(task, done);
      if (!ready) continue;
      const offer = offerOf(task, ready, freeAt, lastTask);
      const sooner = !best || offer.start < best.start;
      if (sooner || (offer.start === best!.start && toGo.get(task.id)! > toGo.get(best!.task.id)!))
        best = { task, ...offer };
    }
    if (!best) throw new RangeError('tasks need each other in a ring');
    const { task, start, crew, waitedFor } = best;
    const alone = crew.length === 1 && crew[0] === learner;
    const minutes = alone ? Math.round(task.minutes * LEARNER) : task.minutes;
    const endMin = start + minutes;
    done.set(task.id, { ...task, minutes, startMin: start, endMin, crew, waitedFor });
    for (const person of crew) {
      freeAt[person] = endMin;
      lastTask[person] = task.id;
    }
    open.splice(open.indexOf(task), 1);
  }
  return [...done.values()].sort((a, b) => a.startMin - b.startMin || a.crew[0] - b.crew[0]);
}

/** When a task may start for one that it needs: that is done, has cured, and the water is clear where it wants that. */
export function readyAfter(need: Pick<Scheduled, 'endMin' | 'cure' | 'clears'>, { wantsClear }: Pick<Task, 'wantsClear'>): number {
  return need.endMin + (need.cure?.minutes ?? 0) + (wantsClear ? (need.clears ?? 0) : 0);
} // prettier-ignore

/** When everything a task needs is done and cured, and which of it came last; undefined while some is open. */
function readyAt(task: Task, done: ReadonlyMap<string, Scheduled>): { min: number; by?: string } | undefined {
  let ready: { min: number; by?: string } = { min: 0 };
  for (const id of Object.keys(task.needs)) {
    const need = done.get(id);
    if (!need) return undefined;
    const min = readyAfter(need, task);
    if (min > ready.min) ready = { min, by: id };
  }
  return ready;
}

function offerOf(
  task: Task,
  ready: { min: number; by?: string },
  freeAt: readonly number[],
  lastTask: readonly (string | undefined)[],
): { start: number; crew: number[]; waitedFor?: string } {
  const people = Math.min(task.people, freeAt.length);
  // Who is free soonest; among those free in time, whoever has just done what this task needs goes on.
  const order = freeAt
    .map((_, person) => person)
    .sort((a, b) => {
      const wait = Math.max(freeAt[a], ready.min) - Math.max(freeAt[b], ready.min);
      return wait || Number(lastTask[b] === ready.by) - Number(lastTask[a] === ready.by) || a - b;
    });
  const crew = order.slice(0, people).sort((a, b) => a - b);
  const free = Math.max(...crew.map((p) => freeAt[p]));
  const start = Math.max(ready.min, free);
  const busy = crew.find((p) => freeAt[p] === free);
  const waitedFor = free > ready.min && busy !== undefined ? lastTask[busy] : ready.by;
  return { start, crew, waitedFor };
}

/** Minutes from the start of each task to the end of the day if nobody were ever busy. */
function longestWays(tasks: readonly Task[]): Map<string, number> {
  const after = new Map<string, Task[]>();
  for (const task of tasks)
    for (const id of Object.keys(task.needs)) after.set(id, [...(after.get(id) ?? []), task]);
  const ways = new Map<string, number>();
  const way = (task: Task, passed: ReadonlySet<string>): number => {
    const known = ways.get(task.id);
    if (known !== undefined) return known;
    if (passed.has(task.id)) throw new RangeError('tasks need each other in a ring');
    const beyond = new Set(passed).add(task.id);
    const next = Math.max(0, ...(after.get(task.id) ?? []).map((t) => way(t, beyond)));
    const length = task.minutes + (task.cure?.minutes ?? 0) + next;
    ways.set(task.id, length);
    return length;
  };
  tasks.forEach((t) => way(t, new Set()));
  return ways;
}

/** The tasks that fix the length of the day, first to last: each had to wait for the one before it. */
export function longestChain(scheduled: readonly Scheduled[]): Scheduled[] {
  const byId = new Map(scheduled.map((t) => [t.id, t]));
  let task = scheduled.reduce<Scheduled | undefined>(
    (l, t) => (!l || t.endMin > l.endMin ? t : l),
    undefined,
  );
  const chain: Scheduled[] = [];
  while (task) {
    chain.unshift(task);
    task = task.waitedFor === undefined ? undefined : byId.get(task.waitedFor);
  }
  return chain;
}
