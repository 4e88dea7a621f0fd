import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import type { Candidate, Commission } from '../commission/schema';
import { withApproved, withCandidate, withCandidateChanged, withDeclined, withTried, withoutCandidate, withoutTried } from '../edits/candidates'; // prettier-ignore
import { example } from '../testing/scape';
import { asActual } from '../yard/candidate';
import { plan } from './plan';
import { trialOf } from './trial';

const base = example('held-root');
const option = base.options.find((o) => o.id === base.chosen)!;
const materialIn = (doc: Commission, id: string) => doc.catalogue.materials.find((m) => m.id === id)!;
const stone = option.pieces.find((p) => materialIn(base, p.material).kind === 'stone')!;
const ASK = { today: '2026-01-05', cellMm: 20 };
const noted = (more: Partial<Candidate>) =>
  withCandidate(base, { option: option.id, piece: stone.id, material: stone.material, ...more });
const tried = (doc: Commission) => {
  const [c] = doc.candidates!;
  return withTried(doc, c.id, asActual(stone, c, materialIn(doc, c.material))!);
};
const there = (doc: Commission) => doc.options.find((o) => o.id === option.id)!.pieces.find((p) => p.id === stone.id)!; // prettier-ignore

describe('an actual piece that is tried', () => {
  it('says what a heavier and longer stone changes', () => {
    const doc = noted({ sizeMm: [260, 160, 140], massKg: 7.5 });
    const trial = trialOf(doc, doc.candidates![0], materialIn(doc, stone.material), ASK)!;
    const [was, is] = [doc, tried(doc)].map((d) =>
      plan(d, { ...ASK, optionId: option.id, planted: 'later' }),
    );
    // What is said beforehand is what then is.
    expect(trial.massKg).toEqual({ was: was.survey.pieces.find((p) => p.id === stone.id)!.massKg, is: 7.5 });
    expect(trial.freeWaterL.was).toBeCloseTo(was.survey.freeWaterL, 9);
    expect(trial.freeWaterL.is).toBeCloseTo(is.survey.freeWaterL, 9);
    expect(trial.costMinor).toEqual({ was: was.order.totalMinor, is: is.order.totalMinor });
    const ids = (p: typeof was) => new Set(p.findings.map((f) => f.id));
    for (const f of trial.fresh) expect(ids(is)).toContain(f.id);
    for (const f of trial.gone) expect(ids(was)).toContain(f.id);
  });

  it('says the same the other way round once it is on the bench', () => {
    const doc = noted({ sizeMm: [260, 160, 140], massKg: 7.5 });
    const before = trialOf(doc, doc.candidates![0], materialIn(doc, stone.material), ASK)!;
    const on = tried(doc);
    const after = trialOf(on, on.candidates![0], materialIn(on, stone.material), ASK)!;
    expect(after.massKg).toEqual(before.massKg);
    expect(after.freeWaterL.is).toBeCloseTo(before.freeWaterL.is, 6);
  });

  it('goes on the bench and off it again, and leaves the piece as it was drawn', () => {
    const on = tried(noted({ sizeMm: [260, 160, 140], massKg: 7.5 }));
    expect(there(on).massKg).toBe(7.5);
    expect(parseCommission(structuredClone(on)).ok).toBe(true);
    expect(there(withoutTried(on, 'C-1'))).toEqual(stone);
    // A second for the same piece takes its place; the one that is put back is still what was drawn.
    const second = withCandidate(on, { option: option.id, piece: stone.id, material: stone.material, sizeMm: [200, 120, 90], massKg: 3 }); // prettier-ignore
    const both = withTried(
      second,
      'C-2',
      asActual(stone, second.candidates![1], materialIn(base, stone.material))!,
    );
    expect(both.candidates!.map((c) => c.was !== undefined)).toEqual([false, true]);
    expect(there(withoutTried(both, 'C-2'))).toEqual(stone);
  });

  it('said yes to is bought by its weight at its price; said no to, it is not', () => {
    const yes = withApproved(tried(noted({ sizeMm: [260, 160, 140], massKg: 7.5, priceMinor: 3_100, supplier: base.catalogue.suppliers[0]?.id })), 'C-1', '2026-01-05'); // prettier-ignore
    expect(yes.taken).toMatchObject([
      { item: stone.material, amount: 7.5, paidMinor: 3_100, day: '2026-01-05' },
    ]);
    const again = withApproved(yes, 'C-1', '2026-01-06');
    expect(again.taken).toHaveLength(1);
    // Weighed and paid otherwise when it came: what was bought is that.
    const came = withCandidateChanged(yes, 'C-1', { measured: { sizeMm: [250, 160, 140], massKg: 7.1 }, priceMinor: 2_950 }); // prettier-ignore
    expect(came.taken).toMatchObject([
      { item: stone.material, amount: 7.1, paidMinor: 2_950, day: '2026-01-05' },
    ]);
    const no = withDeclined(yes, 'C-1');
    expect(no.taken).toBeUndefined();
    expect(there(no)).toEqual(stone);
    expect(no.candidates![0]).toMatchObject({ declined: true });
    expect(withoutCandidate(yes, 'C-1')).toEqual(base);
  });

  it('that came shorter, or is held no longer, is found', () => {
    const short = withCandidateChanged(noted({ sizeMm: [420, 160, 140] }), 'C-1', { measured: { sizeMm: [360, 160, 140] } }); // prettier-ignore
    const found = (doc: Commission, today: string) => plan(doc, { ...ASK, today, optionId: option.id }).findings.filter((f) => f.id.startsWith('candidate.')); // prettier-ignore
    expect(found(short, '2026-01-05').map((f) => [f.id, f.measured, f.severity])).toEqual([['candidate.other', -60, 'warn']]); // prettier-ignore
    const held = noted({ heldUntil: '2026-01-06' });
    expect(found(held, '2026-01-05')).toEqual([]);
    expect(found(held, '2026-01-06').map((f) => f.id)).toEqual(['candidate.held']);
  });

  it('of a material that nobody has is refused by its path', () => {
    const wrong = parseCommission(structuredClone(noted({ material: 'nothing' })));
    expect(!wrong.ok && wrong.faults[0].path).toBe('candidates[0].material');
  });
});
