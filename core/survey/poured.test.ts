import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parsed, scape, soil } from '../testing/scape';
import { layerParts, litresOf } from './poured';

const commission = (() => {
  const s = structuredClone(scape()) as any;
  s.catalogue.materials = s.catalogue.materials
    .filter((m: any) => !['grain', 'lava'].includes(m.id))
    .concat({ id: 'grain', name: 'Grain', kind: 'soil', settles: 0.07 }, { id: 'lava', name: 'Lava', kind: 'gravel' }); // prettier-ignore
  return parsed(s);
})();
const layer = (more: object) => ({ ...soil({ kind: 'level', mm: 50 }), material: 'grain', ...more }) as any;
const litres = (more: object, volumeL = 10) => {
  const parts = layerParts(commission, layer(more), volumeL);
  return [litresOf(parts, 'pouredL'), litresOf(parts, 'broughtL'), litresOf(parts, 'boughtL')];
};

describe('what is poured of a layer', () => {
  it('is more than it measures by what settles', () => {
    // 10 L / 0.93.
    expect(litres({})).toEqual([10.75, 10.75, 10.75].map((l) => expect.closeTo(l, 2)));
  });

  it('settles part by part: what does not settle of a mixture is poured as it measures', () => {
    const mix = [{ material: 'grain', share: 3 }, { material: 'lava', share: 1 }]; // prettier-ignore
    const parts = layerParts(commission, layer({ mix }), 10);
    // 7.5 L / 0.93 and 2.5 L.
    expect(parts.map((p) => p.pouredL)).toEqual([expect.closeTo(8.06, 2), 2.5]);
  });

  it('is topped up with what is bought, stays where it is there, and is bought by nobody where it is in stock', () => {
    expect(litres({ presentL: 4 }).map((l) => Math.round(l * 100) / 100)).toEqual([10.75, 6.75, 6.75]);
    expect(litres({ origin: 'here' }).slice(1)).toEqual([0, 0]);
    expect(litres({ origin: 'stock' }).map((l) => Math.round(l * 100) / 100)).toEqual([10.75, 10.75, 0]);
  });

  it('is never less than nothing, and bought is never more than brought, nor brought than poured', () => {
    const share = fc.integer({ min: 1, max: 9 });
    fc.assert(
      fc.property(share, share, fc.double({ min: 0, max: 80, noNaN: true }), fc.option(fc.integer({ min: 0, max: 100 }), { nil: undefined }), fc.constantFrom('bought', 'stock', 'client', 'here', undefined), (a, b, volumeL, presentL, origin) => {
        const mix = [{ material: 'grain', share: a }, { material: 'lava', share: b }];
        const parts = layerParts(commission, layer({ mix, presentL, origin }), volumeL);
        for (const p of parts) {
          expect(p.boughtL).toBeGreaterThanOrEqual(0);
          expect(p.boughtL).toBeLessThanOrEqual(p.broughtL);
          expect(p.broughtL).toBeLessThanOrEqual(p.pouredL * (1 + 1e-9));
        }
        expect(litresOf(parts, 'share')).toBeCloseTo(1, 9);
      }),
    ); // prettier-ignore
  });
});
