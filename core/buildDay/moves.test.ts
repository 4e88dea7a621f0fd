import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { withMoves, withoutSitting, withSitting, withSittingChanged } from '../edits/sittingEdits';
import { survey } from '../survey/survey';
import { carpet, root, sand, stone } from '../testing/job';
import { resolved } from '../testing/resolved';
import { parsed, scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';
import { buildPlan } from './buildPlan';
import { jobOf } from './job';
import { isMovable, movesWith } from './moves';
import { taskOf } from './task';
import { wholeWork } from './wholeWork';
import { workGraph } from './workGraph';

/** A stone, a root and a carpet in soil, with a path of sand; an evening for the hardscape, a morning for plants, then the water. */
function drawn(change: (c: Commission) => void = () => {}): Commission {
  const path = sand(70, { region: [[250, 0], [350, 0], [350, 360], [250, 360]] }); // prettier-ignore
  const s = scape({ option: { bed: [soil({ kind: 'level', mm: 60 }), path], pieces: [stone(), root()], plants: [carpet] } }); // prettier-ignore
  const doc = parsed({
    ...s,
    brief: {
      ...s.brief,
      sittings: [
        { id: 'h', kind: 'hardscape', day: '2027-01-12', start: '18:00' },
        { id: 'p', kind: 'planting', day: '2027-01-13' },
        { id: 'v', kind: 'detail', day: '2027-02-18' },
      ],
    },
  });
  change(doc);
  return doc;
}
const jobFor = (doc: Commission) => {
  const measured = survey(doc, { cellMm: 20 });
  const r = resolved(doc, measured);
  return { job: jobOf(r, measured), plan: buildPlan(r, measured) };
};
const graphOf = (doc: Commission) => {
  const { job } = jobFor(doc);
  return workGraph(job, wholeWork(job));
};
const moves = (doc: Commission, task: string, to: string) => movesWith(graphOf(doc), task, to);
/** The document after a move, and where every task of it then is. */
const after = (doc: Commission, task: string, to: string) => {
  const next = withMoves(doc, moves(doc, task, to).moves!);
  const { plan } = jobFor(next);
  const where = (id: string | RegExp) => [...plan.earlier, { ...plan, id: 'build' }, ...plan.visits.map((v) => ({ id: v.sitting?.id, tasks: v.tasks }))].filter((s) => s.tasks.some((t) => (typeof id === 'string' ? t.id.startsWith(id) : id.test(t.id)))).map((s) => s.id); // prettier-ignore
  return {
    next,
    where,
    needs: plan.findings.filter((f) => f.id === 'sitting.needs').map((f) => inEnglish(f.says)),
  };
};

describe('a task that gets another sitting', () => {
  it('takes along what it needs to an earlier day, and what needs it to a later', () => {
    const earlier = moves(drawn(), 'plant-grass', 'h');
    // All that plants need is in that evening already.
    expect(earlier.moves).toEqual([{ task: 'plant-grass', to: 'h' }]);
    const later = moves(drawn(), 'wood', 'build');
    // The path is planted too: it comes in around what stands, and plants after it.
    expect(later.moves!.map((m) => m.task).sort()).toEqual(['plant-grass', 'sand', 'wood']);
    const { where, needs } = after(drawn(), 'wood', 'build');
    expect([where('wood'), where('stones'), where('plant-grass'), where('sand')]).toEqual([['build'], ['h'], ['build'], ['build']]); // prettier-ignore
    expect(needs).toEqual([]);
    // Back again it needs what was there all the time.
    expect(moves(after(drawn(), 'wood', 'build').next, 'wood', 'h').moves!.map((m) => m.task)).toEqual([
      'wood',
    ]);
    expect(moves(after(drawn(), 'soil', 'build').next, 'plant-grass', 'p').moves!.map((m) => m.task).sort()).toEqual(['plant-grass', 'sand', 'soil', 'stones', 'wood']); // prettier-ignore
  });

  it('never leaves a task before what it needs, whatever is moved where', () => {
    const { plan } = jobFor(drawn());
    const tasks = [...plan.earlier, plan].flatMap((s) => s.tasks.map(taskOf)).filter(isMovable); // prettier-ignore
    expect(new Set(tasks).size).toBeGreaterThan(6);
    for (const task of new Set(tasks))
      for (const to of ['h', 'p', 'build', 'v']) {
        if (moves(drawn(), task, to).refused) continue;
        expect(after(drawn(), task, to).needs, `${task} to ${to}`).toEqual([]);
        // On a visit a plant is a task by its planting, and sand by its layer.
        const found = after(drawn(), task, to).where(to === 'v' ? /^(plant-P-|later-|photograph)/ : task);
        expect(found, `${task} to ${to}`).toContain(to);
      }
  });

  it('does not come after the water where the water needs it; plants and a path may', () => {
    const refused = moves(drawn(), 'stones', 'v').refused!;
    expect(inEnglish(refused)).toBe('Stone S-1 belongs to the day of the water: it cannot come later.');
    const { next } = after(drawn(), 'plant-grass', 'v');
    expect(after(drawn(), 'plant-grass', 'v').where('plant')).toEqual(['v']);
    expect(after(next, 'plant-grass', 'p').where('plant')).toEqual(['p']);
    expect(moves(drawn(), 'no-such', 'h').moves).toEqual([]);
    expect(['stones', 'soil', 'plant-grass', 'photograph'].every(isMovable)).toBe(true);
    expect(['arrive', 'leave', 'fill', 'prepare-gel', 'plant-x-1'].map(isMovable)).toEqual([false, false, false, false, true]); // prettier-ignore
  });

  it('takes single things along that were in the sitting that it leaves', () => {
    const doc = drawn((c) => {
      c.options[0].pieces[0].sitting = 'p';
      c.options[0].bed[1].sitting = 'v';
    });
    const stones = withMoves(doc, [{ task: 'stones', to: 'build' }], 'p');
    expect(stones.options[0].pieces.map((p) => p.sitting)).toEqual(['build', undefined]);
    const path = withMoves(doc, [{ task: 'sand', to: 'build', layers: ['sand'] }], 'v');
    expect(path.options[0].bed.map((l) => l.sitting)).toEqual([undefined, 'build']);
    expect(withMoves(doc, [{ task: 'stones', to: 'build' }], 'h').options).toEqual(doc.options);
    // Out of a sitting that is not that of its kind only the stone goes that was put there.
    const { moves } = movesWith(graphOf(doc), 'stones', 'build', 'p');
    expect(moves).toEqual([{ task: 'stones', to: 'build', single: true }]);
    const moved = withMoves(doc, moves!, 'p');
    expect([moved.options[0].pieces[0].sitting, moved.brief]).toEqual(['build', doc.brief]);
  });
});

describe('a sitting', () => {
  it('is added on the eve, changed, and taken away with all that was put in it', () => {
    const one = withSitting(
      drawn((c) => delete c.brief.sittings),
      'hardscape',
    );
    expect(one.brief.sittings).toEqual([{ id: 'hardscape', kind: 'hardscape', day: '2027-01-13' }]);
    const changed = withSittingChanged(one, 'hardscape', { start: '18:00', crew: 1 });
    expect(changed.brief.sittings![0]).toMatchObject({ start: '18:00', crew: 1 });
    expect(
      withSittingChanged(changed, 'hardscape', { start: undefined }).brief.sittings![0],
    ).not.toHaveProperty('start');
    const full = { ...changed, options: changed.options.map((o) => ({ ...o, pieces: o.pieces.map((p) => ({ ...p, sitting: 'hardscape' })) })) }; // prettier-ignore
    const without = withoutSitting(full, 'hardscape');
    expect(without.brief).not.toHaveProperty('sittings');
    expect(without.options[0].pieces.every((p) => !('sitting' in p))).toBe(true);
    expect(parsed(without)).toEqual(parsed(drawn((c) => delete c.brief.sittings)));
  });
});
