import { changesBetween } from '../core/commission/changes';
import { faultsOfChange } from '../core/commission/change';
import { parseCommission } from '../core/commission/parse';
import type { Commission } from '../core/commission/schema';
import { newMemo } from '../core/survey/memo';
import { survey } from '../core/survey/survey';
import { packer } from '../web/workers/parcel';
import { scanned } from '../core/testing/scanned';
import { largeScape, moved } from './scape';
import { against, timed, type Row } from './timed';
import { inEnglish } from '../core/words/english';

const PIECES = 80;
const TRIANGLES = 2_000;

/** A scape of so many scanned stones. */
export function scannedScape(pieces = PIECES, triangles = TRIANGLES): Commission {
  const scape = largeScape();
  const [option] = scape.options;
  const stones = Array.from({ length: pieces }, (_, i) => ({
    ...option.pieces[0],
    id: `S-${i + 1}`,
    shape: scanned(triangles, 40 + ((i * 17) % 50)),
    at: [60 + (i % 12) * 95, 60 + Math.floor(i / 12) * 60] as [number, number],
  }));
  const parsed = parseCommission({ ...scape, options: [{ ...option, pieces: stones }] });
  if (!parsed.ok) throw new Error(inEnglish(parsed.faults[0].says));
  return parsed.commission;
}

/** What one edit costs among eighty scanned stones, on its way from the field to the figures. */
export async function editRows(): Promise<Row[]> {
  const scape = scannedScape();
  const spot = (run: number): [number, number] => [300 + (run % 40) * 3, 200 + (run % 7) * 5];
  const name = (what: string) => `${what}.${PIECES}×${TRIANGLES}`;
  const judged = await timed(
    name('edit.judged'),
    60,
    (run) => faultsOfChange(scape, moved(scape, 12, spot(run))),
    20,
  );
  const whole = await timed(name('edit.read'), 5, (run) => parseCommission(moved(scape, 12, spot(run))), 1);
  const changes = await timed(
    name('edit.changes'),
    60,
    (run) => changesBetween(scape, moved(scape, 12, spot(run))),
    20,
  );
  const pack = packer();
  const sent = await timed(
    name('edit.parcel'),
    60,
    (run) => {
      const now = moved(scape, 12, spot(run));
      structuredClone(pack(now, now.options[0]));
    },
    20,
  );
  const memo = newMemo();
  survey(scape, { memo });
  const measured = await timed(
    name('edit.survey'),
    40,
    (run) => survey(moved(scape, 12, spot(run)), { memo }),
    10,
  );
  return [against(judged, whole), whole, changes, sent, measured];
}
