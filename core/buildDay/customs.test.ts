import { describe, expect, it } from 'vitest';
import { carpet, found, job, stone } from '../testing/job';
import { soil } from '../testing/scape';
import { whyNotEarlier } from './whyNot';

/* What a school or a studio has of its own: a break, time for the water to clear, a second look, somebody who learns. */

const bed = [soil({ kind: 'level', mm: 60 })];
const built = (brief: object, many = 1) => job({ brief: { crew: 2, ...brief }, option: { bed, pieces: Array.from({ length: many }, (_, i) => stone({ id: `S-${i}`, at: [60 + 90 * i, 180] })), plants: [carpet] } }); // prettier-ignore
const at = (p: ReturnType<typeof job>, id: string) => p.build.tasks.find((t) => t.id === id)!;

describe('the customs of a studio', () => {
  it('have everybody rest between hardscape and planting, on a day that is long enough', () => {
    const p = built({ crew: 1, schools: { breakMin: 30 } }, 6);
    const rest = at(p, 'break');
    expect([rest.minutes, rest.crew]).toEqual([30, [0]]);
    expect(rest.startMin).toBeGreaterThanOrEqual(at(p, 'gaps').endMin);
    expect(at(p, 'prepare-gel').startMin).toBeGreaterThanOrEqual(rest.endMin);
    // An hour and a half of work wants none.
    expect(built({ crew: 4, schools: { breakMin: 30 } }).build.tasks.some((t) => t.id === 'break')).toBe(
      false,
    );
  });

  it('give the water an hour before its picture, and say so', () => {
    const p = built({ schools: { clearMin: 60 } });
    expect(at(p, 'photograph').startMin).toBeGreaterThanOrEqual(at(p, 'fill').endMin + 60);
    expect(at(p, 'start').startMin).toBe(at(p, 'fill').endMin);
    expect(p.build.lanes.find((l) => l.what === 'water clears')).toMatchObject({
      fromMin: at(p, 'fill').endMin,
    });
    expect(whyNotEarlier(at(p, 'photograph') as never, p.build.tasks as never)).toMatchObject({
      waitedFor: ['fill'],
    });
  });

  it('look again the day after, once, whoever else comes that day', () => {
    const visits = (brief: object) =>
      built(brief).build.visits.map((v) => [v.afterDays, v.tasks.map((t) => t.id)]);
    expect(visits({ schools: { lookAfter: true } })).toEqual([[1, ['look']]]);
    const sittings = [{ id: 'v', kind: 'detail', day: '2027-01-15' }];
    expect(visits({ schools: { lookAfter: true }, sittings })).toEqual([[1, ['look']]]);
  });

  it('let the last of the crew take half as long again over what that person does alone', () => {
    const [with_, without] = [built({ learner: true }), built({})];
    const own = with_.build.tasks.filter((t) => t.crew.length === 1 && t.crew[0] === 1);
    expect(own.length).toBeGreaterThan(1);
    const usual = (id: string) => at(without, id).minutes;
    for (const t of own) expect(t.minutes, t.id).toBe(Math.round(usual(t.id) * 1.5));
    for (const t of with_.build.tasks.filter((t) => t.crew.includes(0))) expect(t.minutes).toBe(usual(t.id));
    // Alone nobody learns from anybody.
    expect(built({ crew: 1, learner: true }).build.doneMin).toBe(built({ crew: 1 }).build.doneMin);
    expect(found(with_, 'build.hands')).toEqual([]);
  });
});
