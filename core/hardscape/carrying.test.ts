import { describe, expect, it } from 'vitest';
import { gripOf, type Carried } from './carrying';

const p = (id: string, massKg: number, x: number, z: number): Carried => ({
  id,
  massKg,
  middle: [x, 200, z],
});

describe('a glued group in the hand', () => {
  it('an arch is carried by both feet', () => {
    const arch = [p('foot', 4, 100, 60), p('leg', 1.5, 130, 160), p('key', 1, 200, 240), p('arm', 1.4, 280, 160), p('heel', 3.5, 310, 60)]; // prettier-ignore
    const grip = gripOf(arch);
    expect(grip.by).toEqual(['foot', 'heel']);
    expect(grip.massKg).toBeCloseTo(11.4, 9);
  });

  it('a stone with a twig glued on is carried by the stone; a chip is no handle', () => {
    expect(gripOf([p('twig', 0.2, 300, 200), p('stone', 3, 100, 50)]).by).toEqual(['stone']);
    expect(gripOf([p('a', 3, 100, 50), p('b', 2, 200, 50), p('chip', 0.1, 400, 50)]).by).toEqual(['a', 'b']);
  });
});
