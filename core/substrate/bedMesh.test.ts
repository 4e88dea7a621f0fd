import { describe, expect, it } from 'vitest';
import { meshFault, meshVolume } from '../geometry/mesh';
import { soil } from '../testing/scape';
import { box } from '../testing/vessel';
import { bedField } from './bedField';
import { bedMesh } from './bedMesh';

const vessel = box(600, 360, 400);

describe('the bed as a solid', () => {
  it('encloses what was poured: a level, a ramp', () => {
    const level = bedMesh(bedField(vessel, [soil({ kind: 'level', mm: 40 })]))!;
    expect(meshFault(level.vertices.length / 3, level.faces)).toBeUndefined();
    expect(meshVolume(level)).toBeCloseTo(600 * 360 * 40, 3);
    const ramp = bedMesh(bedField(vessel, [soil({ kind: 'ramp', frontMm: 40, backMm: 100 })]))!;
    expect(meshVolume(ramp)).toBeCloseTo(600 * 360 * 70, 3);
  });

  it('is closed behind a bow, and none on bare glass', () => {
    const bow = bedField({ ...vessel, kind: 'bow', bowMm: 60 }, [soil({ kind: 'level', mm: 40 })]);
    const mesh = bedMesh(bow)!;
    expect(meshFault(mesh.vertices.length / 3, mesh.faces)).toBeUndefined();
    expect(meshVolume(mesh)).toBeGreaterThan(0);
    expect(bedMesh(bedField(vessel, []))).toBeUndefined();
  });
});
