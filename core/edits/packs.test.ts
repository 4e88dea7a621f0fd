import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { idOfName } from './ids';
import { packOfMaterial, withEntries, withPacks } from './packs';

describe('packs of a material', () => {
  it('brings who sells it, once, and its line has a price', () => {
    const doc = example('level-cube');
    const [layer] = doc.options[0].bed;
    const bare = { ...doc, catalogue: { ...doc.catalogue, suppliers: [], plants: [], materials: doc.catalogue.materials.map((m) => ({ ...m, packs: [] })) }, options: doc.options.map((o) => ({ ...o, plants: [] })) }; // prettier-ignore
    const line = (d: typeof doc) => plan(d, { today: '2026-11-01' }).takeOff.lines.find((l) => l.id === layer.material)!; // prettier-ignore
    expect(line(bare).priced).toBe(false);
    const sellers = [{ id: 'yard', name: 'Marl & Timber Yard' }, { id: 'other', name: 'Other' }]; // prettier-ignore
    const pack = { id: 'bag', size: 9, unit: 'L' as const, priceMinor: 3_200, supplier: 'yard', leadDays: 4 };
    const priced = withPacks(bare, layer.material, [pack], sellers);
    expect(priced.catalogue.suppliers.map((s) => s.id)).toEqual(['yard']);
    expect(parseCommission(priced).ok).toBe(true);
    // 9 L a bag: as many bags as hold what is needed.
    const { needed, priceMinor } = line(priced);
    expect(priceMinor).toBe(3_200 * Math.ceil(needed.value / 9));
    expect(withPacks(priced, layer.material, [pack], sellers).catalogue.suppliers).toHaveLength(1);
  });

  it('come with what is laid or planted, and without whoever is known no more', () => {
    const doc = example('level-cube');
    const sold = (supplier: string) => ({ id: supplier, size: 1, unit: 'kg' as const, priceMinor: 400, supplier, leadDays: 4 }); // prettier-ignore
    const slate = { id: 'slate', kind: 'stone' as const, name: 'Slate', packs: [sold('yard'), sold('gone')] };
    const fern = { id: 'fern', roots: 'epiphyte' as const, name: 'Fern', packs: [sold('yard')] };
    const sellers = [{ id: 'yard', name: 'Marl & Timber Yard' }];
    const both = withEntries(doc, { materials: [slate, slate], plants: [fern] }, sellers);
    expect(parseCommission(both).ok).toBe(true);
    expect(both.catalogue.materials.at(-1)!.packs!.map((p) => p.supplier)).toEqual(['yard']);
    expect(both.catalogue.suppliers.filter((s) => s.id === 'yard')).toHaveLength(1);
    // What the document has already it keeps, and then it is the same document.
    expect(withEntries(both, { materials: [{ ...slate, name: 'Another' }] }, sellers)).toBe(both);
  });

  it('have ids of their own', () => {
    const first = packOfMaterial(
      { id: 'slate', kind: 'stone' },
      { size: 1, priceMinor: 400, supplier: 'yard' },
    );
    expect(first).toEqual({ id: 'slate-pack', unit: 'kg', leadDays: 4, size: 1, priceMinor: 400, supplier: 'yard' }); // prettier-ignore
    const next = packOfMaterial({ id: 'slate', kind: 'stone', packs: [first] }, { size: 25, priceMinor: 8_000, supplier: 'yard' }); // prettier-ignore
    expect(next.id).toBe('slate-pack-2');
  });
});

it('an entry is kept under its name', () => {
  expect(idOfName('Lava, red — 8–16 mm')).toBe('lava-red-8-16-mm');
  expect([idOfName('Ångström'), idOfName('石'), idOfName(' -- ', 'animal')]).toEqual(['angstrom', 'entry', 'animal']); // prettier-ignore
});
