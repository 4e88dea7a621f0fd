import { changesBetween } from '../core/commission/changes';
import { faultsOfChange } from '../core/commission/change';
import { parseCommission } from '../core/commission/parse';
import type { Commission, Shape } from '../core/commission/schema';
import { newMemo } from '../core/survey/memo';
import { survey } from '../core/survey/survey';
import { packer } from '../web/workers/parcel';
import { largeScape, moved } from './scape';
import { timed, type Row } from './timed';

const PIECES = 80;
const TRIANGLES = 2_000;

/** A closed surface of so many triangles, a ball that is longer than wide, as a scanned stone comes in. */
export function scanned(triangles: number, sizeMm: number): Shape {
  const around = Math.round(Math.sqrt(triangles));
  const up = Math.round(triangles / (2 * around)) + 1;
  const [vertices, faces]: [[number, number, number][], [number, number, number][]] = [[], []];
  for (let v = 1; v < up; v++)
    for (let u = 0; u < around; u++) {
      const [a, b] = [(u / around) * 2 * Math.PI, (v / up) * Math.PI];
      const r = (sizeMm / 2) * (1 + 0.06 * Math.sin(5 * a) * Math.sin(3 * b));
      vertices.push([r * Math.sin(b) * Math.cos(a), 0.8 * r * Math.sin(b) * Math.sin(a), -r * Math.cos(b)]);
    }
  const at = (u: number, v: number) => (v - 1) * around + (u % around);
  const foot = vertices.push([0, 0, -sizeMm / 2]) - 1;
  const tip = vertices.push([0, 0, sizeMm / 2]) - 1;
  for (let u = 0; u < around; u++) {
    faces.push([foot, at(u + 1, 1), at(u, 1)], [tip, at(u, up - 1), at(u + 1, up - 1)]);
    for (let v = 1; v < up - 1; v++)
      faces.push([at(u, v), at(u + 1, v), at(u + 1, v + 1)], [at(u, v), at(u + 1, v + 1), at(u, v + 1)]);
  }
  return { kind: 'mesh', vertices, faces } as Shape;
}

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
  if (!parsed.ok) throw new Error(parsed.faults[0].says);
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
  const ratio = Math.round((whole.medianMs / judged.medianMs) * 10) / 10;
  return [{ ...judged, ratio, against: whole.name }, whole, changes, sent, measured];
}
