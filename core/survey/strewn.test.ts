import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import type { Commission, Strewn } from '../commission/schema';
import { plan } from '../pipeline/plan';
import { scape } from '../testing/scape';
import { inEnglish } from '../words/english';
import { strewnAmount } from './strewn';
import { survey } from './survey';

const stone = { id: 'g', kind: 'stone', name: 'Granite', densityKgPerL: 2.7 } as const;
const sand = { id: 's', kind: 'sand', name: 'Sand', bulkKgPerL: 1.5 } as const;

/** A scape with two stones in soil, and what is strewn in it. */
function withStrewn(...strewn: Omit<Strewn, 'id'>[]): Commission {
  const doc = structuredClone(scape()) as any;
  const [piece] = [{ material: 'granite', shape: { kind: 'ellipsoid', sizeMm: [100, 80, 100] }, turnDeg: 0, stand: { kind: 'bed', buryMm: 20 } }]; // prettier-ignore
  Object.assign(doc.options[0], {
    bed: [{ id: 'soil', material: 'soil', top: { kind: 'level', mm: 60 } }],
    pieces: [{ ...piece, id: 'S-1', at: [200, 150] }, { ...piece, id: 'S-2', at: [400, 200] }], // prettier-ignore
    strewn: strewn.map((s, i) => ({ id: `L-${i}`, ...s })),
  });
  return doc as Commission;
}

