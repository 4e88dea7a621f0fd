import { Box3, Mesh } from 'three';
import { Reflector } from 'three/addons/objects/Reflector.js';
import { describe, expect, it } from 'vitest';
import type { Vessel } from '../../../core/commission/schema';
import { example } from '../../../core/testing/scape';
import { footprint } from '../../../core/vessel/footprint';
import type { Seen } from './place';
import { waterSurface } from './surface';

const box: Vessel = example('held-root').vessel;
const round: Vessel = { ...box, kind: 'cylinder', innerMm: { length: 500, width: 500, height: 400 } };
const look = { light: 'day' as const, refraction: false, plants: [] };
const of = (vessel: Vessel, fromBelow: boolean, quick = false) =>
  waterSurface({ vessel } as Seen, { ...look, quick }, fromBelow) as Mesh[];

describe('the surface of the water', () => {
  it('lies at the water line, as far as the glass goes, whatever shape that is', () => {
    for (const vessel of [box, round])
      for (const fromBelow of [true, false]) {
        const [top] = of(vessel, fromBelow);
        top.updateMatrixWorld();
        const { min, max } = new Box3().setFromObject(top);
        const [xs, ys] = [0, 1].map((k) => footprint(vessel).map((p) => p[k]));
        expect(min.x).toBeCloseTo(Math.min(...xs), 3);
        expect(max.x).toBeCloseTo(Math.max(...xs), 3);
        expect(-max.z).toBeCloseTo(Math.min(...ys), 3);
        expect(-min.z).toBeCloseTo(Math.max(...ys), 3);
        for (const y of [min.y, max.y]) expect(y).toBeCloseTo(vessel.waterLineMm, 3);
      }
  });

  it('is a mirror for an eye below it alone, and not while something is dragged', () => {
    expect(of(box, true)[0]).toBeInstanceOf(Reflector);
    expect(of(box, false)[0]).not.toBeInstanceOf(Reflector);
    expect(of(box, true, true)[0]).not.toBeInstanceOf(Reflector);
  });
});
