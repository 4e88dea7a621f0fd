import type { Vessel } from '../commission/schema';
import { columnsOf } from '../hardscape/columns';
import type { Standing } from '../hardscape/settle';

/** What was fixed in the vessel before, as blocks that stand where they are and move for nothing. */
export function fixedStanding(vessel: Vessel): Standing[] {
  return (vessel.fixed ?? []).map(({ id, at, sizeMm, zMm = 0 }) => {
    const shape = { kind: 'box' as const, sizeMm };
    const middle: [number, number] = [at[0] + sizeMm[0] / 2, at[1] + sizeMm[1] / 2];
    return {
      piece: { id, material: '', shape, at: middle, turnDeg: 0, stand: { kind: 'at', zMm } },
      columns: columnsOf(shape, 0),
      xMm: middle[0],
      yMm: middle[1],
      zMm: zMm + sizeMm[2] / 2,
      supported: true,
    };
  });
}
