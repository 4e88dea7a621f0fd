import { describe, expect, it } from 'vitest';
import type { Material } from '../commission/schema';
import { othersFor, withOtherMaterial } from '../edits/otherMaterial';
import { example } from '../testing/scape';
import { plan } from './plan';
import { swapsFor } from './swaps';

const base = example('held-root');
const ASK = { today: '2026-01-05', cellMm: 20, planted: 'later' as const };
const option = base.options.find((o) => o.id === base.chosen)!;
const kindOf = (id: string) => base.catalogue.materials.find((m) => m.id === id)!;
const stone = kindOf(option.pieces.find((p) => kindOf(p.material).kind === 'stone')!.material);
const pumice: Material = { id: 'pumice', name: 'Pumice', kind: 'stone', densityKgPerL: 1.1 };
const basalt: Material = { id: 'basalt', name: 'Basalt', kind: 'stone', densityKgPerL: 3 };

describe('another material in the place of one', () => {
  it('is of the same kind, the nearest in weight first', () => {
    const all = [pumice, basalt, stone, { ...pumice, id: 'twig', kind: 'wood' as const }];
    const near = othersFor(stone, all).map((m) => m.id);
    expect(near).toEqual(
      Math.abs(3 - stone.densityKgPerL!) < Math.abs(1.1 - stone.densityKgPerL!) ? ['basalt', 'pumice'] : ['pumice', 'basalt'], // prettier-ignore
    );
    expect(othersFor({ ...stone, kind: 'glue' }, all)).toEqual([]);
  });

  it('says what a lighter stone and a coarser sand change', () => {
    const [swap] = swapsFor(base, stone.id, [pumice], base.catalogue.suppliers, ASK);
    const after = plan(withOtherMaterial(base, option.id, stone.id, pumice, []), ASK);
    const before = plan(base, ASK);
    expect(swap.floorKg).toEqual({ was: before.survey.floorKg, is: after.survey.floorKg });
    expect(swap.costMinor.is).toBe(after.order.totalMinor);
    // A litre of it weighs less: what is not weighed gets lighter by its density.
    const loose = option.pieces.filter(
      (p) => p.material === stone.id && p.massKg === undefined && !p.owned && !p.yard,
    );
    const kg = (p: typeof before, id: string) => p.survey.pieces.find((x) => x.id === id)!.massKg;
    for (const { id } of loose)
      expect(kg(after, id) / kg(before, id)).toBeCloseTo(1.1 / stone.densityKgPerL!, 6);
    expect(swap.line?.needed.unit).toBe('kg');
  });

  it('leaves what stands there, what is of the yard and what comes out of another scape', () => {
    const doc = { ...base, options: base.options.map((o) => ({ ...o, bed: o.bed.map((l, i) => (i === 0 ? { ...l, from: 'x' } : l)) })) }; // prettier-ignore
    const [layer] = option.bed;
    const other: Material = { ...kindOf(layer.material), id: 'other', name: 'Other' };
    const bed = (d: typeof base) => d.options.find((o) => o.id === option.id)!.bed[0].material;
    expect(bed(withOtherMaterial(base, option.id, layer.material, other, []))).toBe('other');
    expect(bed(withOtherMaterial(doc, option.id, layer.material, other, []))).toBe(layer.material);
    // Back again is what it was, but for the entry that it now knows.
    const there = withOtherMaterial(base, option.id, layer.material, other, []);
    expect(withOtherMaterial(there, option.id, 'other', kindOf(layer.material), []).options).toEqual(
      base.options,
    );
  });
});
