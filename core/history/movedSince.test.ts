import { describe, expect, it } from 'vitest';
import { example } from '../testing/scape';
import { movedSince } from './movedSince';

const [a, b, ...more] = example('held-root').options[0].pieces;
const zMm = new Map([a, b, ...more].map((p) => [p.id, 40]));
const then = { pieces: [a, b, ...more], zMm };
const ids = (now: typeof then) => movedSince(then, now).map((p) => p.id);

describe('what has moved since', () => {
  it('is what stands elsewhere, turned, higher, or not at all any more, and nothing else', () => {
    expect(ids(then)).toEqual([]);
    expect(ids({ ...then, pieces: [{ ...a, at: [a.at[0] + 5, a.at[1]] }, b, ...more] })).toEqual([a.id]);
    expect(ids({ ...then, pieces: [{ ...a, turnDeg: a.turnDeg + 5 }, b, ...more] })).toEqual([a.id]);
    expect(ids({ ...then, pieces: [b, ...more] })).toEqual([a.id]);
    expect(ids({ ...then, zMm: new Map([...zMm, [b.id, 43]]) })).toEqual([b.id]);
    // The bed was smoothed under it; another stone came.
    expect(ids({ ...then, zMm: new Map([...zMm, [b.id, 40.4]]) })).toEqual([]);
    expect(ids({ ...then, pieces: [a, b, ...more, { ...a, id: 'new' }] })).toEqual([]);
  });
});
