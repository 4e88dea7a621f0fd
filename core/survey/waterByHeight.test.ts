import { describe, expect, it } from 'vitest';
import { piece, scape, soil } from '../testing/scape';
import { survey } from './survey';
import { waterByHeight } from './waterByHeight';

describe('water by height', () => {
  const stone = piece({
    id: 'S',
    at: [300, 180],
    shape: { kind: 'box', sizeMm: [100, 100, 250] },
    stand: { kind: 'bed', buryMm: 50 },
  });
  const doc = scape({ option: { bed: [soil({ kind: 'level', mm: 50 })], pieces: [stone] } });
  const s = survey(doc);

  it('is nothing within the bed and the free water at the line', () => {
    const [low, line] = waterByHeight(s, doc.vessel, [40, doc.vessel.waterLineMm]);
    expect(low.litres).toBe(0);
    expect(line.litres).toBeCloseTo(s.freeWaterL, 9);
  });

  it('is the floor times the height above the bed, less what stands in it, by hand', () => {
    // 600 × 360 less 100 × 100, up to the stone's top at 250; the whole floor above it.
    const [mid, high] = waterByHeight(s, doc.vessel, [150, 350]);
    expect(mid.litres).toBeCloseTo((600 * 360 - 100 * 100) * 100e-6, 2);
    expect(high.litres).toBeCloseTo((600 * 360 * 300 - 100 * 100 * 200) * 1e-6, 2);
  });
});
