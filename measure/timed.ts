export interface Row {
  name: string;
  medianMs: number;
  runs: number;
  /** How many times as long the other takes, measured in the same run. */
  ratio?: number;
  against?: string;
  /** What is sent or held, bytes. */
  bytes?: number;
}

/** A piece of work, and how often it is done in a turn. */
export interface Turn {
  work: (run: number) => unknown;
  each?: number;
}

/** Median times of pieces of work that are held against each other: done in turn, so that all meet the same machine. */
export async function inTurns(
  works: Record<string, Turn>,
  turns: number,
  warmUp = 1,
): Promise<Record<string, Row>> {
  const times = Object.fromEntries(Object.keys(works).map((name) => [name, [] as number[]]));
  for (let turn = 0; turn < warmUp + turns; turn++)
    for (const [name, { work, each = 1 }] of Object.entries(works))
      for (let i = 0; i < each; i++) {
        const from = performance.now();
        await work(turn * each + i);
        if (turn >= warmUp) times[name].push(performance.now() - from);
      }
  return Object.fromEntries(
    Object.entries(times).map(([name, taken]) => [name, { name, ...median(taken), runs: taken.length }]),
  );
}

/** How many times as long the other of a run takes. */
export function against(row: Row, other: Row): Row {
  return { ...row, ratio: Math.round((other.medianMs / row.medianMs) * 100) / 100, against: other.name };
}

function median(times: number[]): { medianMs: number } {
  times.sort((a, b) => a - b);
  return { medianMs: Math.round(times[times.length >> 1] * 1000) / 1000 };
}

/** Median time of a piece of work over several runs, after some that are not counted. */
export async function timed(
  name: string,
  runs: number,
  work: (run: number) => unknown,
  warmUp = 3,
): Promise<Row> {
  for (let i = 0; i < warmUp; i++) await work(i);
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    await work(warmUp + i);
    times.push(performance.now() - from);
  }
  return { name, ...median(times), runs };
}
