import { describe, expect, it } from 'vitest';
import type { Layer, Material } from '../commission/schema';
import { raised, withLayer } from './freshLayer';

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

  it('is a level band under others, and follows what it lies on', () => {
    expect(add([layer('soil')], 'base')[0].top).toEqual({ kind: 'level', mm: 15 });
    const hill = { at: [100, 100] as [number, number], radiusMm: 80, heightMm: 40 };
    const [, sand] = add([layer('soil', { mounds: [hill] })], 'sand');
    expect(sand).toMatchObject({ top: { kind: 'ramp', frontMm: 55, backMm: 115 }, mounds: [hill] });
    // A path that is cut in is nothing to lie on.
    const path = layer('sand', { cuts: true, top: { kind: 'level', mm: 10 } });
    expect(add([layer('soil'), path], 'gravel')[2].top).toMatchObject({ frontMm: 55 });
  });

  it('is raised whatever its surface, and never below the glass', () => {
    expect(raised({ kind: 'level', mm: 10 }, -30)).toEqual({ kind: 'level', mm: 0 });
    expect(raised({ kind: 'grid', stepMm: 10, columns: 2, rows: 2, mm: [0, 1, 2, 3] }, 2)).toMatchObject({ mm: [2, 3, 4, 5] }); // prettier-ignore
  });
});
