import { STLExporter } from 'three/addons/exporters/STLExporter.js';
import { IcosahedronGeometry, Mesh as Drawn } from 'three';
import { materialOf } from '../core/commission/lookup';
import { dropped } from '../core/hardscape/drop';
import { letSettle } from '../core/hardscape/letSettle';
import { slidApart } from '../core/hardscape/slideApart';
import { bedField } from '../core/substrate/bedField';
import { asGrid, brushed } from '../core/substrate/sculpt';
import { survey } from '../core/survey/survey';
import { scanFile } from '../server/documents/scanFile';
import { largeScape } from './scape';
import { timed, type Row } from './timed';

/** What the hand on the bench waits for: a brush, grain that settles on 100,000 cells, a stone let down, a large scan. */
export async function benchRows(): Promise<Row[]> {
  const scape = largeScape();
  const { bed } = scape.options[0];
  const { vessel } = scape;
  const found = survey(scape);
  const [stone, ...others] = found.standing;
  const materials = bed.map((l) => materialOf(scape, l.material));
  // A floor read in 100,000 cells with a heap on it that is far too steep.
  const large = { ...vessel, innerMm: { length: 2_500, width: 1_000, height: 450 } };
  const heaped = [{ id: 'soil', material: 'soil', top: { kind: 'level' as const, mm: 60 }, mounds: [{ at: [900, 500] as [number, number], radiusMm: 260, heightMm: 260 }] }]; // prettier-ignore
  const wide = bedField(large, heaped, 5);
  const grid = asGrid(bed[1], vessel);
  const settle = await timed(`settle.${wide.columns * wide.rows}`, 3, () => letSettle(wide, heaped, [materials[1]], []), 1); // prettier-ignore
  const brush = await timed('brush.touch', 60, (run) => brushed(grid, vessel, { brush: 'raise', at: [300 + run, 200], radiusMm: 80, strengthMm: 4 })); // prettier-ignore
  const down = await timed('piece.down', 40, () =>
    dropped(stone.piece, stone.columns, found.field, others, vessel),
  );
  const apart = await timed('piece.apart', 10, () => slidApart({ ...stone, xMm: others[0].xMm + 10, yMm: others[0].yMm, piece: { ...stone.piece, at: [others[0].xMm + 10, others[0].yMm] } }, others, found.field, vessel)); // prettier-ignore
  const ball = new STLExporter().parse(new Drawn(new IcosahedronGeometry(120, 220)), { binary: true });
  const file = new Uint8Array(ball.buffer.slice(0));
  const scan = await timed('scan.file', 1, () => scanFile(file, 'ball.stl', 'mm'), 0);
  return [settle, brush, down, apart, { ...scan, bytes: file.byteLength }];
}
