import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spoken } from '../words/english';
import type { Vessel } from '../commission/schema';
import { scape, soil, piece, parsed } from '../testing/scape';
import { surveyFindings } from '../findings/findings';
import { newMemo } from './memo';
import { survey } from './survey';
import { resolved } from '../testing/resolved';

type Size = [number, number, number];
const innerMm = ([length, width, height]: Size) => ({ length, width, height });

/** One of each, about 400 × 300 × 300 mm. */
const VESSELS: [string, Partial<Vessel>][] = [
  ['bow', { kind: 'bow', bowMm: 50, innerMm: innerMm([400, 300, 300]) }],
  ['cylinder', { kind: 'cylinder', innerMm: innerMm([400, 400, 300]) }],
  ['half-cylinder', { kind: 'half-cylinder', innerMm: innerMm([400, 200, 300]) }],
  ['hexagon', { kind: 'hexagon', innerMm: innerMm([400, 300, 300]) }],
  [
    'box with a chamber and a weir',
    {
      innerMm: innerMm([400, 300, 300]),
      chambers: [{ id: 'f', side: 'back', mm: 60, waterLineMm: 150 }],
      fixed: [{ id: 'w', title: 'weir', at: [0, 100], sizeMm: [60, 60, 280] }],
    },
  ],
];

function inVessel(
  vessel: Partial<Vessel>,
  option: NonNullable<Parameters<typeof scape>[0]>['option'],
  waterLineMm = 260,
) {
  const s = scape({ option });
  return parsed({ ...s, vessel: { ...s.vessel, ...vessel, waterLineMm } });
}

describe.each(VESSELS)('a survey in a %s', (_, vessel) => {
  it('fills it: layers, water, pieces, what is fixed and air add up', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const stones = fc.array(
      fc.record({
        size: fc.tuple(mm(20, 160), mm(20, 160), mm(20, 250)),
        at: fc.tuple(mm(-30, 430), mm(-30, 330)),
        turn: mm(0, 360),
      }),
      { maxLength: 5 },
    );
    fc.assert(
      fc.property(stones, mm(0, 100), mm(0, 180), mm(60, 300), (list, frontMm, backMm, line) => {
        const s = survey(
          inVessel(
            vessel,
            {
              bed: [soil({ kind: 'ramp', frontMm, backMm })],
              pieces: list.map((p, i) =>
                piece({
                  id: `P-${i}`,
                  at: p.at,
                  turnDeg: p.turn,
                  shape: { kind: 'ellipsoid', sizeMm: p.size },
                  stand: { kind: 'bed', buryMm: 10 },
                }),
              ),
            },
            line,
          ),
          { cellMm: 10 },
        );
        expect(s.bedL + s.freeWaterL + s.piecesL + s.fixedL + s.airL).toBeCloseTo(s.brimL, 8);
      }),
      { numRuns: 8 },
    );
  });
});

describe('a level bed', () => {
  it('in a cylinder is its floor times its depth', () => {
    const s = survey(inVessel(VESSELS[1][1], { bed: [soil({ kind: 'level', mm: 50 })] }));
    const exact = (Math.PI * 200 ** 2 * 50) / 1e6;
    expect(Math.abs(s.layers[0].volumeL / exact - 1)).toBeLessThan(1e-4);
    expect(s.layers[0].areaM2).toBeCloseTo(Math.PI * 0.2 ** 2, 3);
    expect(s.layers[0].minMm).toBe(50);
  });

  it('takes plants over the floor inside the glass only', () => {
    const whole: [number, number][] = [
      [0, 0],
      [400, 0],
      [400, 400],
      [0, 400],
    ];
    const s = survey(
      inVessel(VESSELS[1][1], {
        bed: [soil({ kind: 'level', mm: 60 })],
        plants: [{ id: 'P', plant: 'grass', region: whole, spacingMm: 25 }],
      }),
    );
    expect(s.plantings[0].netM2).toBeCloseTo(Math.PI * 0.2 ** 2, 3);
  });
});

