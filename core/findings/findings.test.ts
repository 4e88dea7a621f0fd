import { describe, expect, it } from 'vitest';
import { inEnglish, spoken } from '../words/english';
import type { Layer } from '../commission/schema';
import { bySeverity, type Finding } from '../words/finding';
import { example, piece, scape, soil } from '../testing/scape';
import { plan } from '../pipeline/plan';
import { surveyFindings } from './findings';
import { whereabouts } from '../survey/whereabouts';
import { survey } from '../survey/survey';
import { resolved } from '../testing/resolved';

describe('findings of the survey', () => {
  const ids = (commission: ReturnType<typeof scape>) =>
    spoken(surveyFindings(resolved(commission), survey(commission))).map((f) => f.id);

  it('says how thin the soil is under a plant, and where', () => {
    const commission = example('held-root');
    const [found] = spoken(surveyFindings(resolved(commission), survey(commission)));
    expect(found).toMatchObject({ id: 'bed.shallow', at: { plant: 'P-1' }, limit: 50, unit: 'mm' });
    expect(found.measured).toBeCloseTo(30 + (80 * 20) / 360, 1);
  });

  it('does not count bagged filler as depth for roots', () => {
    const plants = [
      {
        id: 'P-1',
        plant: 'grass',
        region: [
          [100, 100],
          [200, 100],
          [200, 200],
          [100, 200],
        ] as [number, number][],
        spacingMm: 25,
      },
    ];
    const bed = [
      soil({ kind: 'level', mm: 40 }, { id: 'f', material: 'scoria' }),
      soil({ kind: 'level', mm: 80 }),
    ];
    const commission = scape({ option: { bed, plants } });
    expect(spoken(surveyFindings(resolved(commission), survey(commission)))[0]).toMatchObject({
      id: 'bed.shallow',
      measured: 40,
    });
  });

  it('finds a bed over its angle of repose; the edge of a path is a step that something has to hold', () => {
    expect(ids(scape({ option: { bed: [soil({ kind: 'ramp', frontMm: 20, backMm: 250 })] } }))).toEqual([
      'bed.steep',
    ]);
    const path: Layer = {
      id: 'p',
      material: 'sand',
      cuts: true,
      top: { kind: 'level', mm: 15 },
      region: [
        [200, -5],
        [260, -5],
        [260, 400],
        [200, 400],
      ],
    };
    expect(ids(scape({ option: { bed: [soil({ kind: 'level', mm: 80 }), path] } }))).toEqual(['bed.face']);
    const low = { ...path, top: { kind: 'level' as const, mm: 60 } };
    expect(ids(scape({ option: { bed: [soil({ kind: 'level', mm: 80 }), low] } }))).toEqual([]);
  });

  it('finds wood that floats, unless stone joined to it holds it or it is soaked', () => {
    const root = piece({
      id: 'R-1',
      material: 'branch',
      shape: { kind: 'ellipsoid', sizeMm: [320, 90, 80] },
    });
    const stone = piece({ id: 'S-1', at: [200, 100] });
    const bed = [soil({ kind: 'level', mm: 60 })];
    const loose = scape({ option: { bed, pieces: [root, stone] } });
    const [found] = spoken(surveyFindings(resolved(loose), survey(loose)));
    expect(found).toMatchObject({ id: 'piece.floats', at: { piece: 'R-1' }, unit: 'kgf', limit: 0 });
    expect(found.measured).toBeCloseTo(0.3 * 1.2064, 3);
    expect(found.because).toMatch(/0\.58 kg more stone.*soak it 14 days/);
    expect(
      ids(
        scape({
          option: {
            bed,
            pieces: [root, stone],
            joints: [{ id: 'J', pieces: ['R-1', 'S-1'], method: 'fibre-glue' }],
          },
        }),
      ),
    ).toEqual([]);
  });

  it('finds pieces through the glass, near the front pane, too tall, or in each other', () => {
    expect(ids(scape({ option: { pieces: [piece({ at: [40, 180], stand: { kind: 'floor' } })] } }))).toEqual([
      'piece.glass',
    ]);
    expect(ids(scape({ option: { pieces: [piece({ at: [300, 49], stand: { kind: 'floor' } })] } }))).toEqual([
      'piece.glass',
    ]);
    expect(ids(scape({ option: { pieces: [piece({ at: [300, 51], stand: { kind: 'floor' } })] } }))).toEqual(
      [],
    );
    expect(ids(scape({ option: { pieces: [piece({ stand: { kind: 'bed', buryMm: 20 } })] } }))).toEqual([
      'piece.glass',
    ]);
    expect(ids(scape({ option: { pieces: [piece({ stand: { kind: 'at', zMm: 225 } })] } }))).toEqual([
      'piece.above',
      'piece.air',
    ]);
    const twice = [
      piece({ stand: { kind: 'floor' } }),
      piece({ id: 'S-2', at: [320, 180], stand: { kind: 'floor' } }),
    ];
    expect(ids(scape({ option: { pieces: twice } }))).toEqual(['piece.overlaps']);
    const overlapping = scape({ option: { pieces: twice } });
    expect(inEnglish(surveyFindings(resolved(overlapping), survey(overlapping))[0].says)).toMatch(
      /^S-2 shares [\d.]+ L with S-1\.$/,
    );
    // Of a heap those are named that it runs into most.
    const heap = scape({ option: { pieces: [1, 2, 3, 4, 5, 6].map((n) => piece({ id: `S-${n}`, at: [220 + 20 * n, 180], stand: { kind: 'floor' } })) } }); // prettier-ignore
    expect(surveyFindings(resolved(heap), survey(heap)).map((f) => inEnglish(f.says))).toContainEqual(
      expect.stringMatching(/^S-6 shares [\d.]+ L with S-5, S-4, S-3, S-2 and with one more piece\.$/),
    );
  });

  it('finds a label more than 5 % off, and plants that want CO2 where there is none', () => {
    const commission = scape();
    commission.vessel.labelL = 95;
    expect(ids(commission)).toEqual(['vessel.label']);
    commission.vessel.labelL = 90;
    expect(ids(commission)).toEqual([]);
    commission.brief.co2 = false;
    commission.catalogue.plants[1].needsCo2 = true;
    commission.options[0].plants = [{ id: 'P-1', plant: 'fern', count: 3 }];
    expect(ids(commission)).toEqual(['plant.co2']);
  });
});

