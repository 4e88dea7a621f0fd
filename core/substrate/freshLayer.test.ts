import { describe, expect, it } from 'vitest';
import type { Layer, Material } from '../commission/schema';
import { surveyLayers } from '../survey/layers';
import { scape } from '../testing/scape';
import { bedField, layerTopsAt } from './bedField';
import { withLayer } from './freshLayer';

const layer = (id: string, rest: Partial<Layer> = {}): Layer => ({ id, material: id, top: { kind: 'ramp', frontMm: 30, backMm: 90 }, ...rest }); // prettier-ignore
const kindOf = (l: Layer) => l.id.replace(/-\d/, '') as Material['kind'];
const add = (bed: Layer[], kind: Material['kind']) => withLayer(bed, { id: kind, kind }, `${kind}-2`, kindOf);

describe('a layer that is added', () => {
  it('goes where its kind belongs: filler and base under the soil, sand and gravel over it', () => {
    const bed = [layer('soil'), layer('sand')];
    const order = (kind: Material['kind']) => add(bed, kind).map((l) => l.id);
    expect(order('filler')).toEqual(['filler-2', 'soil', 'sand']);
    expect(order('base')).toEqual(['base-2', 'soil', 'sand']);
    expect(order('soil')).toEqual(['soil', 'soil-2', 'sand']);
    expect(order('gravel')).toEqual(['soil', 'sand', 'gravel-2']);
    expect(add([], 'sand')).toEqual([{ id: 'sand-2', material: 'sand', top: { kind: 'level', mm: 25 } }]);
  });

  it('is a level band on the glass, and follows what it lies on', () => {
    expect(add([layer('soil')], 'base')[0]).toEqual({
      id: 'base-2',
      material: 'base',
      top: { kind: 'level', mm: 15 },
    });
    const hill = { at: [100, 100] as [number, number], radiusMm: 80, heightMm: 40 };
    const [, sand] = add([layer('soil', { mounds: [hill] })], 'sand');
    expect(sand).toEqual({ id: 'sand-2', material: 'sand', top: { kind: 'level', mm: 25 }, over: true });
    // A path that is cut in is nothing to lie on.
    const path = layer('sand', { cuts: true, top: { kind: 'level', mm: 10 } });
    expect(add([path], 'gravel')[1].over).toBeUndefined();
  });

  it('does not double a hill, and lies as thick on it wherever it is moved', () => {
    const { vessel } = scape();
    const at = (x: number) => {
      const bed = add([layer('soil', { mounds: [{ at: [x, 180], radiusMm: 120, heightMm: 60 }] })], 'sand');
      const field = bedField(vessel, bed);
      const [soil, sand] = surveyLayers(field, bed);
      return { soil, sand, tops: layerTopsAt(field, x, 180) };
    };
    const [one, other] = [at(200), at(400)];
    // 25 mm on 600 × 360 mm are 5.4 L, hill or none.
    for (const { sand, tops } of [one, other]) {
      expect([sand.minMm, sand.maxMm]).toEqual([expect.closeTo(25, 6), expect.closeTo(25, 6)]);
      expect(sand.volumeL).toBeCloseTo(5.4, 6);
      expect(tops[1] - tops[0]).toBeCloseTo(25, 6);
    }
    expect(one.soil.volumeL).toBeCloseTo(other.soil.volumeL, 2);
  });
});
