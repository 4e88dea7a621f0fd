import { describe, expect, it } from 'vitest';
import { columnsOf } from '../hardscape/columns';
import { settle } from '../hardscape/settle';
import { bedField } from '../substrate/bedField';
import { piece, soil } from '../testing/scape';
import { box } from '../testing/vessel';
import { shutOff } from './passages';
import { tankFlow } from './tankFlow';

const field = bedField(box(800, 400, 400), [soil({ kind: 'level', mm: 40 })]);
/** A wall across the tank at x = 500 that leaves a gap of so much at the front. */
const behind = (gapMm: number) => {
  const p = piece({
    shape: { kind: 'box', sizeMm: [20, 400 - gapMm, 380] },
    at: [500, gapMm + (400 - gapMm) / 2],
    stand: { kind: 'floor' },
  });
  const standing = [settle(p, columnsOf(p.shape, 0), field, new Map())];
  return tankFlow(field, standing, [800, 400, 400], 360, 600, { outflow: [30, 370], intake: [300, 370] })[0];
};

describe('passages', () => {
  it('a wall with a gap shuts off what lies behind it for fish that are wider', () => {
    const [found, ...more] = shutOff(behind(40), 60);
    expect(more).toEqual([]);
    // Behind it 290 × 400 mm, less what is too narrow for the fish along the walls; the gap is 40 mm to a cell.
    expect(found.at[0]).toBeGreaterThan(510);
    expect(Math.abs(found.widestMm - 40)).toBeLessThanOrEqual(10);
    expect(found.areaMm2).toBeGreaterThan(0.6 * 290 * 400);
    expect(found.areaMm2).toBeLessThan(290 * 400);
  });

  it('leaves it to fish that fit through', () => {
    expect(shutOff(behind(100), 60)).toEqual([]);
    expect(shutOff(behind(40), 25)).toEqual([]);
  });

  it('is nothing for a fish that fits nowhere', () => {
    expect(shutOff(behind(40), 900)).toEqual([]);
  });

  it('a wall without a gap has no way in at all', () => {
    expect(shutOff(behind(0), 30)[0].widestMm).toBe(0);
  });
});
