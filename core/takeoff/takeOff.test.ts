import { describe, expect, it } from 'vitest';
import { spoken } from '../words/english';
import type { Layer, Option } from '../commission/schema';
import { survey } from '../survey/survey';
import { example, scape } from '../testing/scape';
import { plugsFor } from '../planting/plugs';
import { SCHOOLS } from '../regime/waterSchools';
import { takeOff } from './takeOff';
import { resolved } from '../testing/resolved';

const linesOf = (commission: ReturnType<typeof scape>) =>
  Object.fromEntries(spoken(takeOff(resolved(commission), survey(commission)).lines).map((l) => [l.id, l]));

describe('take-off', () => {
  it('reads the level cube: 3.6 L, two bags of 3 L', () => {
    const { 'soil-granules': soil } = linesOf(example('level-cube'));
    expect(soil).toMatchObject({
      packs: [{ pack: 'soil-3', count: 2 }],
      priceMinor: 2800,
      needed: { unit: 'L' },
    });
    expect(soil.needed.value).toBeCloseTo(3.6, 9);
    expect(soil.workings[0]).toMatchObject({ step: 'under the drawn surface', unit: 'L' });
  });

  it('reads the held root: soil less the buried stone, settled, and 111 plugs in 14 cups', () => {
    const lines = linesOf(example('held-root'));
    const soil = lines['soil-granules'];
    expect(soil.needed.value).toBeCloseTo(soil.measured.value / 0.93, 9);
    expect(soil.packs).toEqual([{ pack: 'soil-9', count: 2 }]);
    expect(lines['carpet-grass']).toMatchObject({
      needed: { value: 111, unit: 'plug' },
      packs: [{ pack: 'cup', count: 14 }],
      priceMinor: 9100,
    });
    expect(lines.branch).toMatchObject({ packs: [{ pack: 'branch-m', count: 1 }] });
  });

  it('carries workings that add up to the measured figure', () => {
    const { 'soil-granules': soil } = linesOf(example('held-root'));
    const [under, less, left, settles, pour] = soil.workings.map((w) => w.value);
    expect(under + less).toBeCloseTo(left, 9);
    expect(left + settles).toBeCloseTo(pour, 9);
    expect(soil.workings.at(-1)).toMatchObject({ step: '2 × 9 L', value: 18 });
  });

  it('buys a stone that is heavier than one lifts at best as that very one, and a choice of the others', () => {
    const stone = (id: string, at: number, sizeMm: [number, number, number]) =>
      ({ id, material: 'slate', shape: { kind: 'box', sizeMm }, at: [at, 180], turnDeg: 0, stand: { kind: 'floor' }, owned: false }) as Option['pieces'][number]; // prettier-ignore
    const { slate } = linesOf(
      scape({ option: { pieces: [stone('a', 150, [100, 100, 100]), stone('b', 400, [200, 200, 250])] } }),
    );
    // 10 L of slate at 2.75 kg/L are 27.5 kg: more than the 23 kg that one lifts at best. 1 L is 2.75 kg, half as much again 4.125.
    expect(slate.needed.value).toBeCloseTo(27.5 + 2.75 * 1.5, 6);
    expect(slate.workings.map((w) => w.step)).toContain('bought as they are');
  });

  it('sells sand by mass, buys stone with a choice, and leaves own pieces out', () => {
    const path: Layer = { id: 'p', material: 'sand', top: { kind: 'level', mm: 20 } };
    const stone = (id: string, owned: boolean) =>
      ({
        id,
        material: 'slate',
        shape: { kind: 'box', sizeMm: [100, 100, 100] },
        at: [150, 180],
        turnDeg: 0,
        stand: { kind: 'floor' },
        owned,
      }) as Option['pieces'][number];
    const lines = linesOf(
      scape({
        option: { bed: [path], pieces: [stone('a', true), { ...stone('b', false), at: [400, 180] }] },
      }),
    );
    // 600 × 360 × 20 mm less two blocks of 100 × 100 × 20 mm, at 1.55 kg/L: 6.08 kg, two bags of 5 kg.
    expect(lines.sand.needed.value).toBeCloseTo(4.32 - 0.4, 6);
    expect(lines.sand.packs).toEqual([{ pack: 'sand-5', count: 2 }]);
    expect(lines.slate.measured.value).toBeCloseTo(5.5, 6);
    expect(lines.slate.needed.value).toBeCloseTo(2.75 * 1.5, 6);
    expect(lines.slate.packs).toEqual([{ pack: 'slate-kg', count: 5 }]);
    expect(lines.pad.needed).toEqual({ value: 2, unit: 'piece' });
  });

  it('brings the consumables that follow, priced where the catalogue has them', () => {
    const commission = scape({
      option: { bed: [{ id: 'f', material: 'scoria', top: { kind: 'level', mm: 30 } }] },
    });
    commission.catalogue.materials.push({
      id: 'drops',
      kind: 'conditioner',
      name: 'Conditioner',
      dosePer100L: 30,
      packs: [{ id: 'drops-250', size: 250, unit: 'mL', priceMinor: 900, supplier: 'yard', leadDays: 2 }],
    });
    const s = survey(commission);
    const lines = linesOf(commission);
    expect(lines['mesh-bag'].needed.value).toBe(Math.ceil((600 * 360 * 30) / 1e6 / 2.5));
    expect(lines['mesh-bag']).toMatchObject({ priced: false, packs: [] });
    // The fill, and 19 changes of half: seven daily, three every second day, two every third, four twice a week, three weekly.
    const [fillL, changesL] = [
      s.freeWaterL + s.poreWaterL,
      SCHOOLS.taper.changes().length * 0.5 * s.freeWaterL,
    ];
    expect(lines.drops.needed.value).toBeCloseTo(((fillL + changesL) * 30) / 100, 9);
    expect(lines.drops.packs).toEqual([
      { pack: 'drops-250', count: Math.ceil(lines.drops.needed.value / 250) },
    ]);
    expect(lines.glue).toBeUndefined();
  });

  it('counts whole plugs: 0.03 m² at 25 mm take 48, a shade more 49', () => {
    expect(plugsFor(30_000, 25)).toBe(48);
    expect(plugsFor(30_001, 25)).toBe(49);
    expect(plugsFor(0, 25)).toBe(0);
  });

  it('plants what is counted, with the spare that the option asks for', () => {
    const commission = scape({
      option: { plants: [{ id: 'P', plant: 'grass', count: 20 }], allowances: { plantSpare: 0.1 } },
    });
    expect(linesOf(commission).grass).toMatchObject({
      needed: { value: 22, unit: 'plug' },
      packs: [{ pack: 'cup', count: 3 }],
    });
  });

  it('opens no pack for plugs of one’s own, fewer where they are split finer or halved, and as many as were settled', () => {
    const of = (part: Partial<Option['plants'][number]>, habit: 'grass' | 'stem' = 'grass') => {
      const commission = scape({ option: { plants: [{ id: 'P', plant: 'grass', count: 100, ...part }] } });
      commission.catalogue.plants[0].habit = habit;
      return linesOf(commission).grass;
    };
    const packs = (...from: Parameters<typeof of>) => of(...from).packs[0]?.count;
    // Cups of 8: 100 plugs take 13, of which 40 are there already: 60 take 8.
    expect(packs({})).toBe(13);
    expect(packs({ ownPlugs: 40 })).toBe(8);
    expect(of({ ownPlugs: 40 })).toMatchObject({ needed: { value: 60, unit: 'plug' } });
    expect(of({ ownPlugs: 40 }).workings.map((w) => w.step)).toContain('less plugs of one’s own');
    // Split finely a cup gives 12; stems halved twice as many; five cups are five, whatever it takes.
    expect(packs({ splits: 'fine' })).toBe(9);
    expect(packs({ halved: true }, 'stem')).toBe(7);
    expect(packs({ packs: 5 })).toBe(5);
    expect(packs({ ownPlugs: 200 })).toBeUndefined();
  });
});
