import type { EarlierKind } from '../beforehand/earlier';
import type { Held } from '../beforehand/held';
import type { Said, Text } from '../words/text';
import type { Working } from '../words/working';

/** Which part of the work a task belongs to; the interface gives each its clay. */
export type Phase = 'prepare' | 'substrate' | 'hardscape' | 'planting' | 'water' | 'finish';

/** A step of the build day as it follows from the scape, before anybody asks what comes first. */
export interface Step {
  id: string;
  /** The task of which it is a part, where two share one plant: by that it is given a sitting. */
  task?: string;
  phase: Phase;
  title: Said;
  /** What it is called among others, where the title has more in it. */
  short?: Said;
  detail: Text;
  minutes: number;
  /** How many it takes at once. */
  people: number;
  /** What must rest once it is done, and for how long before anything that needs it may start. */
  cure?: { what: Text; minutes: number };
  /** Minutes after it until the water is clear enough for a picture; nothing else waits for that. */
  clears?: number;
  /** It waits for that. */
  wantsClear?: boolean;
  caution?: Text;
  workings: Working[];
}

/** A step with its place in the order of work, before it has a time. */
export interface Task extends Step {
  /** Tasks that must be finished before it starts, by their ids, each with the reason. */
  needs: Readonly<Record<string, Text>>;
}

/** Something that has to happen on an earlier day. */
export interface Beforehand {
  day: string;
  kind: EarlierKind;
  title: Text;
  detail: Text;
  /** Why not later, where other work waits for it. */
  because?: Text;
  /** Minutes of one pair of hands somewhere else, where it is work that a client pays for. */
  handMin?: number;
  /** What of the studio's own it holds, from its day on. */
  holds?: Held;
}

/** The task as it is given a sitting: a half of it is no task of its own. */
export function taskOf({ id, task = id }: Pick<Step, 'id' | 'task'>): string {
  return task;
}
