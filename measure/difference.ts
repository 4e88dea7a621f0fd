import { optionOf } from '../core/commission/lookup';
import type { Commission, Option } from '../core/commission/schema';
import { difference } from '../core/difference/difference';
import { beforeOf } from '../core/difference/projected';
import { survey } from '../core/survey/survey';
import { parsed, scape, soil } from '../core/testing/scape';
import { timed, type Row } from './timed';

const [PIECES, PLANTINGS] = [60, 300];

/** A tank of 60 pieces and 300 plantings, and a scape in which each third thing of it is moved and each fifth gone. */
function rescaped(): Commission {
  const d = scape({ inner: [1_800, 600, 600] });
  const bed = [soil({ kind: 'level', mm: 60 })];
  const pieces: Option['pieces'] = Array.from({ length: PIECES }, (_, i) => ({
    id: `S-${i}`, material: 'slate', shape: { kind: 'ellipsoid', sizeMm: [70, 50, 80] },
    at: [60 + (i % 20) * 88, 120 + Math.floor(i / 20) * 160], turnDeg: 7 * i, stand: { kind: 'bed', buryMm: 15 },
  })); // prettier-ignore
  const plants: Option['plants'] = Array.from({ length: PLANTINGS }, (_, i) => {
    const [x, y] = [(i % 40) * 44, 10 + Math.floor(i / 40) * 72];
    return { id: `P-${i}`, plant: 'grass', region: [[x, y], [x + 40, y], [x + 40, y + 65], [x, y + 65]], spacingMm: 30 }; // prettier-ignore
  });
  const now = { bed, pieces, joints: [], plants };
  const own = <T extends { id: string }>(list: readonly T[]) => list.filter((_, i) => i % 5 !== 0).map((t) => ({ ...t, now: t.id })); // prettier-ignore
  const moved = own(pieces).map((p, i) => (i % 3 ? p : { ...p, at: [p.at[0] + 20, p.at[1]] as [number, number] })); // prettier-ignore
  return parsed({ ...d, now, options: [{ ...d.options[0], bed: own([...bed, ...bed]).slice(0, 1), pieces: moved, plants: own(plants) }] }); // prettier-ignore
}

/** The difference alone, and with both surveys. */
export async function differenceRows(): Promise<Row[]> {
  const d = rescaped();
  const [now, option] = [d.now!, optionOf(d)];
  const [there, then] = [survey(d, { optionId: 'now' }), survey(d)];
  const lines = difference(d, now, there, option, then).lines;
  if (lines.length !== 1 + PIECES + PLANTINGS) throw new Error(`${lines.length} lines`);
  const alone = await timed('difference', 60, () => difference(d, now, there, option, then), 5);
  const whole = await timed('difference.after-a-move', 20, (run) => {
    const other = { ...d, options: [{ ...option, pieces: option.pieces.map((p, i) => (i === run % 40 ? { ...p, turnDeg: p.turnDeg + run } : p)) }] }; // prettier-ignore
    beforeOf(other, optionOf(other), survey(other));
  });
  return [alone, whole];
}
