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
  times.sort((a, b) => a - b);
  return { name, medianMs: Math.round(times[runs >> 1] * 1000) / 1000, runs };
}
