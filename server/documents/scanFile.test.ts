import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { glbOf } from '../../core/exchange/glb';
import { meshVolume, type Mesh } from '../../core/geometry/mesh';
import { solidMesh } from '../../core/hardscape/solid';
import { scanned } from '../../core/testing/scanned';
import { hostileScans } from '../../endure/hostileScans';
import { NoScan, scanFile } from './scanFile';
import { welded } from './weld';

const stone = () => solidMesh(scanned(800, 120));

/** Each triangle with corners of its own, as STL has them. */
function apart({ vertices, faces }: Mesh): Float32Array {
  return Float32Array.from([...faces].flatMap((i) => [...vertices.subarray(i * 3, i * 3 + 3)]));
}
function binaryStl(mesh: Mesh): Uint8Array<ArrayBuffer> {
  const corners = apart(mesh);
  const bytes = new Uint8Array(84 + (corners.length / 9) * 50);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, corners.length / 9, true);
  corners.forEach((x, i) => view.setFloat32(96 + Math.floor(i / 9) * 50 + (i % 9) * 4, x, true));
  return bytes;
}
function textStl(mesh: Mesh): Uint8Array<ArrayBuffer> {
  const corners = apart(mesh);
  const lines = ['solid stone'];
  for (let i = 0; i < corners.length; i += 9) {
    lines.push('facet normal 0 0 0', 'outer loop');
    for (let k = i; k < i + 9; k += 3) lines.push(`vertex ${[...corners.subarray(k, k + 3)].join(' ')}`);
    lines.push('endloop', 'endfacet');
  }
  return new TextEncoder().encode([...lines, 'endsolid stone'].join('\n'));
}
function obj({ vertices, faces }: Mesh): Uint8Array<ArrayBuffer> {
  const lines: string[] = [];
  for (let i = 0; i < vertices.length; i += 3) lines.push(`v ${[...vertices.subarray(i, i + 3)].join(' ')}`);
  for (let f = 0; f < faces.length; f += 3)
    lines.push(`f ${[...faces.subarray(f, f + 3)].map((i) => `${i + 1}//1`).join(' ')}`);
  return new TextEncoder().encode(lines.join('\n'));
}

describe('a scan from a file', () => {
  it('is the same stone whatever it was written in', async () => {
    const mesh = stone();
    const metres = { ...mesh, vertices: mesh.vertices.map((mm) => mm / 1_000) };
    const files: [string, Uint8Array<ArrayBuffer>, 'mm' | 'm'][] = [
      ['a.stl', binaryStl(mesh), 'mm'],
      ['b.STL', textStl(mesh), 'mm'],
      ['c.obj', obj(metres), 'm'],
      ['d.glb', (await glbOf(mesh, 'd')).slice(), 'mm'],
    ];
    for (const [name, bytes, unit] of files) {
      const read = await scanFile(bytes, name, unit);
      expect([name, read.mesh.faces.length, read.notes]).toEqual([name, mesh.faces.length, []]);
      expect(meshVolume(read.mesh) / meshVolume(mesh)).toBeCloseTo(1, 3);
    }
  });

  it.each(hostileScans(0.2).map((scan) => [scan.name, scan] as const))('refuses %s', async (name, scan) => {
    const reading = scanFile(scan.bytes(), name, 'mm');
    await expect(reading).rejects.toBeInstanceOf(NoScan);
    await expect(reading).rejects.toThrow(/^(It|The|There) .*[.?]$/);
    // Never of figures that are none.
    await expect(reading).rejects.not.toThrow(/Infinity|NaN/);
  });
});

describe('corners that triangles share', () => {
  it('are found again whatever order they come in, also where they are a little apart', () =>
    fc.assert(
      fc.asyncProperty(fc.integer(), fc.double({ min: 0, max: 1e-6, noNaN: true }), async (seed, off) => {
        const mesh = stone();
        const loose = apart(mesh);
        let state = seed | 1;
        const random = () => ((state = Math.imul(state, 1_103_515_245) + 12_345) >>> 0) / 2 ** 32 - 0.5;
        const moved = loose.map((x) => x + random() * off);
        const whole = await welded(moved);
        expect(whole.mesh.faces.length).toBe(mesh.faces.length);
        expect(whole.mesh.vertices.length).toBe(mesh.vertices.length);
      }),
      { numRuns: 20 },
    ));
});
