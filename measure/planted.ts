import type { Plant } from '../core/commission/schema';
import { KNOWN_PLANTS } from '../core/catalogue/knownPlants';
import { shutOff } from '../core/flow/passages';
import { canopyOf, throughLeaves } from '../core/light/canopy';
import { tankFlow } from '../core/flow/tankFlow';
import type { Lamp } from '../core/light/lamps';
import { lightMap, type Lit } from '../core/light/lightMap';
import { columnsOf } from '../core/hardscape/columns';
import { settle, type Standing } from '../core/hardscape/settle';
import { plugPositions } from '../core/planting/positions';
import { bedField } from '../core/substrate/bedField';
import { leavesOfPlug } from '../web/drawing/leafPaths';
import { grown, type Growth } from './growth';
import { timed, type Row } from './timed';

/* Planting: light on 1200 × 500 mm with 25 pieces under three lamps, 2,000 plugs, the flow around them, a week of the slider. */

const SIZE = [1_200, 500, 500] as const;
const vessel = {
  kind: 'box' as const,
  innerMm: { length: SIZE[0], width: SIZE[1], height: SIZE[2] },
  glassMm: 10,
  waterLineMm: 470,
};
const bed = [{ id: 'soil', material: 'soil', top: { kind: 'ramp' as const, frontMm: 40, backMm: 160 } }];
const floor: [number, number][] = [[0, 0], [1_200, 0], [1_200, 500], [0, 500]]; // prettier-ignore
const lamps: Lamp[] = [200, 600, 1_000].map((x, i) => ({ id: `l${i}`, name: 'lamp', at: [x, 250, 640], lengthMm: 380, widthMm: 90, umolPerS: 80, power: 1, output: 1, guessed: false })); // prettier-ignore
const panes = [{ axis: 0, atMm: 0 }, { axis: 0, atMm: 1_200 }, { axis: 1, atMm: 0 }, { axis: 1, atMm: 500 }] as const; // prettier-ignore

function litAt(cellMm: number | undefined, rightMm = 0): Lit {
  const field = bedField(vessel, bed, cellMm);
  const standing = Array.from({ length: 25 }, (_, i): Standing => {
    const shape = { kind: 'ellipsoid' as const, sizeMm: [140, 100, 160] as [number, number, number] };
    const at: [number, number] = [60 + (i % 8) * 150 + (i === 7 ? rightMm : 0), 80 + Math.floor(i / 8) * 110];
    const piece = { id: `S-${i}`, material: 'slate', shape, at, turnDeg: i * 20, stand: { kind: 'bed' as const, buryMm: 20 } }; // prettier-ignore
    return settle(piece, columnsOf(shape, piece.turnDeg), field, new Map());
  });
  return { field, lamps, standing, sizeMm: SIZE, waterMm: 470, fadesPerM: 0.4, panes };
}

export async function plantedRows(): Promise<Row[]> {
  const lit = litAt(undefined);
  const memo = {};
  const pieceMoved = (run: number) => {
    const standing = lit.standing.with(7, { ...lit.standing[7], xMm: lit.standing[7].xMm + 4 + (run % 9) });
    return lightMap({ ...lit, standing }, memo);
  };
  const light = await timed('light.map', 7, () => lightMap(lit), 2);
  lightMap(lit, memo);
  const again = await timed('light.moved', 20, pieceMoved);
  const positions = await timed('plugs.2000', 9, (run) => plugPositions(lit.field, floor, 2_000, run + 1));
  const ports = { outflow: [40, 460], intake: [1_160, 460] } as const;
  const flow = await timed(
    'flow.10mm',
    7,
    () => tankFlow(lit.field, lit.standing, SIZE, 470, 1_500, ports),
    2,
  );
  const plant = KNOWN_PLANTS.find((p) => p.id === 'eleocharis-acicularis') as Plant;
  const spots = plugPositions(lit.field, floor, 2_000, 3);
  const week = await timed('week.2000', 9, (run) => {
    const look = { id: 'P', plant, spots, heightMm: 60 + run, radiusMm: 20, cover: 1, melted: 0 };
    for (let i = 0; i < spots.length; i += 3)
      leavesOfPlug(
        look,
        spots[i],
        spots[i + 2],
        470,
        (mm) => mm,
        (mm) => -mm,
      );
  });
  const stems = KNOWN_PLANTS.find((p) => p.id === 'rotala-rotundifolia') as Plant;
  const stemWeek = await timed('week.2000 stems', 9, (run) => {
    const look = { id: 'P', plant: stems, spots, heightMm: 260 + run, radiusMm: 20, cover: 1, melted: 0 };
    for (let i = 0; i < spots.length; i += 3) leavesOfPlug(look, spots[i], spots[i + 2], 470, (mm) => mm, (mm) => -mm); // prettier-ignore
  });
  const layers = tankFlow(lit.field, lit.standing, SIZE, 470, 1_500, ports);
  const passages = await timed('water.shut', 7, () => layers.map((layer) => shutOff(layer, 60)), 2);
  const canopy = await timed('leaves.2000', 7, () => {
    const leaves = canopyOf([SIZE[0], SIZE[1]], [{ spots, radiusMm: 25, heightMm: 260, cover: 1 }]);
    for (let i = 0; i < 200 * 3; i += 3) for (const { at } of lamps) throughLeaves(leaves, [spots[i], spots[i + 1], spots[i + 2]], at); // prettier-ignore
  });
  return [light, again, positions, flow, passages, canopy, week, stemWeek];
}

/** Twice the cells, twice the plugs: twice the time. */
export async function plantedGrowth(): Promise<Growth[]> {
  const mm = (cells: number) => Math.sqrt((SIZE[0] * SIZE[1]) / cells);
  const fields = new Map<number, Lit>();
  const lit = (n: number) => fields.get(n) ?? (fields.set(n, litAt(mm(n))), fields.get(n)!);
  return [
    ...(await grown('cells of light', [12_000, 24_000, 48_000], (n) => lightMap(lit(n)))),
    ...(await grown('plugs', [1_000, 2_000, 4_000], (n) => plugPositions(lit(24_000).field, floor, n, 5))),
  ];
}
