import { expect, it } from 'vitest';
import { touched } from '../planting/picked';
import { survey } from '../survey/survey';
import { piece, scape, soil } from '../testing/scape';
import { ppfdOnPiece } from './lightAt';
import { plantedPlan } from './planted';
import { resolved } from '../testing/resolved';

it('on top of a stone there is more light than on its face, and than on the bed under it', () => {
  const c = scape({
    inner: [600, 360, 400],
    option: {
      bed: [soil({ kind: 'level', mm: 50 })],
      pieces: [piece({ id: 'S-1', shape: { kind: 'box', sizeMm: [120, 120, 150] }, at: [300, 180], stand: { kind: 'bed', buryMm: 0 } })], // prettier-ignore
    },
  });
  c.site = { devices: [{ id: 'lamp', name: 'lamp', watts: 40, kind: 'lamp', light: { umolPerS: 60, at: [300, 100], aboveRimMm: 60 } }] }; // prettier-ignore
  const s = survey(c);
  const { light } = plantedPlan(resolved(c, s), s).living;
  const on = (from: 'above' | 'front', u: number, v: number) => ppfdOnPiece(s.standing, light, touched(s.standing, from, u, v)!)!; // prettier-ignore
  const [top, face] = [on('above', 300, 180), on('front', 300, 120)];
  // A lamp as long as the tank gives by the distance: 272 mm from the top, 410 from the bed, times the cosines 1.44.
  const bed = light.at([300, 60, 52]);
  expect(top).toBeGreaterThan(1.2 * bed);
  expect(top).toBeLessThan(1.7 * bed);
  expect(face).toBeGreaterThan(0);
  expect(face).toBeLessThan(0.8 * top);
  expect(ppfdOnPiece(s.standing, light, { piece: 'S-9', at: [0, 0, 0] })).toBeUndefined();
});
