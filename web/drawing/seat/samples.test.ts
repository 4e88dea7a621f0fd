import { DirectionalLight, type Object3D } from 'three';
import { describe, expect, it } from 'vitest';
import { example } from '../../../core/testing/scape';
import { aim, lights } from './lights';
import { PASSES, passOf, SHOWN } from './samples';
import type { Seen } from './place';

const all = Array.from({ length: PASSES }, (_, i) => passOf(i));
const mean = (of: number[]) => of.reduce((a, b) => a + b, 0) / of.length;

describe('the pictures of which one is the mean', () => {
  it('are spread evenly over the pixel, and over lamp and room by halves', () => {
    for (const k of [0, 1] as const) {
      expect(Math.abs(mean(all.map((p) => p.pixel[k])) - 0.5)).toBeLessThan(0.1);
      // Each quarter of the pixel has about its share.
      for (const from of [0, 0.25, 0.5, 0.75])
        expect(Math.abs(all.filter((p) => p.pixel[k] >= from && p.pixel[k] < from + 0.25).length - PASSES / 4)).toBeLessThan(2); // prettier-ignore
    }
    expect(all.filter((p) => p.shines === 'lamp')).toHaveLength(PASSES / 2);
    expect(new Set(all.map((p) => p.at.join())).size).toBe(PASSES / 2);
  });

  it('are shown when lamp and room have shone, and when all are there', () => {
    const first = Math.min(...SHOWN);
    expect(new Set(all.slice(0, first + 1).map((p) => p.shines))).toEqual(new Set(['lamp', 'room']));
    expect(SHOWN.has(PASSES - 1)).toBe(true);
  });

  it('are lit from above the bed alone, by a lamp that stays over the tank', () => {
    const { vessel } = example('held-root');
    for (const light of ['day', 'night', 'backlit'] as const) {
      const list: Object3D[] = lights({ vessel } as Seen, { light, plants: [], refraction: false });
      const lamp = list.find((o): o is DirectionalLight => o instanceof DirectionalLight)!;
      for (const pass of all) {
        aim(list, vessel, light, pass);
        const way = lamp.position.clone().sub(lamp.target.position).normalize();
        expect(way.y).toBeGreaterThan(pass.shines === 'lamp' ? 0.8 : 0.02);
        expect(lamp.intensity).toBeGreaterThan(0);
      }
    }
  });
});
