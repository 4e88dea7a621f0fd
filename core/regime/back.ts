import { dated, type LaterWork } from './afterwards';
import { FIRST_TWO } from './testDays';

/** The readings that animals which were elsewhere wait for, and their coming back. */
export function backWork(): [early: LaterWork, back: LaterWork] {
  const things = ['back'];
  return [
    { kind: 'early', things, ownDay: Math.max(...FIRST_TWO) },
    { kind: 'back', things, ownDay: 0 },
  ];
}

/** Days after the build on which animals come back from elsewhere: run sheet and guide say the same day. */
export function backDay(): number {
  return dated(backWork()).at(-1)!.day;
}
