import type { Working } from '../units/quantity';

/** Which part of the work a task belongs to; the interface gives each its clay. */
export type Phase = 'prepare' | 'substrate' | 'hardscape' | 'planting' | 'water' | 'finish';

/** A step of the build day as it follows from the scape, before it has a time. */
export interface Task {
  id: string;
  phase: Phase;
  title: string;
  detail: string;
  minutes: number;
  /** How many it takes at once. */
  people: 1 | 2;
  /** Tasks that must be finished before it starts. */
  needs: string[];
  /** What must rest once it is done, and for how long before anything that needs it may start. */
  cure?: { what: string; minutes: number };
  caution?: string;
  workings: Working[];
}

/** Something that has to happen on an earlier day. */
export interface Beforehand {
  day: string;
  title: string;
  detail: string;
}
