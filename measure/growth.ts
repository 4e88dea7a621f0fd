import { survey } from '../core/survey/survey';
import type { Commission } from '../core/commission/schema';
import { largeScape } from './scape';
import { scansScape } from './scans';
import { timed } from './timed';

/** How the time of a whole survey grows: each row has twice of one thing, and as many times the time of the row before. */
export interface Growth {
  what: string;
  of: number;
  medianMs: number;
  times?: number;
}

export async function grown(
  what: string,
  sizes: number[],
  work: (size: number) => unknown,
): Promise<Growth[]> {
  const rows: Growth[] = [];
  for (const of of sizes) {
    const { medianMs } = await timed(what, 5, () => work(of), 1);
    const before = rows.at(-1)?.medianMs;
    rows.push({ what, of, medianMs, ...(before ? { times: Math.round((medianMs / before) * 100) / 100 } : {}) }); // prettier-ignore
  }
  return rows;
}

/** A copy each time: what follows from a shape alone would be known otherwise. */
export async function growthRows(): Promise<Growth[]> {
  const scape = largeScape();
  const bare = { ...scape, options: [{ ...scape.options[0], pieces: [], plants: [] }] };
  const cellMm = (cells: number) => Math.sqrt((1_200 * 500) / cells);
  const surveyed = (of: (size: number) => Commission) => {
    const made = new Map<number, Commission>();
    return (size: number) => {
      if (!made.has(size)) made.set(size, of(size));
      survey(structuredClone(made.get(size)!));
    };
  };
  return [
    ...(await grown('cells', [24_000, 48_000, 96_000, 192_000], (n) => survey(bare, { cellMm: cellMm(n) }))),
    ...(await grown(
      'pieces',
      [10, 20, 40, 80],
      surveyed((n) => scansScape(n, 2_000).commission),
    )),
    ...(await grown('triangles each', [2_500, 5_000, 10_000, 20_000], surveyed((n) => scansScape(20, n).commission))), // prettier-ignore
  ];
}
