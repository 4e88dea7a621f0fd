import { describe, expect, it } from 'vitest';
import type { Commission } from '../commission/schema';
import { order } from '../ordering/order';
import { beforehandOf } from '../buildDay/beforehand';
import { takeOff } from '../takeoff/takeOff';
import { example } from '../testing/scape';
import { aheadOf, pieceWorks } from './ahead';
import { inEnglish } from '../words/english';
import { say } from '../words/text';
import { survey } from '../survey/survey';
import { resolved } from '../testing/resolved';

/** The held root, joined with silicone: a stone holds it, a day goes by until it may be loaded. Built on 14 January. */
function joined(change: (c: Commission) => void = () => {}): Commission {
  const commission = structuredClone(example('held-root'));
  for (const j of commission.options[0].joints) j.method = 'silicone';
  change(commission);
  return commission;
}
/** A second root joined to the first, and no stone: together they float. */
const twoRoots = joined((c) => {
  const option = c.options[0];
  const root = option.pieces.find((p) => p.material === 'branch')!;
  c.catalogue.materials.find((m) => m.id === 'branch')!.soakDays = 21;
  option.pieces = [root, { ...structuredClone(root), id: 'R-99', at: [root.at[0] + 40, root.at[1]] }];
  option.joints = [{ id: 'J-1', pieces: [root.id, 'R-99'], method: 'silicone' }];
  option.pockets = [];
  option.plants = option.plants.filter((p) => !p.on || p.on === root.id);
});
const days = (c: Commission) => new Map(beforehandOf(resolved(c), survey(c)).map((b) => [b.kind, b.day]));
const needed = (c: Commission, line: string) =>
  order(resolved(c), takeOff(resolved(c), survey(c))).suppliers.flatMap((s) => s.lines).find((l) => l.line === line)!.neededOn; // prettier-ignore

describe('pieces that are worked on before the day', () => {
  it('are joined two days before, and have come by then: stone and wood alike', () => {
    const c = joined();
    expect(days(c).get('silicone')).toBe('2027-01-12');
    expect([needed(c, 'branch'), needed(c, 'slate')]).toEqual(['2027-01-12', '2027-01-12']);
    // The bed is not joined.
    expect(needed(c, 'soil-granules')).toBe('2027-01-14');
  });

  it('are joined before they soak, since glue cures on what is dry', () => {
    const measured = survey(twoRoots);
    expect(pieceWorks(resolved(twoRoots, measured))).toMatchObject([
      { kind: 'silicone', days: 23, because: say('why.earlier.joined') },
      { kind: 'soak', days: 21 },
    ]);
    expect([...aheadOf(resolved(twoRoots, measured)).values()]).toEqual([
      { why: 'cures-soaks', days: 23 },
      { why: 'cures-soaks', days: 23 },
    ]);
    expect([days(twoRoots).get('silicone'), days(twoRoots).get('soak')]).toEqual([
      '2026-12-22',
      '2026-12-24',
    ]);
    expect(needed(twoRoots, 'branch')).toBe('2026-12-22');
  });

  it('soak as one where they are joined, as long as the slowest of them', () => {
    const c = structuredClone(twoRoots);
    c.catalogue.materials.push({ ...c.catalogue.materials.find((m) => m.id === 'branch')!, id: 'light-branch', soakDays: 7 }); // prettier-ignore
    c.options[0].pieces[1].material = 'light-branch';
    expect(beforehandOf(resolved(c), survey(c)).filter((b) => b.kind === 'soak')).toEqual([
      expect.objectContaining({
        day: '2026-12-24',
        title: say('before.soak.title', { pieces: c.options[0].pieces.map((p) => p.id) }),
      }),
    ]);
    expect(needed(c, 'light-branch')).toBe('2026-12-22');
  });

  it('are asked for a day before that, and it is said why so early', () => {
    const c = structuredClone(twoRoots);
    for (const p of c.options[0].pieces) p.origin = 'client';
    const asked = beforehandOf(resolved(c), survey(c)).find((b) => b.kind === 'client')!;
    expect(asked).toMatchObject({ day: '2026-12-21', because: say('why.earlier.aside') });
    expect(inEnglish(asked.detail)).toBe(
      'what is worked on or used beforehand is here by then, the rest on the day',
    );
  });

  it('are worked on on the day itself where the glue sets at once', () => {
    const c = structuredClone(example('held-root'));
    expect(aheadOf(resolved(c)).size).toBe(0);
    expect(needed(c, 'branch')).toBe('2027-01-14');
  });
});
