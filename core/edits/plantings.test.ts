import { describe, expect, it } from 'vitest';
import type { Option } from '../commission/schema';
import { scape } from '../testing/scape';
import { shifted } from './plantings';

const { vessel } = scape();
const region: [number, number][] = [
  [100, 100],
  [200, 100],
  [200, 180],
];
const option = { plants: [{ id: 'P-1', plant: 'grass', region }, { id: 'P-2', plant: 'moss', count: 3 }] } as unknown as Option; // prettier-ignore

describe('a planting that is moved', () => {
  it('goes over the floor until it meets a pane, and others stay', () => {
    expect(shifted(option, 'P-1', [20, -5], vessel).plants[0].region).toEqual([[120, 95], [220, 95], [220, 175]]); // prettier-ignore
    // The tank is 600 × 360 mm.
    expect(shifted(option, 'P-1', [900, 900], vessel).plants[0].region![2]).toEqual([600, 360]);
    expect(shifted(option, 'P-1', [900, 0], vessel).plants[1]).toBe(option.plants[1]);
  });

  it('is as it was at the pane, and where it has no region', () => {
    const at = shifted(option, 'P-1', [-100, 0], vessel);
    expect(shifted(at, 'P-1', [-5, 0], vessel)).toBe(at);
    expect(shifted(option, 'P-2', [5, 0], vessel)).toBe(option);
  });
});
