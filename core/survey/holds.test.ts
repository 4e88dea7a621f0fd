import { describe, expect, it } from 'vitest';
import type { Joint, Option, Piece } from '../commission/schema';
import { job, found, sand, stone, root } from '../testing/job';
import { piece, soil } from '../testing/scape';

/* What holds and what does not: given and expected, a line each. */

describe('what holds', () => {
  const glued = (method: 'silicone' | 'gel-glue' | 'impact') =>
    job({
      option: {
        bed: [sand(50)],
        pieces: [stone(), stone({ id: 'S-2', at: [320, 180], stand: { kind: 'on', piece: 'S-1' } })],
        joints: [{ id: 'J', pieces: ['S-1', 'S-2'], method }],
      },
    }).takeOff.lines.filter((l) => /glue|silicone/i.test(`${l.id}`));

  it('a silicone joint takes silicone, a gel joint gel', () => {
    expect(glued('silicone').map((l) => [l.id, l.needed.value])).toEqual([['glue-silicone', 25]]);
    expect(glued('gel-glue').map((l) => [l.id, l.needed.value])).toEqual([['glue-gel', 3]]);
    expect(glued('impact').map((l) => [l.id, l.needed.value])).toEqual([['glue-impact', 8]]);
  });

  it('dry scoria of 130 × 100 × 170 mm lifts 0.12 kgf: 0.19 kg of stone at 2.65 hold it', () => {
    const p = job({
      vessel: { waterLineMm: 370 },
      option: { pieces: [piece({ material: 'lava', shape: { kind: 'ellipsoid', sizeMm: [130, 100, 170] }, at: [300, 180], stand: { kind: 'floor' } })] }, // prettier-ignore
      catalogue: (c) =>
        c.materials.push({ id: 'lava', kind: 'stone', name: 'Dark scoria', densityKgPerL: 0.9 }),
    });
    const [f] = found(p, 'piece.floats');
    expect(f.says).toMatch(/it lifts 0\.12 kgf, and nothing holds it/);
    expect(f.because).toMatch(/0\.19 kg of stone of 2\.65 kg\/L.*soaking/);
  });

  it('a root of 6 kg with 3.7 L under water stands', () => {
    // 8 L of wood, 3.7 of them below a line at 185 of 400 mm.
    const shape = { kind: 'box' as const, sizeMm: [200, 100, 400] as [number, number, number] };
    const p = job({ vessel: { waterLineMm: 185 }, option: { pieces: [root({ shape, massKg: 6, at: [300, 180], stand: { kind: 'floor' } })] } }); // prettier-ignore
    expect(p.survey.pieces[0].underWaterL).toBeCloseTo(3.7, 2);
    expect(found(p, 'piece.floats')).toEqual([]);
    expect(p.survey.groups[0].holdKgf).toBeCloseTo(2.3, 2);
  });

  it('what lies on a root holds it, what is a gap away does not', () => {
    const held = (rest: Partial<Option>) => job({ option: { bed: [sand(50)], ...rest } });
    const on = held({ pieces: [root(), stone({ at: [150, 180], massKg: 3, stand: { kind: 'on', piece: 'R-1' } })] }); // prettier-ignore
    expect(found(on, 'piece.floats')).toEqual([]);
    const far = held({ pieces: [root(), stone({ at: [480, 180], massKg: 3 })], joints: [{ id: 'J', pieces: ['R-1', 'S-1'], method: 'silicone' }] }); // prettier-ignore
    expect(found(far, 'piece.floats')).toHaveLength(1);
    expect(found(far, 'joint.gap')).toMatchObject([{ limit: 5, severity: 'stop' }]);
  });

  it('a slab that hangs on one dot of gel comes off, on silicone it stays', () => {
    const shape = { kind: 'box' as const, sizeMm: [120, 100, 100] as [number, number, number] };
    const by = (method: 'gel-glue' | 'silicone') =>
      job({
        option: {
          pieces: [
            piece({ id: 'A', shape, at: [200, 180], stand: { kind: 'floor' } }),
            piece({ id: 'B', shape, at: [321, 180], stand: { kind: 'at', zMm: 60 } }),
          ],
          joints: [{ id: 'J', pieces: ['A', 'B'], method }],
        },
      });
    expect(found(by('gel-glue'), 'joint.hangs')).toMatchObject([{ limit: 0.3, measured: 3.18 }]);
    expect(found(by('silicone'), 'joint.hangs')).toEqual([]);
    expect(found(by('silicone'), 'piece.air')).toEqual([]);
  });

  it('nothing is said of nothing: no 0 kgf, no 0 kg more, no 0 L shared', () => {
    const shape = { kind: 'ellipsoid' as const, sizeMm: [8, 8, 8] as [number, number, number] };
    const p = job({ option: { pieces: [root({ shape, stand: { kind: 'floor' } }), root({ id: 'R-2', shape, at: [154, 180], stand: { kind: 'floor' } })] } }); // prettier-ignore
    for (const f of p.findings) expect(`${f.says} ${f.because}`).not.toMatch(/\b0 (kgf|kg|L)\b/);
  });
});

