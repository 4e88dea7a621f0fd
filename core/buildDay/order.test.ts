import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GEAR_SCHOOLS, MOISTURE_SCHOOLS, SAND_SCHOOLS } from '../commission/briefSchema';
import { plan } from '../pipeline/plan';
import { job, ids, before, sand, stone, carpet, ALL, fish } from '../testing/job';
import { scape, soil } from '../testing/scape';
import { inEnglish } from '../words/english';

/* In which order, and how long: given and expected, a line each. */

describe('the order of work', () => {
  it('sand as the only layer, stones and rosettes on it: sand, stones, plants', () => {
    const p = job({ option: { bed: [sand(60)], pieces: [stone()], plants: [carpet] } });
    before(p, 'rinse', 'sand', 'stones', 'prepare-gel', 'plant-grass-0', 'fill');
    expect(p.build.tasks.find((t) => t.id === 'sand')!.title).toMatch(/^Sand, 1[23]\.\d L$/);
  });

  it('soil, sand cap, chips: soil, cap, plants, chips', () => {
    const chips = { ...sand(90), id: 'chips', material: 'chips', region: [[0, 0], [600, 0], [600, 60], [0, 60]] as [number, number][] }; // prettier-ignore
    const planted = {
      ...carpet,
      region: [
        [0, 80],
        [600, 80],
        [600, 360],
        [0, 360],
      ] as [number, number][],
    };
    const p = job({
      option: { bed: [soil({ kind: 'level', mm: 50 }), sand(75), chips], plants: [planted] },
      catalogue: (c) => c.materials.push({ id: 'chips', kind: 'gravel', name: 'Slate chips' }),
    });
    before(p, 'soil', 'sand', 'plant-grass-0', 'layer-chips', 'fill');
  });

  it('filler goes in after what it lies on, and before what lies on it', () => {
    const p = job({
      option: {
        bed: [
          { id: 'base', material: 'base', top: { kind: 'level', mm: 15 } },
          { id: 'bags', material: 'scoria', top: { kind: 'level', mm: 50 } },
          soil({ kind: 'level', mm: 90 }),
        ],
      },
      catalogue: (c) => c.materials.push({ id: 'base', kind: 'base', name: 'Base' }),
    });
    before(p, 'layer-base', 'filler', 'soil');
  });

  it('a bank of gravel is laid in two goes like one of soil, under its own name and rinsed', () => {
    const gravel = {
      id: 'bank',
      material: 'river',
      top: { kind: 'ramp' as const, frontMm: 20, backMm: 140 },
    };
    const p = job({
      option: { bed: [gravel], pieces: [stone()] },
      catalogue: (c) => c.materials.push({ id: 'river', kind: 'gravel', name: 'River gravel' }),
    });
    before(p, 'rinse', 'soil', 'stones', 'gaps');
    const titles = p.build.tasks.map((t) => t.title);
    expect(
      titles.filter((t) => /^River gravel, first \d+\.\d L$|^Last \d+\.\d L of River gravel$/.test(t)),
    ).toHaveLength(2);
    expect(p.build.tasks.filter((t) => ['soil', 'gaps'].includes(t.id)).map((t) => t.caution)).toEqual([undefined, undefined]); // prettier-ignore
    // Level gravel is poured whole.
    const level = job({
      option: { bed: [{ ...gravel, top: { kind: 'level', mm: 60 } }], pieces: [stone()] },
      catalogue: (c) => c.materials.push({ id: 'river', kind: 'gravel', name: 'River gravel' }),
    });
    expect(ids(level)).not.toContain('gaps');
  });

  it('base and powder go in under their own names, below and above the soil', () => {
    const p = job({
      option: {
        bed: [
          { id: 'base', material: 'base', top: { kind: 'level', mm: 15 } },
          soil({ kind: 'ramp', frontMm: 40, backMm: 80 }),
          { id: 'powder', material: 'powder', top: { kind: 'ramp', frontMm: 50, backMm: 90 } },
        ],
        pieces: [stone({ stand: { kind: 'bed', buryMm: 40 } })],
        plants: [carpet],
      },
      catalogue: (c) =>
        c.materials.push({ id: 'base', kind: 'base', name: 'Nutrient base' }, { id: 'powder', kind: 'soil', name: 'Powder soil' }), // prettier-ignore
    });
    before(p, 'layer-base', 'soil', 'stones', 'close', 'gaps', 'layer-powder', 'plant-grass-0');
    expect(p.build.tasks.find((t) => t.id === 'layer-base')!.title).toMatch(/^Nutrient base, 3\.2 L$/);
  });

  it('a dam of stones on the glass is closed before anything is poured behind it', () => {
    const onGlass = (id: string, x: number) => stone({ id, at: [x, 120], stand: { kind: 'floor' } });
    const bed = [
      { id: 'base', material: 'base', top: { kind: 'level' as const, mm: 15 } },
      soil({ kind: 'ramp', frontMm: 20, backMm: 120 }),
    ];
    const catalogue = (c: any) => c.materials.push({ id: 'base', kind: 'base', name: 'Nutrient base' });
    const p = job({ option: { bed, pieces: [onGlass('S-1', 200), onGlass('S-2', 330)] }, catalogue });
    before(p, 'floor-stones', 'dam', 'layer-base', 'soil');
    const dam = p.build.tasks.find((t) => t.id === 'dam')!;
    expect(dam).toMatchObject({ title: 'Close the dam: 2 stones on the glass', minutes: 4 });
    expect(ids(p)).not.toContain('close');
    // One alone holds nothing back, and level bed does not lean on anything.
    const level = [bed[0], soil({ kind: 'level', mm: 80 })];
    expect(ids(job({ option: { bed: level, pieces: [onGlass('S-1', 200), onGlass('S-2', 330)] }, catalogue }))).not.toContain('dam'); // prettier-ignore
    expect(ids(job({ option: { bed, pieces: [onGlass('S-1', 200)] }, catalogue }))).not.toContain('dam');
  });

  it('cosmetic sand is the school’s: last, before planting, or weeks later at half fill', () => {
    const path = sand(30, {
      cuts: true,
      region: [
        [0, 0],
        [600, 0],
        [600, 100],
        [0, 100],
      ],
    });
    const option = {
      bed: [soil({ kind: 'level', mm: 50 }), path],
      plants: [
        {
          ...carpet,
          region: [
            [0, 120],
            [600, 120],
            [600, 360],
            [0, 360],
          ] as [number, number][],
        },
      ],
    };
    const by = (sand?: string) => job({ option, brief: { schools: { sand } } });
    before(by(), 'soil', 'plant-grass-0', 'sand', 'fill');
    before(by('before'), 'soil', 'sand', 'fill');
    const planting = by('before').build.tasks;
    expect(planting.findIndex((t) => t.id === 'sand')).toBeLessThan(planting.findIndex((t) => t.id === 'plant-grass-0')); // prettier-ignore
    const later = by('later');
    expect(ids(later)).not.toContain('sand');
    const events = later.care.weeks.flatMap((w) => w.days).filter((d) => d.events.some((e) => /lay 1\.8 L of Sand/.test(`${e}`))); // prettier-ignore
    expect(events.map((d) => d.afterDays)).toEqual([21]);
    expect(`${events[0].events}`).toMatch(/drain \d+ L, to 185 mm/);
  });

  it('planting wet takes the litres of the pores and hollows first, and only the rest afterwards', () => {
    const option = { bed: [soil({ kind: 'level', mm: 50 })], plants: [carpet] };
    const p = job({ option, brief: { schools: { moisture: 'wet' } } });
    before(p, 'soil', 'wet-bed', 'plant-grass-0', 'fill');
    // 600 × 360 × 50 at two fifths pores.
    expect(p.build.tasks.find((t) => t.id === 'wet-bed')!.title).toMatch(/4\.3 L$/);
    expect(p.build.tasks.find((t) => t.id === 'fill')!.title).toMatch(/ 69 L$/);
    before(job({ option, brief: { schools: { moisture: 'flooded' } } }), 'fill', 'plant-grass-0', 'refloat');
  });

  it('floating plants go in after the fill', () => {
    const p = job({
      option: { bed: [sand(40)], plants: [{ id: 'P', plant: 'float', count: 10 }] },
      catalogue: (c) => c.plants.push({ id: 'float', name: 'Phyllanthus fluitans', roots: 'float', habit: 'float' }), // prettier-ignore
    });
    before(p, 'fill', 'floaters');
  });

  it('a small cube is an evening’s work, not a day’s', () => {
    const s = scape({ inner: [270, 270, 270], option: { bed: [soil({ kind: 'level', mm: 60 })], pieces: [stone({ at: [130, 130], shape: { kind: 'ellipsoid', sizeMm: [90, 70, 80] } })], plants: [{ id: 'P', plant: 'grass', count: 40 }] } }); // prettier-ignore
    const { doneMin } = plan(s).build;
    expect(doneMin).toBeGreaterThan(60);
    expect(doneMin).toBeLessThan(180);
  });

  it('an engineer is asked from 2 kN on; what is below is furniture, and still stands in one place', () => {
    const caution = (innerMm: object) => job({ vessel: { innerMm, waterLineMm: 250 } }).build.tasks.find((t) => t.id === 'protect')!.caution; // prettier-ignore
    expect(caution({ length: 270, width: 270, height: 270 })).toMatch(/never on one that bends/);
    expect(caution({ length: 2_000, width: 600, height: 600 })).toMatch(/structural engineer/);
  });

  it('as many kinds are set at once as there are hands: with two, what floats waits for the carpet and not for the fern', () => {
    const floater = { id: 'floater', name: 'Salvinia natans', roots: 'float', habit: 'float' };
    const needs = (crew: number, id: string) => {
      const p = job({
        brief: { crew },
        option: {
          bed: [soil({ kind: 'level', mm: 50 })],
          pieces: [stone()],
          plants: [carpet, { id: 'P-2', plant: 'fern', count: 1, on: 'S-1' }, { id: 'P-3', plant: 'floater', count: 2 }],
        },
        catalogue: (c) => c.plants.push(floater),
      }); // prettier-ignore
      const own = p.build.tasks.find((t) => t.id === id)!.needs;
      // Of a carpet that two share, one half stands for both.
      return Object.keys(own).filter((need) => /^plant-.*-0$|^epiphytes$/.test(need));
    };
    expect([1, 2, 3].map((crew) => needs(crew, 'epiphytes'))).toEqual([['plant-grass-0'], [], []]);
    expect([1, 2, 3].map((crew) => needs(crew, 'floaters'))).toEqual([
      ['plant-grass-0', 'epiphytes'],
      ['plant-grass-0'],
      [],
    ]);
  });
  it('pipes and heater go in where the school has them: alone before the plants, so that nothing dries meanwhile', () => {
    const day = (crew: number, gear?: 'before' | 'after') => {
      const p = job({
        brief: { crew, ...(gear ? { schools: { gear } } : {}) },
        option: { bed: [soil({ kind: 'level', mm: 60 })], plants: [carpet] },
      });
      const at = (id: string) => p.build.tasks.find((t) => t.id === id)!;
      const prepared = p.build.tasks.find((t) => t.id.startsWith('prepare-'))!;
      return { gear: at('equipment'), planted: at('plant-grass-0'), prepared, fill: at('fill') };
    };
    const alone = day(1);
    expect(alone.prepared.startMin).toBeGreaterThanOrEqual(alone.gear.endMin);
    const two = day(2);
    expect(two.gear.startMin).toBe(two.prepared.startMin);
    for (const crew of [1, 2, 3]) {
      const [before, after] = [day(crew, 'before'), day(crew, 'after')];
      expect(before.prepared.startMin).toBeGreaterThanOrEqual(before.gear.endMin);
      expect(after.gear.startMin).toBeGreaterThanOrEqual(after.planted.endMin);
      for (const { gear, fill } of [before, after]) expect(fill.startMin).toBeGreaterThanOrEqual(gear.endMin);
    }
    expect(inEnglish(day(1, 'after').gear.needs['plant-grass-0'])).toBe('Your school puts pipes and heater in after the plants.'); // prettier-ignore
  });

  it('has a reason for every need, and no school makes a ring of it', () => {
    const school = fc.record({
      moisture: fc.constantFrom(...MOISTURE_SCHOOLS),
      sand: fc.constantFrom(...SAND_SCHOOLS),
      gear: fc.constantFrom(...GEAR_SCHOOLS),
      trial: fc.boolean(),
    });
    fc.assert(
      fc.property(school, fc.integer({ min: 1, max: 3 }), (schools, crew) => {
        const path = sand(10, { region: [[0, 0], [600, 0], [600, 80], [0, 80]] }); // prettier-ignore
        const p = job({ brief: { schools, crew }, option: { bed: [soil({ kind: 'ramp', frontMm: 40, backMm: 90 }), path], pieces: [stone()], plants: [carpet] } }); // prettier-ignore
        for (const t of p.build.tasks) {
          for (const why of Object.values(t.needs)) expect(inEnglish(why)).toMatch(/^[A-Z].*\.$/);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('a task never precedes what it rests on, whatever is drawn', () => {
    const layer = fc.record({
      material: fc.constantFrom('soil', 'sand', 'scoria'),
      mm: fc.integer({ min: 20, max: 120 }),
      origin: fc.constantFrom(undefined, 'here', 'client', 'bought'),
    });
    const world = fc.record({
      layers: fc.array(layer, { maxLength: 4 }),
      bury: fc.integer({ min: 0, max: 60 }),
      planted: fc.boolean(),
      moisture: fc.constantFrom('dry', 'wet', 'flooded', undefined),
      stays: fc.option(fc.subarray(ALL), { nil: undefined }),
    });
    fc.assert(
      fc.property(world, ({ layers, bury, planted, moisture, stays }) => {
        const p = job({
          brief: { schools: JSON.parse(JSON.stringify({ moisture })), ...(stays ? { rescape: { stays, filterKept: true } } : {}), livestock: [fish] }, // prettier-ignore
          option: {
            bed: layers.map(({ material, mm, origin }, i) => JSON.parse(JSON.stringify({ id: `l${i}`, material, top: { kind: 'level', mm: mm + i * 10 }, origin }))), // prettier-ignore
            pieces: [stone({ stand: { kind: 'bed', buryMm: bury }, origin: 'bought' })],
            plants: planted ? [{ ...carpet, origin: 'bought' as const }] : [],
          },
        });
        const of = new Map(p.build.tasks.map((t) => [t.id, t]));
        for (const t of p.build.tasks)
          for (const need of Object.keys(t.needs))
            expect(t.startMin).toBeGreaterThanOrEqual(of.get(need)!.endMin);
        // Nothing is poured under a stone that stands already, unless it rests on something else.
        const rests = p.survey.pieces[0].restsIn;
        const under = p.build.tasks.filter((t) => rests && t.id === `layer-${rests}`);
        for (const t of under) expect(of.get('stones')!.startMin).toBeGreaterThanOrEqual(t.endMin);
        const filled = of.get('fill');
        const plants = [...of.values()].filter((t) => t.id.startsWith('plant-'));
        if (filled && moisture !== 'flooded' && !stays)
          for (const t of plants) expect(filled.startMin).toBeGreaterThanOrEqual(t.endMin);
      }),
      { numRuns: 20 },
    );
  });
});