describe('clearance to curved and slanted glass', () => {
  const stone = (at: [number, number]) =>
    piece({
      id: 'S',
      at,
      shape: { kind: 'ellipsoid', sizeMm: [80, 80, 80] },
      stand: { kind: 'bed', buryMm: 10 },
    });
  const of = (vessel: Partial<Vessel>, at: [number, number]) =>
    survey(inVessel(vessel, { bed: [soil({ kind: 'level', mm: 40 })], pieces: [stone(at)] })).pieces[0];

  it('in a cylinder is what the radius leaves', () => {
    const inMiddle = of(VESSELS[1][1], [200, 200]);
    expect(Math.abs(inMiddle.frontGapMm - 160)).toBeLessThan(1);
    expect(Math.abs(inMiddle.sideGapMm - 160)).toBeLessThan(1);
    // Half-way out to the left: 200 − 100 − 40.
    expect(of(VESSELS[1][1], [100, 200]).sideGapMm).toBeCloseTo(60, 0);
  });

  it('is negative where a stone stands through the bow, and a finding says so', () => {
    const doc = inVessel(VESSELS[0][1], {
      bed: [soil({ kind: 'level', mm: 40 })],
      pieces: [stone([50, 60])],
    });
    const s = survey(doc);
    expect(s.pieces[0].outsideL).toBeGreaterThan(0);
    expect(Math.min(s.pieces[0].frontGapMm, s.pieces[0].sideGapMm)).toBeLessThan(0);
    expect(surveyFindings(resolved(doc, s), s).map((f) => f.id)).toContain('piece.glass');
  });

  it('is what it was for the same box drawn by its corners', () => {
    const corners: [number, number][] = [
      [0, 0],
      [400, 0],
      [400, 300],
      [0, 300],
    ];
    const box = of({ innerMm: innerMm([400, 300, 300]) }, [90, 120]);
    const drawn = of({ kind: 'polygon', corners, innerMm: innerMm([400, 300, 300]) }, [90, 120]);
    expect(drawn.frontGapMm).toBeCloseTo(box.frontGapMm, 6);
    expect(drawn.sideGapMm).toBeCloseTo(box.sideGapMm, 6);
  });
});

describe('the top of the vessel', () => {
  const option = {
    bed: [soil({ kind: 'level', mm: 40 })],
    pieces: [piece({ id: 'S', at: [300, 180], shape: { kind: 'box', sizeMm: [300, 260, 280] }, stand: { kind: 'bed', buryMm: 10 } })], // prettier-ignore
  };

  it('stops a stone that does not pass between the braces', () => {
    const doc = inVessel({ braces: [{ fromMm: 200, toMm: 400 }], rimMm: 20 }, option, 370);
    const found = spoken(surveyFindings(resolved(doc), survey(doc))).find((f) => f.id === 'piece.passes')!;
    expect(found).toMatchObject({ severity: 'stop', measured: 280, limit: 180 });
    expect(found.says).toMatch(/260 × 280 mm across, the widest is 180 × 320 mm/);
  });

  it('holds pieces that silicone joins beforehand against the opening as one, others one by one', () => {
    const block = (id: string, x: number) =>
      piece({ id, at: [x, 180], shape: { kind: 'box', sizeMm: [150, 150, 150] }, stand: { kind: 'floor' } });
    const with_ = (method: 'silicone' | 'gel-glue') =>
      inVessel(
        { braces: [{ fromMm: 280, toMm: 320 }], rimMm: 40 },
        {
          bed: [],
          pieces: [block('S-1', 200), block('S-2', 350), block('S-3', 90)],
          joints: [{ id: 'J', pieces: ['S-1', 'S-2', 'S-3'], method }],
        },
        370,
      );
    const said = (doc: ReturnType<typeof with_>) =>
      spoken(surveyFindings(resolved(doc), survey(doc))).filter((f) => f.id.endsWith('.passes'));
    // Each of the openings is 240 × 280: a block of 150 passes; three side by side are 410 long, 150 across.
    expect(said(with_('gel-glue'))).toEqual([]);
    expect(said(with_('silicone'))).toEqual([]);
    const wide = with_('silicone');
    wide.options[0].pieces[1].at = [350, 320];
    const [found] = said(wide);
    expect(found).toMatchObject({ id: 'group.passes', severity: 'warn', measured: 290, limit: 240 });
    expect(found.says).toBe(
      'S-1, S-2, S-3, joined before the build day, do not pass the opening: 150 × 290 mm across, the widest is 240 × 280 mm.',
    );
  });

  it('says nothing of an open top', () => {
    const doc = inVessel({}, option, 370);
    expect(spoken(surveyFindings(resolved(doc), survey(doc))).map((f) => f.id)).not.toContain('piece.passes');
  });
});

describe('a vessel that is being dragged', () => {
  it('keeps what pieces displace, and is measured anew by the survey that follows', () => {
    const option = {
      bed: [soil({ kind: 'ramp', frontMm: 40, backMm: 120 })],
      pieces: [piece({ id: 'S', at: [200, 180], stand: { kind: 'bed', buryMm: 20 } })],
    };
    const doc = inVessel({}, option, 300);
    const wider = { ...doc, vessel: { ...doc.vessel, innerMm: innerMm([600, 420, 400]) } };
    const memo = newMemo(true);
    const at = (d: typeof doc) => survey(d, { memo, cellMm: 20 });
    const [before, dragged] = [at(doc), at(wider)];
    // The stone stands lower on the flatter ramp, but while the edge moves it displaces what it did.
    expect(dragged.pieces[0].inBedL).toBe(before.pieces[0].inBedL);
    expect(dragged.brimL).toBeGreaterThan(before.brimL);
    const fine = survey(wider);
    expect(Math.abs(dragged.freeWaterL / fine.freeWaterL - 1)).toBeLessThan(0.01);
  });
});
