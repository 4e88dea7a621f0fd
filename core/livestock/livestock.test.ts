import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spoken } from '../words/english';
import { livestockFindings, overlap, sharedRange, type Home, type Kept, type Water } from './checks';
import { SPECIES, speciesById } from './species';

const keep = (name: string, count = 12): Kept => {
  const species = speciesById(name.toLowerCase().replace(' ', '-'));
  if (!species) throw new Error(`${name} is not in the catalogue`);
  return { species, count };
};
const HOME: Home = { lengthMm: 900, freeWaterL: 160, lid: true, rooted: true, softPlants: true };
const found = (kept: Kept[], water: Water = {}, home: Partial<Home> = {}) =>
  spoken(livestockFindings(kept, water, { ...HOME, ...home }));
const ids = (...args: Parameters<typeof found>) => found(...args).map((f) => f.id);

describe('the catalogue', () => {
  it('has about sixty animals, each with its own id and ranges the right way round', () => {
    expect(SPECIES.length).toBeGreaterThanOrEqual(60);
    expect(new Set(SPECIES.map((s) => s.id)).size).toBe(SPECIES.length);
    for (const s of SPECIES) {
      for (const [low, high] of [s.tempC, s.ph, s.gh, s.kh]) expect(low).toBeLessThan(high);
      expect(s.leastMm).toBeGreaterThan(s.adultMm);
    }
    expect(speciesById('unheard-of')).toBeUndefined();
  });
});

describe('animals against the water', () => {
  it('names both values', () => {
    const [f] = found([keep('Betta splendens', 1)], { celsius: 23 });
    expect(f).toMatchObject({ id: 'livestock.temperature', measured: 23, limit: 25, unit: '°C' });
    expect(f.says).toBe('23 °C for the tank, 25 to 29 °C for Betta splendens.');
  });

  it('judges hardness and pH where they are known, and nothing where not', () => {
    const soft = [keep('Paracheirodon axelrodi')];
    expect(ids(soft, { gh: 14, kh: 11, ph: 7.6 })).toEqual(['livestock.gh', 'livestock.kh', 'livestock.ph']);
    expect(ids(soft)).toEqual([]);
  });

  it('keeps soft-water fish from carbonate stone, with its name', () => {
    const [f] = found([keep('Paracheirodon axelrodi')], { carbonateStone: 'Limestone, grey' });
    expect(f.id).toBe('livestock.stone');
    expect(f.says).toMatch(/Limestone, grey hardens the water to KH 6 °d and more; .* wants 4 °d at most/);
    expect(ids([keep('Poecilia reticulata')], { carbonateStone: 'Limestone, grey' })).toEqual([]);
    // It never promises less than the tap has.
    const hard = found([keep('Paracheirodon axelrodi')], { carbonateStone: 'Limestone, grey', kh: 11 });
    expect(hard.find((x) => x.id === 'livestock.stone')!.says).toMatch(/to KH 11 °d and more/);
  });
});

describe('animals against the tank', () => {
  it('asks for length, company and a lid', () => {
    expect(ids([keep('Carnegiella strigata', 3)], {}, { lengthMm: 600, lid: false })).toEqual([
      'livestock.room',
      'livestock.group',
      'livestock.jumps',
    ]);
  });

  it('takes lengths as they are sold: 598 inside is a tank of 600', () => {
    const at = (lengthMm: number) => ids([keep('Paracheirodon axelrodi')], {}, { lengthMm, lid: true });
    expect([at(598).includes('livestock.room'), at(580).includes('livestock.room')]).toEqual([false, true]);
  });

  it('says who digs and who eats plants, only where there are any', () => {
    expect(ids([keep('Corydoras sterbai', 8)])).toContain('livestock.digs');
    expect(ids([keep('Corydoras sterbai', 8)], {}, { rooted: false })).not.toContain('livestock.digs');
    expect(ids([keep('Ancistrus dolichopterus', 1)])).toContain('livestock.plants');
  });

  it('counts a centimetre of grown fish for a litre', () => {
    // 40 fish of 45 mm are 180 cm in 160 L.
    const crowd = found([keep('Paracheirodon axelrodi', 40)]).find((f) => f.id === 'livestock.crowd')!;
    expect(crowd).toMatchObject({ measured: 180, limit: 160, unit: 'cm' });
    expect(ids([keep('Paracheirodon axelrodi', 35)])).not.toContain('livestock.crowd');
  });
});

describe('animals against each other', () => {
  it('finds the one temperature at which two kinds meet', () => {
    const f = found([keep('Mikrogeophagus ramirezi', 2), keep('Pterophyllum scalare', 5), keep('Nematobrycon palmeri', 6)], {}, { lengthMm: 1500, freeWaterL: 400 }).filter((x) => x.id === 'livestock.narrow'); // prettier-ignore
    expect(f.map((x) => x.says)).toEqual([
      '26 to 30 °C for Mikrogeophagus ramirezi, 22 to 26 °C for Nematobrycon palmeri: 26 °C is the only overlap.',
      '25 to 29 °C for Pterophyllum scalare, 22 to 26 °C for Nematobrycon palmeri: 25 to 26 °C are the only overlap.',
    ]);
  });

  it('says when they do not meet at all', () => {
    const f = found([keep('Tanichthys albonubes'), keep('Symphysodon aequifasciatus', 5)], {}, { lengthMm: 1500, freeWaterL: 400 }).find((x) => x.unit === '°C')!; // prettier-ignore
    expect(f).toMatchObject({ id: 'livestock.apart', measured: 28, limit: 22 });
    expect(f.says).toMatch(/^28 °C for Symphysodon .*, 22 °C for Tanichthys .*: they do not meet/);
  });

  it('keeps shrimps and small fish from those that eat them, whichever comes first in the list', () => {
    const eaten = (kept: Kept[]) => found(kept, {}, { lengthMm: 1500, freeWaterL: 900 }).filter((f) => f.id === 'livestock.eaten').map((f) => f.says); // prettier-ignore
    const a = eaten([keep('Neocaridina davidi'), keep('Pterophyllum scalare', 5)]);
    expect(a).toEqual(['Pterophyllum scalare (150 mm) eats Neocaridina davidi (28 mm).']);
    expect(eaten([keep('Pterophyllum scalare', 5), keep('Paracheirodon innesi')])).toHaveLength(1);
    expect(eaten([keep('Otocinclus affinis'), keep('Neocaridina davidi')])).toEqual([]);
  });

  it('shares a range by halves, or has none', () => {
    expect(overlap([20, 25], [23, 28])).toEqual([23, 25]);
    expect(overlap([16, 22], [28, 31])).toBeUndefined();
    const anyTwo = fc.tuple(fc.constantFrom(...SPECIES), fc.constantFrom(...SPECIES));
    fc.assert(
      fc.property(anyTwo, ([a, b]) => {
        const both = sharedRange(
          [a, b].map((species) => ({ species, count: 1 })),
          'tempC',
        );
        expect(both).toEqual(overlap(b.tempC, a.tempC));
      }),
    );
  });
});
