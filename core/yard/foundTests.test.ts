import { describe, expect, it } from 'vitest';
import { withCandidate, withCandidateChanged } from '../edits/candidates';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { foundChecks, foundVerdict, TESTS, testsFor } from './foundTests';

const base = example('held-root');
const option = base.options.find((o) => o.id === base.chosen)!;
const kindOf = (id: string) => base.catalogue.materials.find((m) => m.id === id)!.kind;
const stone = option.pieces.find((p) => kindOf(p.material) === 'stone')!;

describe('what is not of the trade', () => {
  it('is tested by what it is: stone with acid and a magnet, wood with a knife and in the tub', () => {
    expect(testsFor({ kind: 'stone' })).toEqual(['acid', 'magnet', 'edges', 'veins']);
    expect(testsFor({ kind: 'wood' })).toContain('soaks');
    expect(testsFor({ kind: 'soil' })).toEqual([]);
    const all = new Set([...testsFor({ kind: 'stone' }), ...testsFor({ kind: 'wood' })]);
    expect([...TESTS].filter((t) => !all.has(t))).toEqual([]);
  });

  it('is fit once every test was made, whatever can be helped; never with iron, metal, rot, resin or of a wrong tree', () => {
    const checks = (tests: Parameters<typeof foundChecks>[0]['tests']) => foundVerdict(foundChecks({ tests }, { kind: 'stone' })); // prettier-ignore
    expect(checks(undefined)).toBe('untested');
    expect(checks({ acid: 'good', magnet: 'good', edges: 'good' })).toBe('untested');
    // It fizzes, and is sharp: where hard water is wanted it may go in, ground round.
    expect(checks({ acid: 'bad', magnet: 'good', edges: 'bad', veins: 'good' })).toBe('fit');
    expect(checks({ magnet: 'bad' })).toBe('never');
    expect(foundVerdict(foundChecks({ tests: { kind: 'bad' } }, { kind: 'wood' }))).toBe('never');
  });

  it('is found as long as it goes in and is not tested, and stops where it must not', () => {
    const noted = withCandidate(base, { option: option.id, piece: stone.id, material: stone.material, found: true, approvedOn: '2026-01-05' }); // prettier-ignore
    const found = (doc: typeof base) => plan(doc, { today: '2026-01-05', cellMm: 20, planted: 'later' }).findings.filter((f) => f.id === 'candidate.found').map((f) => [f.severity, f.measured]); // prettier-ignore
    expect(found(noted)).toEqual([['warn', 4]]);
    const tested = withCandidateChanged(noted, 'C-1', { tests: { acid: 'good', magnet: 'good', edges: 'good', veins: 'good' } }); // prettier-ignore
    expect(found(tested)).toEqual([]);
    expect(found(withCandidateChanged(tested, 'C-1', { tests: { magnet: 'bad' } }))).toEqual([['stop', 3]]);
    expect(found(withCandidateChanged(noted, 'C-1', { approvedOn: undefined }))).toEqual([]);
  });
});