describe('findings in general', () => {
  it('say where, in thirds of the floor', () => {
    const commission = scape({ inner: [600, 300, 400] });
    expect(inEnglish(whereabouts(commission, [10, 10]))).toBe('front left');
    expect(inEnglish(whereabouts(commission, [300, 150]))).toBe('half-way back middle');
    expect(inEnglish(whereabouts(commission, [600, 300]))).toBe('back right');
  });

  it('come most severe first, otherwise as found', () => {
    const finding = (id: string, severity: Finding['severity']) => ({ id, severity }) as Finding;
    const list = [finding('a', 'note'), finding('b', 'warn'), finding('c', 'stop'), finding('d', 'warn')];
    expect(bySeverity(list).map((f) => f.id)).toEqual(['c', 'b', 'd', 'a']);
  });

  it('carry the measured value, the limit, a cause and a source, whatever they are', () => {
    const commission = scape({
      option: {
        bed: [soil({ kind: 'ramp', frontMm: 20, backMm: 250 })],
        pieces: [
          piece({ at: [300, 30], stand: { kind: 'at', zMm: 250 } }),
          piece({ id: 'R-1', material: 'branch', at: [200, 200] }),
        ],
        plants: [
          {
            id: 'P-1',
            plant: 'grass',
            region: [
              [0, 0],
              [200, 0],
              [200, 100],
              [0, 100],
            ],
            spacingMm: 25,
          },
        ],
      },
    });
    const found = spoken(surveyFindings(resolved(commission), survey(commission)));
    expect(new Set(found.map((f) => f.id)).size).toBeGreaterThanOrEqual(5);
    for (const f of found) {
      expect(Number.isFinite(f.measured) && Number.isFinite(f.limit)).toBe(true);
      for (const words of [f.unit, f.says, f.because, f.source]) expect(words.length).toBeGreaterThan(0);
      expect(f.says).toMatch(/\.$/);
      expect(`${f.says} ${f.because}`).not.toMatch(/\bsafe\b|undefined|NaN/);
    }
  });
});

describe('a width that is kept free', () => {
  const at = (x: number) => scape({ option: { bed: [soil({ kind: 'level', mm: 50 })], pieces: [piece({ id: 'S-1', at: [x, 180], shape: { kind: 'box', sizeMm: [100, 80, 90] } })], free: [{ id: 'free', from: [200, 180], to: [320, 180] }] } }); // prettier-ignore
  const found = (x: number) =>
    plan(at(x), { planted: 'later' }).findings.filter((f) => f.id === 'piece.free');

  it('is held by every later move: what comes into it is said by how much, what stands at its edge is not', () => {
    // A box 100 mm wide at 350 reaches from 300: 20 of the 120 mm.
    expect(found(350)).toMatchObject([
      { severity: 'warn', measured: 100, limit: 120, at: { pieces: ['S-1'] } },
    ]);
    expect(inEnglish(found(350)[0].says)).toBe(
      'S-1 stands in a width of 120 mm that is kept free, by 20 mm.',
    );
    expect(found(370)).toEqual([]);
    expect(found(480)).toEqual([]);
  });
});
