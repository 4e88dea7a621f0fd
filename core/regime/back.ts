import type { Resolved } from '../resolved/resolved';
import { dated, type LaterWork } from './afterwards';
import { earlyTests } from './testDays';

/** The readings that animals which were elsewhere wait for, and their coming back. */
export function backWork(commission: Resolved): [early: LaterWork, back: LaterWork] {
  const things = ['back'];
  return [
    { kind: 'early', things, ownDay: Math.max(...earlyTests(commission)) },
    { kind: 'back', things, ownDay: 0 },
  ];
}

/** Days after the build on which animals come back from elsewhere: run sheet and guide say the same day. */
export function backDay(commission: Resolved): number {
  return dated(backWork(commission)).at(-1)!.day;
}
