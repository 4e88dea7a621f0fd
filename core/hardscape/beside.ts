import type { Standing } from './settle';

/**
 * Another piece as seen from the columns of one: which of its own columns lies nearest to each of them, and its spans
 * of height. Made once for a pair, so that no column has to work out where it is.
 */
export class Beside {
  /** Index of the other's column for each column, and of its row's first for each row; −1 beyond its ends. */
  readonly columnAt: Int32Array;
  readonly rowAt: Int32Array;
  /** How much higher its origin lies, mm. */
  readonly upMm: number;
  readonly first: Uint32Array;
  readonly lo: Float64Array;
  readonly hi: Float64Array;
  /** The first and the last column and row beside which it lies; the last before the first where there is none. */
  private readonly columns: readonly [number, number];
  private readonly rows: readonly [number, number];

  constructor(
    { columns: own, xMm, yMm, zMm }: Standing,
    readonly other: Standing,
  ) {
    const { columns: e } = other;
    this.columnAt = nearest(own.columns, xMm + own.x0 - other.xMm - e.x0, own.dxMm, e.dxMm, e.columns, 1);
    this.rowAt = nearest(own.rows, yMm + own.y0 - other.yMm - e.y0, own.dyMm, e.dyMm, e.rows, e.columns);
    this.columns = ends(this.columnAt);
    this.rows = ends(this.rowAt);
    this.upMm = other.zMm - zMm;
    [this.first, this.lo, this.hi] = [e.first, e.lo, e.hi];
  }

  /** Whether it has any column in a square of so many of the one's. */
  reaches(column: number, row: number, count: number): boolean {
    const { columns, rows } = this;
    return columns[0] < column + count && columns[1] >= column && rows[0] < row + count && rows[1] >= row;
  }
}

/** For each step along one piece the nearest step along another, whose first lies `offMm` before; −1 beyond its ends. */
function nearest(count: number, offMm: number, stepMm: number, otherStepMm: number, most: number, times: number): Int32Array {
  const at = new Int32Array(count);
  for (let i = 0; i < count; i++) {
    const there = Math.round((offMm + i * stepMm) / otherStepMm);
    at[i] = there < 0 || there >= most ? -1 : there * times;
  }
  return at;
} // prettier-ignore

function ends(at: Int32Array): readonly [number, number] {
  let [from, to] = [0, at.length - 1];
  while (from < at.length && at[from] < 0) from++;
  while (to >= 0 && at[to] < 0) to--;
  return [from, to];
}

/** The pieces near one that stays where it is, as they were last seen. */
export class Company {
  near: readonly Beside[] = [];

  /**
   * Takes the pieces that are near now.
   *
   * @returns those that are new, or gone: where they are something changed. All of them where the rest changed their order.
   */
  meet(standing: Standing, others: readonly Standing[]): Beside[] {
    const before = this.near;
    const now: Beside[] = [];
    const changed: Beside[] = [];
    let [stayed, isSorted] = [-1, true];
    for (const other of others) {
      let at = 0;
      while (at < before.length && !standsAlike(before[at].other, other)) at++;
      if (at === before.length) changed.push(new Beside(standing, other));
      else if (at < stayed) isSorted = false;
      else stayed = at;
      now.push(at === before.length ? changed[changed.length - 1] : before[at]);
    }
    this.near = now;
    if (!isSorted) return [...before, ...now];
    for (const b of before) if (!now.includes(b)) changed.push(b);
    return changed;
  }
}

/** Whether two are the same solid in the same place. */
function standsAlike(a: Standing, b: Standing): boolean {
  return a.columns === b.columns && a.xMm === b.xMm && a.yMm === b.yMm && a.zMm === b.zMm;
}