describe('what stands by itself', () => {
  const leaning = (buryMm: number, rest: Partial<Piece> = {}) =>
    job({
      option: {
        bed: [soil({ kind: 'level', mm: 60 })],
        pieces: [
          stone({ shape: { kind: 'box', sizeMm: [30, 120, 240] }, tiltDeg: [0, 40], stand: { kind: 'bed', buryMm }, ...rest }), // prettier-ignore
        ],
      },
    });

  it('tips where its middle is beyond what carries it, to that side, unless it is buried or joined', () => {
    const [tips] = found(leaning(2), 'piece.tips');
    expect(tips).toMatchObject({ severity: 'warn', limit: 0, unit: 'mm' });
    expect(tips.says).toMatch(/^S-1 tips to the right: its middle lies \d+ mm outside of what carries it\.$/);
    // Upright it stands.
    expect(found(leaning(20, { tiltDeg: [0, 0] }), 'piece.tips')).toEqual([]);
    // Joined to another it does not stand by itself, and what is fixed does not tip.
    const joined = job({
      option: {
        bed: [soil({ kind: 'level', mm: 60 })],
        pieces: [stone({ shape: { kind: 'box', sizeMm: [30, 120, 240] }, tiltDeg: [0, 40] }), stone({ id: 'S-2', at: [420, 180] })], // prettier-ignore
        joints: [{ id: 'J', pieces: ['S-1', 'S-2'], method: 'silicone' }],
      },
    });
    expect(found(joined, 'piece.tips')).toEqual([]);
    expect(found(leaning(2, { fixed: true }), 'piece.tips')).toEqual([]);
  });

  it('at a height stays there where it lies on others or is joined to them, not where it only touches', () => {
    const pillar = { kind: 'box' as const, sizeMm: [60, 100, 200] as [number, number, number] };
    const beam = { kind: 'box' as const, sizeMm: [260, 80, 50] as [number, number, number] };
    const gate = (x: number, joints: Joint[] = []) =>
      job({
        option: {
          pieces: [
            stone({ shape: pillar, at: [200, 180], stand: { kind: 'floor' } }),
            stone({ id: 'S-2', shape: pillar, at: [400, 180], stand: { kind: 'floor' } }),
            stone({ id: 'S-3', shape: beam, at: [x, 180], stand: { kind: 'at', zMm: 200 } }),
          ],
          joints,
        },
      });
    expect(found(gate(300), 'piece.loose')).toEqual([]);
    // Moved so far to the right that its middle lies beyond the pillar that still carries an end of it.
    const [loose] = found(gate(500), 'piece.loose');
    expect(loose).toMatchObject({ severity: 'warn', at: { piece: 'S-3' } });
    expect(loose.says).toMatch(
      /^S-3 is drawn at a height where nothing carries it, and no joint holds it\.$/,
    );
    expect(found(gate(500, [{ id: 'J', pieces: ['S-2', 'S-3'], method: 'silicone' }]), 'piece.loose')).toEqual([]); // prettier-ignore
  });

  it('stands barely where a small lean tips it', () => {
    const tower = leaning(5, { shape: { kind: 'box', sizeMm: [24, 24, 330] }, tiltDeg: [0, 0] });
    expect(found(tower, 'piece.tips')).toMatchObject([{ severity: 'note', limit: 5, unit: '°' }]);
  });

  it('presses on bare glass when it is heavy and nothing is between', () => {
    const on = (pad?: number, rest: Partial<Piece> = {}) =>
      found(job({ option: { pieces: [stone({ stand: { kind: 'floor', ...(pad ? { pad } : {}) }, shape: { kind: 'box', sizeMm: [120, 100, 100] }, ...rest })] } }), 'piece.bare'); // prettier-ignore
    expect(on()).toMatchObject([{ severity: 'warn', limit: 2, unit: 'kg' }]);
    expect(on(5)).toEqual([]);
    expect(on(undefined, { shape: { kind: 'box', sizeMm: [60, 60, 60] } })).toEqual([]);
  });
});
