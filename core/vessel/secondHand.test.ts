import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { scape } from '../testing/scape';
import type { Commission } from '../commission/schema';
import { hasDoubtfulSeams, isToBeTried } from './secondHand';

const tank = (
  secondHand: Commission['vessel']['secondHand'],
  rest: Partial<Commission['vessel']> = {},
): Commission => {
  const d = scape();
  return { ...d, vessel: { ...d.vessel, ...rest, secondHand } };
};

describe('a second-hand tank', () => {
  it('stands full for a day two weeks before the build, until it has; one that runs is tried every day', () => {
    const leak = (d: Commission) => plan(d, { planted: 'later' }).build.beforehand.filter((b) => b.kind === 'leak');
    expect(leak(tank({ ageYears: 4 })).map((b) => b.day)).toEqual(['2026-12-31']);
    expect(leak(tank({ leakTested: true }))).toEqual([]);
    expect(leak(tank(undefined))).toEqual([]);
    const running = tank({});
    expect(isToBeTried({ ...running, brief: { ...running.brief, rescape: { stays: [], filterKept: true } } })).toBe(false);
  });

  it('is tried before its film goes on', () => {
    const { beforehand } = plan(tank({}, { background: { colour: 'black', sides: ['back'], dryHours: 24 * 20 } }), { planted: 'later' }).build;
    const at = (kind: string) => beforehand.findIndex((b) => b.kind === kind);
    expect(at('leak')).toBeLessThan(at('film'));
    expect(beforehand[at('leak')].because).toEqual({ say: 'why.earlier.leak' });
  });

  it('has doubtful seams where it is said, and after ten years where nobody renewed them', () => {
    expect([{ ageYears: 10 }, { ageYears: 11 }, { ageYears: 11, seams: 'renewed' as const }, { seams: 'doubtful' as const }, undefined].map((secondHand) => hasDoubtfulSeams({ secondHand }))).toEqual([false, true, false, true, false]);
    const says = (d: Commission) => plan(d, { planted: 'later' }).findings.filter((f) => f.id === 'vessel.seams').map((f) => f.says.say);
    expect(says(tank({ ageYears: 14 }))).toEqual(['vessel.seams.says.old']);
    expect(says(tank({ seams: 'doubtful' }))).toEqual(['vessel.seams.says']);
  });
}); // prettier-ignore
