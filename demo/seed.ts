import type { Day } from '../core/calendar/day';
import type { Scan, Shape } from '../core/commission/schema';
import { parseCommission } from '../core/commission/parse';
import { apart, scansOf, shapeApart } from '../core/exchange/apart';
import { dayNow } from '../server/dayNow';
import { columnsOf } from '../server/store/columns';
import { createCommission, listCommissions } from '../server/store/commissions';
import { addMissing } from '../server/store/lists';
import { meshesIn } from '../server/store/meshes';
import type { Store } from '../server/store/store';
import { readStudio, writeStudio } from '../server/store/studio';
import { MATERIALS } from './catalogue/materials';
import { PLANTS } from './catalogue/plants';
import { shelf } from './catalogue/shelf';
import { suppliersOn } from './catalogue/suppliers';
import { YARD } from './catalogue/yard';
import { demoCommissions } from './commissions';
import { STUDIO } from './commissions/parts';
import { faultLine } from '../core/commission/faultLine';

/** Puts the made-up studio and its commissions into a database that has none. */
export async function seedDemo(store: Store, today: Day = dayNow()): Promise<void> {
  const known = await readStudio(store);
  const meshes = new Map<string, Uint8Array<ArrayBuffer>>();
  const yard = YARD.map((p) => ({ ...p, shape: shapeApart(p.shape, meshes) }));
  const kept = meshesIn(store.folder);
  if (known.name === '') {
    await writeStudio(store, {
      ...STUDIO,
      currency: 'GBP',
      catalogue: {
        materials: [...MATERIALS],
        plants: [...PLANTS],
        suppliers: suppliersOn(today),
      },
      yard,
    });
    await addMissing(store, 'shelf', shelf(today));
  }
  await kept.keepAll(meshes, figuresIn(yard));
  if ((await listCommissions(store, {})).total > 0) return;
  const ids = [
    'demo-valley',
    'demo-cliff',
    'demo-cube',
    'demo-desk',
    'demo-wall',
    'demo-rescape',
    'demo-root',
    'demo-reading',
    'demo-arch',
  ];
  for (const [i, draft] of demoCommissions(today).entries()) {
    const parsed = parseCommission(draft);
    if (!parsed.ok) throw new Error(`the demo's own document is refused: ${faultLine(parsed.faults[0])}`);
    const { commission, meshes } = apart(parsed.commission);
    await kept.keepAll(meshes, figuresIn(scansOf(commission).map((shape) => ({ shape }))));
    await createCommission(store, columnsOf(commission), ids[i]);
  }
}

/** What was measured of each scan when its mesh was taken out. */
function figuresIn(pieces: readonly { shape: Shape }[]): Map<string, Scan> {
  return new Map(pieces.flatMap(({ shape }) => (shape.kind === 'scan' ? [[shape.mesh, shape]] : [])));
}
