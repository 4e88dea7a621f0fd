import { describe, expect, it } from 'vitest';
import { recordedOf } from './recorded';

describe('what packs gave', () => {
  it('is the middle of what packs gave, by how many there were', () => {
    const found = recordedOf([
      { plant: 'grass', packs: 3, plugs: 24 },
      { plant: 'grass', packs: 1, plugs: 12 },
      { plant: 'moss', packs: 2, plugs: 9 },
    ]);
    expect(found.grass).toEqual({ plugsAPack: [8, 8, 12], packs: 4 });
    // 4.5 a pack are five.
    expect(found.moss).toEqual({ plugsAPack: [5, 5, 5], packs: 2 });
    expect(recordedOf([])).toEqual({});
  });
});
