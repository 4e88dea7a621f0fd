import { changesBetween } from '../core/commission/changes';
import { faultsOfChange } from '../core/commission/change';
import { scansOf, shapeApart } from '../core/exchange/apart';
import { bundle, opened } from '../core/exchange/bundle';
import { newMemo } from '../core/survey/memo';
import { survey } from '../core/survey/survey';
import { lastSteps } from '../web/document/stepSize';
import { MOST_STEP_BYTES, MOST_STEPS } from '../web/document/steps';
import { inFolder } from '../endure/http';
import { serverOn } from '../e2e/server';
import { parseCommission } from '../core/commission/parse';
import type { Commission } from '../core/commission/schema';
import { scanned } from '../core/testing/scanned';
import { bytesOf } from '../web/document/stepSize';
import { largeScape, moved } from './scape';
import { timed, type Row } from './timed';
import { inEnglish } from '../core/words/english';

const PIECES = 80;
const TRIANGLES = 20_000;
const name = (what: string) => `${what}.${PIECES}×${TRIANGLES}`;
const spot = (run: number): [number, number] => [300 + (run % 40) * 3, 200 + (run % 7) * 5];

/** A scape of so many different scanned stones, with their meshes beside it. */
export function scansScape(pieces: number, triangles: number) {
  const scape = largeScape();
  const [option] = scape.options;
  const meshes = new Map<string, Uint8Array<ArrayBuffer>>();
  const stones = Array.from({ length: pieces }, (_, i) => ({
    ...option.pieces[0],
    id: `S-${i + 1}`,
    shape: shapeApart(scanned(triangles, 40 + i * 0.6), meshes),
    at: [60 + (i % 12) * 95, 60 + Math.floor(i / 12) * 60] as [number, number],
  }));
  const parsed = parseCommission({ ...scape, options: [{ ...option, pieces: stones }] });
  if (!parsed.ok) throw new Error(inEnglish(parsed.faults[0].says));
  return { commission: parsed.commission, meshes };
}

/** Eighty scans of 20,000 triangles, as a file: from the field that is typed to the disk and back. */
export async function scanRows(): Promise<Row[]> {
  const { commission, meshes } = scansScape(PIECES, TRIANGLES);
  const json = JSON.stringify(commission);
  const file = await bundle(json, meshes.keys(), (mesh) => meshes.get(mesh)!);
  const judged = await timed(name('edit.judged'), 60, (run) => faultsOfChange(commission, moved(commission, 12, spot(run))), 20); // prettier-ignore
  const memo = newMemo();
  const from = performance.now();
  survey(commission, { memo });
  const cold = { name: name('survey.cold'), medianMs: Math.round(performance.now() - from), runs: 1 };
  const move = await timed(name('edit.survey'), 30, (run) => survey(moved(commission, 12, spot(run)), { memo }), 5); // prettier-ignore
  const read = await timed(name('file.read'), 3, () => opened(file.slice()), 1);
  const written = await timed(name('file.written'), 3, () => bundle(json, scansOf(commission).map((s) => s.mesh), (mesh) => meshes.get(mesh)!), 1); // prettier-ignore
  return [judged, cold, move, read, written, ...(await overNetwork(file))];
}

/** The same in the server: imported, one stone moved and saved, opened, copied, exported. */
function overNetwork(file: Uint8Array): Promise<Row[]> {
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    try {
      const began = performance.now();
      const { id } = (await (await fetch(`${server.url}/api/commissions/import`, { method: 'POST', body: file.slice() })).json()) as { id: string }; // prettier-ignore
      const imported = { name: name('import'), medianMs: Math.round(performance.now() - began), runs: 1 };
      const at = `${server.url}/api/commissions/${id}`;
      const stored = (await (await fetch(at)).json()) as { revision: number; document: Commission }; // prettier-ignore
      let { revision, document } = stored;
      let sent = 0;
      const save = await timed(name('save'), 20, async (run) => {
        const next = moved(document, 12, spot(run));
        const body = JSON.stringify({ revision, changes: changesBetween(document, next) });
        sent = Math.max(sent, body.length);
        const answer = await fetch(at, { method: 'PATCH', body, headers: { 'Content-Type': 'application/json' } }); // prettier-ignore
        if (!answer.ok) throw new Error(await answer.text());
        ({ revision } = (await answer.json()) as { revision: number });
        document = next;
      });
      const get = await timed(name('open.document'), 10, async () => (await fetch(at)).text());
      const copy = await timed(name('duplicate'), 5, async () => (await fetch(`${at}/duplicate`, { method: 'POST' })).text()); // prettier-ignore
      const exported = await timed(name('export'), 3, async () => (await fetch(`${at}/file`)).arrayBuffer(), 1); // prettier-ignore
      return [imported, { ...save, bytes: sent }, get, copy, { ...exported, bytes: file.length }];
    } finally {
      await server.stop();
    }
  });
}

/** A thousand steps that can be undone: what they hold, with a brush over a bed of 24,000 heights among them. */
export function undoRows(): Row[] {
  const { commission: scape } = scansScape(20, 500);
  let document = scape;
  const steps = Array.from({ length: MOST_STEPS }, (_, run) => {
    const next = moved(document, 12, spot(run));
    const step = changesBetween(document, next);
    document = next;
    return step;
  });
  const brushes = Array.from({ length: MOST_STEPS }, (_, i) => {
    const heights = () => Array.from({ length: 24_000 }, (_, k) => 50 + ((i + k) % 30));
    return [{ path: ['options', { id: 'a' }, 'bed', { id: 'soil' }, 'top', 'mm'], was: heights(), is: heights() }]; // prettier-ignore
  });
  const moves = lastSteps(steps, MOST_STEPS, MOST_STEP_BYTES);
  const strokes = lastSteps(brushes, MOST_STEPS, MOST_STEP_BYTES);
  return [
    { name: 'undo.moves', medianMs: 0, runs: moves.length, bytes: bytesOf(moves) },
    { name: 'undo.strokes', medianMs: 0, runs: strokes.length, bytes: bytesOf(strokes) },
  ];
}