describe('what is strewn', () => {
  it('is the same amount by litres and by weight', () => {
    const byKg = strewnAmount({ id: 'a', massKg: 3 }, stone);
    // 3 kg of 2.7 kg/L are 1.11 L of stone; with 45 % of gaps they lie as 2.02 L.
    expect(byKg.solidL).toBeCloseTo(3 / 2.7, 9);
    expect(byKg.litres).toBeCloseTo(3 / 2.7 / 0.55, 9);
    expect(strewnAmount({ id: 'a', litres: 1 }, sand)).toEqual({
      id: 'a',
      litres: 1,
      massKg: 1.5,
      solidL: 0.6,
    });
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        fc.constantFrom(stone, sand),
        (litres, of) => {
          const said = strewnAmount({ id: 'a', litres }, of);
          const weighed = strewnAmount({ id: 'a', massKg: said.massKg }, of);
          expect(weighed.litres).toBeCloseTo(litres, 8);
          expect(weighed.solidL).toBeLessThan(weighed.litres);
        },
      ),
    );
  });

  it('takes the place of water, bears on the floor and is in no piece', () => {
    const [bare, strewn] = [survey(withStrewn()), survey(withStrewn({ material: 'granite', massKg: 3 }, { material: 'sand', litres: 0.5 }))]; // prettier-ignore
    expect(bare.freeWaterL - strewn.freeWaterL).toBeCloseTo(strewn.strewnL, 9);
    expect(strewn.bedL + strewn.piecesL + strewn.freeWaterL + strewn.airL + strewn.strewnL).toBeCloseTo(strewn.brimL, 6); // prettier-ignore
    const [kg, water] = [strewn.strewn.reduce((sum, s) => sum + s.massKg, 0), strewn.strewnL];
    expect(strewn.floorKg - bare.floorKg).toBeCloseTo(kg - water * 0.998, 1);
  });

  it('is bought as it was said, stone without more to choose from, and grain out of the same bags', () => {
    const lines = (doc: Commission) => new Map(plan(doc).takeOff.lines.map((l) => [l.id, l]));
    const bare = lines(withStrewn());
    const with1 = lines(withStrewn({ material: 'granite', massKg: 2 }, { material: 'granite', massKg: 1, origin: 'stock' }, { material: 'soil', litres: 0.5 })); // prettier-ignore
    expect(with1.get('granite')!.needed.value - bare.get('granite')!.needed.value).toBeCloseTo(2, 9);
    expect(with1.get('granite')!.measured.value - bare.get('granite')!.measured.value).toBeCloseTo(3, 9);
    expect(with1.get('soil')!.needed.value - bare.get('soil')!.needed.value).toBeCloseTo(0.5, 9);
    const alone = lines(withStrewn({ material: 'sand', litres: 1.2 })).get('sand')!;
    expect([alone.needed, alone.workings.map((w) => w.value)[0]]).toEqual([{ value: 1.2, unit: 'L' }, 1.2]);
  });

  it('is asked for and set aside where it is not bought', () => {
    const doc = withStrewn({ material: 'granite', massKg: 2, origin: 'client' }, { material: 'sand', litres: 1, origin: 'stock' }); // prettier-ignore
    const said = plan(doc).build.beforehand.map((b) => inEnglish(b.title));
    expect(said.filter((s) => /Granite|granite|Grey/i.test(s) || /sand/i.test(s))).toHaveLength(2);
    const line = plan(doc).takeOff.lines.find((l) => l.id === 'sand')!;
    expect([line.needed.value, line.origins]).toEqual([0, ['stock']]);
  });

  it('is strewn largest first between what stands and before plants, grain at last and before the water', () => {
    const doc = withStrewn(
      { material: 'granite', massKg: 0.5, sizeMm: [5, 20] },
      { material: 'granite', massKg: 1.5, sizeMm: [20, 60], around: ['S-1', 'S-2'] },
      { material: 'sand', litres: 0.25 },
    );
    const { tasks } = plan(doc).build;
    const at = (id: string) => tasks.find((t) => t.id === id)!;
    expect(inEnglish(at('rubble').title)).toBe('Loose stone by hand, 2 kg');
    expect(inEnglish(at('rubble').detail!)).toContain('1.5 kg of ');
    expect(inEnglish(at('rubble').detail!)).toMatch(/20 mm to 60 mm, round S-1, S-2; then .*5 mm to 20 mm/);
    // 2 × 3 min for two sizes and 2 kg at 2.5 min.
    expect(at('rubble').minutes).toBe(11);
    expect(at('rubble').startMin).toBeGreaterThanOrEqual(at('stones').endMin);
    expect(at('sprinkle').startMin).toBeGreaterThanOrEqual(at('rubble').endMin);
    expect(at('fill').startMin).toBeGreaterThanOrEqual(at('sprinkle').endMin);
  });

  it('goes to a sitting of its own, and what it lies against is there before', () => {
    const doc = withStrewn({ material: 'granite', massKg: 1, around: ['S-1'], sitting: 'dry' });
    doc.brief.sittings = [{ id: 'dry', kind: 'hardscape', day: '2027-01-11' }];
    const dry = plan(doc).build.earlier[0];
    expect(dry.tasks.map((t) => t.id)).toContain('rubble');
    doc.options[0].pieces[0].sitting = 'build';
    const found = plan(structuredClone(doc)).build.findings.filter((f) => f.id === 'sitting.needs');
    expect(found.map((f) => inEnglish(f.says)).join()).toMatch(/S-1/);
    const later = structuredClone(doc);
    later.brief.sittings = [{ id: 'dry', kind: 'detail', day: '2027-02-01' }];
    expect(plan(later).build.visits.find((v) => v.sitting?.id === 'dry')!.tasks.map((t) => t.id)).toContain('rubble-L-0'); // prettier-ignore
  });

  it.each([
    ['of wood', { material: 'branch', massKg: 1 }, 'options[0].strewn[0].material'],
    ['of something unknown', { material: 'gold', massKg: 1 }, 'options[0].strewn[0].material'],
    ['by no amount', { material: 'granite' }, 'options[0].strewn[0]'],
    ['by two amounts', { material: 'granite', massKg: 1, litres: 1 }, 'options[0].strewn[0]'],
    ['from large to small', { material: 'granite', massKg: 1, sizeMm: [40, 10] as [number, number] }, 'options[0].strewn[0].sizeMm'], // prettier-ignore
    ['round what does not stand', { material: 'granite', massKg: 1, around: ['S-9'] }, 'options[0].strewn[0].around[0]'], // prettier-ignore
    ['in a sitting that is none', { material: 'granite', massKg: 1, sitting: 'x' }, 'options[0].strewn[0].sitting'], // prettier-ignore
  ])('is refused %s, by its path', (_how, strewn, path) => {
    const parsed = parseCommission(withStrewn(strewn));
    expect(parsed.ok ? [] : parsed.faults.map((f) => f.path)).toEqual([path]);
  });
});
