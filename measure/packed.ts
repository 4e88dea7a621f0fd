import type { Commission } from '../core/commission/schema';
import { newMemo } from '../core/survey/memo';
import { survey } from '../core/survey/survey';
import { largeScape, moved } from './scape';
import { against, timed, type Row } from './timed';

/** Stones packed close on one floor, so that many run into each other. */
function packed(count: number): Commission {
  const scape = largeScape();
  const [option] = scape.options;
  const pieces = Array.from({ length: count }, (_, i) => ({
    ...option.pieces[i % option.pieces.length],
    id: `S-${i + 1}`,
    at: [70 + ((i * 67) % 1_060), 60 + ((i * 151) % 380)] as [number, number],
  }));
  return { ...scape, options: [{ ...option, pieces }] };
}

/** One stone moved among ever more on the same floor: how the time grows with their number. */
export async function packedRows(): Promise<Row[]> {
  const rows: Row[] = [];
  for (const count of [25, 50, 100]) {
    const scape = packed(count);
    const memo = newMemo();
    survey(scape, { memo });
    const spot = (run: number): [number, number] => [400 + (run % 40) * 3, 240 + (run % 7) * 5];
    rows.push(
      await timed(`move.among.${count}`, 40, (run) => survey(moved(scape, 12, spot(run)), { memo }), 10),
    );
  }
  return [against(rows[0], rows[2]), ...rows.slice(1)];
}
