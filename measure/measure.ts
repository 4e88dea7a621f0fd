/*
 * npm run measure: how long the main computations take here. `-- survey packed` measures those parts alone,
 * `-- --json` prints them as a list.
 */
import { plantedRows, plantedGrowth } from './planted';
import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { faultsOfChange } from '../core/commission/change';
import { built } from '../scripts/ready.mjs';
import { parseCommission } from '../core/commission/parse';
import { plan } from '../core/pipeline/plan';
import { newMemo } from '../core/survey/memo';
import { survey, type Survey } from '../core/survey/survey';
import type { Commission } from '../core/commission/schema';
import { takeOff } from '../core/takeoff/takeOff';
import { columnsOf } from '../server/store/columns';
import { listCommissions } from '../server/store/commissions';
import { commissions } from '../server/store/schema';
import { openStore } from '../server/store/store';
import { benchRows } from './bench';
import { exactBench } from './exact';
import { buyingRows } from './buying';
import { priceRows } from './prices';
import { peopleRows } from './people';
import { seatRows } from './seat';
import { differenceRows } from './difference';
import { editRows } from './edits';
import { growthRows } from './growth';
import { openedRow, pageRows } from './page';
import { packedRows } from './packed';
import { scanRows, undoRows } from './scans';
import { sittingRows } from './sittings';
import { largeScape, moved, vesselScape } from './scape';
import { against, inTurns, timed, type Row } from './timed';
import { resolved } from '../core/testing/resolved';

const MANY = 10_000;
const AT_ONCE = 100;

/** The take-off of what was surveyed: resolved from that survey, and not from one of its own. */
const takenOff = (commission: Commission, measured: Survey) =>
  takeOff(resolved(commission, measured), measured);

async function surveyRows(): Promise<Row[]> {
  const scape = largeScape();
  const first = survey(scape);
  const exact = await exactBench(first.field);
  const memo = newMemo();
  survey(scape, { memo });
  const spot = (run: number): [number, number] => [400 + (run % 40) * 3, 240 + (run % 7) * 5];
  const found = await inTurns(
    {
      'survey.move': {
        work: (run) => {
          const commission = moved(scape, 12, spot(run));
          takenOff(commission, survey(commission, { memo }));
        },
        each: 30,
      },
      'survey.whole': { work: () => takenOff(scape, survey(scape)), each: 2 },
      'exact.booleans': { work: (run) => exact.inBed(moved(scape, 12, spot(run)), first) },
    },
    7,
  );
  const { 'survey.move': move, 'survey.whole': whole, 'exact.booleans': booleans } = found;
  const all = await timed('plan.whole', 15, () => plan(scape));
  return [against(move, booleans), against(whole, booleans), booleans, all];
}

/** Vessels: a bow-fronted one against the same as a box, and edits of a vessel with 30 pieces in it. */
async function vesselRows(): Promise<Row[]> {
  const [box, bow] = [vesselScape('box'), vesselScape('bow')];
  const shapes = await inTurns(
    { 'survey.box': { work: () => survey(box) }, 'survey.bow': { work: () => survey(bow) } },
    20,
    4,
  );
  const edited = async (name: string, edit: (run: number) => Partial<typeof bow.vessel>, cellMm?: number) => {
    const memo = newMemo(cellMm !== undefined);
    plan(bow, { memo, cellMm });
    return timed(
      name,
      40,
      (run) => plan({ ...bow, vessel: { ...bow.vessel, ...edit(run) } }, { memo, cellMm }),
      10,
    );
  };
  const longer = (run: number) => ({ innerMm: { ...bow.vessel.innerMm, length: 1_500 + run } });
  return [
    against(shapes['survey.box'], shapes['survey.bow']),
    shapes['survey.bow'],
    await edited('vessel.line', (run) => ({ waterLineMm: 480 + (run % 60) })),
    await edited('vessel.length.rough', longer, 20),
    await edited('vessel.length', longer),
  ];
}

