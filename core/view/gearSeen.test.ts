import { describe, expect, it } from 'vitest';
import type { Piece, Vessel } from '../commission/schema';
import { columnsOf } from '../hardscape/columns';
import { settle } from '../hardscape/settle';
import { bedField } from '../substrate/bedField';
import { box } from '../testing/vessel';
import { gearSeen } from './gearSeen';
import { crossingMm } from './refraction';

const vessel = box(600, 400, 400);
const bare = bedField(vessel, []);
const stone = (id: string, sizeMm: [number, number, number], at: [number, number]) => {
  const p = { id, material: 's', shape: { kind: 'box', sizeMm }, at, turnDeg: 0, stand: { kind: 'floor' } } as Piece; // prettier-ignore
  return settle(p, columnsOf(p.shape, 0), bare, new Map());
};
const body = (at: [number, number], sizeMm: [number, number, number] = [40, 40, 40], zMm = 100) =>
  ({ at, sizeMm, zMm, servedFrom: 'above' }) as const;
const ACROSS_THE_ROOM = [300, -100_000, 120] as const;

describe('a device', () => {
  it('is seen whole in an empty tank, and hidden by what stands before it', () => {
    const filter = body([280, 300]);
    expect(gearSeen(ACROSS_THE_ROOM, filter, vessel, { standing: [], field: bare })).toEqual({ share: 1 });
    const wall = stone('S-1', [200, 30, 300], [300, 200]);
    expect(gearSeen(ACROSS_THE_ROOM, filter, vessel, { standing: [wall], field: bare })).toEqual({ share: 0, hiddenBy: 'S-1' }); // prettier-ignore
    // What stands behind it hides nothing.
    const behind = stone('S-2', [200, 30, 300], [300, 370]);
    expect(gearSeen(ACROSS_THE_ROOM, filter, vessel, { standing: [behind], field: bare }).share).toBe(1);
  });

  it('is seen by half where half of it stands behind a stone or in the bed', () => {
    const filter = body([280, 300]);
    const left = stone('S-1', [200, 30, 300], [200, 200]);
    expect(gearSeen(ACROSS_THE_ROOM, filter, vessel, { standing: [left], field: bare }).share).toBeCloseTo(0.5, 1); // prettier-ignore
    const soil = { id: 'soil', material: 's', top: { kind: 'level', mm: 120 } } as const;
    const seen = gearSeen(ACROSS_THE_ROOM, filter, vessel, { standing: [], field: bedField(vessel, [soil]) });
    expect(seen.share).toBeCloseTo(0.5, 1);
    expect(seen.hiddenBy).toBe('bed');
  });

  it('is seen past an edge as the look bends at the pane: by Snell’s law beside it, straight into it', () => {
    const eye = [0.5, -300, 102] as const;
    const small = body([300, 300], [4, 4, 4]);
    // At 150 mm behind the pane the bent look passes at 238 mm, a straight one would at 225 mm.
    const r = crossingMm(300, 300, 300);
    expect(r + (300 - r) / 2).toBeCloseTo(238, 0);
    const plate = (endMm: number) => stone('S-1', [endMm, 8, 300], [endMm / 2, 150]);
    expect(gearSeen(eye, small, vessel, { standing: [plate(230)], field: bare }).share).toBe(1);
    expect(gearSeen(eye, small, vessel, { standing: [plate(248)], field: bare }).share).toBe(0);
  });

  it('in a chamber is hidden by its wall, except through the chamber’s own pane', () => {
    const chambered: Vessel = { ...vessel, chambers: [{ id: 'c', side: 'left', mm: 100 }] };
    const heater = body([20, 180], [30, 30, 150], 50);
    const way = { standing: [], field: bare };
    expect(gearSeen([3_000, 200, 150], heater, chambered, way)).toEqual({ share: 0, hiddenBy: 'chamber' });
    expect(gearSeen([-3_000, 200, 150], heater, chambered, way).share).toBe(1);
    expect(gearSeen([300, -2_000, 150], heater, chambered, way).share).toBeCloseTo(1, 1);
    // From above into the chamber, over its wall.
    expect(gearSeen([300, 200, 2_000], heater, chambered, way).share).toBeGreaterThan(0.9);
  });

  it('counts each side as large as it seems: a rod behind a stone as high, looked down upon by 45°', () => {
    const bow: Vessel = { ...vessel, kind: 'bow', bowMm: 60 };
    const rod = body([290, 300], [20, 20, 300], 0);
    const way = { standing: [stone('S-1', [200, 30, 300], [300, 185])], field: bare };
    // Its front is seen above 200 mm, 100 of 300; its top of 20 × 20 mm all: (2000 + 400) / (6000 + 400).
    const seen = gearSeen([300, -200_000, 200_300], rod, bow, way);
    expect(seen.share).toBeCloseTo(0.375, 1);
    expect(seen.hiddenBy).toBe('S-1');
  });

  it('behind a bow is looked at straight, and from above over the rim', () => {
    const bow: Vessel = { ...vessel, kind: 'bow', bowMm: 60 };
    const way = { standing: [stone('S-1', [200, 30, 300], [300, 200])], field: bare };
    expect(gearSeen(ACROSS_THE_ROOM, body([280, 300]), bow, way).share).toBe(0);
    expect(gearSeen([300, 320, 4_000], body([280, 300]), bow, way).share).toBe(1);
  });
});
