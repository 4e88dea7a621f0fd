import { Box3 } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { piece, scape, soil } from '../testing/scape';
import { scapeFile } from './scapeFile';

const commission = scape({
  option: {
    bed: [soil({ kind: 'ramp', frontMm: 40, backMm: 80 })],
    pieces: [piece({ id: 'S-1', shape: { kind: 'box', sizeMm: [100, 60, 80] }, at: [200, 100], turnDeg: 90, stand: { kind: 'floor' } })], // prettier-ignore
  },
});
const { survey } = plan(commission, { today: '2026-11-25' });

describe('a whole scape as a file', () => {
  it('is read as GLB by another program: each piece by its name, in metres with y up, where it stands', async () => {
    const bytes = new Uint8Array(await scapeFile(commission, survey, 'glb'));
    const { scene } = await new GLTFLoader().parseAsync(bytes.buffer, '');
    expect(scene.children.map((n) => n.userData.name ?? n.name)).toEqual(['S-1, Granite', 'bed']);
    const { min, max } = new Box3().setFromObject(scene.children[0]);
    // Turned by a right angle: 60 mm from left to right, 100 mm to the back, which is −z there.
    const box = [min.x, max.x, min.y, max.y, min.z, max.z];
    [0.17, 0.23, 0, 0.08, -0.15, -0.05].forEach((metres, i) => expect(box[i]).toBeCloseTo(metres, 5));
  });

  it('is read as STL by another program: as many triangles, the same box, mm', async () => {
    const bytes = new Uint8Array(await scapeFile(commission, survey, 'stl'));
    const read = new STLLoader().parse(bytes.buffer);
    read.computeBoundingBox();
    const { min, max } = read.boundingBox!;
    expect([min.x, min.y, min.z, max.x, max.y].map(Math.round)).toEqual([0, 0, 0, 600, 360]);
    expect(max.z).toBeCloseTo(80, 3);
    expect(read.getAttribute('position').count).toBe(((bytes.length - 84) / 50) * 3);
    // Normals face outwards: the volume by them is that of stone and ramp together.
    const [p, n] = [read.getAttribute('position'), read.getAttribute('normal')];
    let mm3 = 0;
    for (let i = 0; i < p.count; i += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => [p.getX(i + k), p.getY(i + k), p.getZ(i + k)]);
      const [u, w] = [b.map((v, k) => v - a[k]), c.map((v, k) => v - a[k])];
      const area = Math.hypot(u[1] * w[2] - u[2] * w[1], u[2] * w[0] - u[0] * w[2], u[0] * w[1] - u[1] * w[0]) / 2; // prettier-ignore
      mm3 += (area * (a[0] * n.getX(i) + a[1] * n.getY(i) + a[2] * n.getZ(i))) / 3;
    }
    expect(mm3 / (600 * 360 * 60 + 100 * 60 * 80)).toBeCloseTo(1, 4);
  });
});