/** What a typed size costs before it is taken: the vessel read again, against the whole document. */
async function readingRows(): Promise<Row[]> {
  const scape = largeScape();
  const longer = (run: number) => ({
    ...scape,
    vessel: { ...scape.vessel, innerMm: { ...scape.vessel.innerMm, length: 1_200 + run } },
  });
  const change = await timed('read.change', 60, (run) => faultsOfChange(scape, longer(run)), 20);
  const whole = await timed('read.whole', 30, (run) => parseCommission(longer(run)), 10);
  return [against(change, whole), whole];
}

/** Ten thousand commissions: the first page of the list, and of a search. */
async function listRows(): Promise<Row[]> {
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-measure-'));
  const store = await openStore(folder);
  const scape = largeScape();
  const at = new Date(0).toISOString();
  for (let from = 0; from < MANY; from += AT_ONCE) {
    const rows = Array.from({ length: AT_ONCE }, (_, i) => ({
      ...columnsOf({ ...scape, title: `Commission ${from + i}` }),
      ...{ id: `c-${from + i}`, revision: 1, createdAt: at, updatedAt: at, removedAt: null, erasedAt: null },
    }));
    await store.write((db) => db.insert(commissions).values(rows));
  }
  const today = '2027-01-01';
  const list = await timed(`list.${MANY}`, 30, () => listCommissions(store, { today }));
  const search = await timed(`search.${MANY}`, 30, (run) =>
    listCommissions(store, { today, search: `commission ${1_000 + run}` }),
  );
  await store.close();
  await rm(folder, { recursive: true });
  return [list, search];
}

/** Compressed kilobytes of script that the first screen loads, from the build. */
async function firstScreenKb(): Promise<number | undefined> {
  const dist = new URL('../dist/web/', import.meta.url);
  const html = await readFile(new URL('index.html', dist), 'utf8').catch(() => undefined);
  if (html === undefined) return undefined;
  const named = [...html.matchAll(/assets\/[^"]+\.js/g)].map((m) => m[0]);
  const present = new Set((await readdir(new URL('assets/', dist))).map((f) => `assets/${f}`));
  const files = [...new Set(named)].filter((f) => present.has(f));
  const sizes = await Promise.all(files.map(async (f) => gzipSync(await readFile(new URL(f, dist))).length));
  return Math.round(sizes.reduce((a, b) => a + b, 0) / 1024);
}

/** What is measured, by the name with which it is asked for. */
const PARTS: Record<string, () => Promise<Row[]> | Row[]> = {
  survey: surveyRows,
  difference: differenceRows,
  buying: buyingRows,
  prices: priceRows,
  people: peopleRows,
  seat: seatRows,
  sittings: sittingRows,
  vessel: vesselRows,
  reading: readingRows,
  edits: editRows,
  bench: benchRows,
  packed: packedRows,
  list: listRows,
  scans: scanRows,
  undo: undoRows,
  planted: plantedRows,
  opened: async () => [await openedRow()],
  page: pageRows,
};
/** What is held against twice as much of it. */
const GROWING: Record<string, () => Promise<object[]>> = { growth: growthRows, plantedGrowth };

const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const strange = asked.filter((name) => !(name in PARTS) && !(name in GROWING));
if (strange.length > 0) {
  console.error(`${strange.join(', ')}: must be of ${[...Object.keys(PARTS), ...Object.keys(GROWING)].join(', ')}`); // prettier-ignore
  process.exit(2);
}
const wanted = (name: string) => asked.length === 0 || asked.includes(name);

await built();
const rows: Row[] = [];
for (const [name, measured] of Object.entries(PARTS)) if (wanted(name)) rows.push(...(await measured()));
const growth: object[] = [];
for (const [name, measured] of Object.entries(GROWING)) if (wanted(name)) growth.push(...(await measured()));
if (process.argv.includes('--json')) console.log(JSON.stringify({ rows, growth }, null, 2));
else {
  console.table(Object.fromEntries(rows.map(({ name, ...rest }) => [name, rest])));
  if (growth.length > 0) console.table(growth);
  const kb = asked.length === 0 ? await firstScreenKb() : undefined;
  if (kb !== undefined) console.log(`first screen: ${kb} kB of script, compressed`);
}
