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

  it('is what the pores take within the bed, and free water and pores at the line', () => {
    const [low, line] = waterByHeight(s, doc, [40, doc.vessel.waterLineMm]);
    expect(low.freeL).toBe(0);
    // 600 × 360 less the stone, 40 high, two fifths of it pores.
    expect(low.litres).toBeCloseTo((600 * 360 - 100 * 100) * 40e-6 * 0.4, 2);
    expect(line.freeL).toBeCloseTo(s.freeWaterL, 9);
    expect(line.litres).toBeCloseTo(s.freeWaterL + s.poreWaterL, 9);
  });

  it('fills the pores of a bed that ends at the water line', () => {
    const full = scape({ option: { bed: [soil({ kind: 'level', mm: doc.vessel.waterLineMm })] } });
    const measured = survey(full);
    expect(measured.freeWaterL).toBeCloseTo(0, 9);
    const [line] = waterByHeight(measured, full, [full.vessel.waterLineMm]);
    expect(line.litres).toBeCloseTo(0.4 * measured.bedL, 9);
  });

  it('is the floor times the height above the bed, less what stands in it, by hand', () => {
    // 600 × 360 less 100 × 100, up to the stone's top at 250; the whole floor above it.
    const [mid, high] = waterByHeight(s, doc, [150, 350]);
    expect(mid.freeL).toBeCloseTo((600 * 360 - 100 * 100) * 100e-6, 2);
    expect(high.freeL).toBeCloseTo((600 * 360 * 300 - 100 * 100 * 200) * 1e-6, 2);
  });
});
