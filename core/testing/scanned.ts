import type { Shape } from '../commission/schema';

/** A closed surface of so many triangles, a ball that is longer than wide, as a scanned stone comes in. */
export function scanned(triangles: number, sizeMm: number): Shape {
  const around = Math.round(Math.sqrt(triangles));
  const up = Math.round(triangles / (2 * around)) + 1;
  const [vertices, faces]: [[number, number, number][], [number, number, number][]] = [[], []];
  for (let v = 1; v < up; v++)
    for (let u = 0; u < around; u++) {
      const [a, b] = [(u / around) * 2 * Math.PI, (v / up) * Math.PI];
      const r = (sizeMm / 2) * (1 + 0.06 * Math.sin(5 * a) * Math.sin(3 * b));
      vertices.push([r * Math.sin(b) * Math.cos(a), 0.8 * r * Math.sin(b) * Math.sin(a), -r * Math.cos(b)]);
    }
  const at = (u: number, v: number) => (v - 1) * around + (u % around);
  const foot = vertices.push([0, 0, -sizeMm / 2]) - 1;
  const tip = vertices.push([0, 0, sizeMm / 2]) - 1;
  for (let u = 0; u < around; u++) {
    faces.push([foot, at(u + 1, 1), at(u, 1)], [tip, at(u, up - 1), at(u + 1, up - 1)]);
    for (let v = 1; v < up - 1; v++)
      faces.push([at(u, v), at(u + 1, v), at(u + 1, v + 1)], [at(u, v), at(u + 1, v + 1), at(u, v + 1)]);
  }
  return { kind: 'mesh', vertices, faces } as Shape;
}
