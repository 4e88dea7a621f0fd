import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { survey } from '../survey/survey';
import { plan } from '../pipeline/plan';
import { resolved } from '../testing/resolved';
import { example } from '../testing/scape';
import { taskKind } from '../sittings/taskKinds';
import { inEnglish } from '../words/english';
import { jobOf } from './job';
import { tasksOf, withoutIt } from './missing';
import { wholeWork, type WholeWork } from './wholeWork';

const commission = example('held-root');
const job = resolved(commission);
const whole = wholeWork(jobOf(job, survey(job), 2));

describe('what has not come', () => {
  it('waits for nothing that does not rest on it, and goes on with the rest', () => {
    const tasks = [...whole.tasks.keys()].filter((t) => !taskKind(t).isFrame);
    fc.assert(
      fc.property(fc.subarray(tasks, { minLength: 1 }), (without) => {
        const found = withoutIt(whole, without)!;
        expect(found.waits.length + found.goesOn).toBe(tasks.length);
        expect(found.waits.length).toBeGreaterThanOrEqual(without.length);
        if (found.mayBeLater) return void expect(found.waits).toHaveLength(without.length);
        // Nothing that goes on needs one that waits.
        const waits = new Set(tasks.filter((t) => found.waits.includes(whole.tasks.get(t)!.title)));
        for (const { first, then } of whole.needs)
          if (waits.has(first) && tasks.includes(then)) expect(waits.has(then)).toBe(true);
      }),
    );
    expect(withoutIt(whole, ['no-such-task'])).toBeUndefined();
  });

  it('keeps nothing waiting where it may come later: a carpet may, sand may unless a stone stands on it', () => {
    const work = (...needs: [string, string][]): WholeWork => ({
      tasks: new Map(
        ['sand', 'stones', 'fill', 'wash'].map((id) => [id, { title: id, home: {} as never, layers: [] }]),
      ),
      needs: needs.map(([first, then]) => ({ first, then, why: '' }) as never),
    });
    expect(withoutIt(work(['sand', 'fill']), ['sand'])).toEqual({
      waits: ['sand'],
      goesOn: 3,
      mayBeLater: true,
    });
    const bearing = withoutIt(work(['sand', 'stones'], ['stones', 'fill']), ['sand'])!;
    expect(bearing).toEqual({ waits: ['sand', 'stones', 'fill'], goesOn: 1, mayBeLater: false });
    expect(withoutIt(whole, ['plant-carpet-grass'])).toMatchObject({ mayBeLater: true });
  });

  it('is said with what can be done without it: the bed waits for its soil, a wash does not', () => {
    expect(tasksOf(job, 'soil-granules')).toEqual(['soil']);
    const answer = { supplierReference: 'MA-1', deliveryDay: '2027-02-20', totalMinor: 0 };
    const soil = plan(commission, { today: '2027-01-02' }).takeOff.lines.find(
      (l) => l.id === 'soil-granules',
    )!;
    const lines = soil.packs.map(({ pack, count }) => ({ item: soil.id, pack, name: 'soil', asked: count, given: count })); // prettier-ignore
    const placed = [{ reference: 'r-1', supplier: 'marl-timber', confirmation: { ...answer, lines } }];
    const late = plan(commission, { today: '2027-01-02', placed }).findings;
    expect(late.map((f) => f.id)).toContain('order.after');
    const [said] = late.filter((f) => f.id === 'build.without');
    expect(said.at).toEqual({ line: 'soil-granules' });
    expect(inEnglish(said.says)).toMatch(/^Without .+ wait; \d+ other tasks can be done\.$/);
    // In time nothing is said of it.
    const inTime = [{ ...placed[0], confirmation: { ...placed[0].confirmation, deliveryDay: '2027-01-04' } }];
    expect(plan(commission, { today: '2027-01-02', placed: inTime }).findings.map((f) => f.id)).not.toContain('build.without'); // prettier-ignore
  });
});
