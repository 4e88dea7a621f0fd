import { describe, expect, it } from 'vitest';
import { columnsOf } from '../hardscape/columns';
import { settle } from '../hardscape/settle';
import { bedField } from '../substrate/bedField';
import { piece, soil } from '../testing/scape';
import { box } from '../testing/vessel';
import { potentialFlow, speeds, type Slice } from './potentialFlow';
import { deadShare, speedAt, tankFlow } from './tankFlow';

/** A channel that water enters evenly from the left and leaves to the right at 1 mm/s. */
function channel(
  columns: number,
  rows: number,
  isOpen: (x: number, y: number) => boolean = () => true,
): Slice {
  const open = new Uint8Array(columns * rows);
  const source = new Float64Array(columns * rows);
  for (let j = 0, c = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, c++) {
      open[c] = isOpen(i + 0.5, j + 0.5) ? 1 : 0;
      if (i === 0) source[c] = 1;
      if (i === columns - 1) source[c] = -1;
    }
  return { columns, rows, dxMm: 1, dyMm: 1, open, source };
}

describe('flow without friction', () => {
  it('is even in a straight channel, and what goes into a cell comes out of it', () => {
    const slice = channel(60, 20);
    const flow = potentialFlow(slice);
    expect(flow.unbalanced).toBeLessThan(1e-9);
    const { vx, vy } = speeds(slice, flow);
    for (const c of [10 * 60 + 20, 3 * 60 + 40]) {
      expect(vx[c]).toBeCloseTo(1, 6);
      expect(vy[c]).toBeCloseTo(0, 6);
    }
  });

  it('goes round a cylinder as the closed form has it', () => {
    const [w, h, r] = [240, 180, 15];
    const slice = channel(w, h, (x, y) => Math.hypot(x - w / 2, y - h / 2) > r);
    const flow = potentialFlow(slice);
    expect(flow.unbalanced).toBeLessThan(1e-8);
    const { vx } = speeds(slice, flow);
    // Beside it: u = U·(1 + R²/d²); before it on its axis: u = U·(1 − R²/d²). The walls add some per cent.
    for (const d of [22.5, 30.5, 45.5]) {
      const beside = vx[Math.floor(h / 2 + d) * w + w / 2];
      const before = vx[(h / 2) * w + Math.floor(w / 2 - d)];
      expect(Math.abs(beside / (1 + (r / d) ** 2) - 1)).toBeLessThan(0.05);
      expect(Math.abs(before / (1 - (r / d) ** 2) - 1)).toBeLessThan(0.06);
    }
  });

  it('stands still in water that is closed off', () => {
    const slice = channel(40, 20, (x, y) => !(Math.abs(x - 20) < 6 && Math.abs(y - 10) < 6) || (Math.abs(x - 20) < 3 && Math.abs(y - 10) < 3)); // prettier-ignore
    const { vx } = speeds(slice, potentialFlow(slice));
    expect(vx[10 * 40 + 20]).toBeCloseTo(0, 9);
  });
});

describe('flow', () => {
  const vessel = box(800, 400, 400);
  const field = bedField(vessel, [soil({ kind: 'level', mm: 40 })]);
  const ports = { outflow: [30, 370], intake: [770, 370] } as const;
  const flowIn = (wall: boolean) => {
    const p = piece({
      shape: { kind: 'box', sizeMm: [20, 240, 360] },
      at: [400, 280],
      stand: { kind: 'floor' },
    });
    const standing = wall ? [settle(p, columnsOf(p.shape, 0), field, new Map())] : [];
    return tankFlow(field, standing, [800, 400, 400], 360, 600, ports);
  };

  it('is stirred by a pump where it blows, and goes nowhere else by it', () => {
    const pump = { at: [400, 200] as const, zMm: 250, towardsDeg: 0, litresPerHour: 1_000 };
    const of = (pumps: (typeof pump)[], through = 0) => tankFlow(field, [], [800, 400, 400], 360, through, ports, pumps); // prettier-ignore
    const [low, high] = of([pump]);
    // Only the height that is nearer to it.
    expect(Math.max(...low.speed)).toBeLessThan(1e-9);
    const at = (layer: typeof high, x: number, y: number) => Math.floor(y / layer.dyMm) * layer.columns + Math.floor(x / layer.dxMm); // prettier-ignore
    // Before it water goes to the right, and comes back beside it.
    expect(high.vx[at(high, 560, 200)]).toBeGreaterThan(0);
    expect(high.vx[at(high, 440, 330)]).toBeLessThan(0);
    // Through any line across the tank as much goes one way as the other.
    const across = Array.from({ length: high.rows }, (_, j) => high.vx[j * high.columns + 65]).reduce((a, b) => a + b, 0); // prettier-ignore
    expect(Math.abs(across)).toBeLessThan(1e-6);
    const turned = of([{ ...pump, towardsDeg: 180 }])[1];
    expect(turned.vx[at(turned, 240, 200)]).toBeLessThan(0);
    expect(deadShare(of([pump], 300)[1])).not.toBe(deadShare(of([], 300)[1]));
  });

  it('in a tank: what comes in goes out, a wall makes a dead corner behind it', () => {
    const [low, high] = flowIn(false);
    expect([low.zMm, high.zMm].map(Math.round)).toEqual([108, 252]);
    // Half of 600 L/h over half of 360 mm of water through 400 mm of width: 1.16 mm/s on the mean.
    const mean =
      Array.from({ length: 40 }, (_, j) => low.vx[j * low.columns + 40]).reduce((a, b) => a + b, 0) / 40;
    expect(mean).toBeCloseTo(600e6 / 3600 / (360 * 400), 3);
    const [behind] = flowIn(true);
    expect(speedAt(behind, 430, 380)!).toBeLessThan(speedAt(low, 430, 380)!);
    expect(speedAt(behind, 400, 280)).toBeUndefined();
    expect(speedAt(behind, 400, 80)!).toBeGreaterThan(speedAt(low, 400, 80)!);
    expect(deadShare(behind)).toBeGreaterThan(0);
  });
});
